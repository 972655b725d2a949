'use client';

import { createContext, type ReactNode, useContext, useState } from 'react';
import { rememberWho } from '@/ui/outbox/use-sender';

const SignedInContext = createContext<string | undefined>(undefined);

/** Knows who is signed in; nobody is where this server is one person’s. What they write carries their name. */
export function SignedIn({ name, children }: { name: string | undefined; children: ReactNode }) {
  useState(() => name !== undefined && typeof window !== 'undefined' && rememberWho(name));
  return <SignedInContext value={name}>{children}</SignedInContext>;
}

/** The name of who is signed in. */
export const useSignedIn = (): string | undefined => useContext(SignedInContext);
