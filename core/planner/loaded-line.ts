import { FILTERS, is } from '../equipment/groups';
import { kindOf } from '../equipment/index';
import { airBalance } from '../line/balance';
import { walk } from '../line/walk';
import type { Plan, Stage } from '../plan/plan';
import { allStages } from '../plan/runs';
import { surveyAtmosphericPa } from '../plan/survey';
import { loadedShareFor } from '../plan/working-time';
import { ratingFor } from '../sizing/next-size';

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
