import fc from 'fast-check';
import type { Pool } from 'mysql2/promise';
import { planOf, stageOf } from '../../core/test/plan-of';
import { keepAPhoto } from '../keep-a-photo';
import { logADrain, strikeADrain } from '../log-a-drain';
import { logAnEntry } from '../log-an-entry';
import { ALONE } from '../people/may';
import { readPlan } from '../read-plan';
import { saveCharge } from '../save-charge';
import { createPlan, savePlan } from '../save-plan';
import { listRevisions, saveRevision } from '../save-revision';
import { removeLine } from '../sites/remove-line';
import { closeDatabase, freshDatabase } from '../test/database';
import { pictureOf } from '../test/picture';
import { readLineCopy } from './read-line-copy';
import type { CopyRecord } from './records';
import { linesOf, recordsOf } from './write-line-copy';

const NOW = Date.UTC(2026, 10, 23, 18);
let pool: Pool;
let planId: string;
const uuid = (): string => crypto.randomUUID();
const plan = planOf({}, stageOf('receiver', { drain: 'manual' }));
const drain = (at: string) => ({
  id: uuid(),
  stageId: 'receiver',
  drainedAt: at,
  sinceAt: '2026-11-20T16:00',
  amountM3: 1e-4,
  appearance: 'clear',
  who: 'Ida',
  note: 'ünïcödé 💧',
  loadedHours: null,
  intakeTemperatureC: 20,
  intakeRelativeHumidity: 0.5,
});
beforeAll(async () => {
  pool = await freshDatabase('line_copy');
  planId = uuid();
  await createPlan(ALONE, { id: planId, plan });
  await saveRevision(ALONE, planId, { id: uuid(), name: 'before', plan });
  const photo = new Request('http://x/', { method: 'PUT', body: new Uint8Array(await pictureOf('gauge')) });
  await keepAPhoto(ALONE, planId, uuid(), photo);
  const charge = { id: uuid(), name: 'Tin 1', medium: 'silica', massKg: 2, boughtAt: '2026-11-01T08:00' };
  await saveCharge(ALONE, planId, charge, NOW);
  const first = drain('2026-11-21T16:00');
  await logADrain(ALONE, planId, first, NOW);
  await logADrain(ALONE, planId, drain('2026-11-22T16:00'), NOW);
  await strikeADrain(ALONE, planId, first.id, true);
  // More than one query brings, all at one minute: what follows is found by its id.
  const ids = Array.from({ length: 1203 }, uuid);
  const entry = { kind: 'reading', stageId: 'receiver', who: 'Ida', measuredAt: '2026-11-21T09:00' };
  const readings = [{ of: 'temperature', value: 30 }];
  await logAnEntry(ALONE, planId, { ...entry, id: ids[0], readings, chargeId: charge.id }, NOW);
  await logAnEntry(ALONE, planId, { ...entry, id: ids[1], readings, amends: ids[0] }, NOW);
  const [[row]] = (await pool.query('SELECT * FROM log_entries WHERE id = ?', [ids[1]])) as unknown as [
    [{ entry: object }],
  ];
  const { result: _r, symptom: _s, amends: _a, counts: _c, ...own } = row as Record<string, unknown>;
  for (const id of ids.slice(2))
    await pool.query('INSERT INTO log_entries SET ?', {
      ...own,
      id,
      expected: '[null]',
      entry: JSON.stringify({ ...row.entry, id, amends: null }),
    });
});
afterAll(() => closeDatabase(pool));

async function copyOf(id: string): Promise<CopyRecord[]> {
  const records: CopyRecord[] = [];
  for await (const record of recordsOf(id)) records.push(record);
  return records;
}
const sent = (text: string, type = 'application/x-ndjson'): Request =>
  new Request('http://127.0.0.1', { method: 'POST', body: text, headers: { 'content-type': type } });
async function textOf(id: string): Promise<string> {
  let text = '';
  for await (const line of linesOf(recordsOf(id))) text += line;
  return text;
}
const counts = (records: readonly CopyRecord[]): Record<string, number> => {
  const by: Record<string, number> = {};
  for (const { of } of records) by[of] = (by[of] ?? 0) + 1;
  return by;
};

test('a copy has everything, however long the log is', async () => {
  expect(counts(await copyOf(planId))).toEqual({ line: 1, revision: 1, charge: 1, photo: 1, entry: 1203, drain: 2 });
});

test('as a new line it is the same with ids of its own, and what names another still does', async () => {
  const { id, added } = await readLineCopy(ALONE, 'new', sent(await textOf(planId)));
  expect(added).toBe(1208);
  expect(id).not.toBe(planId);
  const [before, after] = [await copyOf(planId), await copyOf(id)];
  expect(counts(after)).toEqual(counts(before));
  const corrected = (of: CopyRecord[]) =>
    of.flatMap((r) => (r.of === 'entry' && (r.entry.amends || r.entry.chargeId) ? [r] : []));
  const [charge] = after.filter((r) => r.of === 'charge');
  const [named, amends] = corrected(after).toSorted((a, b) => Number(a.entry.amends) - Number(b.entry.amends));
  expect(corrected(after)).toHaveLength(2);
  expect([named, amends].some((e) => e?.entry.chargeId === charge?.charge.id)).toBe(true);
  expect(after.filter((r) => r.of === 'drain')).toMatchObject(
    before.flatMap((r) => (r.of === 'drain' ? [{ ...r, entry: { ...r.entry, id: expect.any(String) } }] : [])),
  );
  const ids = (of: CopyRecord[]) => new Set(of.flatMap((r) => (r.of === 'entry' ? [r.entry.id] : [])));
  expect([...ids(after)].filter((one) => ids(before).has(one))).toEqual([]);
});

test('merged into a line that was removed, it brings the line back', async () => {
  const text = await textOf(planId);
  await removeLine(ALONE, planId);
  await expect(readPlan(ALONE, planId)).rejects.toMatchObject({ status: 404 });
  await readLineCopy(ALONE, 'merge', sent(text));
  expect((await readPlan(ALONE, planId)).plan.name).toBe(plan.name);
});

test('merged into its line it adds what is missing and changes nothing that is there', async () => {
  const text = await textOf(planId);
  expect(await readLineCopy(ALONE, 'merge', sent(text))).toEqual({ id: planId, added: 0, already: 1208 });
  await pool.query('DELETE FROM log_entries WHERE plan_id = ? LIMIT 400', [planId]);
  await savePlan(ALONE, planId, { writeId: uuid(), rowVersion: 1, plan: { ...plan, name: 'gone on' } });
  expect(await readLineCopy(ALONE, 'merge', sent(text))).toEqual({ id: planId, added: 400, already: 808 });
  expect(await textOf(planId)).toContain('ünïcödé');
  expect((await readPlan(ALONE, planId)).plan.name).toBe('gone on');
  expect((await listRevisions(ALONE, planId)).map((r) => r.name)).toContainEqual(
    expect.stringMatching(/^Copy of 2026-/),
  );
  // Of a line that is gone, everything comes back under its own ids.
  const whole = await textOf(planId);
  await pool.query('DELETE FROM plans WHERE id = ?', [planId]);
  await readLineCopy(ALONE, 'merge', sent(whole));
  const parsed = (lines: string): unknown =>
    lines
      .trim()
      .split('\n')
      .map((l) => ({ ...JSON.parse(l), madeAt: '' }));
  expect(parsed(await textOf(planId))).toEqual(parsed(whole));
});

test('a copy that is not whole, or was changed by hand, writes nothing and names the line', async () => {
  const text = await textOf(planId);
  const lines = text.trim().split('\n');
  const [[before]] = (await pool.query('SELECT COUNT(*) AS n FROM plans')) as unknown as [[{ n: number }]];
  const refused = async (body: string): Promise<unknown> => {
    const error = await readLineCopy(ALONE, 'new', sent(body)).catch((e) => e);
    expect(error).toMatchObject({ name: 'RequestRefused' });
    return error;
  };
  await refused('');
  await refused('hello');
  await refused(lines.slice(1).join('\n'));
  await refused(`${text}${lines[0]}`);
  await refused(text.replace('"chargeId":"', '"chargeId":"0'));
  expect(await refused(lines.toSpliced(4, 1, '{"of":"entry"}').join('\n'))).toMatchObject({
    status: 422,
    issues: [{ field: 'line 5' }],
  });
  await expect(readLineCopy(ALONE, 'new', sent(text, 'text/plain'))).rejects.toMatchObject({ status: 415 });
  await expect(readLineCopy(ALONE, 'both', sent(text))).rejects.toMatchObject({
    status: 422,
    issues: [{ field: 'as' }],
  });
  await fc.assert(
    fc.asyncProperty(fc.nat({ max: Math.min(text.length, 20_000) - 1 }), async (at) => {
      await refused(
        text
          .slice(0, at + 1)
          .trimEnd()
          .slice(0, -1),
      );
    }),
    { numRuns: 40 },
  );
  const [[after]] = (await pool.query('SELECT COUNT(*) AS n FROM plans')) as unknown as [[{ n: number }]];
  expect(after.n).toBe(before.n);
});
