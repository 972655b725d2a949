import { parseAsFloat, parseAsStringLiteral } from 'nuqs';
import { SEA_LEVEL_PA } from '@/core/air/atmosphere';
import { CFM } from '@/core/quantity/constants';
import { dryAirKgPerS, volumeFlowM3PerS } from '@/core/quantity/flow-basis';
import type { DryerDuty } from '@/core/sizing/dryer-duty';
import { FAMILIES, type Family } from '@/core/sizing/families';
import type { AskFor, Bounds } from '@/ui/forms/ask';

/** Flow is told in standard cubic feet or metres: 14.5 psi abs, 68 °F, dry. */
export const FLOW_BASIS = 'standard-14.5psia-68F';
export const YES_NO = ['no', 'yes'] as const;
const HOUR = 3600;

/** The question, as the address bar holds it; SI. */
export const STATE = {
  /** Of the place where the line stands; alone, at sea level. */
  atm: parseAsFloat.withDefault(SEA_LEVEL_PA),
  flow: parseAsFloat.withDefault(100 * CFM),
  load: parseAsFloat.withDefault(0.6),
  c: parseAsFloat.withDefault(35),
  pa: parseAsFloat.withDefault(SEA_LEVEL_PA + 7e5),
  rh: parseAsFloat.withDefault(1),
  want: parseAsFloat.withDefault(3.5),
  room: parseAsFloat.withDefault(25),
  hot: parseAsFloat.withDefault(35),
  cold: parseAsFloat.withDefault(10),
  after: parseAsFloat.withDefault(10),
  hours: parseAsFloat.withDefault(2000 * HOUR),
  oilfree: parseAsStringLiteral(YES_NO).withDefault('no'),
  look: parseAsStringLiteral(Object.keys(FAMILIES) as Family[]).withDefault('refrigerated-dryer'),
  cycle: parseAsFloat.withDefault(600),
  there: parseAsStringLiteral(YES_NO).withDefault('no'),
  bore: parseAsFloat.withDefault(0.3),
  kwh: parseAsFloat.withDefault(0.15),
  hour: parseAsFloat.withDefault(40),
};
export type Query = { [K in keyof typeof STATE]: (typeof STATE)[K]['defaultValue'] };
type Numbers = { [K in keyof Query]: Query[K] extends number ? K : never }[keyof Query];
export type Ask = AskFor<Numbers>;

export const BOUNDS: Bounds<Numbers> = {
  atm: [5e4, 1.1e5],
  flow: [1e-4, 2],
  load: [0.05, 1],
  c: [5, 60],
  pa: [1.5e5, 41e5],
  rh: [0.01, 1],
  want: [-70, 30],
  room: [-30, 60],
  hot: [-30, 60],
  cold: [-40, 60],
  after: [-60, 60],
  hours: [HOUR, 8760 * HOUR],
  cycle: [10, 3600],
  bore: [0.02, 5],
  kwh: [0, 1e6],
  hour: [0, 1e6],
};

export const dutyOf = (q: Query): DryerDuty => ({
  dryAirKgPerS: dryAirKgPerS(q.flow, FLOW_BASIS, 1),
  load: q.load,
  inletC: q.c,
  inletPa: q.pa,
  atmosphericPa: q.atm,
  relativeHumidity: q.rh,
  roomC: q.room,
  hottestRoomC: q.hot,
  coldestRoomC: q.cold,
  coldestAfterC: q.after,
  wantedC: q.want,
  hoursPerYear: q.hours / HOUR,
  perKWh: q.kwh,
  perHour: q.hour,
  hotOilFree: q.oilfree === 'yes',
});

/** The question that asks for a duty. */
export const queryOf = (d: DryerDuty) => ({
  atm: d.atmosphericPa,
  flow: volumeFlowM3PerS(d.dryAirKgPerS, FLOW_BASIS, 1),
  load: d.load,
  c: d.inletC,
  pa: d.inletPa,
  rh: d.relativeHumidity,
  room: d.roomC,
  hot: d.hottestRoomC,
  cold: d.coldestRoomC,
  after: d.coldestAfterC,
  want: d.wantedC,
  hours: d.hoursPerYear * HOUR,
  kwh: d.perKWh,
  hour: d.perHour,
});

export const kW = (w: number, number: (value: number, decimals?: number, figures?: number) => string): string =>
  `${number(w / 1000, undefined, 2)} kW`;
