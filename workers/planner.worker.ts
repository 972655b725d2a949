import { expose } from 'comlink';
import type { Plan } from '../core/plan/plan';
import { type JobThen, shownOf, type WhyNot, whyNot } from '../core/planner/answer';
import type { Merits } from '../core/planner/front';
import type { Question } from '../core/planner/question';
import { type Relaxation, relaxations } from '../core/planner/relax';
import { type Found, type Progress, search } from '../core/planner/search';
import { type Space, spaceOf } from '../core/planner/space';
import { type Step, stepsOfBuying } from '../core/planner/staged';

/** A proposed line, as it comes out of the worker. */
export interface ProposedLine {
  readonly name: string;
  /** What was asked, with the compressor that this line has. */
  readonly question: Question;
  readonly plan: Plan;
  readonly merits: Merits;
  readonly warm: readonly JobThen[];
  readonly cold: readonly JobThen[];
  readonly steps: readonly Step[];
  readonly space: Space;
}

/** What the planner answers; with no lines, what would make one possible. */
export interface PlannerAnswer {
  readonly lines: readonly ProposedLine[];
  readonly whyNot: readonly WhyNot[];
  readonly relaxations: readonly Relaxation[];
  readonly looked: number;
}

/** How far it is: lines looked at, of how many, what the cheapest costs so far, and in a long search what it has found. */
export interface PlannerProgress {
  readonly looked: number;
  readonly of: number;
  readonly cheapest?: number;
  readonly soFar?: PlannerAnswer;
}

const TOLD_EVERY_MS = 150;
const SHOWN_EVERY_MS = 5000; // what is found so far takes up to a second to put together
const MOST_RELAXATIONS = 4;

const told = ({ settled, of, front }: Progress): PlannerProgress => ({
  looked: settled,
  of,
  ...(front.length > 0 && { cheapest: Math.min(...front.map((p) => p.merits.purchase)) }),
});

const linesOf = (found: Pick<Found, 'front'>): ProposedLine[] =>
  shownOf(found).map(({ asked, name, plan, merits, warm, cold }) => ({
    question: asked.question,
    name,
    plan,
    merits,
    warm,
    cold,
    steps: stepsOfBuying({ asked, plan }),
    space: spaceOf(asked, plan),
  }));

expose((question: Question, tell: (progress: PlannerProgress) => void): PlannerAnswer => {
  const run = search(question);
  let [toldMs, shownMs] = [performance.now(), performance.now()];
  let soFar: PlannerAnswer | undefined;
  let shown: Progress['front'] = [];
  let next = run.next();
  while (!next.done) {
    const now = performance.now();
    if (now - toldMs > TOLD_EVERY_MS) {
      toldMs = now;
      const { front, settled: looked } = next.value;
      if (front !== shown && front.length > 0 && now - shownMs > SHOWN_EVERY_MS) {
        soFar = { lines: linesOf({ front }), whyNot: [], relaxations: [], looked };
        shown = front;
        shownMs = performance.now();
      }
      tell({ ...told(next.value), ...(soFar && { soFar }) });
    }
    next = run.next();
  }
  const found = next.value;
  const lines = linesOf(found);
  if (lines.length > 0) return { lines, whyNot: whyNot(found), relaxations: [], looked: found.of };
  const none: PlannerAnswer = { lines: [], whyNot: whyNot(found), relaxations: [], looked: found.of };
  const tellOf = (soFar: PlannerAnswer): void => tell({ looked: found.of, of: found.of, soFar });
  tellOf(none);
  const eased: Relaxation[] = [];
  for (const relaxation of relaxations(question)) {
    if (!relaxation) continue;
    eased.push(relaxation);
    if (eased.length === MOST_RELAXATIONS) break;
    tellOf({ ...none, relaxations: [...eased] });
  }
  return { ...none, relaxations: eased };
});
