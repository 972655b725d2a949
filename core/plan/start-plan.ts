import { newStage, renameStage, setParameter } from './edit';
import { JOBS, type JobId, setJob } from './jobs';
import { PLAN_FORMAT, PLAN_VERSION, type Plan, planSchema, type Stage } from './plan';
import { standing } from './runs';
import { sized } from './size-stage';
import { workingSchema } from './survey';
import { loadedShareFor } from './working-time';

/** What the first-run page asks. */
export interface PlanStart {
  readonly shop: string;
  readonly lineName: string;
  readonly intakeTemperatureC: number;
  readonly intakeRelativeHumidity: number;
  readonly compressor: {
    readonly type: 'piston1' | 'piston2' | 'screw' | 'oilfree';
    readonly freeAirDeliveryM3PerS: number;
    readonly cutInPa: number;
    readonly cutOutPa: number;
  };
  readonly receiverVolumeM3: number;
  readonly has: { readonly aftercooler: boolean; readonly refrigeratedDryer: boolean };
  /** What the air is for; left out, tools in general for which all that is delivered is used. */
  readonly job?: JobId | undefined;
  /** Pipe from the receiver to the job; left out, or 0, none. */
  readonly distanceM?: number | undefined;
  /** A stored year of weather. */
  readonly yearId?: string | undefined;
}

const REGULATOR_SPARE_PA = 2e4;

/** A line of the start page whose one job is known: what it takes, when the compressor is loaded for it, and what the regulator holds. */
function forJob(line: Plan, outletId: string, regulatorId: string, id: JobId): Plan {
  const named = renameStage(setJob(line, outletId, id), outletId, JOBS[id].label);
  const set = named.stages.find((s) => s.id === outletId) as Extract<Stage, { kind: 'outlet' }>;
  const compressor = named.stages.find((s) => s.kind === 'compressor') as Extract<Stage, { kind: 'compressor' }>;
  const free = standing(named).stages.find((s) => s.id === outletId) as typeof set;
  const asked = (free.parameters.flowM3PerS * set.parameters.usedShare) / compressor.parameters.freeAirDeliveryM3PerS;
  const regulator = named.stages.find((s) => s.id === regulatorId) as Extract<Stage, { kind: 'regulator' }>;
  const { droopPa, droopAtM3PerS } = regulator.parameters;
  const droop = (droopPa * free.parameters.flowM3PerS) / Math.max(droopAtM3PerS, 1e-9);
  const setPressurePa = Math.min(
    compressor.parameters.cutInPa,
    set.parameters.leastPressurePa + droop + REGULATOR_SPARE_PA,
  );
  const { working } = named.survey;
  const loadedShare = loadedShareFor(asked);
  return {
    ...setParameter(named, regulatorId, 'setPressurePa', setPressurePa),
    survey: { ...named.survey, working: { ...working, loadedShare } },
  };
}

/**
 * A line of usual shape from a few answers; every other number is its kind's default.
 * @example startPlan({ shop: 'Mill', lineName: 'Line', intakeTemperatureC: 25, intakeRelativeHumidity: 0.6, compressor: { type: 'piston1', freeAirDeliveryM3PerS: 0.0076, cutInPa: 7e5, cutOutPa: 9e5 }, receiverVolumeM3: 0.227, has: { aftercooler: false, refrigeratedDryer: false } }, newId).stages.map((s) => s.kind) // ["intake","compressor","receiver","bowl-filter","regulator","outlet"]
 */
export function startPlan(start: PlanStart, newId: () => string): Plan {
  const place = newId();
  const stages: Stage[] = [newStage('intake', newId()), newStage('compressor', newId())];
  (stages[1] as { parameters: object }).parameters = { ...stages[1]?.parameters, ...start.compressor };
  if (start.has.aftercooler) stages.push(newStage('aftercooler', newId()), newStage('separator', newId()));
  const tank = newStage('receiver', newId());
  stages.push({ ...tank, parameters: { ...tank.parameters, volumeM3: start.receiverVolumeM3 } });
  stages.push(newStage('bowl-filter', newId()));
  if (start.has.refrigeratedDryer) stages.push(newStage('refrigerated-dryer', newId()));
  if (start.distanceM) {
    const pipe = newStage('pipe', newId());
    stages.push({ ...pipe, parameters: { ...pipe.parameters, lengthM: start.distanceM } });
  }
  const { freeAirDeliveryM3PerS: all } = start.compressor;
  const regulator = newStage('regulator', newId());
  // Of a size for all that the compressor gives, which the tools use for the usual share of the time.
  const larger = Math.max(1, all / regulator.parameters.droopAtM3PerS);
  const { droopAtM3PerS, conductance } = regulator.parameters;
  const wider = { droopAtM3PerS: droopAtM3PerS * larger, conductance: Math.min(1000, conductance * larger) };
  stages.push({ ...regulator, parameters: { ...regulator.parameters, ...wider } });
  const working = workingSchema.parse({});
  const tools = newStage('outlet', newId(), 'Tools');
  const used = { flowM3PerS: all, flowBasis: 'inlet', usedShare: working.loadedShare } as const;
  stages.push({ ...tools, parameters: { ...tools.parameters, ...used } });
  const plan = planSchema.parse({
    format: PLAN_FORMAT,
    version: PLAN_VERSION,
    name: start.lineName,
    survey: {
      shop: start.shop,
      places: [
        {
          id: place,
          name: 'At the intake',
          temperatureC: start.intakeTemperatureC,
          relativeHumidity: start.intakeRelativeHumidity,
        },
      ],
      intakePlaceId: place,
      roomPlaceId: place,
      working,
      ...(start.yearId && { climate: { from: 'file', yearId: start.yearId } }),
    },
    stages,
  });
  const routine = { ...plan.routine, level: 'normal' as const };
  const line = { ...plan, routine, stages: plan.stages.map((s) => sized(plan, s)) };
  return start.job ? forJob(line, tools.id, regulator.id, start.job) : line;
}
