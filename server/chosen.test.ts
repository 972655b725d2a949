import type { Pool } from 'mysql2/promise';
import { goodDry, goodShop } from '../core/test/good-lines';
import { ALONE } from './people/may';
import { readChosen } from './read-chosen';
import { createPlan } from './save-plan';
import { saveRevision } from './save-revision';
import { closeDatabase, freshDatabase } from './test/database';

const uuid = (): string => crypto.randomUUID();
let pool: Pool;
beforeAll(async () => {
  pool = await freshDatabase('chosen');
});
afterAll(() => closeDatabase(pool));

test('an address names revisions and lines; at most two, each once, and what is gone or nonsense is left out', async () => {
  const [own, other, revision] = [uuid(), uuid(), uuid()];
  await createPlan(ALONE, { id: own, plan: goodShop() });
  await createPlan(ALONE, { id: other, plan: { ...goodDry(), name: 'Dry one' } });
  await saveRevision(ALONE, own, { id: revision, name: 'As found', plan: goodShop() });
  const keys = [`revision:${revision}`, `line:${other}`];
  const titles = async (asked: string): Promise<string[]> => (await readChosen(ALONE, own, asked)).map((c) => c.title);
  expect(await titles(keys.join(','))).toEqual(['As found', 'Dry one']);
  expect(await titles(`${keys[0]},${keys[0]},${keys[1]}`)).toEqual(['As found', 'Dry one']);
  expect(await titles(`${keys.join(',')},line:${own}`)).toHaveLength(2);
  expect(await titles(`line:${uuid()},${keys[1]}`)).toEqual(['Dry one']);
  for (const nonsense of ['', ',', 'line:', 'revision:x', 'DROP TABLE', `revision:${other}`])
    expect(await titles(nonsense)).toEqual([]);
});
