import type { Pool, RowDataPacket } from 'mysql2/promise';
import { addBranch } from '../core/plan/edit-branches';
import { planOf, stageOf } from '../core/test/plan-of';
import { RequestRefused } from './errors';
import { ALONE } from './people/may';
import { listPlans, readDocument, readPlan } from './read-plan';
import { createPlan, savePlan } from './save-plan';
import { closeDatabase, freshDatabase } from './test/database';

const uuid = (): string => crypto.randomUUID();
const plan = planOf({}, stageOf('receiver'));
let pool: Pool;
beforeAll(async () => {
  pool = await freshDatabase('plans');
});
afterAll(() => closeDatabase(pool));

async function refusalOf(work: Promise<unknown>): Promise<RequestRefused> {
  const outcome = await work.then(
    () => undefined,
    (error: unknown) => error,
  );
  if (!(outcome instanceof RequestRefused)) throw new Error(`not refused: ${String(outcome)}`);
  return outcome;
}

test('a document that cannot be read is refused with its fields, kept as it is, and takes no other line with it', async () => {
  const [broken, sound] = [uuid(), uuid()];
  await createPlan(ALONE, { id: broken, plan });
  await createPlan(ALONE, { id: sound, plan: addBranch(plan, 'receiver', 'wing', 'far') });
  await pool.query(`UPDATE plans SET document = JSON_SET(document, '$.stages[0].kind', 'none') WHERE id = ?`, [broken]);
  expect(await refusalOf(readPlan(ALONE, broken))).toMatchObject({ status: 422, code: 'unreadable' });
  expect(await readDocument(ALONE, broken)).toMatchObject({ name: plan.name, stages: [{ kind: 'none' }, {}, {}] });
  const listed = (await listPlans(ALONE)).lines;
  expect(listed.find((l) => l.id === broken)).toMatchObject({ name: plan.name, shop: plan.survey.shop, stages: 3 });
  expect(listed.find((l) => l.id === sound)).toMatchObject({ stages: 4 });
  await pool.query(`UPDATE plans SET document = '{}' WHERE id = ?`, [broken]);
  expect((await listPlans(ALONE)).lines.find((l) => l.id === broken)).toMatchObject({
    stages: 0,
    name: expect.stringMatching(/cannot be read/),
  });
});

test('of many lines a hundred are listed, and the others are found by words of their names', async () => {
  const before = (await listPlans(ALONE)).of;
  for (let i = 0; i < 103; i++)
    await createPlan(ALONE, {
      id: uuid(),
      plan: { ...plan, name: `Hall ${i}`, survey: { ...plan.survey, shop: '100 % wood_' } },
    });
  const list = await listPlans(ALONE);
  expect([list.lines.length, list.of]).toEqual([40, before + 103]);
  expect(list.lines[0]?.name).toBe('Hall 102');
  expect((await listPlans(ALONE, 'WOOD_ hall  7')).of).toBe(19); // 7, 17 … 97, and 70 to 79
  expect((await listPlans(ALONE, '100 % 102')).lines).toMatchObject([{ name: 'Hall 102' }]);
  for (const none of ['wood. hall', '%%', '\\']) expect((await listPlans(ALONE, none)).of).toBe(0);
});

describe('saving a line', () => {
  test('what was saved is what is read, number for number', async () => {
    const id = uuid();
    await createPlan(ALONE, { id, plan });
    expect(await readPlan(ALONE, id)).toEqual({ id, rowVersion: 1, isDemo: false, plan });
    const renamed = { ...plan, name: 'Ærø, Ω 3 µm – “new”' };
    expect(await savePlan(ALONE, id, { writeId: uuid(), rowVersion: 1, plan: renamed })).toEqual({ id, rowVersion: 2 });
    expect((await readPlan(ALONE, id)).plan).toEqual(renamed);
    expect((await listPlans(ALONE)).lines.find((l) => l.id === id)).toMatchObject({ name: renamed.name, stages: 3 });
  });

  test('a write repeated is one write, even after somebody else’s', async () => {
    const id = uuid();
    await createPlan(ALONE, { id, plan });
    const mine = { writeId: uuid(), rowVersion: 1, plan: { ...plan, name: 'mine' } };
    await savePlan(ALONE, id, mine);
    await savePlan(ALONE, id, { writeId: uuid(), rowVersion: 2, plan: { ...plan, name: 'theirs' } });
    expect(await savePlan(ALONE, id, mine)).toEqual({ id, rowVersion: 2 });
    expect((await readPlan(ALONE, id)).plan.name).toBe('theirs');
    expect((await readPlan(ALONE, id)).rowVersion).toBe(3);
    // Its id with other content, or for another line, is no repetition.
    const used = { status: 409, issues: [{ field: 'writeId' }] };
    expect(await refusalOf(savePlan(ALONE, id, { ...mine, plan: { ...plan, name: 'else' } }))).toMatchObject(used);
    const other = uuid();
    await createPlan(ALONE, { id: other, plan });
    expect(await refusalOf(savePlan(ALONE, other, mine))).toMatchObject(used);
    expect((await readPlan(ALONE, other)).rowVersion).toBe(1);
  });

  test('somebody else’s newer save is not overwritten, and comes back with the refusal', async () => {
    const id = uuid();
    await createPlan(ALONE, { id, plan });
    await savePlan(ALONE, id, { writeId: uuid(), rowVersion: 1, plan: { ...plan, name: 'theirs' } });
    const refusal = await refusalOf(
      savePlan(ALONE, id, { writeId: uuid(), rowVersion: 1, plan: { ...plan, name: 'mine' } }),
    );
    expect(refusal).toMatchObject({ status: 409, code: 'conflict', issues: [{ field: 'rowVersion' }] });
    expect(refusal.more).toMatchObject({ newer: { rowVersion: 2, plan: { name: 'theirs' } } });
    expect((await readPlan(ALONE, id)).plan.name).toBe('theirs');
  });

  test('of many writers at once from one version, one wins', async () => {
    const id = uuid();
    await createPlan(ALONE, { id, plan });
    const writers = Array.from({ length: 6 }, (_, i) =>
      savePlan(ALONE, id, { writeId: uuid(), rowVersion: 1, plan: { ...plan, name: `writer ${i}` } }),
    );
    const results = await Promise.allSettled(writers);
    expect(results.filter((r) => r.status === 'fulfilled')).toHaveLength(1);
    expect((await readPlan(ALONE, id)).rowVersion).toBe(2);
  });

  test('creating twice with one id is one line; with other content it is refused', async () => {
    const id = uuid();
    await createPlan(ALONE, { id, plan });
    expect(await createPlan(ALONE, { id, plan })).toEqual({ id, rowVersion: 1 });
    expect(await refusalOf(createPlan(ALONE, { id, plan: { ...plan, name: 'other' } }))).toMatchObject({ status: 409 });
  });

  test.each<[string, unknown, string]>([
    ['no plan', undefined, 'plan'],
    [
      'humidity of 140 %',
      { ...plan, survey: { ...plan.survey, places: plan.survey.places.map((p) => ({ ...p, relativeHumidity: 1.4 })) } },
      'plan.survey.places.0.relativeHumidity',
    ],
    [
      'an unknown kind',
      { ...plan, stages: [...plan.stages, { id: 'x', kind: 'wand', name: 'x', parameters: {} }] },
      'plan.stages.3.kind',
    ],
    ['an unknown field', { ...plan, mood: 'good' }, 'plan.mood'],
  ])('%s is refused at its field and changes nothing', async (_what, bad, field) => {
    const id = uuid();
    await createPlan(ALONE, { id, plan });
    const refusal = await refusalOf(savePlan(ALONE, id, { writeId: uuid(), rowVersion: 1, plan: bad }));
    expect(refusal.status).toBe(422);
    expect(refusal.issues.map((i) => i.field)).toContain(field);
    expect((await readPlan(ALONE, id)).rowVersion).toBe(1);
  });

  test('a wrong id names its field; an unknown one is not found', async () => {
    expect(await refusalOf(readPlan(ALONE, '42'))).toMatchObject({ status: 422, issues: [{ field: 'id' }] });
    expect(await refusalOf(readPlan(ALONE, uuid()))).toMatchObject({ status: 404 });
    expect(await refusalOf(savePlan(ALONE, uuid(), { writeId: uuid(), rowVersion: 1, plan }))).toMatchObject({
      status: 404,
    });
  });

  test('every acknowledged save survives: the versions in the table are those that were answered', async () => {
    const id = uuid();
    await createPlan(ALONE, { id, plan });
    for (let v = 1; v <= 5; v++)
      await savePlan(ALONE, id, { writeId: uuid(), rowVersion: v, plan: { ...plan, name: `v${v}` } });
    const [rows] = await pool.query<RowDataPacket[]>(
      'SELECT row_version FROM plan_writes WHERE plan_id = ? ORDER BY row_version',
      [id],
    );
    expect(rows.map((r) => r.row_version)).toEqual([1, 2, 3, 4, 5, 6]);
  });
});
