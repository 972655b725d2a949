import { TRIPLE_POINT_C } from '../air/saturation';
import { aheadOfCheck } from '../day/compressor-unit';
import { type CompressorCycle, compressorCycle } from '../day/cycle';
import type { Drain } from '../equipment/shared/drain-fields';
import { airBalance } from '../line/balance';
import type { Section, Station } from '../line/section';
import { energyPerM3 } from '../line/waterfall';
import { loadedHoursPerDay } from '../line/working-day';
import { drainPoints } from '../plan/edit';
import type { Plan, Stage } from '../plan/plan';
import { allStages, pathTo, runsOf, standing } from '../plan/runs';
import { inPlace, surroundingsOf } from '../plan/surroundings';
import { hoursOfWeek, hoursPerWeek } from '../plan/working-time';
import { WATER_KG_PER_M3, WORKING_WEEKS } from '../quantity/constants';

/** A stage with a place for a drain. */
export type Collecting = Stage & {
  readonly parameters: {
    readonly drain: Drain;
    readonly drainPulseM3: number;
    readonly drainEveryS: number;
    readonly drainOpenS: number;
    readonly drainBoreM: number;
    readonly drainPower: string;
    readonly sumpM3: number;
    readonly panM3: number;
  };
};

/** Everything that decides how a place is drained. */
export interface DrainDuty {
  readonly stage: Collecting;
  readonly station: Station;
  /** Water that comes while the compressor is loaded, kg/s: today, and at the hour that drains are designed for. */
  readonly nowKgPerS: number;
  readonly peakKgPerS: number;
  /** Whether the peak comes from a year of weather, or is today’s for want of one. */
  readonly peakFrom: 'year' | 'today';
  readonly loadedShare: number;
  readonly workedHoursPerDay: number;
  readonly workedDaysPerYear: number;
  readonly workedHoursPerYear: number;
  readonly loadedHoursPerDay: number;
  /** Loads of the compressor in an hour at its average demand, and loaded time each; nothing where it never rests. */
  readonly cycle: CompressorCycle | undefined;
  readonly unloads: boolean;
  /** The unloader blows it out whole: it stands upstream of the check valve. */
  readonly blownOut: boolean;
  /** Behind the check valve or the receiver the unloader has nothing to blow off. */
  readonly behindTank: boolean;
  readonly charged: boolean;
  readonly power: 'yes' | 'no' | 'not-said';
  readonly hazardous: boolean;
  readonly rusty: boolean;
  readonly strained: boolean;
  readonly emulsion: boolean;
  readonly remembers: 'daily' | 'forgotten' | 'not-said';
  /** Coldest that it gets there, °C. */
  readonly coldestC: number;
  readonly atmosphericPa: number;
  /** What the compressors deliver, kg/s of dry air; free air in a kilogram, m³; energy in it, kWh. */
  readonly deliveredKgPerS: number;
  readonly m3PerKg: number;
  readonly kWhPerKg: number;
}

/** What a year of weather adds to a duty. */
export interface DutyOfYear {
  readonly peakKgPerS: number;
  readonly coldestC: number;
}

/**
 * The stages of a line with a drain, in the order of flow.
 * @example collectingStages(plan).map((s) => s.id) // ["separator","receiver","coalescing-filter","refrigerated-dryer","fine"]
 */
export const collectingStages = (plan: Plan): Collecting[] => drainPoints(plan) as Collecting[];

/**
 * What there is to know of draining one place.
 * @param year what the year of weather brings there; left out, today’s is taken as the worst, and said so
 * @returns `undefined` where the walk does not come there
 * @example dutyOf(plan, section, stage('receiver')).nowKgPerS // 0.0000131
 */
export function dutyOf(plan: Plan, section: Section, stage: Collecting, year?: DutyOfYear): DrainDuty | undefined {
  const station = section.at(stage.id);
  if (!station) return undefined;
  const line = standing(plan);
  const around = surroundingsOf(line);
  const { working, site, pipe } = line.survey;
  const stages = allStages(line);
  const path = pathTo(line, stage.id);
  const compressor = path.find((s) => s.kind === 'compressor') ?? stages.find((s) => s.kind === 'compressor');
  const tank = stages.find((s) => s.kind === 'receiver');
  const balance = airBalance(line, section);
  const run = runsOf(line).find((r) => r.stages.includes(stage as Stage));
  const steady = compressor?.parameters.control === 'speed';
  const cycle =
    compressor && tank && !steady
      ? compressorCycle(
          tank.parameters.volumeM3,
          compressor.parameters.cutInPa,
          compressor.parameters.cutOutPa,
          compressor.parameters.freeAirDeliveryM3PerS,
          balance.usedM3PerS + balance.lostM3PerS,
          around.atmosphericPa,
        )
      : undefined;
  const { dryAirKgPerS } = section;
  const m3PerKg = dryAirKgPerS > 0 ? balance.deliveredM3PerS / dryAirKgPerS : 0;
  const ows = stages.find((s) => s.kind === 'oil-water-separator');
  return {
    stage,
    station,
    nowKgPerS: station.caughtKgPerS,
    peakKgPerS: Math.max(station.caughtKgPerS, year?.peakKgPerS ?? 0),
    peakFrom: year ? 'year' : 'today',
    loadedShare: working.loadedShare,
    workedHoursPerDay: Math.max(...hoursOfWeek(working)),
    workedDaysPerYear: hoursOfWeek(working).filter((h) => h > 0).length * WORKING_WEEKS,
    workedHoursPerYear: hoursPerWeek(working) * WORKING_WEEKS,
    loadedHoursPerDay: loadedHoursPerDay(line),
    cycle: cycle && Number.isFinite(cycle.loadedS) && cycle.startsPerHour > 0 ? cycle : undefined,
    unloads: compressor !== undefined && !steady,
    blownOut: run !== undefined && run.from === null && aheadOfCheck(run).some((s) => s.id === stage.id),
    behindTank: path.slice(0, -1).some((s) => s.kind === 'check-valve' || s.kind === 'receiver'),
    charged: working.overnight === 'charged',
    power: stage.parameters.drainPower as DrainDuty['power'],
    hazardous: site.area !== 'none',
    rusty: pipe === 'rusting' || (stage.kind === 'receiver' && stage.parameters.strainer !== 'fitted'),
    strained: stage.kind === 'receiver' && stage.parameters.strainer === 'fitted',
    emulsion: ows?.kind === 'oil-water-separator' && ows.parameters.oil === 'emulsion',
    remembers: site.remembers,
    coldestC: year?.coldestC ?? inPlace(around, stage.place).roomTemperatureC,
    atmosphericPa: around.atmosphericPa,
    deliveredKgPerS: dryAirKgPerS,
    m3PerKg,
    kWhPerKg: (energyPerM3(plan) * m3PerKg) / 3.6e6,
  };
}

/**
 * Water that comes to a drain on a working day, kg.
 * @param kgPerS while the compressor runs loaded; left out, what comes now
 * @example kgPerDay(duty) // 0.170
 */
export const kgPerDay = (d: DrainDuty, kgPerS = d.nowKgPerS): number => kgPerS * d.loadedHoursPerDay * 3600;

export const isFreezing = (d: DrainDuty): boolean => d.coldestC < TRIPLE_POINT_C;

/** Hours of a day in which the line stands under pressure, so that a timer goes on blowing. */
export const pressureHours = (d: DrainDuty): number => (d.charged ? 24 : d.workedHoursPerDay);

/**
 * Air lost in a day as a flow over the hours in which the line stands under pressure, m³/s of free air.
 * @param kgPerDayLost kg of air
 * @example meanLossM3PerS(duty, 10) // 0.0000990
 */
export const meanLossM3PerS = (d: DrainDuty, kgPerDayLost: number): number =>
  (kgPerDayLost * d.m3PerKg) / (pressureHours(d) * 3600);

/**
 * Water that gathers between two stops of the compressor, m³; unlimited where it does not stop.
 * @example gathersPerStopM3(duty) // 0.00000225
 */
export function gathersPerStopM3(d: DrainDuty, kgPerS = d.peakKgPerS): number {
  return d.cycle ? (kgPerS * d.cycle.loadedS) / WATER_KG_PER_M3 : Number.POSITIVE_INFINITY;
}

/**
 * Stops of the compressor on a working day.
 * @returns a number, 0 where the compressor never rests
 * @example stopsPerDay(duty) // 80.2
 */
export const stopsPerDay = (d: DrainDuty): number => (d.cycle ? d.cycle.startsPerHour * d.workedHoursPerDay : 0);
