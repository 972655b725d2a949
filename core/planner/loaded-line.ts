import { FILTERS, is } from '../equipment/groups';
import { kindOf } from '../equipment/index';
import { airBalance } from '../line/balance';
import { walk } from '../line/walk';
import type { Plan, Stage } from '../plan/plan';
import { allStages } from '../plan/runs';
import { surveyAtmosphericPa } from '../plan/survey';
import { loadedShareFor } from '../plan/working-time';
import { ratingFor } from '../sizing/next-size';
import { type Asked, dutyLimitOf } from './base-line';

/** How the jobs alone load the compressor. */
export interface Duty {
  /** Of the time; over 1 it gives less than they take. */
  readonly share: number;
  /** What its type bears. */
  readonly limit: number;
  /** What is left to blow away until that is reached, m³/s of free air. */
  readonly spareM3PerS: number;
}

/**
 * How the jobs of a question load its compressor, as the advice has it (O46).
 * @source balance of the line without treatment; limits of common practice by type
 * @example dutyOf(askedOf(question({}))).share // 0.409
 */
export function dutyOf({ base, question }: Pick<Asked, 'base' | 'question'>): Duty {
  const { usedM3PerS, deliveredM3PerS } = airBalance(base, walk(base));
  const limit = dutyLimitOf(question.compressor.type);
  return { share: usedM3PerS / deliveredM3PerS, limit, spareM3PerS: limit * deliveredM3PerS - usedM3PerS };
}

/** A line whose compressor is loaded for what the jobs and its own losses take, its filters rated for what then passes. */
export function loadedFor(plan: Plan): Plan {
  const vents = allStages(plan).some(
    (s) => (kindOf(s.kind).ventsM3PerS?.(s.parameters, surveyAtmosphericPa(plan.survey)) ?? 0) > 0,
  );
  if (!vents) return plan;
  const section = walk(plan);
  const { usedM3PerS, lostM3PerS, deliveredM3PerS } = airBalance(plan, section);
  const loadedShare = loadedShareFor((usedM3PerS + lostM3PerS) / Math.max(deliveredM3PerS, 1e-9));
  const fitted = (s: Stage): Stage => {
    const air = section.at(s.id);
    if (!is(FILTERS, s.kind) || !air) return s;
    const passes = ((air.dryAirKgPerS + air.ventedAirKgPerS) / section.dryAirKgPerS) * deliveredM3PerS;
    const ratedFlowM3PerS = ratingFor(passes, air.pressurePa);
    if (ratedFlowM3PerS <= rated(s)) return s;
    return { ...s, parameters: { ...s.parameters, ratedFlowM3PerS, lossAtM3PerS: ratedFlowM3PerS } } as Stage;
  };
  return {
    ...plan,
    survey: { ...plan.survey, working: { ...plan.survey.working, loadedShare } },
    stages: plan.stages.map(fitted),
    branches: plan.branches.map((b) => ({ ...b, stages: b.stages.map(fitted) })),
  };
}

export const rated = (s: Stage): number => (s.parameters as { ratedFlowM3PerS?: number }).ratedFlowM3PerS ?? 0;
