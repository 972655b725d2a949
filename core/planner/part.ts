import { type Bound, isNoDearer } from './bound';
import type { Walked } from './fast-walk';

/** One choice of a part of the line (its main, or the run of a group), with the air that it makes. */
export interface Part extends Bound {
  readonly choices: readonly number[];
  readonly walked: Walked | undefined;
  readonly marginK: number;
  readonly lostPa: number;
  /** Whether its jobs get what they ask for, where nothing is vented; else they may. */
  readonly isServed: boolean;
  /** Minutes a week that it takes over its bound, where nothing is vented. */
  readonly moreMinutes: number;
  readonly isVented: boolean;
  /** What its dryers blow away at least, m³/s of free air. */
  readonly ventedM3PerS: number;
}

/** What the air of a part does. */
export type AirUse = Pick<Part, 'lostPa' | 'moreMinutes' | 'isVented' | 'ventedM3PerS'> & Pick<Walked, 'wearMinutes'>;
export type Paid = Bound & Pick<Part, 'moreMinutes' | 'lostPa'>;

/** What the air of a part of the line does over what it does upstream of it, at all jobs together. */
export function airUse(airs: readonly Walked[], before?: Walked): AirUse {
  let [lostPa, wearMinutes, moreMinutes, ventedM3PerS, isVented] = [0, 0, 0, 0, false];
  for (const a of airs) {
    lostPa = Math.max(lostPa, a.lostPa);
    wearMinutes += a.wearMinutes - (before?.wearMinutes ?? 0);
    moreMinutes += a.moreMinutes - (before?.moreMinutes ?? 0);
    ventedM3PerS += a.ventedM3PerS - (before?.ventedM3PerS ?? 0);
    isVented ||= a.isVented;
  }
  return { lostPa, wearMinutes, moreMinutes, ventedM3PerS, isVented };
}

/**
 * Of the runs of a group those that no other with the same dryer beats in all that counts: what a run costs and does depends
 * on the air of the main, not on the runs of other groups.
 */
export function unbeaten(parts: readonly Part[], dryPlace: number): Part[] {
  const kept: Part[] = [];
  const sorted = parts.toSorted((a, b) => a.purchase - b.purchase || a.yearly - b.yearly);
  for (const p of sorted) {
    const beaten = kept.some(
      (k) =>
        k.choices[dryPlace] === p.choices[dryPlace] &&
        k.marginK >= p.marginK - 1e-9 &&
        (k.isServed || !p.isServed) &&
        isNoMore(k, p),
    );
    if (!beaten) kept.push(p);
  }
  return kept;
}

/** Whether a run is in nothing that is paid or lost more than another with the same dryer, whether the line vents or not. */
export const isNoMore = (a: Paid, b: Paid): boolean =>
  isNoDearer(a, b) &&
  a.yearly <= b.yearly &&
  a.minutesPerWeek <= b.minutesPerWeek &&
  a.minutesPerWeek + a.moreMinutes <= b.minutesPerWeek + b.moreMinutes &&
  a.lostPa <= b.lostPa;
