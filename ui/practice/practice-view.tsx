'use client';

import { useMemo } from 'react';
import { caseByHand } from '@/core/practice/by-hand';
import { CASE_KINDS, type CaseKind, type PracticeCase } from '@/core/practice/case';
import { makeCase } from '@/core/practice/make-case';
import { PracticeHome } from './home';
import { Play } from './play';
import { usePlayed } from './use-played';

/** Which case is asked for: one made by hand, or one from a seed. */
export interface CaseAsked {
  readonly hand?: string | undefined;
  readonly kind?: string | undefined;
  readonly seed?: string | undefined;
  readonly level?: string | undefined;
}

const MOST_SEED = 1_000_000;

function caseOf({ hand, kind, seed, level }: CaseAsked): PracticeCase | undefined {
  if (hand !== undefined) return caseByHand(hand);
  const n = Number(seed);
  const of = Number(level ?? 0);
  if (kind === undefined || !Object.hasOwn(CASE_KINDS, kind) || !Number.isInteger(n) || n < 1 || n > MOST_SEED)
    return undefined;
  return makeCase(kind as CaseKind, n, of === 1 || of === 2 ? of : 0);
}

/** Practice: cases to choose from, or the one that is asked for. */
export function PracticeView({ asked }: { asked: CaseAsked }) {
  const of = useMemo(() => caseOf(asked), [asked]);
  const kept = usePlayed();
  return (
    <div className="mx-auto grid w-full max-w-[1100px] grid-cols-[minmax(0,1fr)] gap-5 p-4">
      <h1>Practice</h1>
      {of ? <Play of={of} {...kept} /> : <PracticeHome played={kept.played} />}
    </div>
  );
}
