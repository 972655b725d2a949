import { sizeCompressor } from '../sizing/size-compressor';
import { sizeReceiver } from '../sizing/size-receiver';
import { askedOf } from './base-line';
import type { Question } from './question';

/** Leaks of a good new line, and what comes later (trade handbook: 0.05 new, 0.1 good; 0.1–0.25). */
const LEAK_SHARE = 0.1;
const GROWTH_SHARE = 0.15;
/** All jobs at once go on for so long (estimate); the tank gives what the compressor does not. */
const PEAK_LASTS_S = 60;
/** Least fall of the tank that is assumed where a job needs nearly the cut-in pressure. */
const LEAST_FALL_PA = 2e4;
/** Starts an hour, at most: 10 up to 5 hp, 6 from 10 hp on (common practice), in a straight line between. */
const startsPerHour = (hp: number): number => Math.min(10, Math.max(6, 10 - (4 * (hp - 5)) / 5));

/**
 * A question with each compressor that is looked at for it: the smallest that will do and the next, each with the tank that goes
 * with it. Where the compressor is there, the question itself.
 * @source core/sizing, with leaks of 10 % and growth of 15 % (trade handbook)
 * @example compressorsFor(question({})).length // 1
 */
export function compressorsFor(question: Question): readonly Question[] {
  if (question.compressor.sized === 'given') return [question];
  const { demandM3PerS, peaksM3PerS, atmosphericPa } = askedOf(question);
  const { type, cutInGaugePa, cutOutGaugePa } = question.compressor;
  const { beside, ...size } = sizeCompressor({
    type,
    averageM3PerS: demandM3PerS, // air of where it stands already
    peakM3PerS: demandM3PerS, // the tank gives the peak
    peakLastsS: PEAK_LASTS_S,
    storedM3: 0,
    leakShare: LEAK_SHARE,
    growthShare: GROWTH_SHARE,
  });
  const peakM3PerS = peaksM3PerS.reduce((sum, p) => sum + p, 0);
  const mostNeededPa = Math.max(...question.jobs.map((j) => j.leastGaugePa));
  return [size, ...(beside.up ? [beside.up] : [])].map(({ hp, deliversM3PerS }) => ({
    ...question,
    compressor: { ...question.compressor, freeAirDeliveryM3PerS: deliversM3PerS },
    receiverM3: sizeReceiver({
      deliversM3PerS,
      bandPa: cutOutGaugePa - cutInGaugePa,
      startsPerHour: startsPerHour(hp),
      burstM3PerS: Math.max(0, peakM3PerS - deliversM3PerS),
      burstLastsS: PEAK_LASTS_S,
      burstFallsPa: Math.max(LEAST_FALL_PA, cutInGaugePa - mostNeededPa),
      atmosphericPa,
    }).volumeM3,
  }));
}
