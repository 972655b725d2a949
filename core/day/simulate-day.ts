import type { Basis } from '../air/enhancement-factor';
import { walkPrepared } from '../line/walk';
import type { Plan } from '../plan/plan';
import { DAY_S } from '../quantity/constants';
import { type CompressorTotals, STILL } from './compressor-unit';
import { type Asked, type DaySetup, setUp } from './day-setup';
import type { DrainPoint } from './drain-point';
import type { DayTotals } from './moving-line';
import { isInUse } from './uses';

export type DayEvent = { readonly second: number; readonly stageId: string } & (
  | { readonly what: 'loads' | 'rests' | 'full' }
  | { readonly what: 'drain'; readonly kg: number }
);

interface Held {
  readonly atDawn: number;
  readonly atDusk: number;
}

/** A day of the line, second by second. */
export interface DayCycle {
  readonly receiverId: string;
  /** At the beginning of each second. Absolute; °C; kg of water standing in the receiver; free air taken, m³/s. */
  readonly pressurePa: Float32Array;
  readonly temperatureC: Float32Array;
  readonly heelKg: Float32Array;
  readonly demandM3PerS: Float32Array;
  /** How many compressors deliver. */
  readonly loaded: Uint8Array;
  readonly events: readonly DayEvent[];
  readonly compressors: readonly CompressorTotals[];
  readonly points: readonly DrainPoint[];
  /** Seconds in which an outlet blows and the receiver itself has less than it needs, by stage. */
  readonly shortS: Readonly<Record<string, number>>;
  /** The account of the receiver, with the air and the water that hang in it at either end of the day. */
  readonly totals: DayTotals & { readonly airHeldKg: Held; readonly waterHeldKg: Held };
}

/** What is recorded of a day: a place a second, and what happened. */
class DayRecord {
  readonly pressurePa = new Float32Array(DAY_S);
  readonly temperatureC = new Float32Array(DAY_S);
  readonly heelKg = new Float32Array(DAY_S);
  readonly demandM3PerS = new Float32Array(DAY_S);
  readonly loaded = new Uint8Array(DAY_S);
  readonly events: DayEvent[] = [];

  open(point: DrainPoint, second: number, mostKg?: number): void {
    const kg = point.open(second, mostKg);
    if (kg > 0) this.events.push({ second, stageId: point.stageId, what: 'drain', kg });
  }
}

/** What the outlets take in a second, m³/s of free air; counts where the receiver has less than one needs. */
function flowInUse(uses: readonly Asked[], s: number, pressurePa: number): number {
  let flow = 0;
  for (const asked of uses) {
    if (!isInUse(asked.use, s)) continue;
    flow += asked.use.flowM3PerS;
    if (pressurePa < asked.needsPa) asked.shortS++;
  }
  return flow;
}

/** The compressors follow their switches. @returns how many deliver */
function runCompressors(day: DaySetup, record: DayRecord, s: number, powered: boolean, wanted: number): number {
  let delivering = 0;
  for (const compressor of day.compressors) {
    const changed = compressor.step(s, day.tank, powered, wanted);
    if (compressor.delivers) delivering++;
    if (!changed) continue;
    record.events.push({ second: s, stageId: compressor.stageId, what: changed });
    const opens = changed === 'rests' ? 'unloader' : 'unloader-start';
    for (const point of day.points)
      if (point.drain === opens) record.open(point, s, point.blownOut ? undefined : point.pulseKg);
  }
  return delivering;
}

/** Drains that are full, due or opened by hand. */
function runDrains({ points, byHand, endS }: DaySetup, record: DayRecord, s: number, powered: boolean): void {
  for (const point of points) {
    if (point.fullAtS === s) record.events.push({ second: s, stageId: point.stageId, what: 'full' });
    if (point.isUp) record.open(point, s);
  }
  if (powered) for (const point of points) if (point.drain === 'timer' && s % point.everyS === 0) record.open(point, s);
  if (s === endS - 1) for (const point of byHand) record.open(point, s);
}

function runSecond(day: DaySetup, record: DayRecord, s: number): void {
  const { tank, moving, around, tankPoint, compressors } = day;
  moving.second = s;
  const powered = s >= day.startS && s < day.endS;
  const { pressurePa } = tank;
  const flow = powered ? flowInUse(day.uses, s, pressurePa) : 0;
  const { leaks, steadyPa } = day;
  const back = compressors.some((c) => c.delivers) ? 0 : leaks.checkValvesKgPerS;
  // While the line works, its walk says what it vents, leaks of joints among it.
  const lost = powered
    ? moving.purgeKgPerS + (leaks.drainsKgPerS * pressurePa) / steadyPa
    : (leaks.atRestKgPerS * pressurePa) / steadyPa;
  const wanted = flow * day.kgPerM3 + lost + back;
  // Nothing flows out of a receiver that has come down to the atmosphere.
  tank.outKgPerS = pressurePa > around.atmosphericPa ? Math.max(wanted, STILL) : STILL;
  const delivering = runCompressors(day, record, s, powered, wanted);
  record.pressurePa[s] = pressurePa;
  record.temperatureC[s] = tank.temperatureC;
  record.heelKg[s] = tankPoint?.heelKg ?? 0;
  record.demandM3PerS[s] = flow;
  record.loaded[s] = delivering;
  moving.purgeKgPerS = 0;
  if (delivering > 0 || wanted > 0) walkPrepared(delivering > 0 ? moving.running : moving.resting, around, null);
  else tank.stand();
  const sinks = tank.settle();
  if (tankPoint && sinks > 0) tank.dropsKg += tankPoint.fill(sinks, s);
  runDrains(day, record, s, powered);
}

/**
 * A day of the line in steps of a second: compressors start, load and stop by the pressure in the receiver, the outlets blow
 * in their turns, the receiver warms and cools, water gathers at the drains and leaves by whatever opens them. Every
 * second in which air moves is a walk of the line at the receiver’s pressure.
 *
 * Taken as simple: free air delivery does not fall with pressure; water falls at the middle of the band; a cooler is at
 * once as good as in steady running; the heat of compression in the tank itself is left out; what goes which way at a tee
 * is by average demand; leaks and timed drains take their air downstream of the tank, in proportion to its pressure.
 *
 * @returns `undefined` where the line has no receiver, or its walk does not reach it
 * @source mass and heat balance of the receiver, ideal gas; the rest as in the walk
 * @example simulateDay(plan).compressors[0].starts // 1
 */
export function simulateDay(plan: Plan, basis: Basis = 'real'): DayCycle | undefined {
  const day = setUp(plan, basis);
  if (!day) return undefined;
  const { tank, tankStage, points, compressors, uses, moving } = day;
  const record = new DayRecord();
  const dawn = { air: tank.dryAirKg, water: tank.waterKg };
  for (let s = 0; s < DAY_S; s++) runSecond(day, record, s);
  const { pressurePa, temperatureC, heelKg, demandM3PerS, loaded, events } = record;
  return {
    receiverId: tankStage.id,
    pressurePa,
    temperatureC,
    heelKg,
    demandM3PerS,
    loaded,
    events,
    points,
    shortS: Object.fromEntries(uses.map(({ use, shortS }) => [use.stageId, shortS])),
    totals: {
      ...moving.totals,
      airHeldKg: { atDawn: dawn.air, atDusk: tank.dryAirKg },
      waterHeldKg: { atDawn: dawn.water, atDusk: tank.waterKg },
    },
    compressors: compressors.map((c) => c.totals),
  };
}
