import { withoutEmptyUnits } from '../plan/edit';
import type { Plan, Stage } from '../plan/plan';
import { planSchema } from '../plan/plan';
import { allStages } from '../plan/runs';
import { IDS } from './base-line';
import { jobNeedsSchema, OWNABLE } from './question';
import { SAFER_BASIS } from './question-of';

type Outlet = Extract<Stage, { kind: 'outlet' }>;

/** Whether two stages are the same thing: the machines by their kind, jobs by what they draw, filters by their grade too. */
function isSame(own: Stage, proposed: Stage): boolean {
  if (own.kind !== proposed.kind) return false;
  if (own.kind === 'outlet') {
    const [a, b] = [own.parameters, (proposed as Outlet).parameters];
    return a.flowM3PerS === b.flowM3PerS && a.usedShare === b.usedShare;
  }
  if (own.kind === 'coalescing-filter')
    return own.parameters.grade === (proposed as Extract<Stage, { kind: 'coalescing-filter' }>).parameters.grade;
  return ['intake', 'compressor', 'receiver'].includes(own.kind) || own.kind in OWNABLE;
}

/** The stage of the line with the drain that is proposed for it, or the needs that it was planned for; all else is its own. */
function kept(own: Stage, proposed: Stage): Stage {
  if (own.kind === 'outlet' && proposed.kind === 'outlet') {
    const needs = jobNeedsSchema.parse(proposed.parameters);
    // Planned for by the safer reading, the basis of a humidity is as little known as before.
    const isAsUnknown = own.parameters.need === 'humidity-unknown' && needs.need === SAFER_BASIS;
    return { ...own, parameters: { ...own.parameters, ...needs, ...(isAsUnknown && { need: own.parameters.need }) } };
  }
  const { drain } = proposed.parameters as { drain?: string };
  const isDrained = drain !== undefined && (own.kind === 'receiver' || own.kind === 'separator');
  return isDrained ? ({ ...own, parameters: { ...own.parameters, drain } } as Stage) : own;
}

/**
 * A proposed line as a revision of a line that is there: what is the same keeps its id, name, numbers and log, and the survey,
 * routine and prices stay the line’s. What the proposal leaves out is gone from the revision.
 * @param newId makes ids where a new stage’s own is taken
 * @throws ZodError where the two do not make one plan
 * @example revisionOf(plan, found.front[0].plan, newId).stages[1].id // 'compressor'
 */
export function revisionOf(line: Plan, proposed: Plan, newId: () => string): Plan {
  const left = [...allStages(line)].filter((s) => s.planned === undefined);
  const ids = new Map<string, string>();
  const taken = new Set([
    ...allStages(line).map((s) => s.id),
    ...line.branches.map((b) => b.id),
    ...line.survey.places.map((p) => p.id),
  ]);
  const free = (id: string): string => (taken.has(id) ? newId() : id);
  const matched = new Map<string, Stage>();
  for (const stage of allStages(proposed)) {
    const at = left.findIndex((own) => isSame(own, stage));
    const [own] = at < 0 ? [] : left.splice(at, 1);
    if (own) matched.set(stage.id, own);
    ids.set(stage.id, own?.id ?? free(stage.id));
  }
  // A job that is there keeps its place; a new one brings its own.
  const jobs = allStages(proposed).filter((s): s is Outlet => s.kind === 'outlet');
  const places = new Map<string, string | undefined>();
  const added = jobs.flatMap((job, i) => {
    const own = matched.get(job.id);
    const place = proposed.survey.places.find((p) => p.id === IDS.place(i));
    if (!place || !job.place) return [];
    places.set(job.place, own ? own.place : free(place.id));
    return own ? [] : [{ ...place, id: places.get(job.place) as string }];
  });
  const built = (stage: Stage): Stage => {
    const own = matched.get(stage.id);
    if (own) return { ...kept(own, stage), planned: stage.planned };
    const { place, ...rest } = stage;
    const there = place === undefined ? undefined : places.get(place);
    return { ...rest, id: ids.get(stage.id) as string, ...(there !== undefined && { place: there }) } as Stage;
  };
  return planSchema.parse(
    withoutEmptyUnits({
      ...line,
      survey: { ...line.survey, places: [...line.survey.places, ...added] },
      stages: proposed.stages.map(built),
      branches: proposed.branches.map((b) => ({
        ...b,
        id: free(b.id),
        from: b.from === null ? null : (ids.get(b.from) ?? b.from),
        stages: b.stages.map(built),
      })),
    }),
  );
}
