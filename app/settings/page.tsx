import type { Metadata } from 'next';
import { headers } from 'next/headers';
import packageOfThis from '@/package.json';
import { lastBackup } from '@/server/backup/last-backup';
import { hasPin } from '@/server/people/devices';
import { canMail } from '@/server/people/mail';
import { ALONE, sitesOf } from '@/server/people/may';
import { readSites } from '@/server/people/members';
import { passkeysOf } from '@/server/people/passkeys';
import { readSignIns } from '@/server/people/sign-in';
import { idSchema } from '@/server/plan-id';
import { hasOwnAuthority } from '@/server/share/authority';
import { publicAddress } from '@/server/share/public-address';
import { whenUp } from '@/server/when-up';
import { SettingsView } from '@/ui/settings/settings-view';
import { DatabaseDown } from '@/ui/shell/database-down';
import { Frame } from '@/ui/shell/frame';

export const metadata: Metadata = { title: 'Settings' };
export const dynamic = 'force-dynamic';

type Asked = Promise<Record<string, string | string[] | undefined>>;

export default async function Page({ searchParams }: { searchParams: Asked }) {
  const asked = await searchParams;
  const from = idSchema.safeParse(asked.from);
  const only = idSchema.safeParse(asked.site).data;
  const read = await whenUp(async (who) => {
    const isOwner = sitesOf(who, 'people')?.length !== 0;
    const backup = isOwner ? await lastBackup() : undefined;
    if (who === ALONE)
      return { person: undefined, sites: [], more: false, signIns: [], hasPin: false, passkeys: [], backup };
    const { id, name, email, via } = who;
    const [{ sites, more }, signIns, has, passkeys] = await Promise.all([
      readSites(who, only),
      via ? [] : readSignIns(await headers()),
      hasPin(id),
      via ? [] : passkeysOf(id),
    ]);
    return { person: { id, name, email, via }, sites, more, signIns, hasPin: has, passkeys, backup };
  });
  return (
    <Frame {...(from.success && { planId: from.data })}>
      {read ? (
        <SettingsView
          {...read}
          version={packageOfThis.version}
          hasAuthority={hasOwnAuthority()}
          address={publicAddress()}
          mails={canMail()}
        />
      ) : (
        <DatabaseDown />
      )}
    </Frame>
  );
}
