import type { Basis } from '../air/enhancement-factor';
import type { Surroundings } from '../equipment/shared/kind';
import { packed, prepare } from '../line/prepare';
import { KEPT } from '../line/section';
import { walkPrepared } from '../line/walk';
import type { Plan, Stage } from '../plan/plan';
import { standing } from '../plan/runs';
import { surroundingsOf } from '../plan/surroundings';
import { calendarDayOf, loadByHour, spansOf, workedBetween } from '../plan/working-time';
import { DAY_MS } from '../quantity/constants';
import { placesThrough, throughYear } from './at-hour';
import { midnightMs, YEAR_HOURS } from './calendar';
import type { PlaceAir } from './place-air';
import type { WeatherHours } from './weather';

/** A line walked through hours of weather: of each hour what {@link FIGURES} names of each stage, and how the compressor was loaded. */
export interface WeatherRun {
  readonly hours: number;
  /** Of the first hour, on the shop's clock; the calendar of the year tells which days are worked. */
  readonly startMs: number;
  readonly stages: readonly Pick<Stage, 'id' | 'kind' | 'name'>[];
  /** {@link KEPT} figures a stage, stage by stage, hour by hour: those of a section. */
  readonly figures: Float32Array;
  /** Water that stays in media and that freezes out, kg/s, a number a stage and hour. */
  readonly adsorbed: Float32Array;
  readonly frozen: Float32Array;
  /** Share of each hour in which the compressor runs loaded; 0 while nobody works. */
  readonly load: Float32Array;
  readonly intakeC: Float32Array;
  readonly intakeRh: Float32Array;
  /** Temperature where each stage stands, a number a stage and hour, left out where all stand in one room. */
  readonly roomC: Float32Array;
  /** Water drawn in, kg/s while loaded. */
  readonly waterIn: Float32Array;
  /** Hours in which the walk was stopped, and the first reason. */
  readonly stopped: { readonly hours: number; readonly stageId?: string; readonly message?: string };
}

/**
 * Share of each hour in which the compressor runs loaded, by shifts, days off, holidays and how busy the hours are.
 * @example loadThrough(plan, 24, () => 0)[9] // 0.4
 */
export function loadThrough(plan: Plan, hours: number, midnightOf: (day: number) => number): Float32Array {
  const { working } = plan.survey;
  const byHour = loadByHour(working);
  const load = new Float32Array(hours);
  for (let day = 0; day * 24 < hours; day++) {
    const midnight = midnightOf(day);
    const spans = spansOf(working, calendarDayOf(midnight), calendarDayOf(midnight - DAY_MS));
    for (let h = 0; h < 24 && day * 24 + h < hours; h++)
      load[day * 24 + h] = workedBetween(spans, h, h + 1) * (byHour[h] as number);
  }
  return load;
}

/**
 * Walks a line through every hour of a stretch of weather: the same walk as of the Line screen, in the air of the hour.
 * The barometer stays that of the survey; what goes which way at a tee is by the demand of the survey.
 *
 * @param weather outdoors, hour by hour from a midnight on
 * @param when the calendar year that a year of weather is laid on; or for a shorter stretch the time of its first hour
 * @param onHour is told of the progress now and then; where it says false, the run stops and nothing is returned
 * @example runWeather(plan, weather, { startMs: Date.UTC(2026, 6, 1) }).hours // 8760
 */
export function runWeather(
  plan: Plan,
  weather: WeatherHours,
  when: { year: number } | { startMs: number },
  basis: Basis = 'real',
  onHour?: (done: number, of: number) => boolean,
): WeatherRun | undefined {
  const line = standing(throughYear(plan));
  const air = placesThrough(line, weather);
  const { survey } = line;
  const hours = Math.min(weather.temperatureC.length, YEAR_HOURS);
  const startMs = 'year' in when ? midnightMs(0, when.year) : when.startMs;
  const midnightOf =
    'year' in when ? (day: number) => midnightMs(day, when.year) : (day: number) => startMs + day * DAY_MS;
  const prepared = packed(prepare(line));
  const { stages } = prepared;
  const n = stages.length;
  const intake = air.get(survey.intakePlaceId) as PlaceAir;
  const room = air.get(survey.roomPlaceId) as PlaceAir;
  const rooms: Record<string, number> = {};
  const around: { -readonly [K in keyof Surroundings]: Surroundings[K] } = { ...surroundingsOf(line, basis), rooms };
  const figures = new Float32Array(hours * n * KEPT);
  const adsorbed = new Float32Array(hours * n);
  const frozen = new Float32Array(hours * n);
  const roomC = new Float32Array(hours * n);
  const intakeC = Float32Array.from({ length: hours }, (_, h) => intake.temperatureC[h] as number);
  const intakeRh = Float32Array.from({ length: hours }, (_, h) => intake.relativeHumidity[h] as number);
  const waterIn = new Float32Array(hours);
  const kept = new Float64Array(n * KEPT);
  const places = stages.map((s) => (s.place !== undefined && air.has(s.place) ? s.place : survey.roomPlaceId));
  let stopped: WeatherRun['stopped'] = { hours: 0 };
  for (let h = 0; h < hours; h++) {
    if (onHour && h % 24 === 0 && !onHour(h, hours)) return undefined;
    for (const [id, own] of air) rooms[id] = own.temperatureC[h] as number;
    around.roomTemperatureC = room.temperatureC[h] as number;
    around.intakeTemperatureC = intake.temperatureC[h] as number;
    around.intakeRelativeHumidity = intake.relativeHumidity[h] as number;
    const section = walkPrepared(prepared, around, kept);
    figures.set(kept, h * n * KEPT);
    waterIn[h] = section.waterInKgPerS;
    for (let i = 0; i < n; i++) {
      roomC[h * n + i] = rooms[places[i] as string] as number;
      const lost = section.lossesAt(i);
      if (!lost) continue;
      adsorbed[h * n + i] = lost.adsorbedKgPerS;
      frozen[h * n + i] = lost.frozenKgPerS;
    }
    const { problem } = section;
    if (problem) stopped = { stageId: problem.stageId, message: problem.message, ...stopped, hours: stopped.hours + 1 };
  }
  return {
    hours,
    startMs,
    stages: stages.map(({ id, kind, name }) => ({ id, kind, name })),
    figures,
    adsorbed,
    frozen,
    load: loadThrough(line, hours, midnightOf),
    intakeC,
    intakeRh,
    roomC,
    waterIn,
    stopped,
  };
}
