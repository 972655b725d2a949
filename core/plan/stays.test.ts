import { changedElsewhere, doneElsewhere } from '../maintenance/done-elsewhere';
import { goodShop } from '../test/good-lines';
import { removeStage } from './edit';
import type { Stage } from './plan';
import { allStages, withStage } from './runs';
import { installed, keepingThings, takenDown, takenOutOf, withoutTakenOut } from './stays';
import { MOST_PAST, type Past, thingSchema } from './thing-fields';

const LINE = { planId: 'd0000000-0000-4000-8000-000000000001', name: 'Loft line' };
const receiver = goodShop().stages.find((s) => s.kind === 'receiver') as Stage;

it('a thing carries where it was from one line to the next, and its plate with it', () => {
  const thing = thingSchema.parse({ serial: 'R-77', installedOn: '2024-05-01' });
  const once = takenDown({ ...receiver, thing }, LINE, '2026-11-30', []);
  const again = takenDown(
    { ...receiver, id: 'other', thing: installed(once, '2026-12-02') },
    { ...LINE, name: 'Press line' },
    '2027-01-05',
    [],
  );
  expect(thingSchema.parse(again.thing)).toEqual(again.thing); // a shelf takes it
  expect([again.kind, again.thing.serial, again.thing.installedOn]).toEqual(['receiver', 'R-77', undefined]);
  expect(again.thing.stays).toMatchObject([
    { line: 'Loft line', stageId: receiver.id, from: '2024-05-01', to: '2026-11-30' },
    { line: 'Press line', stageId: 'other', from: '2026-12-02', to: '2027-01-05' },
  ]);
});

it('is installed again after its warranty ran out, which only a new thing cannot be', () => {
  const thing = thingSchema.parse({ installedOn: '2024-05-01', warrantyUntil: '2026-05-01' });
  const again = installed(takenDown({ ...receiver, thing }, LINE, '2026-11-30', []), '2026-12-01');
  expect(thingSchema.safeParse(again).success).toBe(true);
  expect(thingSchema.safeParse({ ...again, stays: [] }).success).toBe(false);
});

it('says no day of installing that is after the day on which it was taken down', () => {
  const thing = thingSchema.parse({ installedOn: '2026-12-01' });
  expect(takenDown({ ...receiver, thing }, LINE, '2026-11-30', []).thing.stays[0]).not.toHaveProperty('from');
});

const drained = (at: string): Past => ({
  ...{ at, kind: 'done', task: 'M08', result: 'ok', what: '', who: 'Ola', readings: [] },
});

it('takes its log along from the day on which it was installed, the newest of it', () => {
  const thing = thingSchema.parse({ installedOn: '2026-01-10' });
  const log = ['2026-11-20T09:00', '2026-01-10T00:00', '2026-01-09T23:59'].map(drained);
  const { thing: once } = takenDown({ ...receiver, thing }, LINE, '2026-11-30', log);
  expect(once.past).toEqual(log.slice(0, 2));
  const many = Array.from({ length: MOST_PAST }, () => drained('2026-12-20T09:00'));
  const { thing: again } = takenDown({ ...receiver, thing: once }, LINE, '2026-12-24', many);
  expect(again.past).toEqual(many);
});

it('what was done to it there is not due anew here; what could not be done is', () => {
  const failed = { ...drained('2026-11-21T09:00'), result: 'could-not' };
  const past = [failed, drained('2026-11-20T09:00'), drained('2026-10-20T09:00')];
  const plan = withStage(goodShop(), receiver.id, (s) => ({ ...s, thing: thingSchema.parse({ past }) }) as Stage);
  expect(doneElsewhere(plan)).toEqual([{ stageId: receiver.id, task: 'M08', at: '2026-11-20T09:00' }]);
});

it('an element keeps its age where it moves, by a change and by the task that renews it', () => {
  const changed = { ...drained('2026-10-01T08:00'), kind: 'change', task: null };
  const failed = { ...changed, at: '2026-11-01T08:00', result: 'could-not' };
  const renewed = { ...drained('2026-09-01T08:00'), task: 'M12' };
  const past = [failed, changed, renewed, drained('2026-08-01T08:00')];
  const plan = withStage(goodShop(), 'fine', (s) => ({ ...s, thing: thingSchema.parse({ past }) }) as Stage);
  expect(changedElsewhere(plan).map((e) => [e.stageId, e.measuredAt])).toEqual([
    ['fine', '2026-10-01T08:00'],
    ['fine', '2026-09-01T08:00'],
  ]);
});

it('no plate goes with its stage, and what comes back with its stage is not out', () => {
  const shop = goodShop();
  const [first, second] = allStages(shop).filter((s) => s.kind !== 'intake' && s.kind !== 'compressor') as [
    Stage,
    Stage,
  ];
  const thing = thingSchema.parse({ serial: 'R-77' });
  const plan = withStage(shop, first.id, (s) => ({ ...s, thing }) as Stage);
  const gone = keepingThings(plan, removeStage(removeStage(plan, first.id), second.id));
  expect(takenOutOf(gone)).toEqual([{ id: first.id, name: first.name, kind: first.kind, thing }]);
  expect(takenOutOf({ ...gone, stages: plan.stages })).toEqual([]);
  expect(takenOutOf(withoutTakenOut(gone, first.id))).toEqual([]);
  expect(keepingThings(plan, plan)).toBe(plan);
});
