import { type Sentence, sayIn } from '../advice/rule';
import { receiverHeelM } from '../equipment/supply/receiver';
import { WATER_KG_PER_M3 } from '../quantity/constants';
import { spell } from '../quantity/spell';
import { sayDay } from '../year/calendar';
import { handDraining, howOften } from './by-hand';
import { type DrainDuty, gathersPerStopM3, kgPerDay, meanLossM3PerS, stopsPerDay } from './duty';
import { type PointYear, seasonAt } from './point-year';
import { LOSS, type TimerSetting, timerAt } from './timer';
import { bestTimer, FLOAT_LEAST_KG_PER_S, floatCapacity, passesPerStopM3, timerDuty, timerLossPerDay } from './ways';
import { sayHeight, sayWater } from './words';

/** How a drain does as it is set: over its mark or capacity, wasting air, holding, or with nothing to do. */
export type DrainMark = 'over' | 'wastes' | 'holds' | 'dry';

export interface JudgedSetting {
  readonly mark: DrainMark;
  readonly atSetting: Sentence;
  /** What would be better, and until when; nothing where it is as it should be. */
  readonly better?: Sentence;
  /** The parameters that make it so, where a parameter does. */
  readonly parameters?: Readonly<Record<string, string | number>>;
  /** What is to be set by hand, by season and from which day on; one where the year is even, none without a year. */
  readonly seasons: readonly { readonly fromDay: number; readonly setting: string }[];
}

const NOTHING_KG_PER_S = 1e-4 / 3600; // a tenth of a gram an hour is none

const inWords = ({ everyS, openS }: TimerSetting): string => `${spell(openS)} every ${spell(everyS)}`;

/** The same words with their last day. */
const until = (words: string, day: number | undefined, then: string | undefined): string =>
  day === undefined || then === undefined || words === then ? words : `${words} until ${sayDay(day)}, then ${then}`;

/** The setting of a drain for a peak and a day’s water. */
function settingFor(d: DrainDuty, peakKgPerS: number, dayKg: number): string {
  if (d.stage.parameters.drain === 'timer') {
    const set = bestTimer(d, peakKgPerS);
    return set ? inWords(set) : 'no timer is quick enough: one that senses the level';
  }
  const perDay = dayKg / WATER_KG_PER_M3 / d.stage.parameters.sumpM3;
  return howOften(perDay, dayKg, d.stage.kind === 'pellet-tower');
}

/** How much stands there at the next visit, in millimetres where it is a receiver. */
function heel(d: DrainDuty, kg: number): Sentence {
  const m3 = kg / WATER_KG_PER_M3;
  const { stage } = d;
  if (stage.kind !== 'receiver')
    return (say) => `${sayWater(say, m3)} a day; it holds ${sayWater(say, stage.parameters.sumpM3)}`;
  const { volumeM3, sumpM3, stands } = stage.parameters;
  return (say) =>
    `${sayHeight(say, receiverHeelM(volumeM3, m3, stands))} after a day, ${sayWater(say, m3)}; its mark is ${say(receiverHeelM(volumeM3, sumpM3, stands), 'size')}, ${sayWater(say, sumpM3)}`;
}

function judgeHand(d: DrainDuty): Omit<JudgedSetting, 'seasons' | 'better'> & { better: string } {
  const salty = d.stage.kind === 'pellet-tower';
  const kg = kgPerDay(d);
  const { perDay } = handDraining(d.nowKgPerS, d.stage.parameters.sumpM3, d.loadedShare, d.workedHoursPerDay);
  const stands = heel(d, kg);
  return {
    mark: perDay > 1 || salty ? 'over' : 'holds',
    atSetting: salty && perDay <= 1 ? (say) => `${sayIn(stands, say)}, and brine must not stand` : stands,
    better: howOften(perDay, kg, salty),
  };
}

function judgeTimer(d: DrainDuty, year: PointYear | undefined, day: number): Omit<JudgedSetting, 'seasons'> {
  const { drainEveryS, drainOpenS } = d.stage.parameters;
  const set = { everyS: drainEveryS, openS: drainOpenS };
  const peak = Math.max(d.nowKgPerS, year ? seasonAt(year, day).peakKgPerS : 0);
  const at = timerAt(timerDuty(d, peak), set);
  const now = timerAt(timerDuty(d, d.nowKgPerS), set);
  const share = d.deliveredKgPerS > 0 ? now.lostKgPerS / d.deliveredKgPerS : 0;
  const best = bestTimer(d, peak);
  const lostKg = timerLossPerDay(d, set);
  const mark = !at.keepsUp ? 'over' : share > LOSS.ideal ? 'wastes' : 'holds';
  const asItIs = best?.everyS === drainEveryS && best.openS === drainOpenS;
  return {
    mark,
    atSetting: (say) =>
      !at.keepsUp
        ? `${spell(drainOpenS)} every ${spell(drainEveryS)} does not let it all out: it needs ${spell(at.liquidS)}${at.fill > 1 ? ', and the sump runs over before' : ''}`
        : `${spell(drainOpenS)} every ${spell(drainEveryS)} loses ${say(meanLossM3PerS(d, lostKg), 'airLost')} of air on average`,
    ...((mark !== 'holds' || !best) &&
      !asItIs && {
        better: best
          ? (say) => `${inWords(best)}, loses ${say(meanLossM3PerS(d, timerLossPerDay(d, best)), 'airLost')}`
          : 'one that senses the level',
        parameters: best ? { drainEveryS: best.everyS, drainOpenS: best.openS } : { drain: 'level' },
      }),
  };
}

function judgePerStop(d: DrainDuty): Omit<JudgedSetting, 'seasons'> {
  const gathers = gathersPerStopM3(d, d.nowKgPerS);
  const passes = d.stage.parameters.drain === 'spitter' ? d.stage.parameters.drainPulseM3 : passesPerStopM3(d);
  const start = d.stage.parameters.drain === 'unloader-start';
  const never = !d.unloads || !d.cycle;
  const keepsUp = !never && gathers <= passes;
  return {
    mark: keepsUp ? 'holds' : 'over',
    atSetting: never
      ? 'nothing opens it: the compressor does not stop'
      : (say) =>
          `${say(Math.min(gathers, passes), 'drained')} each ${start ? 'start' : 'stop'}; ${Math.round(stopsPerDay(d))} a day ${keepsUp ? 'keep up' : `leave ${say((gathers - passes) * stopsPerDay(d), 'drained')} behind`}`,
    ...(!keepsUp && { better: 'one that senses the level', parameters: { drain: 'level' } }),
  };
}

function judgeFloat(d: DrainDuty): Omit<JudgedSetting, 'seasons'> {
  const most = floatCapacity(d);
  if (d.peakKgPerS > most)
    return {
      mark: 'over',
      atSetting: (say) => `passes ${say(most, 'massFlow')}; the peak is ${say(d.peakKgPerS, 'massFlow')}`,
      better: 'one that senses the level',
      parameters: { drain: 'level' },
    };
  const runsDry = d.nowKgPerS < FLOAT_LEAST_KG_PER_S;
  return {
    mark: 'holds',
    atSetting: (say) =>
      runsDry
        ? `seals from ${say(FLOAT_LEAST_KG_PER_S, 'waterFlow')}: with less its seat runs dry`
        : `seals from ${say(FLOAT_LEAST_KG_PER_S, 'waterFlow')}, passes up to ${say(most, 'massFlow')}`,
    better: runsDry ? 'test it weekly; by hand does as well' : 'test it weekly',
  };
}

/**
 * Judges one drain as it is set, today, and says what would be better in this season.
 * @example judgeSetting(duty).mark // 'holds'
 */
export function judgeSetting(d: DrainDuty, year?: PointYear, day = 0): JudgedSetting {
  const { drain } = d.stage.parameters;
  const seasons = seasonsOf(d, year);
  if (d.stage.checkFilter)
    return {
      mark: 'dry',
      atSetting: 'a check filter: water here means that something upstream of it failed',
      better: 'look weekly',
      seasons,
    };
  if (d.nowKgPerS < NOTHING_KG_PER_S && !(year && year.peak.value > NOTHING_KG_PER_S))
    return { mark: 'dry', atSetting: 'nothing comes here', better: 'look weekly', seasons };
  if (drain === 'manual') {
    const judged = judgeHand(d);
    const next = year ? seasonAt(year, day) : undefined;
    const then = next?.until === undefined || !year ? undefined : seasonAt(year, next.until);
    return {
      ...judged,
      better: until(judged.better, next?.until, then && settingFor(d, then.peakKgPerS, then.dayKg)),
      seasons,
    };
  }
  if (drain === 'timer') return { ...judgeTimer(d, year, day), seasons };
  if (drain === 'unloader' || drain === 'unloader-start' || drain === 'spitter') return { ...judgePerStop(d), seasons };
  if (drain === 'float') return { ...judgeFloat(d), seasons };
  if (drain === 'pressure-loss') {
    const holds = !d.charged && kgPerDay(d) / WATER_KG_PER_M3 <= d.stage.parameters.sumpM3;
    return {
      mark: holds ? 'holds' : 'over',
      atSetting: d.charged ? 'never opens: the line stays under pressure' : heel(d, kgPerDay(d)),
      ...(!holds && { better: 'a float drain', parameters: { drain: 'float' } }),
      seasons,
    };
  }
  return {
    mark: 'holds',
    atSetting: 'opens by itself and loses no air',
    better: 'press its test button weekly',
    seasons,
  };
}

function seasonsOf(d: DrainDuty, year: PointYear | undefined): JudgedSetting['seasons'] {
  const { drain } = d.stage.parameters;
  if (!year || (drain !== 'timer' && drain !== 'manual')) return [];
  const { seasons } = year;
  if (!seasons) return [{ fromDay: 0, setting: settingFor(d, year.design.value, year.wettestDay.kg) }];
  const humid = settingFor(d, seasons.humidPeak, seasons.humidDayKg);
  const dry = settingFor(d, seasons.dryPeak, seasons.dryDayKg);
  if (humid === dry) return [{ fromDay: 0, setting: humid }];
  return [
    { fromDay: seasons.humidFrom, setting: humid },
    { fromDay: seasons.dryFrom, setting: dry },
  ];
}

/**
 * When a catch pan or bottle is full, s of working time; nothing where there is none.
 * @example panFullS({ ...duty, stage: { ...stage('receiver'), parameters: { ...stage('receiver').parameters, panM3: 0.001 } } }) // 190643
 */
export function panFullS(d: DrainDuty): number | undefined {
  const { panM3 } = d.stage.parameters;
  return panM3 > 0 && d.nowKgPerS > 0 && d.loadedShare > 0
    ? (panM3 * WATER_KG_PER_M3) / d.nowKgPerS / d.loadedShare
    : undefined;
}
