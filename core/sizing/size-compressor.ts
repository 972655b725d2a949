import { SEA_LEVEL_PA } from '../air/atmosphere';
import { CFM } from '../quantity/constants';
import { type Sized, smallestOf } from './next-size';

/** Motors of compressors, hp, and free air that each type gives for one of them, cfm (trade handbook). */
const MOTORS_HP = [1, 1.5, 2, 3, 5, 7.5, 10, 15, 20, 25, 30, 40, 50, 60, 75, 100, 125, 150, 200, 250];
const CFM_PER_HP = { piston1: 3.5, piston2: 3.8, screw: 4.2, oilfree: 4.1 } as const;
export type CompressorType = keyof typeof CFM_PER_HP;
/** Loaded share of the time that each type bears (trade handbook). */
export const DUTY_LIMIT: Readonly<Record<CompressorType, number>> = {
  piston1: 0.6,
  piston2: 0.75,
  screw: 1,
  oilfree: 1,
};

export interface CompressorNeed {
  readonly type: CompressorType;
  /** What the jobs take on average, and all at once, m³/s of free air at sea level, as tools state it. */
  readonly averageM3PerS: number;
  readonly peakM3PerS: number;
  /** How long the peak lasts; the tank gives what the compressor does not. */
  readonly peakLastsS: number;
  /** What the tank may give down to the pressure that the jobs need, m³ of free air at sea level. */
  readonly storedM3: number;
  /** Of the average, 0.05 new, 0.1 good, 0.2–0.3 neglected (US DOE, recalled). */
  readonly leakShare: number;
  /** For what comes later, 0.1–0.25 (trade handbook). */
  readonly growthShare: number;
  /** Where it stands: thin air weighs less, and a cylinder takes in the same volume of it. Left out, sea level. */
  readonly atmosphericPa?: number;
}

/** A compressor by its motor. */
export interface CompressorAt {
  readonly hp: number;
  /** Free air of the place where it stands, as its plate says. */
  readonly deliversM3PerS: number;
  /** Share of the time that it is loaded; over 1 it never catches up. */
  readonly loadedShare: number;
}

/**
 * The motor of a compressor by what it delivers, hp to a tenth.
 * @param deliversM3PerS m³/s of free air
 * @source free air for a horsepower of the trade handbook
 * @example motorHp('piston1', 0.00826) // 5
 */
export const motorHp = (type: CompressorType, deliversM3PerS: number): number =>
  Math.round((10 * deliversM3PerS) / (CFM_PER_HP[type] * CFM)) / 10;

/**
 * The smallest compressor for what the jobs take: by the average with leaks and growth at the duty that its type bears, and by
 * a peak for which tank and compressor together must last. At an altitude tools want the same mass: more of its thin air. Motors
 * give some 1 % less per 100 m above 1,000 m (handbook), and need less than that for thin air: no larger one for it.
 * @param need flows 0…1 m³/s of free air; shares 0…1
 * @returns what is needed and by what, the motor, and the ones beside it
 * @source Q = Σ(n·cfm·duty)·(1 + leak)·(1 + growth), free air for a horsepower and duty limits of the trade handbook
 * @example sizeCompressor({ type: 'piston1', averageM3PerS: 0.00306, peakM3PerS: 0.0068, peakLastsS: 300, storedM3: 0.4, leakShare: 0.1, growthShare: 0.15 }).hp // 5
 */
export function sizeCompressor(need: CompressorNeed): CompressorAt & {
  readonly neededM3PerS: number;
  readonly by: 'average' | 'peak';
  readonly beside: Omit<Sized<CompressorAt>, 'size'>;
  readonly fits: boolean;
} {
  const thin = SEA_LEVEL_PA / (need.atmosphericPa ?? SEA_LEVEL_PA);
  const mean = thin * need.averageM3PerS * (1 + need.leakShare) * (1 + need.growthShare);
  const byAverage = mean / DUTY_LIMIT[need.type];
  const byPeak = thin * (need.peakM3PerS - need.storedM3 / Math.max(need.peakLastsS, 1));
  const neededM3PerS = Math.max(byAverage, byPeak);
  const { size, down, up } = smallestOf(
    MOTORS_HP.map((hp): CompressorAt => {
      const deliversM3PerS = hp * CFM_PER_HP[need.type] * CFM;
      return { hp, deliversM3PerS, loadedShare: mean / deliversM3PerS };
    }),
    (c) => c.deliversM3PerS >= neededM3PerS,
  );
  return {
    ...size,
    neededM3PerS,
    by: byPeak > byAverage ? 'peak' : 'average',
    beside: { down, up },
    fits: size.deliversM3PerS >= neededM3PerS,
  };
}
