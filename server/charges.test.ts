import type { Pool } from 'mysql2/promise';
import { goodShop } from '../core/test/good-lines';
import { logAnEntry } from './log-an-entry';
import { ALONE } from './people/may';
import { readCharges, saveCharge } from './save-charge';
import { createPlan } from './save-plan';
import { closeDatabase, freshDatabase } from './test/database';
import { readEntries, readLog } from './test/whole-log';

const uuid = (): string => crypto.randomUUID();
const NOW = Date.UTC(2026, 10, 27, 12);
const [planId, otherId] = [uuid(), uuid()];
let pool: Pool;
beforeAll(async () => {
  pool = await freshDatabase('charges');
  await createPlan(ALONE, { id: planId, plan: goodShop() });
  await createPlan(ALONE, { id: otherId, plan: goodShop() });
});
afterAll(() => closeDatabase(pool));
const tin = (change: object = {}) => ({
  id: uuid(),
  name: 'Tin 1',
  medium: 'silica',
  dyed: true,
  massKg: 1,
  batch: '',
  boughtAt: '2026-11-01T08:00',
  openedAt: null,
  timesBefore: 0,
  ...change,
});
const refused = (work: Promise<unknown>) =>
  work.then(
    () => 'not refused',
    (e: unknown) => e,
  );

test('a charge is kept once; another under its id or its name is refused and changes nothing', async () => {
  const one = tin();
  await saveCharge(ALONE, planId, one, NOW);
  await saveCharge(ALONE, planId, one, NOW);
  expect(await readCharges(ALONE, planId)).toEqual([one]);
  expect(await refused(saveCharge(ALONE, planId, { ...one, massKg: 2 }, NOW))).toMatchObject({ status: 409 });
  expect(await refused(saveCharge(ALONE, planId, tin({ name: 'TIN 1' }), NOW))).toMatchObject({
    status: 422,
    issues: [{ field: 'name' }],
  });
  expect(await refused(saveCharge(ALONE, otherId, one, NOW))).toMatchObject({ status: 409 });
  await saveCharge(ALONE, otherId, tin(), NOW); // the name is free in another line
  expect(await readCharges(ALONE, planId)).toEqual([one]);
});

test.each([
  [{ medium: 'rice' }, 'medium'],
  [{ massKg: -1 }, 'massKg'],
  [{ massKg: 'a lot' }, 'massKg'],
  [{ name: ' ' }, 'name'],
  [{ boughtAt: '2027-03-01T08:00' }, 'boughtAt'],
  [{ timesBefore: 1.5 }, 'timesBefore'],
  [{ colour: 'blue' }, 'colour'],
])('%j is named at its field', async (change, field) => {
  expect(await refused(saveCharge(ALONE, planId, tin({ name: 'X', ...change }), NOW))).toMatchObject({
    status: 422,
    issues: [expect.objectContaining({ field })],
  });
});

test('what happens to a charge is in the log of its own line, and the whole log has both', async () => {
  const [own, other] = [await readCharges(ALONE, planId), await readCharges(ALONE, otherId)].map((c) => c[0]?.id ?? '');
  const change = (chargeId: string | undefined) => ({
    id: uuid(),
    kind: 'change',
    stageId: '',
    chargeId,
    measuredAt: '2026-11-20T07:00',
    who: 'Bram',
  });
  await logAnEntry(ALONE, planId, change(own), NOW);
  expect(await refused(logAnEntry(ALONE, planId, change(other), NOW))).toMatchObject({
    status: 422,
    issues: [{ field: 'chargeId' }],
  });
  expect((await readEntries(planId)).map((e) => e.chargeId)).toEqual([own]);
  const log = await readLog(planId);
  expect(log.charges.map((c) => c.id)).toEqual([own]);
  expect(log.entries).toHaveLength(1);
});
