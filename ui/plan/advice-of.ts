import { OPEN } from '@/core/advice/at-the-job';
import { type Advice, judgeLine, type LineJudgement } from '@/core/advice/judge-line';
import type { OutletJudgement } from '@/core/line/judge-outlet';
import type { Plan } from '@/core/line/plan';
import { sectionOf } from './section-of';

const judged = new WeakMap<Plan, LineJudgement>();
const told = new Set<string>();

/** What is to be said of a plan, judged once. A rule that broke is told to the server’s log. */
export function adviceOf(plan: Plan): LineJudgement {
  const known = judged.get(plan);
  if (known) return known;
  const judgement = judgeLine(plan, sectionOf(plan));
  judged.set(plan, judgement);
  for (const fault of judgement.broken) tell(fault);
  return judgement;
}

/** What stays open at the jobs, by verdicts that may be a moment behind the plan. */
export const openAdviceOf = (plan: Plan, verdicts: ReadonlyMap<string, OutletJudgement>): readonly Advice[] =>
  judgeLine(plan, sectionOf(plan), [OPEN], [], verdicts).advice;

function tell(fault: LineJudgement['broken'][number]): void {
  const text = JSON.stringify(fault);
  if (typeof navigator === 'undefined' || told.has(text)) return;
  told.add(text);
  navigator.sendBeacon('/api/faults', new Blob([text], { type: 'application/json' }));
}
