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
  const sum = (chosen: readonly string[], field: 'minutesPerWeek' | 'worth'): number =>
    of(chosen).reduce((total, o) => total + o[field], 0);
  if (sum(ids, 'minutesPerWeek') > asked.budgetMin + 1e-9) return 0;
  return sum(ids, 'worth') / Math.max(1e-9, sum(asked.best, 'worth'));
}

/** What is done in a search, in order. */
export type Step =
  | { readonly does: 'read'; readonly checkId: string; readonly value: number }
  | { readonly does: 'repair'; readonly causeId: string; readonly safe: boolean }
  | { readonly does: 'buy'; readonly what: string };

/** What is bought costs so much (estimate). */
export const PART_PRICE = 120;

/** What came of a search. */
export interface SearchGrade {
  /** 0…1. */
  readonly score: number;
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
  const bought = steps.filter((s) => s.does === 'buy').length;
  return {
    minutes:
      line.minutesOf(steps.flatMap((s) => (s.does === 'read' ? [s.checkId] : []))) +
      acts.reduce((sum, a) => sum + a.minutes, 0),
    spent: PART_PRICE * bought + acts.reduce((sum, a) => sum + a.price, 0),
  };
}

/**
 * What a search is worth: the cause, the minutes against the way of the engine, what was bought needlessly, and the proof.
 * Opening something under pressure is worth nothing.
 * @example gradeSearch(new FaultyLine(makeCase('find', 1)), []).score // 0
 */
export function gradeSearch(line: FaultyLine, steps: readonly Step[]): SearchGrade {
  const done = steps.map((s) => (s.does === 'repair' ? { ...line.actOn(s.causeId), safe: s.safe } : undefined));
  const acts = done.flatMap((d) => d ?? []);
  const unsafe = acts.some((a) => a.act.opens && !a.safe);
  const at = done.findIndex((d) => d?.isRight);
  const found = at >= 0 && !unsafe;
  const proven = found && steps.slice(at + 1).some((s) => s.does === 'read');
  const upTo = steps.slice(0, at < 0 ? undefined : at);
  const bought = steps.filter((s) => s.does === 'buy').length;
  const wrong = acts.filter((a) => !a.isRight).length;
  const acting = steps.filter((s) => s.does === 'repair');
  const { minutes } = clockOf(line, [...upTo.filter((s) => s.does === 'read'), ...acting]);
  const { minutes: referenceMin } = line.reference();
  const quick = Math.min(1, referenceMin / Math.max(1, minutes));
  const score = found ? 0.5 + 0.25 * quick + 0.1 * Math.max(0, 1 - bought - 0.5 * wrong) + 0.15 * (proven ? 1 : 0) : 0;
  return {
    ...{ score, found, proven, minutes, referenceMin, unsafe },
    spent: clockOf(line, steps).spent,
    weeksKg: line.weeksKg(found),
  };
}
