import type { ReactNode } from 'react';

/** What is wider than a phone scrolls by itself, also by the keyboard. */
export function Scrolls({
  label,
  className = '',
  children,
}: {
  label: string;
  className?: string;
  children: ReactNode;
}) {
  return (
    // biome-ignore lint/a11y/noNoninteractiveTabindex: the keys scroll only what has the focus
    <div role="group" aria-label={label} tabIndex={0} className={`relative overflow-x-auto ${className}`}>
      {children}
    </div>
  );
}
