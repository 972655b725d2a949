'use client';

import { setNonce } from 'get-nonce';
import { Moon, Sun } from 'lucide-react';
import { ThemeProvider, useTheme } from 'next-themes';
import type { ReactNode } from 'react';

export function Theme({ nonce, children }: { nonce: string; children: ReactNode }) {
  setNonce(nonce); // for the styles that menus and dialogs put into the page while they are open
  return (
    <ThemeProvider
      attribute="data-theme"
      defaultTheme="system"
      enableSystem
      enableColorScheme={false}
      disableTransitionOnChange
      nonce={nonce}
    >
      {children}
    </ThemeProvider>
  );
}

/** Switches between paper and the dark set. Which icon shows is decided in CSS, so that the first paint is right. */
export function ThemeToggle() {
  const { resolvedTheme, setTheme } = useTheme();
  return (
    <button
      type="button"
      className="button px-2"
      aria-label="Light or dark"
      title="Light or dark"
      onClick={() => setTheme(resolvedTheme === 'dark' ? 'light' : 'dark')}
    >
      <Moon size={16} className="dark:hidden" aria-hidden />
      <Sun size={16} className="hidden dark:block" aria-hidden />
    </button>
  );
}
