import type { OutletStage } from '../line/outlet-criteria';
import type { Plan } from '../plan/plan';
import { allStages, standing } from '../plan/runs';
import type { Working } from '../plan/survey';

/** When an outlet blows in the course of a day. */
export interface Use {
  readonly stageId: string;
  /** Free air while in use. */
  readonly flowM3PerS: number;
  /** From the beginning of one use to that of the next, s; where its turn begins in it, 0…1. */
  readonly periodS: number;
  readonly phase: number;
  /** Of each hour of the clock in which it blows, 0…1. */
  readonly shareByHour: readonly number[];
}

const ROUNDING_S = 1e-6;
const GOLDEN = 0.618034; // spreads the beginnings of uses evenly, whatever their number

/** How busy each hour of the clock is beside the mean of the working hours: 0 outside them. */
export function busyness(working: Working): number[] {
  const hours = Array.from({ length: 24 }, (_, h) => {
    const worked = Math.max(0, Math.min(h + 1, working.endsAtH) - Math.max(h, working.startsAtH));
    return { worked, busy: working.busyByHour?.[h] ?? 1 };
  });
  const worked = hours.reduce((sum, h) => sum + h.worked, 0);
  const mean = hours.reduce((sum, h) => sum + h.worked * h.busy, 0) / worked;
  return hours.map((h) => (h.worked > 0 && mean > 0 ? h.busy / mean : 0));
}

/**
 * The uses of a day: each outlet blows for its share of every working hour, in stretches as long as one use lasts, with
 * the beginnings spread so that they do not all fall together. Outlets that take turns follow one another.
 * @example usesOf(plan).length // 2
 */
export function usesOf(plan: Plan): Use[] {
  const busy = busyness(plan.survey.working);
  const outlets = allStages(standing(plan)).filter((s): s is OutletStage => s.kind === 'outlet');
  const turns = new Map<string, number>();
  return outlets.flatMap((stage, i) => {
    const { flowM3PerS, usedShare, useLastsS, turns: group } = stage.parameters;
    if (flowM3PerS === 0 || usedShare === 0) return [];
    const shareByHour = busy.map((b) => Math.min(1, usedShare * b));
    if (group === 'none')
      return [{ stageId: stage.id, flowM3PerS, periodS: useLastsS / usedShare, phase: (i * GOLDEN) % 1, shareByHour }];
    const others = outlets.filter((o) => o.parameters.turns === group).map((o) => o.parameters);
    const periodS = Math.max(...others.map((o) => o.useLastsS / Math.max(o.usedShare, 1e-3)));
    const began = turns.get(group) ?? 0;
    turns.set(group, began + usedShare);
    return [{ stageId: stage.id, flowM3PerS, periodS, phase: 1 - (began % 1), shareByHour }];
  });
}

/**
 * Whether an outlet blows at a second of the day.
 * @example isInUse(usesOf(plan)[0], 3 * 3600) // false
 */
export function isInUse({ periodS, phase, shareByHour }: Use, second: number): boolean {
  const share = shareByHour[Math.floor(second / 3600) % 24] ?? 0;
  return (second + phase * periodS) % periodS < share * periodS - ROUNDING_S;
}
