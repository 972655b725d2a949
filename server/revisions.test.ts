import type { Pool } from 'mysql2/promise';
import { goodDry, goodShop } from '../core/test/good-lines';
import { RequestRefused } from './errors';
import { ALONE } from './people/may';
import { createPlan, savePlan } from './save-plan';
import { listRevisions, readRevision, saveRevision } from './save-revision';
import { closeDatabase, freshDatabase } from './test/database';

const uuid = (): string => crypto.randomUUID();
let pool: Pool;
const planId = uuid();
beforeAll(async () => {
  pool = await freshDatabase('revisions');
  await createPlan(ALONE, { id: planId, plan: goodShop() });
});
afterAll(() => closeDatabase(pool));
const refusal = (work: Promise<unknown>): Promise<unknown> =>
  work.then(
    () => 'not refused',
    (e: unknown) => (e instanceof RequestRefused ? { status: e.status, issues: e.issues } : e),
  );

test('a revision is what the plan was, whatever becomes of the plan; the newest comes first', async () => {
  const [first, second] = [uuid(), uuid()];
  await saveRevision(ALONE, planId, { id: first, name: 'As found', plan: goodShop() });
  await savePlan(ALONE, planId, { writeId: uuid(), rowVersion: 1, plan: goodDry() });
  await saveRevision(ALONE, planId, { id: second, name: 'With a tower', plan: goodDry() });
  expect((await listRevisions(ALONE, planId)).map((r) => r.name)).toEqual(['With a tower', 'As found']);
  expect((await readRevision(ALONE, planId, first)).plan).toEqual(goodShop());
});

test('sent again it is one revision; another of that id or name is refused, and changes nothing', async () => {
  const id = uuid();
  const one = { id, name: 'Twice', plan: goodShop() };
  expect(await saveRevision(ALONE, planId, one)).toEqual(await saveRevision(ALONE, planId, one));
  expect(await refusal(saveRevision(ALONE, planId, { ...one, plan: goodDry() }))).toMatchObject({ status: 409 });
  expect(await refusal(saveRevision(ALONE, planId, { ...one, id: uuid(), name: 'twice' }))).toMatchObject({
    status: 409,
    issues: [{ field: 'name' }],
  });
  expect((await readRevision(ALONE, planId, id)).plan).toEqual(goodShop());
});

test('bad input is refused at its field; a revision of another line is not shown', async () => {
  expect(await refusal(saveRevision(ALONE, planId, { id: uuid(), name: ' ', plan: goodShop() }))).toMatchObject({
    status: 422,
    issues: [{ field: 'name' }],
  });
  expect(await refusal(saveRevision(ALONE, uuid(), { id: uuid(), name: 'x', plan: goodShop() }))).toMatchObject({
    status: 404,
  });
  const other = uuid();
  await createPlan(ALONE, { id: other, plan: goodShop() });
  const id = uuid();
  await saveRevision(ALONE, other, { id, name: 'theirs', plan: goodShop() });
  expect(await refusal(readRevision(ALONE, planId, id))).toMatchObject({ status: 404 });
});
