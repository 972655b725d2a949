import type { Sentence } from '../advice/rule';
import { CHILLED, is } from '../equipment/groups';
import { DEW_POINT, KEPT } from '../line/section';
import type { Plan, Stage } from '../plan/plan';
import { stageById } from '../plan/runs';
import type { WeatherRun } from '../year/run-weather';
import { collectingStages } from './duty';

/** What may freeze, where, for how long, and what to do before. */
export interface WinterItem {
  readonly stage: Stage;
  readonly what: Sentence;
  /** Drain down, trace, move, or watch: what goes on the list. */
  readonly does: 'drain down' | 'trace' | 'move' | 'watch';
  readonly how: Sentence;
  /** Hours of the year in which it may happen, and the first and last of them from July on. */
  readonly hours: number;
  readonly firstHour: number;
  readonly lastHour: number;
}

// Trade handbook (winterising), °F there.
const BRITTLE_C = 0; // plastic bowls, 32 °F and below
const DRYER_LEAST_C = 4.4; // 40 °F
const COOLER_ROOM_C = -6.7; // 20 °F
const COOLER_OUT_C = 4.4; // 40 °F
const WATER_LEAST_C = 1.7; // 35 °F
const PIPE_MARGIN_K = 10; // 18 °F below the lowest temperature (ISA-7.0.01, recalled)
const BRINE_C = -21.1; // sodium chloride, its eutectic (handbooks of chemistry)
const HALF_YEAR_H = 4380;

/** Hours of a run in which something holds, with the first and last of a winter: counted from July where it is of the north. */
function winterHours(
  run: WeatherRun,
  holds: (h: number) => boolean,
): Pick<WinterItem, 'hours' | 'firstHour' | 'lastHour'> | undefined {
  let hours = 0;
  let [first, last] = [-1, -1];
  // A winter is looked for in one piece: from midsummer to midsummer.
  const start = run.hours > HALF_YEAR_H ? warmest(run) : 0;
  for (let i = 0; i < run.hours; i++) {
    const h = (start + i) % run.hours;
    if (!holds(h)) continue;
    hours++;
    if (first < 0) first = h;
    last = h;
  }
  return hours > 0 ? { hours, firstHour: first, lastHour: last } : undefined;
}

/** The middle of the warm half of the year, by the air at the intake. */
function warmest(run: WeatherRun): number {
  let best = 0;
  let most = Number.NEGATIVE_INFINITY;
  for (let from = 0; from < run.hours; from += 24) {
    let sum = 0;
    for (let i = 0; i < 90; i++) sum += run.intakeC[(from + i * 24 + 12) % run.hours] as number;
    if (sum > most) [most, best] = [sum, from];
  }
  return (best + 45 * 24) % run.hours;
}

/**
 * What of a line may freeze in a year of weather: drains and bowls with water, pipes through the cold, coolers, dryers, brine.
 * @source trade handbook, winterising; margins as cited
 * @example winterList(plan, run).length // 0
 */
export function winterList(plan: Plan, run: WeatherRun): WinterItem[] {
  const n = run.stages.length;
  const at = (i: number, h: number, which: number): number => run.figures[(h * n + i) * KEPT + which] as number;
  const collecting = new Set(collectingStages(plan).map((s) => s.id));
  const items: WinterItem[] = [];
  run.stages.forEach(({ id }, i) => {
    const stage = stageById(plan, id);
    if (!stage) return;
    const room = (h: number): number => run.roomC[h * n + i] as number;
    const add = (holds: (h: number) => boolean, does: WinterItem['does'], what: Sentence, how: Sentence): void => {
      const hours = winterHours(run, holds);
      if (hours) items.push({ stage, does, what, how, ...hours });
    };
    const wet = (h: number): boolean => at(i, h, 5) > 0 || at(i, h, 4) > 0;
    if (collecting.has(id) && stage.kind !== 'pellet-tower') {
      const anyWater = Array.from({ length: run.hours }, (_, h) => h).some(wet);
      if (anyWater) {
        const { drain } = stage.parameters as unknown as { drain: string };
        add(
          (h) => room(h) < 0,
          drain === 'manual' ? 'drain down' : 'trace',
          'Water that stands in it, and its drain, freezes.',
          drain === 'timer'
            ? 'A timer dumps most of it; trace and insulate the drain and its line all the same.'
            : drain === 'manual'
              ? 'Drain it to the last drop each evening, or move it into the warm.'
              : 'Heat trace and insulate the drain, or move it into the warm: a float or sensor stands in water.',
        );
      }
    }
    if (stage.kind === 'bowl-filter' || stage.kind === 'tool-filter')
      add(
        (h) => room(h) < BRITTLE_C,
        'drain down',
        'A plastic bowl is brittle in frost.',
        'Empty it each evening; a metal bowl where it is cold.',
      );
    if (is(CHILLED, stage.kind))
      add(
        (h) => room(h) < DRYER_LEAST_C,
        'move',
        (say) => `A refrigerated dryer must not run in a room under ${say(DRYER_LEAST_C, 'temperature')}.`,
        'Move it into a warmer room, or ask its maker for a kit for low ambient; by-pass it in frost only where the pipe behind stays warmer than the air’s dew point.',
      );
    if (stage.kind === 'aftercooler' || stage.kind === 'fluid-cooler')
      add(
        (h) => room(h) < COOLER_ROOM_C && at(i, h, 0) < COOLER_OUT_C,
        'watch',
        'The air comes out of it so cold that ice can close its tubes.',
        'Let a thermostat stop the fan, or close a louvre in front of it.',
      );
    if (stage.kind === 'water-cooler')
      add(
        (h) => room(h) < WATER_LEAST_C,
        'drain down',
        'Its water freezes and bursts the tubes.',
        'Glycol in its water, or drain it when it stands.',
      );
    if (stage.kind === 'pellet-tower')
      add(
        (h) => room(h) < BRINE_C,
        'trace',
        'Even brine freezes.',
        'Trace the drain; calcium salts bear slightly more than rock salt.',
      );
    if (stage.kind === 'pipe' || stage.kind === 'hose' || stage.kind === 'hose-reel' || stage.kind === 'cooling-run')
      add(
        (h) => room(h) < 0 && at(i, h, DEW_POINT) > room(h) - PIPE_MARGIN_K,
        'drain down',
        (say) =>
          `The dew point in it is not ${say(PIPE_MARGIN_K, 'temperatureDifference')} below the frost that it lies in.`,
        stage.kind === 'pipe' || stage.kind === 'cooling-run'
          ? 'A drier dew point, or blow out its low points each evening and let it slope.'
          : 'Empty and hang up the hose each evening.',
      );
  });
  return items.sort((a, b) => b.hours - a.hours);
}

/**
 * The coldest hour in which nobody heats: the temperature that is colder in so many hours of the year.
 * @example coldC([5, -3, 1, -8], 1) // -3
 */
export function coldC(values: ArrayLike<number>, colderHours: number): number {
  return Float32Array.from(values).sort()[Math.max(0, Math.round(colderHours))] as number;
}
