import { INCH } from '../quantity/constants';
import { END_FAMILIES, type End, type FamilyName, type Gender, threadOf } from './ends';
import { mates } from './mates';
import { insideOfFemaleM } from './threads';

/** What was measured of a thread: over the crests of a male one, across the mouth of a female one. */
export interface MeasuredThread {
  readonly gender: 'male' | 'female';
  readonly diameterM: number;
  readonly perInch: number;
}

export interface Candidate {
  readonly end: End;
  /** How far the diameter is from the table’s, m. */
  readonly offM: number;
  /** What screws onto it and leaks: the pair to look at twice. */
  readonly confusable: readonly End[];
}

/** A caliper on a worn or taper thread; a pitch gauge on four threads (estimates). */
export const DIAMETER_TOLERANCE_M = 8e-4;
export const PITCH_TOLERANCE = 0.045;

const screwed = Object.keys(END_FAMILIES).filter((f) => 'threads' in END_FAMILIES[f as FamilyName]) as FamilyName[];
const endsOf = (gender: Gender): End[] =>
  screwed.flatMap((family) => END_FAMILIES[family].sizes.map((size): End => ({ family, size, gender })));

/**
 * What a thread may be, by its diameter and pitch, the nearest first.
 * @param measured diameter in m, over the crests of a male thread or across the mouth of a female one; threads an inch
 * @returns candidates within {@link DIAMETER_TOLERANCE_M} and {@link PITCH_TOLERANCE}, with what would screw on and leak
 * @example threadsLike({ gender: 'male', diameterM: 0.01905, perInch: 16 })[0].end.family // 'flare-37'
 */
export function threadsLike({ gender, diameterM, perInch }: MeasuredThread): Candidate[] {
  const others = endsOf(gender === 'male' ? 'female' : 'male');
  return endsOf(gender)
    .flatMap((end) => {
      const thread = threadOf(end);
      if (!thread || Math.abs(thread.perInch / perInch - 1) > PITCH_TOLERANCE) return [];
      const offM = diameterM - (gender === 'male' ? thread.outsideM : insideOfFemaleM(thread));
      return Math.abs(offM) > DIAMETER_TOLERANCE_M
        ? []
        : [{ end, offM, pitchOff: Math.abs(thread.perInch / perInch - 1) }];
    })
    .sort((a, b) => a.pitchOff - b.pitchOff || Math.abs(a.offM) - Math.abs(b.offM))
    .map(({ end, offM }) => ({ end, offM, confusable: others.filter((o) => mates(end, o).verdict === 'leaks') }));
}

/**
 * Threads an inch of a pitch in millimetres.
 * @example perInchOf(1.814) // 14
 */
export const perInchOf = (pitchMm: number): number => (INCH * 1e3) / pitchMm;
