'use client';

import { useState } from 'react';
import { judgeOutlets, type Verdicts } from '@/core/line/judge-outlet';
import type { Plan } from '@/core/plan/plan';
import { useAnswer } from '@/ui/worker/use-answer';
import { usePlan } from './plan-provider';

const start = (): Worker => new Worker(new URL('../../workers/judge.worker.ts', import.meta.url), { type: 'module' });

/** What each outlet gets, with bands: at first at once, then a moment behind what one types. */
export function useJudgements(): Verdicts {
  const { plan, section } = usePlan();
  const [first] = useState(() => judgeOutlets(plan, section));
  return useAnswer<Plan, Verdicts>(start, plan, 30).answered?.answer ?? first;
}
