'use client';

import { useEffect, useLayoutEffect, useRef, useState } from 'react';

/** What is drawn anew within this time need not wait for a picture of its own. */
const QUICK_MS = 8;

/**
 * A value as it was when the page was last painted: for what may follow a frame behind what one types. Where drawing by it
 * took next to no time last, it is the value of now: then all is in one picture.
 */
export function useAfterPaint<T>(value: T): T {
  const [shown, show] = useState(() => value);
  const newest = useRef(value);
  const waiting = useRef(false);
  const quick = useRef(false);
  const began = useRef(0);
  const drawn = quick.current ? value : shown;
  const last = useRef<T>(undefined);
  if (last.current !== drawn) began.current = performance.now();
  useLayoutEffect(() => {
    last.current = drawn;
    quick.current = performance.now() - began.current < QUICK_MS;
  }, [drawn]);
  useEffect(() => {
    newest.current = value;
    if (drawn === value) return show(() => value);
    if (waiting.current) return;
    waiting.current = true;
    requestAnimationFrame(() =>
      setTimeout(() => {
        waiting.current = false;
        show(() => newest.current);
      }),
    );
  }, [value, drawn]);
  return drawn;
}
