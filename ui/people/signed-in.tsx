'use client';

import { createContext, type ReactNode, useContext, useState } from 'react';
import { rememberWho } from './remembered-who';

export interface OwnAccount {
  readonly id: string;
  readonly name: string;
  /** How they come where it is not with their own sign-in: with a link, or at a shared device. */
  readonly via?: 'link' | 'device' | undefined;
  /** On a shared device: whether nobody said that they are at work on it. */
  readonly isNobody?: boolean | undefined;
}
const SignedInContext = createContext<OwnAccount | undefined>(undefined);

/** Knows who is signed in; nobody is where this server is one person’s. What they write carries their name. */
export function SignedIn({ account, children }: { account: OwnAccount | undefined; children: ReactNode }) {
  useState(() => account && !account.isNobody && typeof window !== 'undefined' && rememberWho(account.name));
  return <SignedInContext value={account}>{children}</SignedInContext>;
}

/** Who is signed in. */
export const useSignedIn = (): OwnAccount | undefined => useContext(SignedInContext);
