'use client';

import { useEffect, useRef, useState } from 'react';

/** A value as it was when the page was last painted: for what may follow a frame behind what one types. */
export function useAfterPaint<T>(value: T): T {
  const [shown, show] = useState(() => value);
  const newest = useRef(value);
  const waiting = useRef(false);
  useEffect(() => {
    newest.current = value;
    if (waiting.current) return;
    waiting.current = true;
    requestAnimationFrame(() =>
      setTimeout(() => {
        waiting.current = false;
        show(() => newest.current);
      }),
    );
  }, [value]);
  return shown;
}
