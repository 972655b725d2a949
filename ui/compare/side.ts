import { LineFacts } from '@/core/advice/line-facts';
import { taskLoad } from '@/core/cost/task-load';
import { judgeOutlets, type Verdicts } from '@/core/line/judge-outlet';
import { loadedHoursPerDay } from '@/core/line/working-day';
import { drainPoints } from '@/core/plan/edit';
import type { Plan } from '@/core/plan/plan';
import { allStages, standing } from '@/core/plan/runs';
import { adviceWith } from '@/ui/plan/advice-of';
import { sectionOf } from '@/ui/plan/section-of';

export interface Titled {
  readonly key: string;
  readonly title: string;
  readonly plan: Plan;
}

const sides = new WeakMap<Plan, ReturnType<typeof workOut>>();

function workOut(plan: Plan) {
  const section = sectionOf(plan);
  const line = new LineFacts(plan, section);
  const judgements: Verdicts = judgeOutlets(plan, section);
  const perDay = loadedHoursPerDay(plan) * 3600;
  return {
    section,
    grades: line.grades,
    outlets: allStages(standing(plan)).filter((s) => s.kind === 'outlet'),
    judgements,
    drains: drainPoints(plan).map((s) => ({
      stage: s,
      m3PerDay: ((section.at(s.id)?.caughtKgPerS ?? 0) * perDay) / 1000,
    })),
    advice: adviceWith(judgements, plan).advice.filter((a) => a.dismissed === undefined),
    taskLoad: taskLoad(plan, line.section),
    balance: line.balance,
  };
}

/** Everything that is compared of a plan, worked out once. */
export function sideOf(plan: Plan): ReturnType<typeof workOut> {
  let side = sides.get(plan);
  if (!side) {
    side = workOut(plan);
    sides.set(plan, side);
  }
  return side;
}
