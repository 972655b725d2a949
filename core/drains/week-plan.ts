import type { Sentence } from '../advice/rule';
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

/**
 * Which settings to change in the week that is forecast, in the order of the days: a drain that keeps up today may not on
 * the humid day.
 * @param duties as they are today
 * @example weekPlan([duty], run, 0).length // 0
 */
export function weekPlan(duties: readonly DrainDuty[], run: WeatherRun, firstHour: number): WeekChange[] {
  const changes = duties.flatMap((d): WeekChange[] => {
    const { stage } = d;
    const { daysKg, peaksKgPerS } = pointWeek(run, stage.id, firstHour);
    const most = Math.max(...peaksKgPerS);
    const change = (
      day: number,
      does: Sentence,
      why: Sentence,
      parameters?: WeekChange['parameters'],
    ): WeekChange[] => [
      {
        stageId: stage.id,
        name: stage.name,
        beforeMs: run.startMs + day * DAY_MS,
        does,
        why,
        ...(parameters && { parameters }),
      },
    ];
    const flows: Sentence = (say) => `${say(most, 'waterFlow')} then, ${say(d.nowKgPerS, 'waterFlow')} today`;
    const withFlows =
      (text: string): Sentence =>
      (say) =>
        `${(flows as Exclude<Sentence, string>)(say)}: ${text}`;
    if (stage.parameters.drain === 'timer') {
      const set = { everyS: stage.parameters.drainEveryS, openS: stage.parameters.drainOpenS };
      const day = peaksKgPerS.findIndex((kg) => !timerAt(timerDuty(d, kg), set).keepsUp);
      if (day < 0) return [];
      const best = bestTimer(d, most);
      return best
        ? change(
            day,
            `open ${spell(best.openS)} every ${spell(best.everyS)}`,
            withFlows(`as it is set, ${spell(set.openS)} every ${spell(set.everyS)} would not let it all out.`),
            { drainEveryS: best.everyS, drainOpenS: best.openS },
          )
        : change(day, 'drain it by hand besides', withFlows('no timer is quick enough for its sump.'));
    }
    if (stage.parameters.drain === 'manual') {
      const perDay = daysKg.map((kg) => kg / WATER_KG_PER_M3 / stage.parameters.sumpM3);
      const today = handDraining(d.nowKgPerS, stage.parameters.sumpM3, d.loadedShare, d.workedHoursPerDay).perDay;
      const day = firstOver(perDay, Math.max(1, today * WETTER));
      if (day < 0) return [];
      const worst = Math.max(...perDay);
      return change(
        day,
        `open it ${howOften(worst, Math.max(...daysKg), stage.kind === 'pellet-tower')}`,
        (say) =>
          `${say(Math.max(...daysKg) / WATER_KG_PER_M3, 'drained')} come on that day, and it holds ${say(stage.parameters.sumpM3, 'drained')} up to its mark.`,
      );
    }
    if (stage.parameters.drain === 'unloader' || stage.parameters.drain === 'unloader-start') {
      const passes = passesPerStopM3(d);
      const day = peaksKgPerS.findIndex((kg) => gathersPerStopM3(d, kg) > passes);
      return day < 0
        ? []
        : change(
            day,
            'drain it by hand besides',
            (say) =>
              `${say(gathersPerStopM3(d, most), 'drained')} gathers between two stops, it passes ${say(passes, 'drained')}.`,
          );
    }
    if (stage.parameters.drain === 'float') {
      const day = firstOver(peaksKgPerS, floatCapacity(d) / CAPACITY_MARGIN);
      return day < 0 ? [] : change(day, 'test its float', withFlows('close to all that it passes.'));
    }
    return [];
  });
  return changes.sort((a, b) => a.beforeMs - b.beforeMs);
}
