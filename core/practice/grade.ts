import { priceOfStage } from '../plan/money';
import type { Plan } from '../plan/plan';
import { badness, inOrder } from './ask-order';
import type { Asked, PracticeCase } from './case';
import type { FaultyLine } from './faulty-line';

/** Within this factor an estimate is as good as a measurement; from the second on it is worth nothing (estimates). */
export const GOOD_FACTOR = 1.15;
export const POOR_FACTOR = 3;
/** A setting that must not be more, or less, than the truth may be off it by so much. */
export const NEVER_OVER = 1.1;

/**
 * What an estimate is worth, by the logarithm of its ratio to the truth.
 * @param never `more` where a larger one does harm, `less` where a smaller one does
 * @returns 0…1
 * @example gradeNumber(2, 1) // 0.423
 */
export function gradeNumber(guess: number, truth: number, never?: 'more' | 'less'): number {
  if (!(guess > 0) || !(truth > 0)) return 0;
  if (never === 'more' && guess > truth * NEVER_OVER) return 0;
  if (never === 'less' && guess < truth / NEVER_OVER) return 0;
  const off = Math.abs(Math.log(guess / truth));
  const [good, poor] = [Math.log(GOOD_FACTOR), Math.log(POOR_FACTOR)];
  return Math.min(1, Math.max(0, (poor - off) / (poor - good)));
}

/** An answer to what a case asks, but for the search for a fault. */
export type Answer =
  | { readonly form: 'number'; readonly value: number }
  | { readonly form: 'choice'; readonly index: number }
  | { readonly form: 'order' | 'pick'; readonly ids: readonly string[] };

/**
 * What an answer is worth.
 * @returns 0…1
 * @throws RangeError where the answer is of another form than the question
 * @example gradeAnswer({ ...makeCase('instruments', 3) }, { form: 'choice', index: 3 }) // 0
 */
export function gradeAnswer({ asked, plan }: Pick<PracticeCase, 'asked' | 'plan'>, answer: Answer): number {
  if (asked.form === 'number' && answer.form === 'number') return gradeNumber(answer.value, asked.truth, asked.never);
  if (asked.form === 'choice' && answer.form === 'choice') return answer.index === asked.right ? 1 : 0;
  if (asked.form === 'order' && answer.form === 'order') return gradeOrder(plan, asked, answer.ids);
  if (asked.form === 'pick' && answer.form === 'pick') return gradePick(asked, answer.ids);
  throw new RangeError(`no ${answer.form} was asked for`);
}

/** So much worse than the best, by what the advice objects to, an order is worth nothing (estimate). */
const POOR_ORDER = 20;

function gradeOrder(plan: Plan, asked: Extract<Asked, { form: 'order' }>, ids: readonly string[]): number {
  const all = asked.cards.map((c) => c.id);
  const spent = asked.cards.reduce((sum, c) => sum + (ids.includes(c.id) ? (c.price ?? 0) : 0), 0);
  const isLeftOut = asked.cards.some((c) => c.price === undefined && !ids.includes(c.id));
  if (isLeftOut || spent > (asked.budget ?? 0)) return 0;
  const worse = badness(inOrder(plan, ids, all)) - badness(inOrder(plan, asked.best, all));
  return Math.min(1, Math.max(0, 1 - worse / POOR_ORDER));
}

function gradePick(asked: Extract<Asked, { form: 'pick' }>, ids: readonly string[]): number {
  const of = (chosen: readonly string[]) => asked.options.filter((o) => chosen.includes(o.id));
  const total = (chosen: readonly string[], field: 'minutesPerWeek' | 'worth'): number =>
    of(chosen).reduce((all, o) => all + o[field], 0);
  if (total(ids, 'minutesPerWeek') > asked.budgetMin + 1e-9) return 0;
  return total(ids, 'worth') / Math.max(1e-9, total(asked.best, 'worth'));
}

/** What people buy instead of looking: as large as the compressor, or half as large again. */
export const BUYS = {
  'coalescing-filter': { says: 'a filter', size: 1 },
  'refrigerated-dryer': { says: 'a dryer', size: 1 },
  compressor: { says: 'a larger compressor', size: 1.5 },
} as const;
export type Bought = keyof typeof BUYS;

/**
 * What something costs that is bought for a line, in the money of its plan.
 * @example priceOfBuy(plan, 'coalescing-filter') // 175
 */
export function priceOfBuy(plan: Plan, what: Bought): number {
  const own = plan.stages.find((s) => s.kind === 'compressor');
  const flow = BUYS[what].size * (own?.kind === 'compressor' ? own.parameters.freeAirDeliveryM3PerS : 0);
  const parameters = what === 'compressor' ? { freeAirDeliveryM3PerS: flow } : { ratedFlowM3PerS: flow };
  return Math.round(priceOfStage(plan.money, { kind: what, parameters }).price.first);
}

/** What is done in a search, in order. */
export type Step =
  | { readonly does: 'read'; readonly checkId: string; readonly value: number }
  | { readonly does: 'repair'; readonly causeId: string; readonly safe: boolean }
  | { readonly does: 'buy'; readonly what: Bought };

/** What counts in a search, and for how much of it. */
export const COUNTS = { found: 0.4, quick: 0.2, proven: 0.15, thrifty: 0.1, dry: 0.1, suspected: 0.05 } as const;
/** Of a search whose needless parts cost so much, nothing is left of what thrift counts for (estimate). */
const NEEDLESS_MOST = 240;
/** A wrong suspicion is worth no more than this, where it was the likeliest. */
const LIKELY_BUT_WRONG = 0.5;

/** What came of a search. */
export interface SearchGrade {
  /** 0…1. */
  readonly score: number;
  /** How well each thing was done that counts, 0…1. */
  readonly parts: Readonly<Record<keyof typeof COUNTS, number>>;
  readonly found: boolean;
  readonly proven: boolean;
  readonly minutes: number;
  readonly referenceMin: number;
  readonly spent: number;
  /** Why it ended early: pressure was opened. */
  readonly unsafe: boolean;
  /** Water at the tools in each of the weeks after, kg. */
  readonly weeksKg: readonly number[];
}

/**
 * The clock and the purse of a search.
 * @example clockOf(new FaultyLine(makeCase('find', 1)), []).minutes // 0
 */
export function clockOf(
  line: FaultyLine,
  steps: readonly Step[],
): { readonly minutes: number; readonly spent: number } {
  const acts = steps.flatMap((s) => (s.does === 'repair' ? [line.actOn(s.causeId).act] : []));
  const bought = steps.reduce((sum, s) => (s.does === 'buy' ? sum + priceOfBuy(line.plan, s.what) : sum), 0);
  return {
    minutes:
      line.minutesOf(steps.flatMap((s) => (s.does === 'read' ? [s.checkId] : []))) +
      acts.reduce((sum, a) => sum + a.minutes, 0),
    spent: bought + acts.reduce((sum, a) => sum + a.price, 0),
  };
}

const sum = (of: readonly number[]): number => of.reduce((a, b) => a + b, 0);

/**
 * What a search is worth: the cause, the minutes against the way of the engine, the proof, what was bought needlessly, the water
 * that came meanwhile, and the suspicion at the start. Without the cause, or with something opened under pressure, nothing.
 * @param suspected the cause that was suspected before anything was read
 * @example gradeSearch(new FaultyLine(makeCase('find', 1)), []).score // 0
 */
export function gradeSearch(line: FaultyLine, steps: readonly Step[], suspected?: string): SearchGrade {
  const done = steps.map((s) => (s.does === 'repair' ? { ...line.actOn(s.causeId), safe: s.safe } : undefined));
  const unsafe = done.some((d) => d?.act.opens && !d.safe);
  const at = done.findIndex((d) => d?.isRight);
  const found = at >= 0 && !unsafe;
  const proven = found && steps.slice(at + 1).some((s) => s.does === 'read');
  // The proof is not counted as time: whoever leaves it out is not quicker.
  const { minutes } = clockOf(
    line,
    steps.filter((s, i) => s.does === 'repair' || at < 0 || i < at),
  );
  const { minutes: referenceMin } = line.reference();
  const { spent } = clockOf(line, steps);
  const weeksKg = line.weeksKg(found ? minutes : undefined);
  const kg = { left: sum(line.weeksKg()), least: sum(line.weeksKg(referenceMin)), came: sum(weeksKg) };
  const atStake = kg.left - kg.least;
  const parts = {
    found: Number(found),
    quick: Math.min(1, referenceMin / Math.max(1, minutes)),
    proven: Number(proven),
    thrifty: Math.max(0, 1 - (spent - (done[at]?.act.price ?? 0)) / NEEDLESS_MOST),
    dry: atStake > 0 ? Math.min(1, Math.max(0, (kg.left - kg.came) / atStake)) : 1,
    suspected: line.isRepairedBy(suspected) ? 1 : LIKELY_BUT_WRONG * line.plausible(suspected),
  };
  const names = Object.keys(COUNTS) as (keyof typeof COUNTS)[];
  return {
    score: found ? sum(names.map((part) => COUNTS[part] * parts[part])) : 0,
    ...{ parts, found, proven, minutes, referenceMin, spent, unsafe, weeksKg },
  };
}
