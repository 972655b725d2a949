import type { z } from 'zod';
import { WATER_KG_PER_M3 } from '../../quantity/constants';
import { askedField } from './build-fields';
import { choiceField, type FieldMeta, numberField, type Surroundings } from './kind';

const DRAINS = {
  manual: 'by hand',
  float: 'float',
  timer: 'timed solenoid',
  unloader: 'by the unloader, as the compressor stops',
  'unloader-start': 'by the unloader, as the compressor starts',
  'pressure-loss': 'only when the line loses its pressure',
  spitter: 'spits whenever the pressure changes',
  level: 'level-sensing, no loss',
  none: 'no drain fitted',
} as const;
export type Drain = keyof typeof DRAINS;

/** Every drain there is, but none. */
export const FITTED = (Object.keys(DRAINS) as Drain[]).filter((d) => d !== 'none');

/** Where the trade handbook has each drain. */
export const DRAIN_IDS: Readonly<Record<string, Drain>> = {
  drn_man: 'manual',
  drn_float: 'float',
  drn_timer: 'timer',
  drn_zero: 'level',
  drn_unl: 'unloader',
  drn_spit: 'spitter',
};

/**
 * The drain of a stage that collects water, what makes it open, and how much the stage holds before it carries on what comes.
 * @example Object.keys(drainFields('manual', 0.001)).length // 8
 */
export function drainFields(usual: Drain, sumpM3: number, sumpLabel = 'Holds, up to its mark') {
  const { [usual]: mine, ...others } = DRAINS;
  return {
    drain: choiceField({ label: 'Drain', options: { [usual]: mine, ...others } as typeof DRAINS }),
    drainPulseM3: numberField({
      label: 'Passes each time',
      quantity: 'drained',
      least: 1e-7,
      most: 1e-2,
      default: 5e-6,
      source: 'some 5 mL; common practice, no source',
      when: { field: 'drain', is: ['unloader', 'unloader-start', 'spitter'] },
    }),
    drainEveryS: numberField({
      label: 'Opens every',
      quantity: 'duration',
      least: 5,
      most: 86400,
      default: 1200,
      source: 'typical, common practice',
      when: { field: 'drain', is: ['timer'] },
    }),
    drainOpenS: numberField({
      label: 'Stays open for',
      quantity: 'duration',
      least: 0.2,
      most: 120,
      default: 5,
      source: 'typical, 1–10 s; common practice',
      when: { field: 'drain', is: ['timer'] },
    }),
    drainBoreM: numberField({
      label: 'Through a bore of',
      quantity: 'size',
      least: 5e-4,
      most: 0.02,
      default: 3.2e-3, // 1/8 in
      source: 'typical, ⅛ in; common practice',
      when: { field: 'drain', is: ['timer'] },
    }),
    sumpM3: numberField({
      label: sumpLabel,
      help: 'Above this it carries on what comes.',
      quantity: 'drained',
      least: 1e-6,
      most: 1,
      default: sumpM3,
      source: 'estimate',
      when: { field: 'drain', is: FITTED },
    }),
    drainPower: askedField('Mains power at the spot', { yes: 'yes', no: 'no' }),
    panM3: numberField({
      label: 'Catch pan under it holds',
      help: 'Or bottle. 0 where the drain runs away by pipe.',
      quantity: 'drained',
      least: 0,
      most: 0.2,
      default: 0,
      source: 'assumed: none',
      when: { field: 'drain', is: FITTED },
    }),
  };
}

/**
 * The share of the drops that a stage catches: none where nothing empties its sump, for then it is full and all is
 * carried on. A drain that opens only on loss of pressure never does so in a line that stays charged.
 * @param efficiency 0…1, with a drain that lets them out
 * @returns 0…1
 * @example drained('float', 0.9, around) // 0.9; drained('none', 0.9, around) // 0
 */
export function drained(drain: Drain, efficiency: number, around: Surroundings): number {
  return drain === 'none' || (drain === 'pressure-loss' && !around.depressurised) ? 0 : efficiency;
}

/** A rated dew point includes what the dryer’s own separator misses: of the drops at its coldest place all count as caught. */
export const RATED_SEPARATOR = { efficiency: 1, source: 'included in the rated dew point' } as const;

/**
 * How long a catch pan takes to fill while the compressor is loaded, s; `undefined` where there is none, or nothing to catch.
 * @example panFullAfterS({ drainTo: 'bottle', panM3: 0.001 }, 1e-5) // 100000
 */
export function panFullAfterS(p: object, caughtKgPerS: number): number | undefined {
  const { panM3 = 0, drain } = p as { panM3?: number; drain?: Drain };
  return panM3 > 0 && drain !== 'none' && caughtKgPerS > 0 ? (panM3 * WATER_KG_PER_M3) / caughtKgPerS : undefined;
}

/**
 * The share of the drops that a stage catches where it has a drain.
 * @example catchField({ label: 'Catches', default: 0.9, source: 'common practice', uncertainty: 0.1 }).parse(undefined) // 0.9
 */
export function catchField(field: {
  readonly label: string;
  readonly default: number;
  readonly source: string;
  readonly uncertainty: number;
  readonly when?: FieldMeta['when'];
}): z.ZodDefault<z.ZodNumber> {
  const { uncertainty, when, ...rest } = field;
  return numberField({
    quantity: 'share',
    least: 0,
    most: 1,
    ...rest,
    uncertainty: { abs: uncertainty },
    reads: 'what its drain brings in an hour',
    ...(when && { when }),
  });
}
