import type { Plan } from '../plan/plan';
import { badness, inOrder } from './ask-order';
import type { Asked, PracticeCase } from './case';
import { type FaultyLine, REPAIR_MIN } from './faulty-line';

/** Within this factor an estimate is as good as a measurement; from the second on it is worth nothing (estimates). */
export const GOOD_FACTOR = 1.15;
export const POOR_FACTOR = 3;
/** A setting that must not be more than the truth may be over it by so much. */
export const NEVER_OVER = 1.1;

/**
 * What an estimate is worth, by the logarithm of its ratio to the truth.
 * @param never `more` where a larger one does harm
 * @returns 0…1
 * @example gradeNumber(2, 1) // 0.423
 */
export function gradeNumber(guess: number, truth: number, never?: 'more'): number {
  if (!(guess > 0) || !(truth > 0)) return 0;
  if (never === 'more' && guess > truth * NEVER_OVER) return 0;
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
  if (asked.form === 'order' && answer.form === 'order') return gradeOrder(plan, asked.best, answer.ids);
  if (asked.form === 'pick' && answer.form === 'pick') return gradePick(asked, answer.ids);
  throw new RangeError(`no ${answer.form} was asked for`);
}

/** So much worse than the best, by what the advice objects to, an order is worth nothing (estimate). */
const POOR_ORDER = 20;

function gradeOrder(plan: Plan, best: readonly string[], ids: readonly string[]): number {
  const worse = badness(inOrder(plan, ids)) - badness(inOrder(plan, best));
  return ids.length === best.length ? Math.min(1, Math.max(0, 1 - worse / POOR_ORDER)) : 0;
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

/** A part costs so much (estimate). */
export const PART_PRICE = 120;
/** Weeks that are played after a search. */
export const WEEKS = 4;

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
 * What a search is worth: the cause, the minutes against the way of the engine, what was bought needlessly, and the proof.
 * Opening something under pressure is worth nothing.
 * @example gradeSearch(new FaultyLine(makeCase('find', 1)), []).score // 0
 */
export function gradeSearch(line: FaultyLine, steps: readonly Step[]): SearchGrade {
  const repairs = steps.flatMap((s) => (s.does === 'repair' ? [s] : []));
  const unsafe = repairs.some((r) => !r.safe);
  const at = steps.findIndex((s) => s.does === 'repair' && s.causeId === line.causeId);
  const found = at >= 0 && !unsafe;
  const proven = found && steps.slice(at + 1).some((s) => s.does === 'read');
  const upTo = steps.slice(0, at < 0 ? undefined : at);
  const bought = steps.filter((s) => s.does === 'buy').length;
  const wrong = repairs.filter((r) => r.causeId !== line.causeId).length;
  const read = upTo.flatMap((s) => (s.does === 'read' ? [s.checkId] : []));
  const minutes = line.minutesOf(read) + REPAIR_MIN * repairs.length;
  const { minutes: referenceMin } = line.reference();
  const quick = Math.min(1, referenceMin / Math.max(1, minutes));
  const score = found ? 0.5 + 0.25 * quick + 0.1 * Math.max(0, 1 - bought - 0.5 * wrong) + 0.15 * (proven ? 1 : 0) : 0;
  return {
    ...{ score, found, proven, minutes, referenceMin, unsafe },
    spent: PART_PRICE * (bought + repairs.length),
    weeksKg: Array.from({ length: WEEKS }, () => line.waterAWeekKg(found)),
  };
}
