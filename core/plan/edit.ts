import { KINDS, type KindName, kindOf } from '../equipment/index';
import { JOBS, type JobId, setJob } from './jobs';
import { PLAN_FORMAT, PLAN_VERSION, type Plan, planSchema, type Stage } from './plan';
import { allStages, hangingOn, MAIN, type Run, runOfStage, runsOf, standing, withRun, withStage } from './runs';
import { sized } from './size-stage';
import { type Survey, surveyAtmosphericPa, workingSchema } from './survey';

/** A stage of a kind with every parameter at its default. */
export function newStage<K extends KindName>(kind: K, id: string, name?: string): Extract<Stage, { kind: K }> {
  const { label, parameters } = kindOf(kind);
  return { id, kind, name: name ?? label, parameters: parameters.parse({}) } as Extract<Stage, { kind: K }>;
}

/** Where a new stage may stand: downstream of the intake and the compressor. */
export const FIRST_FREE_POSITION = 2;

/** The first place of a run at which a stage may stand: a run that draws its own air begins with intake and compressor. */
export function firstFree(run: Run): number {
  return run.from === null ? FIRST_FREE_POSITION : 0;
}

/** The unit of a stage by where it stands: between two of one unit it is part of it; away from its own it has left it. */
function adopted(stages: Stage[], at: number): Stage[] {
  const stage = stages[at] as Stage;
  const { unit: own, ...free } = stage;
  const [before, after] = [stages[at - 1]?.unit, stages[at + 1]?.unit];
  const unit = before !== undefined && before === after ? before : own === before || own === after ? own : undefined;
  return stages.with(at, (unit === undefined ? free : { ...free, unit }) as Stage);
}

/** The plan without the units that have no stages any more. */
export function withoutEmptyUnits(plan: Plan): Plan {
  const used = new Set(allStages(plan).map((s) => s.unit));
  return plan.units.every((u) => used.has(u.id)) ? plan : { ...plan, units: plan.units.filter((u) => used.has(u.id)) };
}

/** Puts a stage into a run. */
export function insertStage(plan: Plan, stage: Stage, position: number, runId: string = MAIN): Plan {
  const run = runsOf(plan).find((r) => r.id === runId);
  if (!run) return plan;
  const at = Math.max(firstFree(run), Math.min(position, run.stages.length));
  return withRun(plan, runId, (stages) => adopted(stages.toSpliced(at, 0, stage), at));
}

/**
 * Takes a stage out of its run. Its branches start at the stage upstream; what joined upstream of it joins upstream of the
 * next. Intake and compressor stay.
 */
export function removeStage(plan: Plan, stageId: string): Plan {
  const run = runOfStage(plan, stageId);
  const at = run?.stages.findIndex((s) => s.id === stageId) ?? -1;
  if (!run || at < firstFree(run)) return plan;
  const before = run.stages[at - 1]?.id ?? run.from;
  const next = run.stages[at + 1]?.id ?? null;
  const without = withRun(plan, run.id, (stages) => stages.toSpliced(at, 1));
  return withoutEmptyUnits({
    ...without,
    branches: without.branches.map((b) => ({
      ...b,
      from: b.from === stageId ? before : b.from,
      into: b.into === stageId ? next : b.into,
    })),
  });
}

/** Moves a stage to a place in its own run or in another; intakes and compressors stay where they are. */
export function moveStage(plan: Plan, stageId: string, position: number, toRun?: string): Plan {
  const run = runOfStage(plan, stageId);
  const from = run?.stages.findIndex((s) => s.id === stageId) ?? -1;
  const stage = run?.stages[from];
  const target = runsOf(plan).find((r) => r.id === (toRun ?? run?.id));
  if (!run || !stage || !target || from < firstFree(run)) return plan;
  if (target.id === run.id) {
    const to = Math.max(firstFree(run), Math.min(position, run.stages.length - 1));
    return withoutEmptyUnits(
      withRun(plan, run.id, (stages) => adopted(stages.toSpliced(from, 1).toSpliced(to, 0, stage), to)),
    );
  }
  // A stage cannot move into a branch of its own, directly or further along.
  const without = removeStage(plan, stageId);
  return insertStage(without, stage, position, target.id);
}

/** The plan with a stage under another name; the same plan where it has no such stage. */
export function renameStage(plan: Plan, stageId: string, name: string): Plan {
  return withStage(plan, stageId, (s) => ({ ...s, name }));
}

/** Opens a branch downstream of a stage, empty but for an outlet. */
export function addBranch(plan: Plan, from: string, branchId: string, outletId: string): Plan {
  const drops = plan.branches.filter((b) => b.from !== null && b.into === null).length;
  const name = `Branch ${drops + 1}`;
  const branch = {
    id: branchId,
    name,
    from,
    into: null,
    split: 'pressure' as const, // matters only once it joins again
    share: 0.5,
    stages: [newStage('outlet', outletId, `${name} outlet`)],
  };
  return { ...plan, branches: [...plan.branches, branch] };
}

/** Lays a bare pipe round a stage, shut; `undefined` where nothing stands downstream of the stage for it to come back to. */
export function addBypass(plan: Plan, stageId: string, branchId: string): Plan | undefined {
  const run = runOfStage(plan, stageId);
  const at = run?.stages.findIndex((s) => s.id === stageId) ?? -1;
  const from = run?.stages[at - 1]?.id ?? run?.from;
  const into = run?.stages[at + 1]?.id;
  if (!run || !from || !into || at < firstFree(run)) return undefined;
  const bypass = {
    id: branchId,
    name: `Bypass of ${run.stages[at]?.name}`.slice(0, 60),
    from,
    into,
    split: 'entered' as const,
    share: 0,
    stages: [],
  };
  return { ...plan, branches: [...plan.branches, bypass] };
}

/** Lets a second compressor with its own intake join upstream of a stage. */
export function addCompressor(plan: Plan, into: string, newId: () => string): Plan {
  const count = runsOf(plan).filter((r) => r.from === null).length + 1;
  const stages = [
    newStage('intake', newId(), `Intake ${count}`),
    newStage('compressor', newId(), `Compressor ${count}`),
  ];
  const branch = {
    id: newId(),
    name: `Compressor ${count}`,
    from: null,
    into,
    split: 'entered' as const,
    share: 1,
    stages,
  };
  return { ...plan, branches: [...plan.branches, branch] };
}

/** Marks a stage as planned (left out of the walk), with the reading that should trigger it, or as fitted. */
export function setProvided(plan: Plan, stageId: string, trigger: string | undefined): Plan {
  return withStage(plan, stageId, (s) => {
    const { planned: _, ...fitted } = s;
    return (trigger === undefined ? fitted : { ...fitted, planned: { trigger } }) as Stage;
  });
}

/** Lets a stage stand in another place of the survey; `undefined` for where the line stands. */
export function setPlace(plan: Plan, stageId: string, placeId: string | undefined): Plan {
  return withStage(plan, stageId, (s) => {
    const { place: _, ...rest } = s;
    return (placeId === undefined ? rest : { ...rest, place: placeId }) as Stage;
  });
}

/** Marks a stage as a check filter: it should catch nothing. */
export function setCheckFilter(plan: Plan, stageId: string, checkFilter: boolean): Plan {
  return withStage(plan, stageId, (s) => {
    const { checkFilter: _, ...plain } = s;
    return (checkFilter ? { ...plain, checkFilter: true } : plain) as Stage;
  });
}

/** Takes a branch out, with every branch of it. */
export function removeBranch(plan: Plan, branchId: string): Plan {
  const gone = new Set([branchId, ...hangingOn(plan, branchId)]);
  const lost = new Set(plan.branches.filter((b) => gone.has(b.id)).flatMap((b) => b.stages.map((s) => s.id)));
  return withoutEmptyUnits({
    ...plan,
    branches: plan.branches
      .filter((b) => !gone.has(b.id))
      .map((b) => (b.into !== null && lost.has(b.into) ? { ...b, into: null } : b)),
  });
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

/** The plan with one parameter of a stage changed, SI; nothing is checked here: the schema does that. */
export function setParameter(plan: Plan, stageId: string, field: string, value: number | string): Plan {
  return withStage(plan, stageId, (s) => ({ ...s, parameters: { ...s.parameters, [field]: value } }) as Stage);
}

/** Several of a stage’s parameters at once. */
export function setParameters(plan: Plan, stageId: string, values: Readonly<Record<string, string | number>>): Plan {
  return Object.entries(values).reduce((p, [field, value]) => setParameter(p, stageId, field, value), plan);
}

/**
 * The plan with another survey. Pressures were read from gauges, so when the barometer changes every gauge reading is
 * kept and the absolute pressures move with it, within their allowed range. Stages of a place that is gone stand where the
 * line stands.
 */
export function withSurvey(plan: Plan, survey: Survey): Plan {
  const shift = surveyAtmosphericPa(survey) - surveyAtmosphericPa(plan.survey);
  const gone = allStages(plan).filter((s) => s.place && !survey.places.some((p) => p.id === s.place));
  if (gone.length > 0)
    return withSurvey(
      gone.reduce((p, s) => setPlace(p, s.id, undefined), plan),
      survey,
    );
  if (shift === 0) return { ...plan, survey };
  const moved = (stage: Stage): Stage => {
    const shape = KINDS[stage.kind].parameters.shape as Record<string, { meta(): unknown }>;
    const parameters = Object.entries(stage.parameters).map(([field, value]) => {
      const meta = shape[field]?.meta() as { quantity?: string; least: number; most: number } | undefined;
      if (meta?.quantity !== 'pressure') return [field, value];
      return [field, Math.min(meta.most, Math.max(meta.least, (value as number) + shift))];
    });
    return { ...stage, parameters: Object.fromEntries(parameters) } as Stage;
  };
  const branches = plan.branches.map((b) => ({ ...b, stages: b.stages.map(moved) }));
  return { ...plan, survey, stages: plan.stages.map(moved), branches };
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
  const loadedShare = Math.min(1, Math.max(0.01, asked));
  return {
    ...setParameter(named, regulatorId, 'setPressurePa', setPressurePa),
    survey: { ...named.survey, working: { ...working, loadedShare } },
  };
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

/** Drain points of a line: the stages with a drain, in the order of flow. */
export function drainPoints(plan: Plan): Stage[] {
  return allStages(standing(plan)).filter((s) => 'drain' in s.parameters && s.parameters.drain !== 'none');
}
