import { KINDS, type KindName, kindOf } from '../equipment/index';
import { PLAN_FORMAT, PLAN_VERSION, type Plan, planSchema, type Stage, type Survey, surveyAtmosphericPa } from './plan';

/** A stage of a kind with every parameter at its default. */
export function newStage<K extends KindName>(kind: K, id: string, name?: string): Extract<Stage, { kind: K }> {
  const { label, parameters } = kindOf(kind);
  return { id, kind, name: name ?? label, parameters: parameters.parse({}) } as Extract<Stage, { kind: K }>;
}

/** Where a new stage may stand: behind the intake and the compressor. */
export const FIRST_FREE_POSITION = 2;

export function insertStage(plan: Plan, stage: Stage, position: number): Plan {
  const at = Math.max(FIRST_FREE_POSITION, Math.min(position, plan.stages.length));
  return { ...plan, stages: plan.stages.toSpliced(at, 0, stage) };
}

export function removeStage(plan: Plan, stageId: string): Plan {
  return { ...plan, stages: plan.stages.filter((s, i) => s.id !== stageId || i < FIRST_FREE_POSITION) };
}

/** Moves a stage to another position; intake and compressor stay where they are. */
export function moveStage(plan: Plan, stageId: string, position: number): Plan {
  const from = plan.stages.findIndex((s) => s.id === stageId);
  const stage = plan.stages[from];
  if (!stage || from < FIRST_FREE_POSITION) return plan;
  const to = Math.max(FIRST_FREE_POSITION, Math.min(position, plan.stages.length - 1));
  return { ...plan, stages: plan.stages.toSpliced(from, 1).toSpliced(to, 0, stage) };
}

export function renameStage(plan: Plan, stageId: string, name: string): Plan {
  return { ...plan, stages: plan.stages.map((s) => (s.id === stageId ? { ...s, name } : s)) };
}

/**
 * Which field a method “measured” reads; choosing it starts from what the line computes there, not from a typical value.
 */
const MEASURED_FIELD: Readonly<Record<string, string>> = {
  method: 'outletTemperatureC',
  dischargeTemperatureFrom: 'dischargeTemperatureC',
};

/** Switches a stage to a measured temperature, beginning with the computed one rounded to a tenth. */
export function chooseMeasured(plan: Plan, stageId: string, field: string, computedC: number): Plan {
  const reads = MEASURED_FIELD[field];
  const chosen = setParameter(plan, stageId, field, 'measured');
  return reads ? setParameter(chosen, stageId, reads, Math.round(computedC * 10) / 10) : chosen;
}

export function setParameter(plan: Plan, stageId: string, field: string, value: number | string): Plan {
  return {
    ...plan,
    stages: plan.stages.map((s) =>
      s.id === stageId ? ({ ...s, parameters: { ...s.parameters, [field]: value } } as Stage) : s,
    ),
  };
}

/**
 * The plan with another survey. Pressures were read from gauges, so when the barometer changes every gauge reading is
 * kept and the absolute pressures move with it, within their allowed range.
 */
export function withSurvey(plan: Plan, survey: Survey): Plan {
  const shift = surveyAtmosphericPa(survey) - surveyAtmosphericPa(plan.survey);
  if (shift === 0) return { ...plan, survey };
  const stages = plan.stages.map((stage) => {
    const shape = KINDS[stage.kind].parameters.shape as Record<string, { meta(): unknown }>;
    const moved = Object.entries(stage.parameters).map(([field, value]) => {
      const meta = shape[field]?.meta() as { quantity?: string; least: number; most: number } | undefined;
      if (meta?.quantity !== 'pressure') return [field, value];
      return [field, Math.min(meta.most, Math.max(meta.least, (value as number) + shift))];
    });
    return { ...stage, parameters: Object.fromEntries(moved) } as Stage;
  });
  return { ...plan, survey, stages };
}

/** What the first-run page asks. */
export interface PlanStart {
  readonly shop: string;
  readonly lineName: string;
  readonly intakeTemperatureC: number;
  readonly intakeRelativeHumidity: number;
  readonly compressor: {
    readonly type: 'piston1' | 'piston2' | 'screw' | 'oilfree';
    readonly freeAirDeliveryM3PerS: number;
    readonly dischargePressurePa: number;
  };
  readonly receiverVolumeM3: number;
  readonly has: { readonly aftercooler: boolean; readonly refrigeratedDryer: boolean };
}

/** A line of usual shape from a few answers; every other number is its kind's default. */
export function startPlan(start: PlanStart, newId: () => string): Plan {
  const place = newId();
  const stages: Stage[] = [newStage('intake', newId()), newStage('compressor', newId())];
  (stages[1] as { parameters: object }).parameters = { ...stages[1]?.parameters, ...start.compressor };
  if (start.has.aftercooler) stages.push(newStage('aftercooler', newId()), newStage('separator', newId()));
  const tank = newStage('receiver', newId());
  stages.push({ ...tank, parameters: { ...tank.parameters, volumeM3: start.receiverVolumeM3 } });
  stages.push(newStage('bowl-filter', newId()));
  if (start.has.refrigeratedDryer) stages.push(newStage('refrigerated-dryer', newId()));
  stages.push(newStage('regulator', newId()), newStage('outlet', newId(), 'Tools'));
  return planSchema.parse({
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
      working: {},
    },
    stages,
  });
}

/** Drain points of a line: the stages with a drain, in the order of flow. */
export function drainPoints(plan: Plan): Stage[] {
  return plan.stages.filter((s) => 'drain' in s.parameters && s.parameters.drain !== 'none');
}
