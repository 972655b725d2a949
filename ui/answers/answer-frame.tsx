import type { ReactNode } from 'react';
import { OfBefore } from '@/ui/forms/of-before';

const MARKS = {
  yes: { sign: '●', tone: 'text-water' },
  close: { sign: '◆', tone: 'text-amber' },
  no: { sign: '▲', tone: 'text-brick' },
} as const;

/** A page’s numbers on one side, its answer on the other. */
export function AnswerFrame({ fields, children }: { fields: ReactNode; children: ReactNode }) {
  return (
    <div className="grid items-start gap-6 lg:grid-cols-[19rem_minmax(0,1fr)]">
      <form
        className="grid grid-cols-2 items-end gap-3 rounded-md border border-hairline bg-card p-4 lg:grid-cols-1"
        onSubmit={(e) => e.preventDefault()}
        aria-label="Numbers"
      >
        {fields}
      </form>
      <section aria-label="Answer" className="grid min-w-0 gap-4" aria-live="polite">
        <OfBefore />
        {children}
      </section>
    </div>
  );
}

/** The answer in a few words, and what belongs to it. */
export function Verdict({ is, then, children }: { is?: keyof typeof MARKS; then?: ReactNode; children: ReactNode }) {
  const mark = is && MARKS[is];
  return (
    <div>
      <p className="text-[1.6rem] font-bold leading-tight">
        {mark && <span className={mark.tone}>{mark.sign} </span>}
        {children}
      </p>
      {then && <p className="mt-1 max-w-[65ch] text-[1.05rem] text-quiet">{then}</p>}
    </div>
  );
}

/** Where a line lacks what is asked about. */
export function NotThere({ children }: { children: ReactNode }) {
  return <p className="max-w-[65ch] rounded-md border border-hairline bg-card p-4">{children}</p>;
}
