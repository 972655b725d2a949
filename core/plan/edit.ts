import { KINDS, type KindName, kindOf } from '../equipment/index';
import { withDrawn } from './drawn';
import { inOwnPlace, redrawn, setLegs } from './edit-legs';
import type { Plan, Stage } from './plan';
import { allStages, MAIN, type Run, runOfStage, runsOf, standing, withRun, withStage } from './runs';
import { type Survey, surveyAtmosphericPa } from './survey';

/**
 * A stage of a kind with every parameter at its default.
 * @example newStage('gauge', 'g').name // 'Pressure gauge'
 */
export function newStage<K extends KindName>(kind: K, id: string, name?: string): Extract<Stage, { kind: K }> {
  const { label, parameters } = kindOf(kind);
  return { id, kind, name: name ?? label, parameters: parameters.parse({}) } as Extract<Stage, { kind: K }>;
}

/** Where a new stage may stand: downstream of the intake and the compressor. */
export const FIRST_FREE_POSITION = 2;

/**
 * The first place of a run at which a stage may stand: a run that draws its own air begins with intake and compressor.
 * @returns an index of the run, from 0
 * @example firstFree(runsOf(plan)[0]) // 2
 */
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

/**
 * The plan without the units that have no stages any more.
 * @example withoutEmptyUnits(plan).units.length // 0
 */
export function withoutEmptyUnits(plan: Plan): Plan {
  const used = new Set(allStages(plan).map((s) => s.unit));
  return plan.units.every((u) => used.has(u.id)) ? plan : { ...plan, units: plan.units.filter((u) => used.has(u.id)) };
}

/**
 * Puts a stage into a run.
 * @example insertStage(plan, newStage('gauge', 'g'), 3).stages[3].id // 'g'
 */
export function insertStage(plan: Plan, stage: Stage, position: number, runId: string = MAIN): Plan {
  const run = runsOf(plan).find((r) => r.id === runId);
  if (!run) return plan;
  const at = Math.max(firstFree(run), Math.min(position, run.stages.length));
  return withRun(plan, runId, (stages) => adopted(stages.toSpliced(at, 0, stage), at));
}

/**
 * Takes a stage out of its run. Its branches start at the stage upstream; what joined upstream of it joins upstream of the
 * next. Intake and compressor stay.
 * @example removeStage(plan, 'gauge').stages.length // 11
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

/**
 * Moves a stage to a place in its own run or in another; intakes and compressors stay where they are.
 * @example moveStage(plan, 'gauge', 4).stages[4].id // 'gauge'
 */
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

/**
 * The plan with a stage under another name; the same plan where it has no such stage.
 * @example renameStage(plan, 'gauge', 'Dial').stages[9].name // 'Dial'
 */
export function renameStage(plan: Plan, stageId: string, name: string): Plan {
  return withStage(plan, stageId, (s) => ({ ...s, name }));
}

/**
 * Marks a stage as planned (left out of the walk), with the reading that should trigger it, or as fitted.
 * @example setProvided(plan, 'gauge', 'a drop of 50 kPa').stages[9].planned // {"trigger":"a drop of 50 kPa"}
 */
export function setProvided(plan: Plan, stageId: string, trigger: string | undefined): Plan {
  return withStage(plan, stageId, (s) => {
    const { planned: _, ...fitted } = s;
    return (trigger === undefined ? fitted : { ...fitted, planned: { trigger } }) as Stage;
  });
}

/**
 * Lets a stage stand in another place of the survey; `undefined` for where the line stands.
 * @example setPlace(plan, 'gauge', 'room').stages[9].place // 'room'
 */
export function setPlace(plan: Plan, stageId: string, placeId: string | undefined): Plan {
  return withStage(plan, stageId, (s) => {
    const { place: _, ...rest } = s;
    return (placeId === undefined ? rest : { ...rest, place: placeId }) as Stage;
  });
}

/**
 * Marks a stage as a check filter: it should catch nothing.
 * @example setCheckFilter(plan, 'fine', true).stages[8].checkFilter // true
 */
export function setCheckFilter(plan: Plan, stageId: string, checkFilter: boolean): Plan {
  return withStage(plan, stageId, (s) => {
    const { checkFilter: _, ...plain } = s;
    return (checkFilter ? { ...plain, checkFilter: true } : plain) as Stage;
  });
}

/**
 * Which field a method “measured” reads; choosing it starts from what the line computes there, not from a typical value.
 */
const MEASURED_FIELD: Readonly<Record<string, string>> = {
  method: 'outletTemperatureC',
  dischargeTemperatureFrom: 'dischargeTemperatureC',
};

/**
 * Switches a stage to a measured temperature, beginning with the computed one rounded to a tenth.
 * @example chooseMeasured(plan, 'aftercooler', 'outletTemperatureC', 33.26).stages[2].parameters.outletTemperatureC // 'measured'
 */
export function chooseMeasured(plan: Plan, stageId: string, field: string, computedC: number): Plan {
  const reads = MEASURED_FIELD[field];
  const chosen = setParameter(plan, stageId, field, 'measured');
  return reads ? setParameter(chosen, stageId, reads, Math.round(computedC * 10) / 10) : chosen;
}

/**
 * The plan with one parameter of a stage changed, SI; nothing is checked here: the schema does that.
 * @example setParameter(plan, 'receiver', 'volumeM3', 1).stages[4].parameters.volumeM3 // 1
 */
export function setParameter(plan: Plan, stageId: string, field: string, value: number | string): Plan {
  return withStage(plan, stageId, (s) => {
    const changed = { ...s, parameters: { ...s.parameters, [field]: value } } as Stage;
    return s.fit?.legs ? withDrawn(redrawn(changed, field, value)) : changed;
  });
}

/**
 * Several of a stage’s parameters at once.
 * @example setParameters(plan, 'receiver', { volumeM3: 1, drain: 'float' }).stages[4].parameters.drain // 'float'
 */
export function setParameters(plan: Plan, stageId: string, values: Readonly<Record<string, string | number>>): Plan {
  return Object.entries(values).reduce((p, [field, value]) => setParameter(p, stageId, field, value), plan);
}

/**
 * The plan with another survey. Pressures were read from gauges, so when the barometer changes every gauge reading is
 * kept and the absolute pressures move with it, within their allowed range. Stages of a place that is gone stand where the
 * line stands.
 * @example withSurvey(plan, { ...plan.survey, shop: 'Mill' }).survey.shop // 'Mill'
 */
export function withSurvey(plan: Plan, survey: Survey): Plan {
  const shift = surveyAtmosphericPa(survey) - surveyAtmosphericPa(plan.survey);
  const isThere = (place: string | undefined): boolean =>
    place === undefined || survey.places.some((p) => p.id === place);
  const gone = allStages(plan).filter((s) => !isThere(s.place));
  if (gone.length > 0)
    return withSurvey(
      gone.reduce((p, s) => setPlace(p, s.id, undefined), plan),
      survey,
    );
  const lost = allStages(plan).filter((s) => s.fit?.legs?.some((l) => !isThere(l.place)));
  if (lost.length > 0)
    return withSurvey(
      lost.reduce((p, s) => setLegs(p, s.id, inOwnPlace(s.fit?.legs ?? [], isThere)), plan),
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

/**
 * Drain points of a line: the stages with a drain, in the order of flow.
 * @example drainPoints(plan).map((s) => s.id) // ["separator","receiver","coalescing-filter","refrigerated-dryer","fine"]
 */
export function drainPoints(plan: Plan): Stage[] {
  return allStages(standing(plan)).filter((s) => 'drain' in s.parameters && s.parameters.drain !== 'none');
}
