import { CASE_KINDS, type PracticeCase, SEASONS } from '@/core/practice/case';
import type { Played } from '@/core/practice/spacing';
import { InUnits } from '@/ui/units/in-units';
import { PlayAnswer } from './play-answer';
import { PlaySearch } from './play-search';
import { Sentences } from './sentences';
import { TheLine } from './the-line';

/** A case as it is met, and its answer or its search. */
export function Play({ of, add }: { of: PracticeCase; add: (played: Played) => void }) {
  const done = (score: number, ratio?: number): void =>
    add({ at: new Date().toISOString(), kind: of.kind, seed: of.seed, score, ...(ratio !== undefined && { ratio }) });
  return (
    <>
      <section aria-label="The case" className="grid gap-2">
        <h2>
          {CASE_KINDS[of.kind]}: {of.title}
        </h2>
        <p className="max-w-prose text-[1.05rem]">
          <InUnits text={of.says} />
        </p>
        <TheLine plan={of.plan} season={SEASONS[of.season].says} stages={of.asked.form !== 'order'} />
        {of.given && <Sentences of={of.given} />}
        <p className="font-semibold">{of.asks}</p>
      </section>
      {of.asked.form === 'find' ? (
        <PlaySearch of={of} complaint={of.asked.complaint} onDone={done} />
      ) : (
        <PlayAnswer of={of} asked={of.asked} onDone={done} />
      )}
    </>
  );
}
