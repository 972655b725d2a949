import { dairyPlan } from '../../db/dairy';
import { demoPlan } from '../../db/demo';
import type { ParametersOf } from '../equipment/index';
import { walk } from '../line/walk';
import { setParameters } from '../plan/edit';
import type { Plan, Stage } from '../plan/plan';
import { allStages, stageById } from '../plan/runs';
import { askedOf } from './base-line';
import { buildLine } from './build-line';
import { positionsOf } from './positions';
import { questionOf } from './question-of';
import { revisionOf } from './revision-of';

/** Some line for the jobs of another: the first that treats the air at each position. */
function proposedFor(plan: Plan): Plan {
  const asked = askedOf(questionOf(plan));
  const positions = positionsOf(asked);
  return buildLine(
    asked,
    positions,
    positions.map((p) => Math.min(1, p.options.length - 1)),
  );
}

let n = 0;
const newId = () => `new-${++n}`;

describe.each([
  ['the workshop', demoPlan()],
  ['the dairy', dairyPlan()],
])('a revision of %s', (_, line) => {
  const proposed = proposedFor(line);
  const revision = revisionOf(line, proposed, newId);
  const machines = allStages(line).filter((s) => ['intake', 'compressor', 'receiver'].includes(s.kind));

  test('has the stages of the proposal, each with an id of its own, and is walked', () => {
    expect(allStages(revision).map((s) => s.kind)).toEqual(allStages(proposed).map((s) => s.kind));
    expect(new Set(allStages(revision).map((s) => s.id)).size).toBe(allStages(proposed).length);
    expect(walk(revision).problems).toEqual([]);
  });
  test('keeps compressor and tank with their numbers, and survey, routine and prices of the line', () => {
    const first = machines.filter((s, i) => machines.findIndex((m) => m.kind === s.kind) === i);
    for (const own of first) {
      const there = stageById(revision, own.id);
      expect(there?.name).toBe(own.name);
      expect({ ...there?.parameters, drain: 0 }).toEqual({ ...own.parameters, drain: 0 });
    }
    expect(revision.survey.places.slice(0, line.survey.places.length)).toEqual(line.survey.places);
    expect([revision.money, revision.routine, revision.name]).toEqual([line.money, line.routine, line.name]);
  });
  test('keeps the jobs that it serves, so that their log goes on', () => {
    const jobs = allStages(revision).filter((s) => s.kind === 'outlet');
    const own = allStages(line).filter((s) => s.kind === 'outlet');
    expect(jobs.length).toBeGreaterThan(0);
    for (const job of jobs) expect(own.map((s) => s.id)).toContain(job.id);
  });
});

test('a proposal taken up twice is the same line: what it brought is recognised', () => {
  const line = demoPlan();
  const once = revisionOf(line, proposedFor(line), newId);
  const again = revisionOf(once, proposedFor(once), newId);
  const ids = (plan: Plan) =>
    allStages(plan)
      .filter((s) => !['pipe', 'regulator', 'hose', 'isolating-valve'].includes(s.kind))
      .map((s) => s.id);
  expect(ids(again)).toEqual(ids(once));
});

/** The workshop with needs of one outlet that are not the usual ones of any job. */
function workshopWhere(needs: Partial<ParametersOf<'outlet'>>): { line: Plan; id: string } {
  const line = demoPlan();
  const { id } = allStages(line).find((s) => s.kind === 'outlet') as Stage;
  return { line: setParameters(line, id, needs), id };
}
const outletOf = (plan: Plan, id: string) => stageById(plan, id)?.parameters as ParametersOf<'outlet'>;

test('what an outlet itself asks of its air is asked of the planner, and stays in the revision', () => {
  const needs = { need: 'dew-point', dewPointC: -40, particleClass: '3', oilClass: '1' } as const;
  const { line, id } = workshopWhere(needs);
  const proposed = proposedFor(line);
  const asked = allStages(proposed).flatMap((s) => (s.kind === 'outlet' ? [s.parameters] : []));
  expect(asked).toContainEqual(expect.objectContaining(needs));
  expect(outletOf(revisionOf(line, proposed, newId), id)).toMatchObject(needs);
});

test('where the basis of a humidity is not known, the line is planned for the drier air, and it stays unknown', () => {
  const { line, id } = workshopWhere({ need: 'humidity-unknown', relativeHumidity: 0.07 });
  const proposed = proposedFor(line);
  const asked = allStages(proposed).flatMap((s) => (s.kind === 'outlet' ? [s.parameters] : []));
  expect(asked).toContainEqual(expect.objectContaining({ need: 'humidity-in-line', relativeHumidity: 0.07 }));
  expect(outletOf(revisionOf(line, proposed, newId), id)).toMatchObject({ need: 'humidity-unknown' });
});
