import { expose } from 'comlink';
import type { Plan } from '../core/plan/plan';
import { type JobThen, shownOf, type WhyNot, whyNot } from '../core/planner/answer';
import type { Merits } from '../core/planner/front';
import type { Question } from '../core/planner/question';
import { type Relaxation, relaxations } from '../core/planner/relax';
import { type Progress, search } from '../core/planner/search';
import { type Step, stepsOfBuying } from '../core/planner/staged';

/** A proposed line, as it comes out of the worker. */
export interface ProposedLine {
  readonly name: string;
  readonly plan: Plan;
  readonly merits: Merits;
  readonly warm: readonly JobThen[];
  readonly cold: readonly JobThen[];
  readonly steps: readonly Step[];
}

/** What the planner answers; with no lines, what would make one possible. */
export interface PlannerAnswer {
  readonly lines: readonly ProposedLine[];
  readonly whyNot: readonly WhyNot[];
  readonly relaxations: readonly Relaxation[];
  readonly looked: number;
}

/** How far it is: lines looked at, of how many, and what the cheapest costs so far. */
export interface PlannerProgress {
  readonly looked: number;
  readonly of: number;
  readonly cheapest?: number;
}

const TOLD_EVERY_MS = 150;
const MOST_RELAXATIONS = 4;

const told = ({ settled, of, front }: Progress): PlannerProgress => ({
  looked: settled,
  of,
  ...(front.length > 0 && { cheapest: Math.min(...front.map((p) => p.merits.purchase)) }),
});

expose((question: Question, tell: (progress: PlannerProgress) => void): PlannerAnswer => {
  const run = search(question);
  let toldMs = performance.now();
  let next = run.next();
  while (!next.done) {
    if (performance.now() - toldMs > TOLD_EVERY_MS) {
      toldMs = performance.now();
      tell(told(next.value));
    }
    next = run.next();
  }
  const found = next.value;
  const lines = shownOf(found).map(({ name, plan, merits, warm, cold }) => ({
    name,
    plan,
    merits,
    warm,
    cold,
    steps: stepsOfBuying(found.asked, { plan }),
  }));
  if (lines.length > 0) return { lines, whyNot: whyNot(found), relaxations: [], looked: found.of };
  const eased: Relaxation[] = [];
  for (const relaxation of relaxations(question)) {
    if (relaxation) eased.push(relaxation);
    if (eased.length === MOST_RELAXATIONS) break;
  }
  return { lines: [], whyNot: whyNot(found), relaxations: eased, looked: found.of };
});
