import type { Basis } from '../air/enhancement-factor';
import { vapourFractionFromRelativeHumidity, WATER_TO_AIR_MASS } from '../air/humidity';
import type { Surroundings } from '../equipment/shared/kind';
import { impliedWallWPerK, receiverWallWPerK } from '../equipment/supply/receiver';
import { type PreparedLine, packed, prepare } from '../line/prepare';
import { walkPrepared } from '../line/walk';
import type { Plan, Stage } from '../plan/plan';
import { allStages, runsOf, standing } from '../plan/runs';
import { freeAirKgPerM3, inPlace, surroundingsOf } from '../plan/surroundings';
import { DAY_S } from '../quantity/constants';
import { aheadOfCheck, type CompressorTotals, CompressorUnit, isReceiver, STILL } from './compressor-unit';
import { type DrainPoint, drainPointsOf } from './drain-point';
import { type DayTotals, lossBefore, MovingLine } from './moving-line';
import { MovingTank } from './moving-tank';
import { isInUse, usesOf } from './uses';

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

/** What the receiver loses to the room, W/K: by its measured outlet temperature, else by its surface. */
function wallOf(tank: Extract<Stage, { kind: 'receiver' }>, line: PreparedLine, around: Surroundings): number {
  const { method, outletTemperatureC } = tank.parameters;
  let implied: number | undefined;
  if (method === 'measured')
    walkPrepared(line, around, undefined, (i, air) => {
      if (line.stages[i]?.id === tank.id)
        implied = impliedWallWPerK(air, outletTemperatureC, inPlace(around, tank.place));
    });
  return implied ?? receiverWallWPerK(tank.parameters);
}

/** The tank as the day begins: at the middle of the band, or depressurised; at the temperature of the room. */
function tankAtDawn(
  tankStage: Extract<Stage, { kind: 'receiver' }>,
  line: Plan,
  prepared: PreparedLine,
  around: Surroundings,
  compressors: readonly CompressorUnit[],
  freeAirRatio: number,
  walkPa: number,
): MovingTank {
  const storage = allStages(line).filter(isReceiver);
  const low = Math.min(...compressors.map((p) => p.p.cutInPa));
  const high = Math.max(...compressors.map((p) => p.p.cutOutPa));
  const tank = new MovingTank(
    tankStage.parameters,
    storage.reduce((sum, s) => sum + s.parameters.volumeM3, 0),
    around,
    wallOf(tankStage, prepared, around),
    low,
    walkPa,
    around.depressurised ? around.atmosphericPa : (low + high) / 2,
    freeAirRatio,
  );
  tank.settle();
  tank.dropsKg = 0; // they sank overnight
  return tank;
}

/**
 * A day of the line in steps of a second: compressors start, load and stop by the pressure in the receiver, the outlets blow
 * in their turns, the receiver warms and cools, water gathers at the drains and leaves by whatever opens them. Every
 * second in which air moves is a walk of the line at the receiver’s pressure.
 *
 * Taken as simple: free air delivery does not fall with pressure; water falls at the middle of the band; a cooler is at
 * once as good as in steady running; the heat of compression in the tank itself is left out; what goes which way at a tee
 * is by average demand.
 *
 * @returns `undefined` where the line has no receiver, or its walk does not reach it
 * @source mass and heat balance of the receiver, ideal gas; the rest as in the walk
 */
export function simulateDay(plan: Plan, basis: Basis = 'real'): DayCycle | undefined {
  const line = standing(plan);
  const stages = allStages(line);
  const tankStage = stages.find(isReceiver);
  const around = surroundingsOf(line, basis);
  const prepared = packed(prepare(line));
  const steady = tankStage && walkPrepared(prepared, around).at(tankStage.id);
  if (!tankStage || !steady) return undefined;

  const ownCompressors = runsOf(line).flatMap((run) => {
    const [intake, compressor] = run.stages;
    return run.from === null && intake && compressor?.kind === 'compressor' ? [{ run, intake, compressor }] : [];
  });
  const compressors = ownCompressors.map(
    ({ run, intake, compressor }) => new CompressorUnit(compressor.id, intake.id, compressor.parameters, run, around),
  );
  const blownOut = new Set(ownCompressors.flatMap(({ run }) => aheadOfCheck(run).map((s) => s.id)));
  const points = drainPointsOf(stages, blownOut);
  const { intakeRelativeHumidity, intakeTemperatureC, atmosphericPa } = around;
  const x = vapourFractionFromRelativeHumidity(intakeRelativeHumidity, intakeTemperatureC, atmosphericPa, basis);
  const kgPerM3 = freeAirKgPerM3(around);
  const tank = tankAtDawn(
    tankStage,
    line,
    prepared,
    around,
    compressors,
    (WATER_TO_AIR_MASS * x) / (1 - x),
    steady.pressurePa,
  );
  const timed = points.filter((p) => p.drain === 'timer');
  const byHand = points.filter((p) => p.drain === 'manual' || (p.drain === 'pressure-loss' && around.depressurised));
  const pointAt = new Map(points.map((p) => [p.stageId, p]));
  const tankPoint = pointAt.get(tankStage.id);
  const moving = new MovingLine(
    prepared,
    tankStage.id,
    tank,
    pointAt,
    compressors,
    lossBefore(compressors[0], steady.pressurePa),
  );

  const { working } = line.survey;
  const [startS, endS] = [Math.round(working.startsAtH * 3600), Math.round(working.endsAtH * 3600)];
  const leakKgPerS = stages.reduce(
    (sum, s) => sum + (s.kind === 'check-valve' ? s.parameters.leakM3PerS * kgPerM3 : 0),
    0,
  );
  const needs = new Map(stages.flatMap((s) => (s.kind === 'outlet' ? [[s.id, s.parameters.leastPressurePa]] : [])));
  const uses = usesOf(line).map((use) => ({ use, needsPa: needs.get(use.stageId) as number, shortS: 0 }));
  const pressurePaAt = new Float32Array(DAY_S);
  const temperatureC = new Float32Array(DAY_S);
  const heelKg = new Float32Array(DAY_S);
  const demandM3PerS = new Float32Array(DAY_S);
  const loaded = new Uint8Array(DAY_S);
  const events: DayEvent[] = [];
  const openPoint = (point: DrainPoint, mostKg?: number): void => {
    const kg = point.open(moving.second, mostKg);
    if (kg > 0) events.push({ second: moving.second, stageId: point.stageId, what: 'drain', kg });
  };

  const dawn = { air: tank.dryAirKg, water: tank.waterKg };
  for (let s = 0; s < DAY_S; s++) {
    moving.second = s;
    const powered = s >= startS && s < endS;
    const pressurePa = tank.pressurePa;
    let flow = 0;
    if (powered)
      for (const asked of uses) {
        if (!isInUse(asked.use, s)) continue;
        flow += asked.use.flowM3PerS;
        if (pressurePa < asked.needsPa) asked.shortS++;
      }
    const leak = compressors.some((p) => p.delivers) ? 0 : leakKgPerS;
    const wanted = flow * kgPerM3 + (powered ? moving.purgeKgPerS : 0) + leak;
    // Nothing flows out of a receiver that has come down to the atmosphere.
    tank.outKgPerS = pressurePa > atmosphericPa ? Math.max(wanted, STILL) : STILL;
    let delivering = 0;
    for (const compressor of compressors) {
      const changed = compressor.step(s, tank, powered, wanted);
      if (compressor.delivers) delivering++;
      if (!changed) continue;
      events.push({ second: s, stageId: compressor.stageId, what: changed });
      const opens = changed === 'rests' ? 'unloader' : 'unloader-start';
      for (const point of points)
        if (point.drain === opens) openPoint(point, point.blownOut ? undefined : point.pulseKg);
    }
    pressurePaAt[s] = pressurePa;
    temperatureC[s] = tank.temperatureC;
    heelKg[s] = tankPoint?.heelKg ?? 0;
    demandM3PerS[s] = flow;
    loaded[s] = delivering;

    const moves = delivering > 0 || wanted > 0;
    moving.purgeKgPerS = 0;
    if (moves) walkPrepared(delivering > 0 ? moving.running : moving.resting, around, null);
    else tank.stand();
    const sinks = tank.settle();
    if (tankPoint && sinks > 0) tank.dropsKg += tankPoint.fill(sinks, s);
    for (const point of points) {
      if (point.fullAtS === s) events.push({ second: s, stageId: point.stageId, what: 'full' });
      if (point.isUp) openPoint(point);
    }
    if (powered) for (const point of timed) if (s % point.everyS === 0) openPoint(point);
    if (s === endS - 1) for (const point of byHand) openPoint(point);
  }
  return {
    receiverId: tankStage.id,
    pressurePa: pressurePaAt,
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
    compressors: compressors.map((p) => p.totals),
  };
}
