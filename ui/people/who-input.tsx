'use client';

import type { InputHTMLAttributes, Ref } from 'react';
import { useSignedIn } from './signed-in';

/** Who did it, typed; where somebody is signed in it is they. */
export function WhoInput(input: InputHTMLAttributes<HTMLInputElement> & { ref?: Ref<HTMLInputElement> }) {
  const isFixed = useSignedIn() !== undefined;
  return (
    <input
      {...input}
      className={`control ${isFixed ? 'bg-sunk text-quiet' : ''}`}
      autoComplete="name"
      maxLength={60}
      readOnly={isFixed}
    />
  );
}
