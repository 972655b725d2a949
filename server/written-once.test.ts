import type { Pool, RowDataPacket } from 'mysql2/promise';
import { planOf, stageOf } from '../core/test/plan-of';
import { RequestRefused } from './errors';
import { keepAPhoto } from './keep-a-photo';
import { logADrain } from './log-a-drain';
import { logAnEntry } from './log-an-entry';
import { ALONE } from './people/may';
import { saveCharge } from './save-charge';
import { createPlan, savePlan } from './save-plan';
import { saveRevision } from './save-revision';
import { saveWeather } from './save-weather';
import { closeDatabase, freshDatabase } from './test/database';
import { pictureOf } from './test/picture';
import { inTransaction } from './transaction';

const uuid = (): string => crypto.randomUUID();
const plan = planOf({}, stageOf('receiver'));
const NOW = Date.UTC(2026, 10, 25, 12);
const [here, there] = [uuid(), uuid()];
let pool: Pool;
beforeAll(async () => {
  pool = await freshDatabase('once');
  for (const id of [here, there]) await createPlan(ALONE, { id, plan });
});
afterAll(() => closeDatabase(pool));

const drain = {
  drainedAt: '2026-11-23T16:00',
  sinceAt: '2026-11-22T16:00',
  amountM3: 1e-4,
  appearance: 'clear',
  who: 'me',
  note: '',
  loadedHours: null,
  intakeTemperatureC: 20,
  intakeRelativeHumidity: 0.5,
  stageId: 'receiver',
};
const year = (name: string) => {
  const hours = { temperatureC: Array(8760).fill(20), relativeHumidity: Array(8760).fill(0.5) };
  return {
    name,
    origin: 'csv',
    altitudeM: 0,
    notes: { rows: 8760, filled: 0, dropped: 0, corrected: 0, notes: [] },
    hours,
  };
};
const photo = async (text: string) =>
  new Request('http://x/', { method: 'PUT', body: new Uint8Array(await pictureOf(text)) });

/** Each kind of write: by its id, in a line, with one of two contents. */
const WRITES: Record<string, { table: string; write: (id: string, line: string, text: string) => Promise<unknown> }> = {
  line: { table: 'plans', write: (id, _, name) => createPlan(ALONE, { id, plan: { ...plan, name } }) },
  revision: {
    table: 'revisions',
    write: (id, line, name) => saveRevision(ALONE, line, { id, name: `${name} ${id}`, plan }),
  },
  drain: { table: 'drain_entries', write: (id, line, note) => logADrain(ALONE, line, { ...drain, id, note }, NOW) },
  entry: {
    table: 'log_entries',
    write: (id, line, what) =>
      logAnEntry(
        ALONE,
        line,
        { id, kind: 'observation', stageId: 'receiver', measuredAt: '2026-11-24T08:00', who: 'x', what },
        NOW,
      ),
  },
  charge: {
    table: 'charges',
    write: (id, line, batch) =>
      saveCharge(ALONE, line, { id, name: id, medium: 'silica', massKg: 9, boughtAt: '2026-01-01T08:00', batch }, NOW),
  },
  photo: { table: 'photos', write: async (id, line, text) => keepAPhoto(ALONE, line, id, await photo(text)) },
  weather: { table: 'weather_years', write: (id, _, name) => saveWeather(ALONE, { id, year: year(name) }) },
};

test.each(Object.entries(WRITES))(
  '%s: eight at once are one, with another content or for another line refused',
  async (kind, { table, write }) => {
    for (let round = 0; round < 5; round++) {
      const id = uuid();
      // Two contents, and for the kinds that belong to a line two lines.
      const calls = Array.from({ length: 8 }, (_, i) => [i % 4 < 2 ? here : there, i % 2 ? 'a' : 'b'] as const);
      const outcomes = await Promise.allSettled(calls.map(([line, text]) => write(id, line, text)));
      for (const outcome of outcomes)
        if (outcome.status === 'rejected') {
          expect(outcome.reason).toBeInstanceOf(RequestRefused);
          expect((outcome.reason as RequestRefused).status).toBe(409);
        }
      const belongs = !['line', 'weather'].includes(kind);
      expect(outcomes.filter((o) => o.status === 'fulfilled')).toHaveLength(belongs ? 2 : 4);
      const [rows] = await pool.query<RowDataPacket[]>(`SELECT id FROM ${table} WHERE id = ?`, [id]);
      expect(rows).toHaveLength(1);
    }
  },
);

test('a line that was made is acknowledged again after it was edited, and not with another content', async () => {
  const id = uuid();
  expect(await createPlan(ALONE, { id, plan })).toEqual({ id, rowVersion: 1 });
  await savePlan(ALONE, id, { writeId: uuid(), rowVersion: 1, plan: { ...plan, name: 'edited' } });
  expect(await createPlan(ALONE, { id, plan })).toEqual({ id, rowVersion: 1 });
  await expect(createPlan(ALONE, { id, plan: { ...plan, name: 'edited' } })).rejects.toMatchObject({ status: 409 });
});

test.each([
  ['ER_LOCK_DEADLOCK', 503],
  ['ER_DUP_ENTRY', 409],
])('%s: the work is begun again, and what never gets through is refused with %d', async (code, status) => {
  const clash = () => Object.assign(new Error('in the way'), { code });
  let begun = 0;
  const often = (times: number) =>
    inTransaction(async () => {
      if (++begun <= times) throw clash();
      return 'done';
    });
  expect(await often(2)).toBe('done');
  begun = 0;
  await expect(often(99)).rejects.toMatchObject({ status });
});
