import type { ReactNode } from 'react';

/** A question and its answer: the fields at the left, what follows from them at the right. */
export function Sheet({
  id,
  label,
  title,
  asks,
  fields,
  children,
}: {
  /** Where a link on the page leads to. */
  id: string;
  label: string;
  title: string;
  /** What the fields are about, for those who hear the page. */
  asks: string;
  fields: ReactNode;
  children: ReactNode;
}) {
  return (
    <section id={id} aria-label={label} className="grid scroll-mt-16 items-start gap-6 lg:grid-cols-[22rem_1fr]">
      <form
        className="grid gap-3 rounded-md border border-hairline bg-card p-4"
        onSubmit={(e) => e.preventDefault()}
        aria-label={asks}
      >
        <h2>{title}</h2>
        {fields}
      </form>
      <div className="grid min-w-0 gap-3" aria-live="polite">
        {children}
      </div>
    </section>
  );
}
