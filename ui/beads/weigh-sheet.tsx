'use client';

import { disposalOf, type Fate, judgeCharge, leftAfter } from '@/core/desiccant/judge-charge';
import { ChoiceInput } from '@/ui/forms/choice-input';
import { Sheet } from '@/ui/primitives/sheet';
import { useUnits } from '@/ui/units/units';
import type { Ask, Query } from './query';

const FATES: Record<Fate, { mark: string; word: string; look: string }> = {
  keep: { mark: '●', word: 'Keep it', look: 'text-water' },
  'lesser use': { mark: '◆', word: 'Lesser use', look: 'text-amber' },
  discard: { mark: '▲', word: 'Discard it', look: 'text-brick' },
};

const TIMES = Object.fromEntries(Array.from({ length: 41 }, (_, n) => [n, String(n)]));

/** What the scales say of a charge that was dried. */
export function WeighSheet({ q, set, ask }: { q: Query; set: (change: Partial<Query>) => void; ask: Ask }) {
  const { say } = useUnits();
  const dyed = q.dyed === 'yes' && q.medium === 'silica';
  const times = Math.round(q.times);
  const judged = judgeCharge({ medium: q.medium, dyed, wetKg: q.wet, dryKg: q.dry, times });
  return (
    <Sheet
      id="scales"
      label="By weight"
      title="By weight"
      asks="Weights"
      fields={
        <>
          {ask('wet', 'As removed, exhausted', 'mass')}
          {ask('dry', 'Dried, and cooled closed', 'mass')}
          <ChoiceInput
            id="times"
            label="Times dried before"
            value={String(times)}
            options={TIMES}
            onCommit={(n) => set({ times: Number(n) })}
          />
        </>
      }
    >
      {typeof judged === 'string' ? (
        <p role="alert" className="rounded-md bg-brick-wash px-3 py-2 text-brick">
          {judged}
        </p>
      ) : (
        <>
          <p className={`font-semibold ${FATES[judged.fate].look}`}>
            {FATES[judged.fate].mark} {FATES[judged.fate].word}
          </p>
          <p className="text-[1.6rem] font-bold leading-tight">
            {say(judged.drivenOffKg, 'mass')} driven off{' '}
            <span className="text-[1.05rem] font-normal text-quiet">
              of {say(judged.shouldHoldKg, 'mass')} expected residual: {say(judged.ofNew, 'share')}
            </span>
          </p>
          <p>{judged.says}</p>
          <p className="text-quiet">
            After {times} {times === 1 ? 'drying' : 'dryings'} such beads still take up about{' '}
            {say(leftAfter(q.medium, times), 'share')} of new ones, after ten {say(leftAfter(q.medium, 10), 'share')}.
          </p>
          {judged.fate === 'discard' && (
            <p>
              <strong>How:</strong> {disposalOf({ dyed, oily: q.tray === 'oily' })}
            </p>
          )}
        </>
      )}
    </Sheet>
  );
}
