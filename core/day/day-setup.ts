import type { Basis } from '../air/enhancement-factor';
import { vapourFractionFromRelativeHumidity, WATER_TO_AIR_MASS } from '../air/humidity';
import type { Surroundings } from '../equipment/shared/kind';
import { impliedWallWPerK, receiverWallWPerK } from '../equipment/supply/receiver';
import { type PreparedLine, packed, prepare } from '../line/prepare';
import { walkPrepared } from '../line/walk';
import type { Plan, Stage } from '../plan/plan';
import { allStages, runsOf, standing } from '../plan/runs';
import { freeAirKgPerM3, inPlace, surroundingsOf } from '../plan/surroundings';
import { aheadOfCheck, CompressorUnit, isReceiver } from './compressor-unit';
import { type DrainPoint, drainPointsOf } from './drain-point';
import { type Leaks, leaksOf } from './leaks';
import { lossBefore, MovingLine } from './moving-line';
import { MovingTank } from './moving-tank';
import { type Use, usesOf } from './uses';

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

/** A use of an outlet, and the seconds in which the receiver had less than it needs. */
export interface Asked {
  readonly use: Use;
  readonly needsPa: number;
  shortS: number;
}

/** A line made ready for its day. */
export interface DaySetup {
  readonly around: Surroundings;
  readonly tankStage: Extract<Stage, { kind: 'receiver' }>;
  readonly tank: MovingTank;
  readonly compressors: readonly CompressorUnit[];
  readonly points: readonly DrainPoint[];
  /** Of them those that are opened at the end of work. */
  readonly byHand: readonly DrainPoint[];
  readonly tankPoint: DrainPoint | undefined;
  readonly moving: MovingLine;
  readonly uses: readonly Asked[];
  readonly kgPerM3: number;
  /** At the pressure of the steady walk in the receiver. */
  readonly leaks: Leaks;
  readonly steadyPa: number;
  readonly startS: number;
  readonly endS: number;
}

/** @returns `undefined` where the line has no receiver, or its walk does not reach it */
export function setUp(plan: Plan, basis: Basis): DaySetup | undefined {
  const line = standing(plan);
  const stages = allStages(line);
  const tankStage = stages.find(isReceiver);
  const around = surroundingsOf(line, basis);
  const prepared = packed(prepare(line));
  const section = walkPrepared(prepared, around);
  const steady = tankStage && section.at(tankStage.id);
  if (!tankStage || !steady) return undefined;
  const own = runsOf(line).flatMap((run) => {
    const [intake, compressor] = run.stages;
    return run.from === null && intake && compressor?.kind === 'compressor' ? [{ run, intake, compressor }] : [];
  });
  const compressors = own.map(
    ({ run, intake, compressor: c }) => new CompressorUnit(c.id, intake.id, c.parameters, run, around),
  );
  const points = drainPointsOf(stages, new Set(own.flatMap(({ run }) => aheadOfCheck(run).map((s) => s.id))));
  const { intakeRelativeHumidity, intakeTemperatureC, atmosphericPa } = around;
  const x = vapourFractionFromRelativeHumidity(intakeRelativeHumidity, intakeTemperatureC, atmosphericPa, basis);
  const intakeRatio = (WATER_TO_AIR_MASS * x) / (1 - x);
  const tank = tankAtDawn(tankStage, line, prepared, around, compressors, intakeRatio, steady.pressurePa);
  const pointAt = new Map(points.map((p) => [p.stageId, p]));
  const loss = lossBefore(compressors[0], steady.pressurePa);
  const kgPerM3 = freeAirKgPerM3(around);
  const needs = new Map(stages.flatMap((s) => (s.kind === 'outlet' ? [[s.id, s.parameters.leastPressurePa]] : [])));
  const { working } = line.survey;
  return {
    around,
    tankStage,
    tank,
    compressors,
    points,
    byHand: points.filter((p) => p.drain === 'manual' || (p.drain === 'pressure-loss' && around.depressurised)),
    tankPoint: pointAt.get(tankStage.id),
    moving: new MovingLine(prepared, tankStage.id, tank, pointAt, compressors, loss),
    uses: usesOf(line).map((use) => ({ use, needsPa: needs.get(use.stageId) as number, shortS: 0 })),
    kgPerM3,
    leaks: leaksOf(plan, section),
    steadyPa: steady.pressurePa,
    startS: Math.round(working.startsAtH * 3600),
    endS: Math.round(working.endsAtH * 3600),
  };
}
