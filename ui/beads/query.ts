import { parseAsFloat, parseAsStringLiteral } from 'nuqs';
import { SEA_LEVEL_PA } from '@/core/air/atmosphere';
import { OVEN_MOST_C } from '@/core/desiccant/dry-batch';
import { INDICATORS, type IndicatorName } from '@/core/desiccant/indicators';
import { MEDIA, type Medium } from '@/core/desiccant/isotherm';
import { RECHARGE, type Recharged } from '@/core/desiccant/recharge';
import type { CartridgeDuty } from '@/core/desiccant/size-cartridge';
import { CFM } from '@/core/quantity/constants';
import { dryAirKgPerS, volumeFlowM3PerS } from '@/core/quantity/flow-basis';
import type { AskFor, Bounds } from '@/ui/forms/ask';

const MEDIUM_IDS = Object.keys(MEDIA) as Medium[];
/** Flow is told in standard cubic feet or metres: 14.5 psi abs, 68 °F, dry. */
export const FLOW_BASIS = 'standard-14.5psia-68F';
const YES_NO = ['no', 'yes'] as const;

/** The question, as the address bar holds it; SI. */
export const STATE = {
  /** Of the place where the line stands; alone, at sea level. */
  atm: parseAsFloat.withDefault(SEA_LEVEL_PA),
  medium: parseAsStringLiteral(MEDIUM_IDS).withDefault('silica'),
  kg: parseAsFloat.withDefault(0.907), // 2 lb
  flow: parseAsFloat.withDefault(10 * CFM),
  day: parseAsFloat.withDefault(7200),
  c: parseAsFloat.withDefault(27),
  pa: parseAsFloat.withDefault(SEA_LEVEL_PA + 6.2e5),
  rh: parseAsFloat.withDefault(1),
  dyed: parseAsStringLiteral(YES_NO).withDefault('yes'),
  tray: parseAsStringLiteral(['clean', 'oily', 'pellets']).withDefault('clean'),
  loaded: parseAsFloat.withDefault(0.12),
  layer: parseAsFloat.withDefault(0.02),
  oven: parseAsFloat.withDefault(115),
  hours: parseAsFloat.withDefault(4 * 3600),
  wet: parseAsFloat.withDefault(1.02),
  dry: parseAsFloat.withDefault(0.907),
  times: parseAsFloat.withDefault(1),
  dye: parseAsStringLiteral(Object.keys(INDICATORS) as IndicatorName[]).withDefault('violet'),
  thing: parseAsStringLiteral(Object.keys(RECHARGE) as Recharged[]).withDefault('bead-cartridge'),
  marked: parseAsStringLiteral(['unread', 'yes', 'no']).withDefault('unread'),
  rated: parseAsFloat.withDefault(SEA_LEVEL_PA + 10.3e5), // 150 psi
  cutout: parseAsFloat.withDefault(SEA_LEVEL_PA + 8.6e5),
  relief: parseAsStringLiteral(YES_NO).withDefault('no'),
  opens: parseAsFloat.withDefault(SEA_LEVEL_PA + 9.7e5),
  /** 0: not known. */
  room: parseAsFloat.withDefault(0),
  row: parseAsFloat.withDefault(1),
  leak: parseAsFloat.withDefault(0.05 * CFM),
};
export type Query = { [K in keyof typeof STATE]: (typeof STATE)[K]['defaultValue'] };
type Numbers = { [K in keyof Query]: Query[K] extends number ? K : never }[keyof Query];

export const BOUNDS: Bounds<Numbers> = {
  atm: [5e4, 1.1e5],
  kg: [0.01, 500],
  flow: [1e-5, 0.5],
  day: [60, 86_400],
  c: [0, 100],
  pa: [1.5e5, 41e5],
  rh: [0.01, 1],
  loaded: [0, 0.4],
  layer: [0.002, 0.1],
  oven: [40, OVEN_MOST_C],
  hours: [600, 86_400],
  wet: [0.01, 1000],
  dry: [0.01, 1000],
  times: [0, 40],
  rated: [1.1e5, 60e5],
  cutout: [1.5e5, 41e5],
  opens: [1.1e5, 60e5],
  room: [0, 2],
  row: [1, 4],
  leak: [0, 0.05],
};

export type Ask = AskFor<Numbers>;

/** What the cartridge is asked to do. */
export const dutyOf = (q: Query): CartridgeDuty => ({
  medium: q.medium,
  massKg: q.kg,
  dryAirKgPerS: dryAirKgPerS(q.flow, FLOW_BASIS, 1),
  inletC: q.c,
  inletPa: q.pa,
  relativeHumidity: q.rh,
  airHPerDay: q.day / 3600,
});

/** The question that asks for a duty. */
export const queryOf = (d: CartridgeDuty, atmosphericPa: number) => ({
  atm: atmosphericPa,
  medium: d.medium,
  kg: d.massKg,
  flow: volumeFlowM3PerS(d.dryAirKgPerS, FLOW_BASIS, 1),
  day: d.airHPerDay * 3600,
  c: d.inletC,
  pa: d.inletPa,
  rh: d.relativeHumidity,
});
