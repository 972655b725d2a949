import { parseAsFloat, parseAsStringLiteral } from 'nuqs';
import { SEA_LEVEL_PA } from '@/core/air/atmosphere';
import type { BedDuty } from '@/core/desiccant/bed-film';
import { BED_MEDIA, type BedMediumName } from '@/core/desiccant/bed-media';
import { OVEN_MOST_C } from '@/core/desiccant/dry-batch';
import { OVEN_ROOM, ovenHumidity } from '@/core/desiccant/isotherm';
import { CFM } from '@/core/quantity/constants';
import { dryAirKgPerS } from '@/core/quantity/flow-basis';
import type { AskFor, Bounds } from '@/ui/forms/ask';

/** Flow is told in standard cubic feet or metres: 14.5 psi abs, 68 °F, dry. */
const FLOW_BASIS = 'standard-14.5psia-68F';
const MEDIA_IDS = Object.keys(BED_MEDIA) as BedMediumName[];

/** The question, as the address bar holds it; SI. */
export const STATE = {
  /** Of the place where the line stands; alone, at sea level. */
  atm: parseAsFloat.withDefault(SEA_LEVEL_PA),
  of: parseAsStringLiteral(['cartridge', 'towers']).withDefault('cartridge'),
  first: parseAsStringLiteral(MEDIA_IDS).withDefault('gel'),
  kg: parseAsFloat.withDefault(0.907), // 2 lb
  second: parseAsStringLiteral(['none', ...MEDIA_IDS]).withDefault('none'),
  secondkg: parseAsFloat.withDefault(1),
  bore: parseAsFloat.withDefault(0.08),
  flow: parseAsFloat.withDefault(10 * CFM),
  c: parseAsFloat.withDefault(27),
  pa: parseAsFloat.withDefault(SEA_LEVEL_PA + 6.2e5),
  rh: parseAsFloat.withDefault(1),
  hours: parseAsFloat.withDefault(8 * 3600),
  dried: parseAsStringLiteral(['maker', 'oven']).withDefault('maker'),
  oven: parseAsFloat.withDefault(115),
  want: parseAsFloat.withDefault(-20),
  cycle: parseAsFloat.withDefault(600),
  purge: parseAsFloat.withDefault(0.16),
};
export type Query = { [K in keyof typeof STATE]: (typeof STATE)[K]['defaultValue'] };
type Numbers = { [K in keyof Query]: Query[K] extends number ? K : never }[keyof Query];
export type Ask = AskFor<Numbers>;

export const BOUNDS: Bounds<Numbers> = {
  atm: [5e4, 1.1e5],
  kg: [0.05, 2000],
  secondkg: [0.05, 2000],
  bore: [0.02, 5],
  flow: [0, 2],
  c: [0, 60],
  pa: [1.5e5, 41e5],
  rh: [0.01, 1],
  hours: [600, 400 * 3600],
  oven: [40, OVEN_MOST_C],
  want: [-80, 30],
  cycle: [20, 7200],
  purge: [0, 0.9],
};

/** The bed that is asked about. */
export const dutyOf = (q: Query): BedDuty => ({
  layers: [
    { medium: q.first, massKg: q.kg },
    ...(q.second === 'none' ? [] : [{ medium: q.second as BedMediumName, massKg: q.secondkg }]),
  ],
  boreM: q.bore,
  dryAirKgPerS: dryAirKgPerS(q.flow, FLOW_BASIS, 1),
  inletC: q.c,
  inletPa: q.pa,
  relativeHumidity: q.rh,
  startC: q.c,
  ...(q.dried === 'oven' && {
    dried: {
      relativeHumidity: ovenHumidity(q.oven, OVEN_ROOM.temperatureC, OVEN_ROOM.relativeHumidity),
      temperatureC: q.oven,
    },
  }),
});
