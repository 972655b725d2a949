import { CHILLED, COOLERS, is } from '../equipment/groups';
import { isWet, type OutletStage, outletCriteria } from '../line/outlet-criteria';
import { DEW_POINT, KEPT, type Station } from '../line/section';
import type { Plan, Stage } from '../plan/plan';
import { allStages, stageById, standing } from '../plan/runs';
import { surroundingsOf } from '../plan/surroundings';
import type { QuantityName } from '../quantity/units';
import { YEAR_HOURS } from './calendar';
import type { WeatherRun } from './run-weather';

/** A quantity of a run, hour by hour: what maps, bars and curves are drawn from. */
export interface Series {
  readonly name: string;
  readonly quantity: QuantityName;
  /** A number an hour; not a number where the walk did not come. */
  readonly values: Float32Array;
  /** Whether it is a flow of water while the compressor is loaded: then hours count by how long it is. */
  readonly isWater: boolean;
}

/** What can be looked at. */
export type SeriesId =
  | { readonly of: 'all-drains' }
  | { readonly of: 'caught' | 'dew-point' | 'temperature' | 'adsorbed' | 'liquid'; readonly stageId: string }
  | { readonly of: 'margin' | 'room'; readonly stageId: string }
  | { readonly of: 'water-in' | 'intake-temperature' | 'intake-humidity' };

const CAUGHT = 5;
const LIQUID = 4;

const stageIndex = (run: WeatherRun, stageId: string): number => run.stages.findIndex((s) => s.id === stageId);

function figure(run: WeatherRun, stage: number, which: number): Float32Array {
  const n = run.stages.length;
  return Float32Array.from({ length: run.hours }, (_, h) => run.figures[(h * n + stage) * KEPT + which] as number);
}

function column(run: WeatherRun, of: Float32Array, stage: number): Float32Array {
  const n = run.stages.length;
  return Float32Array.from({ length: run.hours }, (_, h) => of[h * n + stage] as number);
}

/**
 * Water caught at one stage, kg/s while loaded.
 * @example caughtAt(run, 'receiver')[9] // 0.0000166
 */
export function caughtAt(run: WeatherRun, stageId: string): Float32Array {
  const i = stageIndex(run, stageId);
  return i < 0 ? new Float32Array(run.hours) : figure(run, i, CAUGHT);
}

/**
 * Water caught at all stages together, kg/s while loaded.
 * @example caughtInAll(run)[9] // 0.000131
 */
export function caughtInAll(run: WeatherRun): Float32Array {
  const n = run.stages.length;
  const all = new Float32Array(run.hours);
  for (let h = 0; h < run.hours; h++) {
    let sum = 0;
    for (let i = 0; i < n; i++) sum += run.figures[(h * n + i) * KEPT + CAUGHT] || 0;
    all[h] = sum;
  }
  return all;
}

/**
 * How far an outlet is from what it needs, hour by hour: above 0 it is out; infinite where drops arrive.
 * @example outletExcess(plan, run, stage('outlet'))[9] // -7.96
 */
export function outletExcess(plan: Plan, run: WeatherRun, outlet: OutletStage): Float32Array {
  const i = stageIndex(run, outlet.id);
  const { quantity: _q, limit, read } = outletCriteria(outlet)[0];
  const around = { ...surroundingsOf(plan) };
  const n = run.stages.length;
  return Float32Array.from({ length: run.hours }, (_, h) => {
    const at = (h * n + i) * KEPT;
    const [temperatureC, pressurePa, pressureDewPointC, vapourKgPerS, liquidKgPerS, caughtKgPerS, dryAirKgPerS] =
      run.figures.subarray(at, at + KEPT) as unknown as number[];
    if (i < 0 || Number.isNaN(temperatureC)) return Number.NaN;
    const station = {
      temperatureC,
      pressurePa,
      pressureDewPointC,
      vapourKgPerS,
      liquidKgPerS,
      caughtKgPerS,
      dryAirKgPerS,
    } as Station;
    const here = { ...around, roomTemperatureC: run.roomC[h * n + i] as number };
    return isWet(station, here) ? Number.POSITIVE_INFINITY : read(station, here) - limit;
  });
}

type OfLine = Exclude<SeriesId, { readonly stageId: string }>['of'];
type OfStage = Exclude<SeriesId['of'], OfLine>;

const OF_LINE: Readonly<Record<OfLine, (run: WeatherRun) => Series>> = {
  'all-drains': (run) => ({ name: 'All drains', quantity: 'waterFlow', values: caughtInAll(run), isWater: true }),
  'water-in': (run) => ({ name: 'Water drawn in', quantity: 'waterFlow', values: run.waterIn, isWater: true }),
  'intake-temperature': (run) => ({
    name: 'Air at the intake',
    quantity: 'temperature',
    values: run.intakeC,
    isWater: false,
  }),
  'intake-humidity': (run) => ({
    name: 'Humidity at the intake',
    quantity: 'share',
    values: run.intakeRh,
    isWater: false,
  }),
};

const water = (name: string, values: Float32Array): Series => ({ name, quantity: 'waterFlow', values, isWater: true });
const degrees = (name: string, values: Float32Array): Series => ({
  name,
  quantity: 'temperature',
  values,
  isWater: false,
});

/** By the place of the stage in the run. */
const OF_STAGE: Readonly<
  Record<OfStage, (run: WeatherRun, i: number, stage: Stage, plan: Plan) => Series | undefined>
> = {
  caught: (run, i, { name }) => water(name, figure(run, i, CAUGHT)),
  liquid: (run, i, { name }) => water(`Drops downstream of ${name}`, figure(run, i, LIQUID)),
  adsorbed: (run, i, { name }) => water(`Taken up by ${name}`, column(run, run.adsorbed, i)),
  'dew-point': (run, i, { name }) => degrees(`Pressure dew point downstream of ${name}`, figure(run, i, DEW_POINT)),
  temperature: (run, i, { name }) => degrees(`Air downstream of ${name}`, figure(run, i, 0)),
  room: (run, i, { name }) => degrees(`Room of ${name}`, column(run, run.roomC, i)),
  margin: (run, _i, stage, plan) => {
    if (stage.kind !== 'outlet') return undefined;
    const [{ quantity }] = outletCriteria(stage);
    return {
      name: `${stage.name}: over what it needs`,
      quantity: quantity === 'temperature' ? 'temperatureDifference' : quantity,
      values: outletExcess(plan, run, stage),
      isWater: false,
    };
  },
};

/**
 * A quantity of a run by its id; `undefined` where the line has no such stage any more.
 * @example seriesOf(plan, run, { of: 'all-drains' }).name // 'All drains'
 */
export function seriesOf(plan: Plan, run: WeatherRun, id: SeriesId): Series | undefined {
  if (!('stageId' in id)) return OF_LINE[id.of](run);
  const i = stageIndex(run, id.stageId);
  const stage = stageById(plan, id.stageId);
  return i < 0 || !stage ? undefined : OF_STAGE[id.of](run, i, stage, plan);
}

/**
 * What a run of a line can be asked for, in the order in which people ask.
 * @example seriesIds(plan, run).length // 17
 */
export function seriesIds(plan: Plan, run: WeatherRun): SeriesId[] {
  const stages = allStages(standing(plan));
  const there = (s: { id: string }): boolean => stageIndex(run, s.id) >= 0;
  const drains = stages.filter((s) => 'drain' in s.parameters && s.parameters.drain !== 'none' && there(s));
  const outlets = stages.filter((s) => s.kind === 'outlet' && there(s));
  const taking = stages.filter((s) => {
    const i = stageIndex(run, s.id);
    return i >= 0 && column(run, run.adsorbed, i).some((v) => v > 0);
  });
  return [
    { of: 'all-drains' },
    ...drains.map((s) => ({ of: 'caught' as const, stageId: s.id })),
    ...outlets.map((s) => ({ of: 'margin' as const, stageId: s.id })),
    ...outlets.map((s) => ({ of: 'dew-point' as const, stageId: s.id })),
    ...taking.map((s) => ({ of: 'adsorbed' as const, stageId: s.id })),
    ...stages
      .filter((s) => is(COOLERS, s.kind) && there(s))
      .map((s) => ({ of: 'temperature' as const, stageId: s.id })),
    ...stages
      .filter((s) => (is(COOLERS, s.kind) || is(CHILLED, s.kind)) && there(s))
      .map((s) => ({ of: 'room' as const, stageId: s.id })),
    { of: 'water-in' },
    { of: 'intake-temperature' },
    { of: 'intake-humidity' },
  ];
}

export const isYear = (run: WeatherRun): boolean => run.hours === YEAR_HOURS;
