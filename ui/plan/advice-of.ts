import { judgeLine, type LineJudgement, withVerdicts } from '@/core/advice/judge-line';
import type { Verdicts } from '@/core/line/judge-outlet';
import type { Plan } from '@/core/plan/plan';
import { sectionOf } from './section-of';

const judged = new WeakMap<Plan, LineJudgement>();
const told = new Set<string>();

/** What is to be said of a plan, judged once. A rule that broke is told to the server’s log. */
function adviceOf(plan: Plan): LineJudgement {
  const known = judged.get(plan);
  if (known) return known;
  const judgement = judgeLine(plan, sectionOf(plan));
  judged.set(plan, judgement);
  for (const fault of judgement.broken) tell(fault);
  return judgement;
}

const withThem = new WeakMap<LineJudgement, { verdicts: Verdicts; judgement: LineJudgement }>();

/** The same with the verdicts on the outlets, which may be a moment behind the plan. */
export function adviceWith(verdicts: Verdicts, plan: Plan): LineJudgement {
  const without = adviceOf(plan);
  let known = withThem.get(without);
  if (known?.verdicts !== verdicts) {
    known = { verdicts, judgement: withVerdicts(without, plan, sectionOf(plan), verdicts) };
    withThem.set(without, known);
  }
  return known.judgement;
}

function tell(fault: LineJudgement['broken'][number]): void {
  const text = JSON.stringify(fault);
  if (typeof navigator === 'undefined' || told.has(text)) return;
  told.add(text);
  navigator.sendBeacon('/api/faults', new Blob([text], { type: 'application/json' }));
}
