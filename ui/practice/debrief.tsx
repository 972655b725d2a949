import type { ReactNode } from 'react';
import type { PracticeCase } from '@/core/practice/case';
import { RIGHT } from '@/core/practice/spacing';
import { Headline } from '@/ui/primitives/figures';
import { Link } from '@/ui/primitives/link';
import { Sentences } from './sentences';

/** What an answer was worth, the number behind each step, and the way to the same case again. */
export function Debrief({ of, score, children }: { of: PracticeCase; score: number; children?: ReactNode }) {
  return (
    <section aria-label="Debrief" aria-live="polite" className="grid max-w-2xl gap-3 border-l-4 border-water pl-4">
      <Headline then={`${Math.round(score * 100)} % of what there was to get`}>
        {score >= RIGHT ? '✓ Right' : score > 0 ? '◆ Not yet' : '✗ Not right'}
      </Headline>
      {children}
      <Sentences of={of.because} />
      {score < RIGHT && <p className="text-quiet">It comes again tomorrow, then after three days and after ten.</p>}
      <p className="flex flex-wrap items-center gap-3">
        <Link className="button button-strong" href="/practice">
          To the cases
        </Link>
        <span className="text-quiet">
          Case {of.seed}, level {of.level + 1}: the address of this page is the same case for a whole class.
        </span>
      </p>
    </section>
  );
}
