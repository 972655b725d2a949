'use client';

import { usePathname } from 'next/navigation';
import { useEffect, useRef } from 'react';

/** After a step to another page the focus is at its content, not at the link of the menu that led there. */
export function FocusContent() {
  const path = usePathname();
  const before = useRef(path);
  useEffect(() => {
    if (before.current === path) return;
    before.current = path;
    const at = document.activeElement;
    if (at === null || at === document.body || at.closest('header, nav'))
      document.getElementById('main')?.focus({ preventScroll: true });
  }, [path]);
  return null;
}
