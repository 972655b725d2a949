'use client';

import { useEffect } from 'react';

/** Opens the folds round a field, and puts the cursor into it. */
function show(field: HTMLElement | null): void {
  for (let fold = field?.closest('details'); fold; fold = fold.parentElement?.closest('details')) fold.open = true;
  field?.focus();
}

/**
 * In every form: where a field holds no value, a folded one too, nothing is sent, and the cursor goes there; after a form was
 * refused, it goes into the first field that is marked wrong.
 */
export function KeepWrongForms() {
  useEffect(() => {
    const before = (event: Event): void => {
      const field = (event.target as HTMLFormElement).querySelector<HTMLElement>('[data-unread]');
      if (!field) return;
      event.preventDefault();
      event.stopImmediatePropagation();
      show(field);
    };
    const after = (event: SubmitEvent): void => {
      const form = event.target as HTMLFormElement;
      // The form answers in this turn, and its marks are drawn in the next.
      setTimeout(() => show(form.querySelector<HTMLElement>('[aria-invalid=true]')));
    };
    // Ahead of the form itself.
    window.addEventListener('submit', before, true);
    document.addEventListener('submit', after);
    return () => {
      window.removeEventListener('submit', before, true);
      document.removeEventListener('submit', after);
    };
  }, []);
  return null;
}
