import './globals.css';
import type { Metadata, Viewport } from 'next';
import { headers } from 'next/headers';
import { NuqsAdapter } from 'nuqs/adapters/next/app';
import type { ReactNode } from 'react';
import { Toaster } from 'sonner';
import { lowDiskBytes } from '@/server/disk-space';
import { ownAccount } from '@/server/people/who-asks';
import { KeepWrongForms } from '@/ui/forms/keep-wrong-forms';
import { Offline } from '@/ui/offline/offline';
import { SignedIn } from '@/ui/people/signed-in';
import { DiskNotice } from '@/ui/shell/disk-notice';
import { FocusContent } from '@/ui/shell/focus-content';
import { FocusKept } from '@/ui/shell/focus-kept';
import { Loaded } from '@/ui/shell/loaded';
import { Theme } from '@/ui/shell/theme';
import { readUnits } from '@/ui/units/read-units';
import { UnitsProvider } from '@/ui/units/units';
import { latin, otherLatin } from './fonts';

export const metadata: Metadata = {
  title: { default: 'Cool Dram', template: '%s · Cool Dram' },
  description: 'Where the water of a compressed-air line falls out, how much, and whether the drain caught it.',
};
export const viewport: Viewport = { width: 'device-width', initialScale: 1 };

export default async function RootLayout({ children }: { children: ReactNode }) {
  return (
    <html lang="en" data-loading="" className={`${latin.variable} ${otherLatin.variable}`} suppressHydrationWarning>
      <body>
        <Theme nonce={(await headers()).get('x-nonce') ?? ''}>
          <UnitsProvider initial={await readUnits()}>
            <DiskNotice freeBytes={await lowDiskBytes()} />
            <SignedIn account={await ownAccount()}>
              <Offline />
              <NuqsAdapter>{children}</NuqsAdapter>
            </SignedIn>
            <KeepWrongForms />
            <Loaded />
            <FocusContent />
            <FocusKept />
          </UnitsProvider>
          <Toaster position="bottom-center" />
        </Theme>
      </body>
    </html>
  );
}
