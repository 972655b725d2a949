import type { Plan, Stage } from '../plan/plan';

/** What a fault may change in a reading or a look besides what the walk shows. */
export type Misread =
  | 'temperature'
  | 'dew-point'
  | 'pressure'
  | 'cooling-air'
  | 'fan'
  | 'switches'
  | 'colour'
  | 'patterns'
  | 'plate'
  | 'cloth'
  | 'more-use'
  | 'opens'
  | 'in-the-morning'
  | 'coldest'
  | 'belt'
  | 'back-pressure'
  | 'one-tower'
  | 'brown'
  | 'creeps'
  | 'bypass'
  | 'good-gauge'
  | 'second-meter';

/** What is done about a fault: minutes, whether something is opened, and what its parts cost (estimates, no source). */
export const ACTS = {
  set: { says: 'Set', minutes: 10, opens: false, price: 0 },
  move: { says: 'Move', minutes: 90, opens: true, price: 40 },
  repair: { says: 'Repair', minutes: 45, opens: true, price: 120 },
} as const;
export type ActName = keyof typeof ACTS;

/** What can be wrong with a stage, put into the plan as it would show in the line. */
export interface Fault {
  readonly id: string;
  readonly says: string;
  /** What repairs it. */
  readonly repair: string;
  /** Of which kind that is; a repair where it is not said. */
  readonly act?: ActName;
  /** How often such a stage has it, times a year. Estimates: order of magnitude of workshop practice, no source. */
  readonly perYear: number;
  /** How bad it may be, from slight to full, in the fault’s own measure: a coarse grid to integrate over. */
  readonly sizes: readonly number[];
  /** Whether a stage can have it. */
  readonly canHave: (stage: Stage) => boolean;
  /** Parameters of the stage with the fault in it. */
  readonly changes: (stage: Stage, size: number) => Readonly<Record<string, string | number>>;
  /** What it changes besides the stage: the air around the line. */
  readonly changesPlan?: (plan: Plan, size: number) => Plan;
  /** Readings at the stage that are off by so much besides, SI: of a gauge, a meter, or air that nothing else shows. */
  readonly misreads?: (size: number) => readonly { readonly of: Misread; readonly by: number }[];
  /** Complaints that it brings up- and downstream of it besides those that a walk shows, by their ids. */
  readonly brings?: readonly string[];
  /** … and only at its own stage. */
  readonly bringsHere?: readonly string[];
  /** Tasks that keep it away: it is likelier where one of them is overdue. */
  readonly tasks: readonly string[];
  /** What is often bought for it, and does not help. */
  readonly notNeeded: string;
}

type Numbers = Readonly<Record<string, number>>;
export const numbersOf = (stage: Stage): Numbers => stage.parameters as unknown as Numbers;
export const has = (stage: Stage, ...fields: string[]): boolean => fields.every((f) => f in stage.parameters);
/**
 * How a stage is drained; nothing where it has no drain.
 * @example drainOf(plan.stages[0]) === undefined // true
 */
export const drainOf = ({ parameters }: Stage): string | undefined => (parameters as { drain?: string }).drain;
/**
 * Whether something drains a stage.
 * @example hasDrain(plan.stages[0]) // false
 */
export const hasDrain = (stage: Stage): boolean => !['none', undefined].includes(drainOf(stage));
export const catches = (stage: Stage): string | undefined =>
  ['settlingEfficiency', 'efficiency', 'separatorEfficiency', 'catchEfficiency'].find((f) => f in stage.parameters);
export const lessBy = (stage: Stage, field: string, share: number): Record<string, number> => ({
  [field]: (numbersOf(stage)[field] as number) * (1 - share),
});
/** A stage whose joints leak so much more, m³/s of free air. */
export const leaking = (stage: Stage, m3PerS: number): Record<string, number> => ({
  leakM3PerS: (numbersOf(stage).leakM3PerS ?? 0) + m3PerS,
});
/**
 * Whether a compressor is driven by a belt: pistons are, mostly (common practice, no source).
 * @example hasBelt(plan.stages[0]) // false
 */
export const hasBelt = (stage: Stage): boolean =>
  stage.kind === 'compressor' && String((stage.parameters as { type?: string }).type).startsWith('piston');

export function usesApproach(stage: Stage): boolean {
  const { method } = stage.parameters as { method?: string };
  return method === undefined || method === 'approach';
}

/** A fault, where it is, and how bad. */
export interface Placed {
  readonly fault: Fault;
  readonly stageId: string;
  readonly size: number;
}

/**
 * By how much faults make a reading at a stage wrong, SI.
 * @example misreadAt([], 'outlet', 'pressure') // 0
 */
export const misreadAt = (faults: readonly Placed[], stageId: string, of: string): number =>
  faults
    .flatMap((f) => (f.stageId === stageId ? (f.fault.misreads?.(f.size) ?? []) : []))
    .reduce((sum, m) => (m.of === of ? sum + m.by : sum), 0);
