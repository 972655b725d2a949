import { parseAsFloat, parseAsStringLiteral } from 'nuqs';
import { SEA_LEVEL_PA } from '@/core/air/atmosphere';
import { type MoistureReading, vapourFractionOf } from '@/core/air/moisture';
import { OutOfRange } from '@/core/air/out-of-range';

export const KINDS = {
  relativeHumidity: 'relative humidity in the line',
  pressureDewPoint: 'pressure dew point',
  atmosphericDewPoint: 'atmospheric dew point',
  density: 'water per cubic metre',
  ppm: 'parts per million by volume',
} as const;
export type KindId = keyof typeof KINDS;
const KIND_IDS = Object.keys(KINDS) as KindId[];

/** The question, as the address bar holds it. */
export const STATE = {
  has: parseAsStringLiteral(KIND_IDS).withDefault('relativeHumidity'),
  rh: parseAsFloat.withDefault(0.024),
  dp: parseAsFloat.withDefault(3),
  adp: parseAsFloat.withDefault(-20),
  gm3: parseAsFloat.withDefault(0.005),
  ppm: parseAsFloat.withDefault(500e-6),
  below: parseAsStringLiteral(['frost', 'water'] as const).withDefault('frost'),
  atC: parseAsFloat.withDefault(21),
  atPa: parseAsFloat.withDefault(SEA_LEVEL_PA + 3.45e5),
  toC: parseAsFloat.withDefault(21),
  toPa: parseAsFloat.withDefault(SEA_LEVEL_PA + 7.24e5),
  air: parseAsFloat.withDefault(SEA_LEVEL_PA),
};

export type Query = { [K in keyof typeof STATE]: (typeof STATE)[K]['defaultValue'] };

export function readingOf(q: Query): MoistureReading {
  const at = { temperatureC: q.atC, pressurePa: q.atPa };
  switch (q.has) {
    case 'relativeHumidity':
      return { kind: 'relativeHumidity', relativeHumidity: q.rh, at };
    case 'pressureDewPoint':
      return { kind: 'pressureDewPoint', dewPointC: q.dp, convention: q.below, at };
    case 'atmosphericDewPoint':
      return { kind: 'atmosphericDewPoint', dewPointC: q.adp, convention: q.below, atmosphericPa: q.air };
    case 'density':
      return { kind: 'density', kgPerM3: q.gm3, at };
    default:
      return { kind: 'ppm', ppmByVolume: q.ppm * 1e6 };
  }
}

/** The vapour that the reading means, or why it cannot be. */
export function fractionOf(q: Query): number | string {
  try {
    const x = vapourFractionOf(readingOf(q));
    return x > 0 && x < 0.9 ? x : 'That would be more water than air. Check the reading and where it was taken.';
  } catch (error) {
    if (error instanceof OutOfRange) return error.message;
    throw error;
  }
}
