import type { Sentence } from '../advice/rule';
import { CHILLED } from '../equipment/groups';
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

/** A stage through the hours of a year: the air in it, the water at it, and its room. */
interface Hours {
  readonly stage: Stage;
  readonly roomC: (h: number) => number;
  readonly leavesC: (h: number) => number;
  readonly dewPointC: (h: number) => number;
  /** Whether water is caught or carried on in any hour. */
  readonly wet: () => boolean;
}

interface Freezes extends Pick<WinterItem, 'does' | 'what' | 'how'> {
  readonly when: (h: number) => boolean;
}

const DRAIN_FREEZES: Readonly<Record<string, string>> = {
  timer: 'A timer dumps most of it; trace and insulate the drain and its line all the same.',
  manual: 'Drain it to the last drop each evening, or move it into the warm.',
};

/** What freezes at a stage that collects water. */
function atDrain({ stage, roomC, wet }: Hours): Freezes[] {
  if (stage.kind === 'pellet-tower' || !('drain' in stage.parameters) || !wet()) return [];
  const { drain } = stage.parameters;
  return [
    {
      when: (h) => roomC(h) < 0,
      does: drain === 'manual' ? 'drain down' : 'trace',
      what: 'Water that stands in it, and its drain, freezes.',
      how:
        DRAIN_FREEZES[drain] ??
        'Heat trace and insulate the drain, or move it into the warm: a float or sensor stands in water.',
    },
  ];
}

const inBowl = ({ roomC }: Hours): Freezes => ({
  when: (h) => roomC(h) < BRITTLE_C,
  does: 'drain down',
  what: 'A plastic bowl is brittle in frost.',
  how: 'Empty it each evening; a metal bowl where it is cold.',
});
const inChilled = ({ roomC }: Hours): Freezes => ({
  when: (h) => roomC(h) < DRYER_LEAST_C,
  does: 'move',
  what: (say) => `A refrigerated dryer must not run in a room under ${say(DRYER_LEAST_C, 'temperature')}.`,
  how: 'Move it into a warmer room, or ask its maker for a kit for low ambient; by-pass it in frost only where the pipe behind stays warmer than the air’s dew point.',
});
const inCooler = ({ roomC, leavesC }: Hours): Freezes => ({
  when: (h) => roomC(h) < COOLER_ROOM_C && leavesC(h) < COOLER_OUT_C,
  does: 'watch',
  what: 'The air comes out of it so cold that ice can close its tubes.',
  how: 'Let a thermostat stop the fan, or close a louvre in front of it.',
});
const inPipe =
  (how: string) =>
  ({ roomC, dewPointC }: Hours): Freezes => ({
    when: (h) => roomC(h) < 0 && dewPointC(h) > roomC(h) - PIPE_MARGIN_K,
    does: 'drain down',
    what: (say) =>
      `The dew point in it is not ${say(PIPE_MARGIN_K, 'temperatureDifference')} below the frost that it lies in.`,
    how,
  });
const inRigid = inPipe('A drier dew point, or blow out its low points each evening and let it slope.');
const inHose = inPipe('Empty and hang up the hose each evening.');

/** What else freezes, by kind. */
const BY_KIND: Partial<Record<Stage['kind'], (hours: Hours) => Freezes>> = {
  'bowl-filter': inBowl,
  'tool-filter': inBowl,
  ...Object.fromEntries(CHILLED.map((kind) => [kind, inChilled])),
  aftercooler: inCooler,
  'fluid-cooler': inCooler,
  'water-cooler': ({ roomC }) => ({
    when: (h) => roomC(h) < WATER_LEAST_C,
    does: 'drain down',
    what: 'Its water freezes and bursts the tubes.',
    how: 'Glycol in its water, or drain it when it stands.',
  }),
  'pellet-tower': ({ roomC }) => ({
    when: (h) => roomC(h) < BRINE_C,
    does: 'trace',
    what: 'Even brine freezes.',
    how: 'Trace the drain; calcium salts bear slightly more than rock salt.',
  }),
  pipe: inRigid,
  'cooling-run': inRigid,
  hose: inHose,
  'hose-reel': inHose,
};

/**
 * What of a line may freeze in a year of weather: drains and bowls with water, pipes through the cold, coolers, dryers, brine.
 * @source trade handbook, winterising; margins as cited
 * @example winterList(plan, run).length // 0
 */
export function winterList(plan: Plan, run: WeatherRun): WinterItem[] {
  const n = run.stages.length;
  const collecting = new Set(collectingStages(plan).map((s) => s.id));
  return run.stages
    .flatMap(({ id }, i): WinterItem[] => {
      const stage = stageById(plan, id);
      if (!stage) return [];
      const at = (h: number, which: number): number => run.figures[(h * n + i) * KEPT + which] as number;
      const hours: Hours = {
        stage,
        roomC: (h) => run.roomC[h * n + i] as number,
        leavesC: (h) => at(h, 0),
        dewPointC: (h) => at(h, DEW_POINT),
        wet: () => Array.from({ length: run.hours }, (_, h) => h).some((h) => at(h, 5) > 0 || at(h, 4) > 0),
      };
      const byKind = BY_KIND[stage.kind]?.(hours);
      return [...(collecting.has(id) ? atDrain(hours) : []), ...(byKind ? [byKind] : [])].flatMap(
        ({ when, ...item }) => {
          const found = winterHours(run, when);
          return found ? [{ stage, ...item, ...found }] : [];
        },
      );
    })
    .sort((a, b) => b.hours - a.hours);
}

/**
 * The coldest hour in which nobody heats: the temperature that is colder in so many hours of the year.
 * @example coldC([5, -3, 1, -8], 1) // -3
 */
export function coldC(values: ArrayLike<number>, colderHours: number): number {
  return Float32Array.from(values).sort()[Math.max(0, Math.round(colderHours))] as number;
}
