import { CATCHERS, COOLERS, DRYERS, FILTERS, is } from '../../equipment/groups';
import type { Fault } from '../../fault/faults';
import type { Section } from '../../line/section';
import type { Plan, Stage } from '../../plan/plan';
import { allStages, pathTo, stageById, standing } from '../../plan/runs';
import { freeAirKgPerM3, surroundingsAt, surroundingsOf } from '../../plan/surroundings';

/** What is read or measured at a stage to part causes. */
export interface Check {
  /** Unique in a line. */
  readonly id: string;
  readonly stageId: string;
  readonly of: CheckName;
}

/** What is needed for a check. */
export const TOOLS = {
  thermometer: 'thermometer',
  gauge: 'pressure gauge',
  cup: 'measuring cup',
  meter: 'dew-point meter',
  watch: 'stopwatch',
} as const;
export type Tool = keyof typeof TOOLS;

/** A kind of check: what it reads, how well, and what it takes. */
interface CheckKind {
  readonly label: string;
  readonly how: string;
  readonly quantity: 'temperature' | 'pressure' | 'pressureDifference' | 'waterFlow' | 'volumeFlow' | 'drained';
  /** Standard uncertainty of instrument and model together: absolute in SI, and relative. */
  readonly abs: number;
  readonly rel: number;
  readonly minutes: number;
  /** What it is read with. */
  readonly tool: Tool;
  /** For so long the line stands still, minutes: work waits meanwhile. */
  readonly standsMin: number;
  readonly cautions: readonly string[];
  readonly canRead: (stage: Stage) => boolean;
  readonly read: (section: Section, plan: Plan, stageId: string) => number | undefined;
}

/** What stands behind a drain that works, of what it holds (estimate). */
const GATHERED = 0.1;

const beforeOf = (plan: Plan, stageId: string): string | undefined => pathTo(plan, stageId).at(-2)?.id;

/** Minutes are estimates of common practice, no source (in `standsMin` the line is shut off); uncertainties as the trade handbook has them for such readings. */
export const CHECKS = {
  temperature: {
    label: 'Temperature of the air',
    how: 'Thermometer on tape or matt paint on the pipe, insulated, 15 to 30 cm downstream, in steady running.',
    quantity: 'temperature',
    abs: 2.5,
    rel: 0,
    minutes: 5,
    tool: 'thermometer',
    standsMin: 0,
    cautions: ['C09'],
    canRead: (s) => is(COOLERS, s.kind) || s.kind === 'receiver' || s.kind === 'compressor',
    read: (section, _plan, id) => section.at(id)?.temperatureC,
  },
  'cooling-air': {
    label: 'Temperature of the air that cools it',
    how: 'Thermometer in the shade, where the air goes in, while it runs.',
    quantity: 'temperature',
    abs: 1.5,
    rel: 0,
    minutes: 3,
    tool: 'thermometer',
    standsMin: 0,
    cautions: ['C09'],
    canRead: (s) => is(COOLERS, s.kind) && s.kind !== 'water-cooler',
    read: (_section, plan, id) => {
      const stage = stageById(plan, id);
      return stage && surroundingsAt(plan, stage).roomTemperatureC;
    },
  },
  'dew-point': {
    label: 'Pressure dew point',
    how: 'Meter on a short line of steel or PTFE, at line pressure; wait until it has settled.',
    quantity: 'temperature',
    abs: 3,
    rel: 0,
    minutes: 20,
    tool: 'meter',
    standsMin: 0,
    cautions: [],
    canRead: (s) => is(DRYERS, s.kind) || s.kind === 'outlet',
    read: (section, _plan, id) => section.at(id)?.pressureDewPointC,
  },
  pressure: {
    label: 'Pressure in flow',
    how: 'Gauge at this place while the tool runs.',
    quantity: 'pressure',
    abs: 1.5e4,
    rel: 0,
    minutes: 5,
    tool: 'gauge',
    standsMin: 0,
    cautions: ['C07'],
    canRead: (s) => s.kind === 'regulator' || s.kind === 'outlet' || s.kind === 'receiver',
    read: (section, _plan, id) => section.at(id)?.pressurePa,
  },
  drop: {
    label: 'Pressure drop over it, in flow',
    how: 'One gauge, moved by a valve from before to behind it, or its indicator.',
    quantity: 'pressureDifference',
    abs: 4e3,
    rel: 0.25,
    minutes: 6,
    tool: 'gauge',
    standsMin: 0,
    cautions: [],
    canRead: (s) => is(FILTERS, s.kind) || is(DRYERS, s.kind) || s.kind === 'hose' || s.kind === 'hose-reel',
    read: (section, plan, id) => {
      const [before, own] = [section.at(beforeOf(plan, id)), section.at(id)];
      return before && own && before.pressurePa - own.pressurePa;
    },
  },
  catch: {
    label: 'Water that its drain gives in an hour of loaded running',
    how: 'Empty it, let it run loaded for a known time, and catch what comes in a measuring cup.',
    quantity: 'waterFlow',
    abs: 5e-6, // what clings to cup and bowl: 18 mL an hour
    rel: 0.2,
    minutes: 15,
    tool: 'cup',
    standsMin: 0,
    cautions: ['C20'],
    canRead: (s) => is(CATCHERS, s.kind) || s.kind === 'receiver' || is(DRYERS, s.kind),
    read: (section, _plan, id) => section.at(id)?.caughtKgPerS,
  },
  held: {
    label: 'Water that stands behind its drain',
    how: 'Open the drain by hand, pointed away from people, and catch what comes at once.',
    quantity: 'drained',
    abs: 1e-5,
    rel: 0.3,
    minutes: 4,
    tool: 'cup',
    standsMin: 0,
    cautions: ['C20'],
    canRead: (s) => is(CATCHERS, s.kind) || s.kind === 'receiver' || is(DRYERS, s.kind),
    read: (section, plan, id) => {
      const { drain, sumpM3 } = (stageById(plan, id)?.parameters ?? {}) as { drain?: string; sumpM3?: number };
      if (sumpM3 === undefined) return undefined;
      // Where nothing empties it, it is full of what comes; otherwise little has gathered since it opened last.
      const comes = (section.at(beforeOf(plan, id))?.liquidKgPerS ?? 0) > 0;
      return drain === 'none' && comes ? sumpM3 : GATHERED * sumpM3;
    },
  },
  delivery: {
    label: 'What the compressor delivers, by pump-up',
    how: 'Shut the tank off downstream, drain it, time it from one pressure to another.',
    quantity: 'volumeFlow',
    abs: 0,
    rel: 0.06,
    minutes: 10,
    tool: 'watch',
    standsMin: 10,
    cautions: ['C20'],
    canRead: (s) => s.kind === 'compressor',
    read: (section, plan, id) => {
      const at = section.at(id);
      return at && at.dryAirKgPerS / freeAirKgPerM3(surroundingsOf(plan));
    },
  },
} as const satisfies Record<string, CheckKind>;
export type CheckName = keyof typeof CHECKS;

/**
 * A kind of check by its name.
 * @example checkKind('temperature').minutes // 5
 */
export const checkKind = (of: CheckName): CheckKind => CHECKS[of];

/**
 * Everything that can be read on a line.
 * @example checksOf(plan)[0].id // 'compressor temperature'
 */
export function checksOf(plan: Plan): Check[] {
  return allStages(standing(plan)).flatMap((stage) =>
    (Object.keys(CHECKS) as CheckName[])
      .filter((of) => checkKind(of).canRead(stage))
      .map((of) => ({ id: `${stage.id} ${of}`, stageId: stage.id, of })),
  );
}

/** A fault, where it is, and how bad. */
export interface Placed {
  readonly fault: Fault;
  readonly stageId: string;
  readonly size: number;
}

/**
 * What a check reads on a line that has faults in it.
 * @param plan the plan with the faults, and its walk
 * @param faults for gauges and meters that they make read wrong
 * @returns SI; nothing where it cannot be read
 * @example readUnder(plan, section, [], { id: '', stageId: 'fine', of: 'drop' }) > 0 // true
 */
export function readUnder(
  plan: Plan,
  section: Section,
  faults: readonly Placed[],
  { of, stageId }: Check,
): number | undefined {
  const value = checkKind(of).read(section, plan, stageId);
  if (value === undefined || Number.isNaN(value)) return undefined;
  return faults.reduce((sum, f) => {
    const misread = f.stageId === stageId ? f.fault.misreads?.(f.size) : undefined;
    return misread?.of === of ? sum + misread.by : sum;
  }, value);
}

/**
 * What a check costs: its minutes, and those in which the line stands.
 * @example costMin('delivery') // 20
 */
export const costMin = (of: CheckName): number => checkKind(of).minutes + checkKind(of).standsMin;
