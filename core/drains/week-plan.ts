import type { Sentence } from '../advice/rule';
import type { Drain } from '../equipment/shared/drain-fields';
import { DAY_MS, WATER_KG_PER_M3 } from '../quantity/constants';
import { spell } from '../quantity/spell';
import type { WeatherRun } from '../year/run-weather';
import { caughtAt } from '../year/series';
import { dailyKg } from '../year/sums';
import { handDraining, howOften } from './by-hand';
import { type DrainDuty, gathersPerStopM3 } from './duty';
import { CAPACITY_MARGIN } from './restart';
import { timerAt } from './timer';
import { bestTimer, floatCapacity, passesPerStopM3, timerDuty } from './ways';

const WETTER = 1.15; // less more than today is within what one reading is worth (estimate)

/** What to change at one drain before a day of the week, and why. */
export interface WeekChange {
  readonly stageId: string;
  readonly name: string;
  /** Midnight of the day before which it is to be done, on the shop’s clock. */
  readonly beforeMs: number;
  readonly does: Sentence;
  readonly why: Sentence;
  readonly parameters?: Readonly<Record<string, string | number>>;
}

/** The water of one drain through a week: each day’s, and the largest flow while the compressor is loaded. */
export interface PointWeek {
  readonly stageId: string;
  readonly daysKg: readonly number[];
  readonly peaksKgPerS: readonly number[];
}

/**
 * What comes to a drain in each day of a forecast.
 * @param firstHour of the run that counts
 * @example pointWeek(run, 'receiver', 0).daysKg[0] // 0.215
 */
export function pointWeek(run: WeatherRun, stageId: string, firstHour: number): PointWeek {
  const values = caughtAt(run, stageId);
  const peaks = new Array<number>(Math.ceil(run.hours / 24)).fill(0);
  for (let h = firstHour; h < run.hours; h++)
    if ((run.load[h] as number) > 0)
      peaks[Math.floor(h / 24)] = Math.max(peaks[Math.floor(h / 24)] as number, values[h] as number);
  const load = run.load.map((l, h) => (h < firstHour ? 0 : l));
  return { stageId, daysKg: Array.from(dailyKg(values, load)), peaksKgPerS: peaks };
}

/** The first day on which something is more than a limit. */
const firstOver = (values: readonly number[], limit: number): number => values.findIndex((v) => v > limit);

/** What a drain wants changed in a week: the day before which, and what. */
interface Wanted extends Pick<WeekChange, 'does' | 'why' | 'parameters'> {
  readonly day: number;
}

const flowsOf =
  (d: DrainDuty, week: PointWeek, text: string): Sentence =>
  (say) =>
    `${say(Math.max(...week.peaksKgPerS), 'waterFlow')} then, ${say(d.nowKgPerS, 'waterFlow')} today: ${text}`;

function wantedOfTimer(d: DrainDuty, week: PointWeek): Wanted {
  const { drainEveryS: everyS, drainOpenS: openS } = d.stage.parameters;
  const day = week.peaksKgPerS.findIndex((kg) => !timerAt(timerDuty(d, kg), { everyS, openS }).keepsUp);
  const best = bestTimer(d, Math.max(...week.peaksKgPerS));
  return best
    ? {
        day,
        does: `open ${spell(best.openS)} every ${spell(best.everyS)}`,
        why: flowsOf(d, week, `as it is set, ${spell(openS)} every ${spell(everyS)} would not let it all out.`),
        parameters: { drainEveryS: best.everyS, drainOpenS: best.openS },
      }
    : { day, does: 'drain it by hand besides', why: flowsOf(d, week, 'no timer is quick enough for its sump.') };
}

function wantedByHand(d: DrainDuty, { daysKg }: PointWeek): Wanted {
  const { sumpM3 } = d.stage.parameters;
  const perDay = daysKg.map((kg) => kg / WATER_KG_PER_M3 / sumpM3);
  const today = handDraining(d.nowKgPerS, sumpM3, d.loadedShare, d.workedHoursPerDay).perDay;
  return {
    day: firstOver(perDay, Math.max(1, today * WETTER)),
    does: `open it ${howOften(Math.max(...perDay), Math.max(...daysKg), d.stage.kind === 'pellet-tower')}`,
    why: (say) =>
      `${say(Math.max(...daysKg) / WATER_KG_PER_M3, 'drained')} come on that day, and it holds ${say(sumpM3, 'drained')} up to its mark.`,
  };
}

function wantedOfUnloader(d: DrainDuty, { peaksKgPerS }: PointWeek): Wanted {
  const passes = passesPerStopM3(d);
  return {
    day: peaksKgPerS.findIndex((kg) => gathersPerStopM3(d, kg) > passes),
    does: 'drain it by hand besides',
    why: (say) =>
      `${say(gathersPerStopM3(d, Math.max(...peaksKgPerS)), 'drained')} gathers between two stops, it passes ${say(passes, 'drained')}.`,
  };
}

const WANTED: Partial<Record<Drain, (d: DrainDuty, week: PointWeek) => Wanted>> = {
  timer: wantedOfTimer,
  manual: wantedByHand,
  unloader: wantedOfUnloader,
  'unloader-start': wantedOfUnloader,
  float: (d, week) => ({
    day: firstOver(week.peaksKgPerS, floatCapacity(d) / CAPACITY_MARGIN),
    does: 'test its float',
    why: flowsOf(d, week, 'close to all that it passes.'),
  }),
};

/**
 * Which settings to change in the week that is forecast, in the order of the days: a drain that keeps up today may not on
 * the humid day.
 * @param duties as they are today
 * @example weekPlan([duty], run, 0).length // 0
 */
export function weekPlan(duties: readonly DrainDuty[], run: WeatherRun, firstHour: number): WeekChange[] {
  return duties
    .flatMap((d): WeekChange[] => {
      const { id: stageId, name, parameters } = d.stage;
      const wanted = WANTED[parameters.drain]?.(d, pointWeek(run, stageId, firstHour));
      if (!wanted || wanted.day < 0) return [];
      const { day, ...change } = wanted;
      return [{ stageId, name, beforeMs: run.startMs + day * DAY_MS, ...change }];
    })
    .sort((a, b) => a.beforeMs - b.beforeMs);
}
