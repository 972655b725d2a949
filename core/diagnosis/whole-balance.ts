import type { LoggedDrain } from '../log/judge-log';
import { type SiteTime, siteTimeMs } from '../log/site-clock';
import { WATER_KG_PER_M3 } from '../quantity/constants';

/** Drains that were opened within this belong to one round (estimate). */
export const ROUND_MS = 3 * 3600_000;
/** Scatter of one catch: ±5 % of the cup, and some spray and some that clings (common practice, no source). */
const CATCH = 0.1;
/** How well intake air and loaded hours are known (estimate): the error of the total, common to all drains. */
const INPUTS = 0.15;
/** Beyond so many standard deviations a difference is one. */
export const BEYOND = 2;

/** A drain of a round: what came, over what was expected, and whether that is out of line with the others. */
export interface RoundDrain {
  readonly stageId: string;
  readonly name: string;
  readonly kg: number;
  readonly expectedKg: number;
  readonly is: 'less' | 'more' | 'in line';
}

/** All drains of a round against the water of the line. */
export interface WholeBalance {
  readonly at: SiteTime;
  readonly kg: number;
  readonly expectedKg: number;
  /** The band of the expected total, twice its standard deviation. */
  readonly low: number;
  readonly high: number;
  /** `split`: the total is right and its parts are not; `total`: the total is not. */
  readonly verdict: 'agrees' | 'split' | 'total';
  readonly drains: readonly RoundDrain[];
  readonly says: string;
}

/**
 * The water of all drains of the newest round against the balance of the line: where the total is right and the split is not,
 * water took another way; where the total is off, what goes in is.
 * @param log drains, the newest first
 * @returns nothing where fewer than two drains were opened within a round
 * @source trade handbook, whole-line balance
 * @example wholeBalance([]) === undefined // true
 */
export function wholeBalance(log: readonly LoggedDrain[]): WholeBalance | undefined {
  const counted = log.filter((e) => !e.struck);
  const newest = counted[0];
  if (!newest) return undefined;
  const seen = new Set<string>();
  const round = counted.filter((e) => {
    const near = siteTimeMs(newest.drainedAt) - siteTimeMs(e.drainedAt) <= ROUND_MS;
    return near && !seen.has(e.stageId) && seen.add(e.stageId);
  });
  const kgOf = (e: LoggedDrain): number => e.amountM3 * WATER_KG_PER_M3;
  const expectedKg = round.reduce((sum, e) => sum + e.expectedKg, 0);
  if (round.length < 2 || expectedKg <= 0) return undefined;
  const kg = round.reduce((sum, e) => sum + kgOf(e), 0);
  const scatter = Math.hypot(...round.map((e) => CATCH * e.expectedKg));
  const band = BEYOND * Math.hypot(INPUTS * expectedKg, scatter);
  const isRight = Math.abs(kg - expectedKg) <= band;
  const drains = round.map((e): RoundDrain => {
    // Against its share of what came in all: an input that is off is off at every drain.
    const share = (e.expectedKg / expectedKg) * kg;
    const off = kgOf(e) - share;
    const far = Math.abs(off) > BEYOND * Math.hypot(CATCH * share, CATCH * kgOf(e), 0.02 * kg);
    const is = !far ? 'in line' : off < 0 ? 'less' : 'more';
    return { stageId: e.stageId, name: e.stageName, kg: kgOf(e), expectedKg: e.expectedKg, is };
  });
  const verdict = !isRight ? 'total' : drains.some((d) => d.is !== 'in line') ? 'split' : 'agrees';
  return {
    ...{ at: newest.drainedAt, kg, expectedKg, low: expectedKg - band, high: expectedKg + band },
    ...{ verdict, drains, says: sayOf(verdict, drains, kg > expectedKg) },
  };
}

function sayOf(verdict: WholeBalance['verdict'], drains: readonly RoundDrain[], more: boolean): string {
  const names = (is: RoundDrain['is']): string =>
    drains
      .filter((d) => d.is === is)
      .map((d) => d.name)
      .join(', ');
  if (verdict === 'agrees') return 'All drains together gave what the line takes in, each its share.';
  if (verdict === 'split')
    return `The total is right, the split is not: water took another way. Less than its share: ${names('less') || 'none'}; more: ${names('more') || 'none'}. Look for a drain that stays shut or a bowl that passes water at the first, or a line that joins elsewhere.`;
  return more
    ? 'All drains together gave more than the line takes in: the intake is damper or warmer, or the compressor ran longer, than the survey says; or water stood in the line before.'
    : 'All drains together gave less than the line takes in: the intake is drier, or the compressor ran less, than the survey says; or water stays in the line, in a low point or a tank.';
}
