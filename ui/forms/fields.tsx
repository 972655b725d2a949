import { type ReactNode, useSyncExternalStore } from 'react';

const never = () => () => {};

/** The fields of a form. They take no input until the page can keep it: what is typed earlier would be lost. */
export function Fields({ className, children }: { className: string; children: ReactNode }) {
  const hydrated = useSyncExternalStore(
    never,
    () => true,
    () => false,
  );
  return (
    <fieldset disabled={!hydrated} className={`min-w-0 ${className}`}>
      {children}
    </fieldset>
  );
}
