'use client';

import { type RefObject, useEffect, useRef } from 'react';

/**
 * Takes what was typed or chosen in a field before the scripts of its page were there.
 * @param shown what the server’s page has in it
 * @returns for the field
 */
export function useTypedBefore<E extends HTMLInputElement | HTMLSelectElement>(
  shown: string,
  take: (typed: string) => void,
): RefObject<E | null> {
  const field = useRef<E>(null);
  // biome-ignore lint/correctness/useExhaustiveDependencies: once, when the page becomes live
  useEffect(() => {
    const typed = field.current?.value;
    if (typed !== undefined && typed !== shown) take(typed);
  }, []);
  return field;
}
