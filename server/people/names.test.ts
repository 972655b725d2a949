import type { Pool } from 'mysql2/promise';
import { goodShop } from '../../core/test/good-lines';
import { database } from '../../db/client';
import { FIRST_SITE_ID, members, people } from '../../db/people';
import { logADrain } from '../log-a-drain';
import { logAnEntry } from '../log-an-entry';
import { readLogPage } from '../read-log-page';
import { readLogbook } from '../read-logbook';
import { createPlan } from '../save-plan';
import { closeDatabase, freshDatabase } from '../test/database';
import { ALONE, type Who } from './may';
import { assignName, readTypedNames } from './names';

let pool: Pool;
const [line, person] = [crypto.randomUUID(), crypto.randomUUID()];
beforeAll(async () => {
  process.env.COOL_DRAM_SHARE = '1';
  pool = await freshDatabase('names');
  await createPlan(ALONE, { id: line, plan: goodShop() });
  await database().insert(people).values({ id: person, name: 'Ada Mensah', email: 'ada@example.com' });
  await database().insert(members).values({ siteId: FIRST_SITE_ID, personId: person, role: 'technician' });
});
afterAll(async () => {
  delete process.env.COOL_DRAM_SHARE;
  await closeDatabase(pool);
});

const NOW = Date.UTC(2026, 10, 27, 12);
const AT = { measuredAt: '2026-11-27T08:00', drainedAt: '2026-11-27T08:00', sinceAt: '2026-11-26T08:00' };
const reading = (who: Who, name: string) =>
  logAnEntry(
    who,
    line,
    {
      id: crypto.randomUUID(),
      kind: 'reading',
      stageId: 'refrigerated-dryer',
      measuredAt: AT.measuredAt,
      who: name,
      instrument: 'good',
      readings: [{ of: 'dew-point', value: 4 }],
    },
    NOW,
  );
const drain = (name: string) =>
  logADrain(
    ALONE,
    line,
    {
      id: crypto.randomUUID(),
      stageId: 'receiver',
      drainedAt: AT.drainedAt,
      sinceAt: AT.sinceAt,
      amountM3: 1e-3,
      appearance: 'clear',
      who: name,
      note: '',
      loadedHours: null,
      intakeTemperatureC: 20,
      intakeRelativeHumidity: 0.5,
    },
    NOW,
  );
const namesOfLog = async () =>
  [...(await readLogPage(ALONE, line, {})).entries, ...(await readLogbook(ALONE, line)).entries]
    .map((e) => e.who)
    .toSorted();

test('a name that was typed is said to be somebody’s, in both logs, and not where somebody was signed in', async () => {
  const signedIn: Who = { id: person, name: 'A.', email: '', roles: new Map([[FIRST_SITE_ID, 'technician']]) };
  await reading(ALONE, 'A.');
  await reading(signedIn, 'A.');
  await reading(ALONE, 'Ben');
  await drain('A.');
  const typed = () => readTypedNames(ALONE, FIRST_SITE_ID);
  expect((await typed()).names).toEqual([
    { name: 'A.', entries: 2, personId: null },
    { name: 'Ben', entries: 1, personId: null },
  ]);
  await assignName(ALONE, FIRST_SITE_ID, { name: 'A.', personId: person });
  expect((await typed()).names[0]).toEqual({ name: 'A.', entries: 2, personId: person });
  expect(await namesOfLog()).toEqual(['A.', 'A. (Ada Mensah)', 'A. (Ada Mensah)', 'Ben']);
  await assignName(ALONE, FIRST_SITE_ID, { name: 'A.', personId: null });
  expect(await namesOfLog()).toEqual(['A.', 'A.', 'A.', 'Ben']);
});

test('a name is assigned to nobody of another site', async () => {
  const work = assignName(ALONE, FIRST_SITE_ID, { name: 'Ben', personId: crypto.randomUUID() });
  await expect(work).rejects.toMatchObject({ status: 404, issues: [{ field: 'personId' }] });
});
