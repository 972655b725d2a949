import { JOBS, type JobId } from '../plan/jobs';
import type { Plan, Stage } from '../plan/plan';
import { allStages, pathTo, standing } from '../plan/runs';
import { surroundingsAt } from '../plan/surroundings';
import { placeOf, surveyAtmosphericPa } from '../plan/survey';
import { jobNeedsSchema, MOST_JOBS, OWNABLE, type Ownable, type Question, question, questionJob } from './question';

type OutletParameters = Extract<Stage, { kind: 'outlet' }>['parameters'];

/** The usual job that asks for most of what an outlet asks for. */
function jobLike(p: OutletParameters, name: string): JobId {
  const ids = Object.keys(JOBS) as JobId[];
  const named = ids.find((id) => JOBS[id].label === name);
  if (named) return named;
  const alike = (id: JobId): number => {
    const needs = JOBS[id].needs as Partial<OutletParameters>;
    const same = (Object.keys(needs) as (keyof OutletParameters)[]).filter((f) => needs[f] === p[f]).length;
    const use = (needs.use ?? 'tools') === p.use ? 3 : 0;
    const pressure = 1 - Math.min(1, Math.abs(JOBS[id].leastGaugePa - (p.leastPressurePa - 101_325)) / 1e6);
    return use + 2 * Number(needs.need === p.need) + same + pressure;
  };
  return ids.reduce((best, id) => (alike(id) > alike(best) ? id : best));
}

/** Where nobody knows the basis of a humidity: of the two, this takes drier air. */
export const SAFER_BASIS = 'humidity-in-line';

const within = (least: number, value: number, most: number): number => Math.min(most, Math.max(least, value));

/**
 * A question with what a line already tells: its air, compressor, tank, jobs and what it owns.
 * @example questionOf(plan).jobs.length // 2
 */
export function questionOf(plan: Plan): Question {
  const line = standing(plan);
  const stages = allStages(line);
  const { survey } = line;
  const atmosphericPa = surveyAtmosphericPa(survey);
  const [intake, room] = [placeOf(survey, survey.intakePlaceId), placeOf(survey, survey.roomPlaceId)];
  const compressor = stages.find((s) => s.kind === 'compressor');
  const tank = stages.find((s) => s.kind === 'receiver');
  const outlets = stages.filter((s): s is Extract<Stage, { kind: 'outlet' }> => s.kind === 'outlet');
  const jobs = outlets
    .filter((s) => s.parameters.flowM3PerS > 0 && s.parameters.usedShare > 0)
    .toSorted(
      (a, b) => b.parameters.flowM3PerS * b.parameters.usedShare - a.parameters.flowM3PerS * a.parameters.usedShare,
    )
    .slice(0, MOST_JOBS)
    .map((s) => {
      const { flowM3PerS, usedShare, leastPressurePa, need } = s.parameters;
      const roomC = within(-40, surroundingsAt(line, s).roomTemperatureC, 50);
      const pipes = pathTo(line, s.id).reduce((m, p) => m + (p.kind === 'pipe' ? p.parameters.lengthM : 0), 0);
      return questionJob(jobLike(s.parameters, s.name), {
        ...jobNeedsSchema.parse({ ...s.parameters, need: need === 'humidity-unknown' ? SAFER_BASIS : need }),
        flowM3PerS: within(1e-5, flowM3PerS, 0.5),
        usedShare: within(0.01, usedShare, 1),
        leastGaugePa: within(1e4, leastPressurePa - atmosphericPa, 13e5),
        distanceM: within(0, pipes, 300),
        roomC,
        coldestC: Math.min(roomC, questionJob('sander').coldestC), // of a cold store no warmer in winter
      });
    });
  const owned = [...new Set(stages.map((s) => s.kind))].filter((k): k is Ownable => k in OWNABLE);
  return question({
    name: survey.shop,
    intakeC: within(-10, intake.temperatureC, 50),
    intakeHumidity: within(0.05, intake.relativeHumidity, 1),
    roomC: within(0, room.temperatureC, 50),
    altitudeM: survey.altitudeM,
    climate: survey.climate,
    money: plan.money,
    owned,
    ...(jobs.length > 0 && { jobs }),
    ...(tank?.kind === 'receiver' && { receiverM3: within(0.02, tank.parameters.volumeM3, 20) }),
    ...(compressor?.kind === 'compressor' && {
      compressor: {
        type: compressor.parameters.type,
        freeAirDeliveryM3PerS: within(5e-4, compressor.parameters.freeAirDeliveryM3PerS, 0.6),
        cutInGaugePa: within(2e5, compressor.parameters.cutInPa - atmosphericPa, 13e5),
        cutOutGaugePa: within(3e5, compressor.parameters.cutOutPa - atmosphericPa, 13.7e5),
      },
    }),
  });
}
