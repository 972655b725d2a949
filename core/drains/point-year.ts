import type { Plan } from '../plan/plan';
import { hourAt } from '../year/calendar';
import type { WeatherRun } from '../year/run-weather';
import { caughtAt } from '../year/series';
import { DESIGN_EXCEEDED_HOURS, type DesignHour, dailyKg, designHour, hoursWhen, monthlyKg, peak } from '../year/sums';
import { collectingStages } from './duty';
import { isHumid, type TwoSeasons, twoSeasons } from './seasons';

/** What a year of weather brings to one drain. */
export interface PointYear {
  readonly stageId: string;
  readonly yearKg: number;
  readonly months: readonly number[];
  /** The hour that it is designed for, and the wettest of all; while the compressor is loaded. */
  readonly design: DesignHour;
  readonly peak: DesignHour;
  /** Water of the day that brings most, kg, and which. */
  readonly wettestDay: { readonly day: number; readonly kg: number };
  /** Of each month the wettest day, kg. */
  readonly wettestDays: readonly number[];
  readonly seasons: (TwoSeasons & { readonly humidDayKg: number; readonly dryDayKg: number }) | undefined;
  /** Coldest where it stands, and the hours below freezing. */
  readonly coldestC: number;
  readonly coldestHour: number;
  readonly frostHours: number;
  /** Days of the year with an hour of frost there, in order. */
  readonly frostDays: readonly number[];
  /** Water of each day, kg. */
  readonly days: ArrayLike<number>;
}

/**
 * @returns `undefined` where nobody works, or the stage is not in the run
 * @example pointYear(run, 'receiver').yearKg // 56.0
 */
export function pointYear(run: WeatherRun, stageId: string): PointYear | undefined {
  const i = run.stages.findIndex((s) => s.id === stageId);
  if (i < 0) return undefined;
  const values = caughtAt(run, stageId);
  const design = designHour(values, run.load, DESIGN_EXCEEDED_HOURS);
  const top = peak(values, run.load);
  if (!design || !top) return undefined;
  const days = dailyKg(values, run.load);
  const dayPeak = new Float64Array(days.length);
  const months = monthlyKg(values, run.load);
  let coldestHour = 0;
  const room = (h: number): number => run.roomC[h * run.stages.length + i] as number;
  for (let h = 0; h < run.hours; h++) {
    const day = Math.floor(h / 24);
    // What is above the design hour is borne by the margin; the seasons are parted by the rest.
    if ((run.load[h] as number) > 0)
      dayPeak[day] = Math.max(dayPeak[day] as number, Math.min(values[h] as number, design.value));
    if (room(h) < room(coldestHour)) coldestHour = h;
  }
  const seasons = twoSeasons(dayPeak);
  const wettest = days.reduce((best, kg, day) => (kg > best.kg ? { day, kg } : best), { day: 0, kg: 0 });
  const wettestDays = new Array<number>(12).fill(0);
  let [humidDayKg, dryDayKg] = [0, 0];
  days.forEach((kg, day) => {
    const month = hourAt(day * 24).month;
    wettestDays[month] = Math.max(wettestDays[month] as number, kg);
    if (seasons && isHumid(seasons, day)) humidDayKg = Math.max(humidDayKg, kg);
    else dryDayKg = Math.max(dryDayKg, kg);
  });
  return {
    stageId,
    yearKg: months.reduce((sum, kg) => sum + kg, 0),
    months,
    design,
    peak: top,
    wettestDay: wettest,
    wettestDays,
    seasons: seasons && { ...seasons, humidDayKg, dryDayKg },
    coldestC: room(coldestHour),
    coldestHour,
    frostDays: Array.from({ length: days.length }, (_, d) => d).filter((d) => {
      for (let h = 0; h < 24; h++) if (room(d * 24 + h) < 0) return true;
      return false;
    }),
    days,
    frostHours: hoursWhen(undefined, run.hours, (h) => room(h) < 0).hours,
  };
}

/** The setting that holds on a day: of its season, or of the whole year. */
export function seasonAt(year: PointYear, day: number): { peakKgPerS: number; dayKg: number; until?: number } {
  const { seasons } = year;
  if (!seasons) return { peakKgPerS: year.design.value, dayKg: year.wettestDay.kg };
  return isHumid(seasons, day)
    ? { peakKgPerS: seasons.humidPeak, dayKg: seasons.humidDayKg, until: seasons.dryFrom }
    : { peakKgPerS: seasons.dryPeak, dayKg: seasons.dryDayKg, until: seasons.humidFrom };
}

/**
 * What a run brings to each drain of the line that it is of, by the stage.
 * @example drainYears(plan, run).size // 5
 */
export const drainYears = (plan: Plan, run: WeatherRun): Map<string, PointYear> =>
  new Map(
    collectingStages(plan).flatMap(({ id }) => {
      const year = pointYear(run, id);
      return year ? [[id, year] as const] : [];
    }),
  );

/**
 * Water of a day of the year, kg.
 * @example dailyWaterKg(pointYear(run, 'receiver'), 0) // 0.215
 */
export const dailyWaterKg = (year: Pick<PointYear, 'days'>, day: number): number => year.days[day] ?? 0;
