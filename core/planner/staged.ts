import { costOfLine } from '../cost/cost-of-line';
import { gradeLine } from '../line/grade-line';
import { walk } from '../line/walk';
import { removeStage, setProvided } from '../plan/edit';
import { priceOfStage } from '../plan/money';
import type { Plan, Stage } from '../plan/plan';
import { allStages } from '../plan/runs';
import { boughtIn, perWeek, worstMarginK } from './judge-proposal';
import type { Proposal } from './judged-front';

/** One purchase of several, with what the line is after it. */
export interface Step {
  readonly stages: readonly Stage[];
  readonly price: number;
  /** Water that still reaches the jobs as liquid while the compressor runs loaded, kg/s. */
  readonly liquidKgPerS: number;
  /** Of the worst job at the design hour, K; below 0 it is missed. */
  readonly marginK: number;
  /** Oil in the air of the worst job, mg/m³. */
  readonly oilMg: number;
  readonly yearly: number;
  readonly minutesPerWeek: number;
}

/** What is bought together: a cooler with its separator; a dryer with the filters that guard it and the one behind it. */
const TOGETHER: readonly (readonly string[])[] = [
  ['cooler', 'separator'],
  ['cooling-run'],
  ['bowl'],
  ['coalescer-general'],
  ['chiller'],
  ['coalescer-fine', 'beads', 'membrane', 'towers', 'dust'],
  ['carbon'],
];
/** What nothing goes without. */
const MACHINES: readonly Stage['kind'][] = ['compressor', 'receiver'];
/** What has to be there before: filters and a chilled dryer take cooled air, what oil spoils stands behind coalescers. */
const AFTER: Readonly<Record<number, readonly number[]>> = { 3: [0], 4: [0], 5: [3], 6: [3, 5] };

const bundleOf = ({ id }: Stage): number =>
  TOGETHER.findIndex((ids) => ids.some((name) => id === name || id.startsWith(`${name}-`)));

type State = Pick<Step, 'liquidKgPerS' | 'marginK' | 'oilMg'>;
function stateOf(plan: Plan): State {
  const section = walk(plan);
  const liquidKgPerS = allStages(plan).reduce(
    (sum, s) => sum + (s.kind === 'outlet' ? (section.at(s.id)?.liquidKgPerS ?? 0) : 0),
    0,
  );
  const grades = gradeLine(plan, section);
  const oilMg = Math.max(
    ...allStages(plan).map((s) => (s.kind === 'outlet' ? (grades.get(s.id)?.dirt.oilMg ?? 0) : 0)),
  );
  return { liquidKgPerS, oilMg, marginK: worstMarginK(plan, section) ?? Number.NEGATIVE_INFINITY };
}

/** By how much a step improves what can be measured at the jobs: kelvins, grams an hour of water, halvings of the oil. */
const gained = (after: State, before: State): number =>
  after.marginK -
  before.marginK +
  (before.liquidKgPerS - after.liquidKgPerS) * 3.6e6 +
  5 * Math.log2(Math.max(before.oilMg, 1e-3) / Math.max(after.oilMg, 1e-3));

/**
 * An order in which a line can be bought: each step alone improves what can be measured at the jobs, as much as possible for
 * its price, and nothing that is bought is thrown away later. What goes without an improvement of its own comes last.
 * @example stepsOfBuying(found.front[0]).length // 5
 */
export function stepsOfBuying({ asked, plan }: Pick<Proposal, 'asked' | 'plan'>): Step[] {
  const price = (stages: readonly Stage[]): number =>
    stages.reduce((sum, s) => sum + priceOfStage(plan.money, s).price.first, 0);
  const bought = boughtIn(asked, plan);
  const bundles = new Map<number, Stage[]>();
  for (const s of allStages(plan)) {
    const bundle = bundleOf(s);
    if (bundle >= 0 && bought.has(s.id)) bundles.set(bundle, [...(bundles.get(bundle) ?? []), s]);
  }
  const without = (left: ReadonlySet<number>): Plan =>
    [...left].flatMap((b) => bundles.get(b) ?? []).reduce((p, s) => removeStage(p, s.id), plan);
  const left = new Set(bundles.keys());
  const steps: Step[] = [];
  const add = (stages: readonly Stage[], line: Plan, state: State): void => {
    const { yearly, minutes } = costOfLine(line, plan.money);
    steps.push({ stages, price: price(stages), ...state, yearly, minutesPerWeek: perWeek(minutes) });
  };
  const bare = without(left);
  let now = stateOf(bare);
  const machines = plan.stages.filter((s) => MACHINES.includes(s.kind) && bought.has(s.id));
  if (machines.length > 0) add(machines, bare, now);
  while (left.size > 0) {
    const may = [...left].filter((b) => (AFTER[b] ?? []).every((need) => !left.has(need) || !bundles.has(need)));
    const choices = may.map((b) => {
      const rest = new Set([...left].filter((other) => other !== b));
      const line = without(rest);
      const after = stateOf(line);
      return { b, line, after, gain: gained(after, now) / Math.max(1, price(bundles.get(b) ?? [])) };
    });
    const next = choices.toSorted((a, b) => b.gain - a.gain)[0];
    if (!next) break;
    left.delete(next.b);
    add(bundles.get(next.b) ?? [], next.line, next.after);
    now = next.after;
  }
  return steps;
}

/**
 * A line of which only some steps are bought: the rest stands as planned, with what should trigger it.
 * @example boughtUpTo(found.front[0].plan, steps, 1).stages.filter((s) => s.planned).length // 4
 */
export function boughtUpTo(plan: Plan, steps: readonly Step[], bought: number): Plan {
  return steps
    .slice(bought)
    .flatMap((s) => s.stages)
    .reduce(
      (p, s) => setProvided(p, s.id, 'Water at a job after the steps before it, or a job that asks for more'),
      plan,
    );
}
