import { handDraining, howOften } from '../drains/by-hand';
import { type Collecting, collectingStages, dutyOf, kgPerDay } from '../drains/duty';
import { walk } from '../line/walk';
import { loadedHoursPerDay } from '../line/working-day';
import type { Plan } from '../plan/plan';
import { standing } from '../plan/runs';
import { type Conditions, inConditions } from './conditions';

/** A drain on a day. */
export interface DrainToday {
  readonly stage: Collecting;
  readonly kgPerDay: number;
  /** How long its sump takes to fill while the compressor runs loaded, s; infinite where nothing comes. */
  readonly fillsInS: number;
  /** How often it has to be opened by hand, in words. */
  readonly often: string;
}

export interface WaterToday {
  readonly drawnInKg: number;
  /** What the drains get of it; the rest leaves as vapour, or with the jobs. */
  readonly drainedKg: number;
  readonly drains: readonly DrainToday[];
}

/** The same line with the compressor loaded for so many hours of its working day. */
function withLoadedHours(plan: Plan, hours: number): Plan {
  const { working } = plan.survey;
  const worked = loadedHoursPerDay({ ...plan, survey: { ...plan.survey, working: { ...working, loadedShare: 1 } } });
  const loadedShare = worked > 0 ? Math.min(1, hours / worked) : 0;
  return { ...plan, survey: { ...plan.survey, working: { ...working, loadedShare } } };
}

/**
 * How much water a day brings to each drain, and how often it has to be opened by hand.
 * @param loadedHours of the compressor on that day; more than the working day counts as all of it
 * @source walk of the line; sumps and words of the drains
 * @example waterToday(plan, conditionsOf(plan), 3.6).drains.length // 5
 */
export function waterToday(plan: Plan, conditions: Conditions, loadedHours: number): WaterToday {
  const day = standing(withLoadedHours(inConditions(plan, conditions), loadedHours));
  const section = walk(day);
  const drains = collectingStages(day).flatMap((stage): DrainToday[] => {
    const duty = dutyOf(day, section, stage);
    if (!duty) return [];
    const kg = kgPerDay(duty);
    const { loadedS, perDay } = handDraining(
      duty.nowKgPerS,
      stage.parameters.sumpM3,
      duty.loadedShare,
      duty.workedHoursPerDay,
    );
    return [{ stage, kgPerDay: kg, fillsInS: loadedS, often: howOften(perDay, kg, stage.kind === 'pellet-tower') }];
  });
  return {
    drawnInKg: section.waterInKgPerS * loadedHoursPerDay(day) * 3600,
    drainedKg: drains.reduce((sum, d) => sum + d.kgPerDay, 0),
    drains,
  };
}
