'use client';

import { useEffect } from 'react';

/** In every form: after it was refused, the cursor goes into the first field that is marked wrong. */
export function FocusFirstError() {
  useEffect(() => {
    const onSubmit = (event: SubmitEvent): void => {
      const form = event.target as HTMLFormElement;
      // The form answers in this turn, and its marks are drawn in the next.
      setTimeout(() => form.querySelector<HTMLElement>('[aria-invalid=true]')?.focus());
    };
    document.addEventListener('submit', onSubmit);
    return () => document.removeEventListener('submit', onSubmit);
  }, []);
  return null;
}
