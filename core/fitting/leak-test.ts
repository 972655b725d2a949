import { correctedPa, leakM3PerS, type ShutIn } from '../day/shut-in';
import { kindOf } from '../equipment/index';
import { boreOfEndM } from '../piping/ends';
import type { Plan } from '../plan/plan';
import { allStages, standing } from '../plan/runs';
import { surveyAtmosphericPa } from '../plan/survey';
import { HOUR_S } from '../quantity/constants';
import { connectionsOf } from './joints';

/** A new line loses at most so much of its absolute pressure an hour, after correction (estimate). */
export const NEW_LINE_PER_HOUR = 0.005;
/** … and at most so much of what the compressors deliver, whichever is less (estimate). */
export const NEW_LINE_OF_DELIVERY = 0.01;
/** An old line: good, and usual practice (common practice, no source). */
export const OLD_LINE_GOOD = 0.05;
export const OLD_LINE_MOST = 0.1;
/** A fall of pressure that is no more than so many readings of the gauge tells nothing. */
const GAUGE_READS = 1;

/** Steps of the pressure before the test is read, of the working pressure. */
export const STEPS = [0.25, 0.5, 0.75, 1] as const;
/** Until the air and the pipe have one temperature (common practice, no source). */
export const SETTLES_S = 1800;

/** Where the air of a line is, m³. */
export interface AirVolumes {
  readonly receiversM3: number;
  readonly pipesM3: number;
  /** Coolers, separators and connecting tube. */
  readonly restM3: number;
  readonly totalM3: number;
}

/**
 * Room for air in a line: receivers, pipe and hose by their bores and lengths, and what coolers and tubes hold.
 * @example airVolumesOf(plan).receiversM3 // 0.5
 */
export function airVolumesOf(plan: Plan): AirVolumes {
  const line = standing(plan);
  const volumes = { receiversM3: 0, pipesM3: 0, restM3: 0 };
  for (const s of allStages(line)) {
    if (s.kind === 'receiver') volumes.receiversM3 += s.parameters.volumeM3;
    else if (s.kind === 'hose' || s.kind === 'hose-reel')
      volumes.pipesM3 += (Math.PI / 4) * s.parameters.boreM ** 2 * s.parameters.lengthM;
    else {
      const own = kindOf(s.kind).airSpaceM3?.(s.parameters) ?? 0;
      if (s.kind === 'pipe' || s.kind === 'cooling-run') volumes.pipesM3 += own;
      else volumes.restM3 += own;
    }
  }
  for (const { size, lengthM } of connectionsOf(line))
    volumes.restM3 += (Math.PI / 4) * boreOfEndM({ family: 'tube', size, gender: 'male' }) ** 2 * lengthM;
  return { ...volumes, totalM3: volumes.receiversM3 + volumes.pipesM3 + volumes.restM3 };
}

/** What was read in a shut-in test. */
export interface LeakReadings extends Omit<ShutIn, 'atmosphericPa'> {
  readonly line: 'new' | 'old';
  /** Smallest difference that the gauge shows, Pa. */
  readonly gaugeStepPa: number;
}

/** A shut-in test, judged. */
export interface LeakVerdict {
  readonly verdict: 'tight' | 'acceptable' | 'leaks' | 'too-short' | 'rose';
  /** Free air, m³/s. */
  readonly leakM3PerS: number;
  /** Of what the compressors deliver. */
  readonly ofDelivery: number;
  /** Of the absolute pressure, an hour, after correction. */
  readonly perHour: number;
  /** What of the fall comes from the temperature, Pa; below 0 the air warmed. */
  readonly fromTemperaturePa: number;
  /** The most that would pass, m³/s. */
  readonly allowedM3PerS: number;
  /** How long the test must last for its gauge to tell, s. */
  readonly leastS: number;
}

/**
 * Judges a line that was shut in, corrected for its temperature. New: at most 0.5 % of its pressure an hour, and at most 1 %
 * of the delivery. Old: at most a tenth of the delivery, good below a twentieth.
 * @returns figures and verdict; “too-short” where the gauge could not have shown what is allowed
 * @example judgeLeak(plan, { line: 'new', volumeM3: 0.25, fromPa: 8e5, toPa: 8e5, seconds: 7200, gaugeStepPa: 20000 }).verdict // 'too-short'
 */
export function judgeLeak(plan: Plan, read: LeakReadings): LeakVerdict {
  const atmosphericPa = surveyAtmosphericPa(plan.survey);
  const delivery = allStages(standing(plan)).reduce(
    (sum, s) => sum + (s.kind === 'compressor' ? s.parameters.freeAirDeliveryM3PerS : 0),
    0,
  );
  const leak = leakM3PerS({ ...read, atmosphericPa });
  const lostPa = read.fromPa - correctedPa(read);
  const perHour = (lostPa / read.fromPa) * (HOUR_S / read.seconds);
  const byPressure = (NEW_LINE_PER_HOUR * read.fromPa * read.volumeM3) / (atmosphericPa * HOUR_S);
  const allowedM3PerS =
    read.line === 'new' ? Math.min(byPressure, NEW_LINE_OF_DELIVERY * delivery) : OLD_LINE_MOST * delivery;
  const allowedPaPerS = (allowedM3PerS * atmosphericPa) / read.volumeM3;
  const leastS = (GAUGE_READS * read.gaugeStepPa) / allowedPaPerS;
  const figures = {
    leakM3PerS: leak,
    ofDelivery: leak / delivery,
    perHour,
    fromTemperaturePa: correctedPa(read) - read.toPa,
    allowedM3PerS,
    leastS,
  };
  const verdict = (): LeakVerdict['verdict'] => {
    if (lostPa < -read.gaugeStepPa) return 'rose';
    if (leak > allowedM3PerS) return 'leaks';
    if (read.seconds < leastS) return 'too-short';
    return read.line === 'old' && leak > OLD_LINE_GOOD * delivery ? 'acceptable' : 'tight';
  };
  return { verdict: verdict(), ...figures };
}
