import { and, asc, eq, gt, gte, or, type SQL } from 'drizzle-orm';
import type { MySqlColumn } from 'drizzle-orm/mysql-core';
import { logEntrySchema } from '../../core/log/log-entry';
import { filesOf } from '../../core/plan/files-of';
import { database } from '../../db/client';
import { charges, drainEntries, files, logEntries, photos, revisions } from '../../db/schema';
import { checkedId } from '../plan-id';
import { planOf } from '../read-plan';
import { storedPlan } from '../stored-plan';
import { COPY_FORMAT, COPY_VERSION, type CopyRecord } from './records';

const AT_ONCE = 500; // rows of a log a query

/** After the last row that was read, in the order of a date and an id. */
const after = (date: MySqlColumn, id: MySqlColumn, last: { date: unknown; id: string } | undefined): SQL | undefined =>
  last && and(gte(date, last.date), or(gt(date, last.date), gt(id, last.id)));

async function* entriesOf(planId: string): AsyncGenerator<CopyRecord> {
  let last: { date: string; id: string } | undefined;
  for (;;) {
    const rows = await database()
      .select()
      .from(logEntries)
      .where(and(eq(logEntries.planId, planId), after(logEntries.measuredAt, logEntries.id, last)))
      .orderBy(asc(logEntries.measuredAt), asc(logEntries.id))
      .limit(AT_ONCE);
    for (const { stageName, enteredAt, entry, expected } of rows)
      yield {
        of: 'entry',
        enteredAt: enteredAt.toISOString(),
        stageName,
        entry: logEntrySchema.parse(entry),
        expected: expected.map((e) => e && { value: e.value, low: e.low, high: e.high }),
      };
    const end = rows.at(-1);
    if (!end || rows.length < AT_ONCE) return;
    last = { date: end.measuredAt, id: end.id };
  }
}

async function* drainsOf(planId: string): AsyncGenerator<CopyRecord> {
  let last: { date: string; id: string } | undefined;
  for (;;) {
    const rows = await database()
      .select()
      .from(drainEntries)
      .where(and(eq(drainEntries.planId, planId), after(drainEntries.drainedAt, drainEntries.id, last)))
      .orderBy(asc(drainEntries.drainedAt), asc(drainEntries.id))
      .limit(AT_ONCE);
    for (const row of rows) {
      const {
        planId: _,
        stageName,
        countedHours,
        expectedKg,
        lowKg,
        highKg,
        why,
        struckAt,
        loggedAt,
        personId: _person,
        ...entry
      } = row;
      yield {
        of: 'drain',
        loggedAt: loggedAt.toISOString(),
        struckAt: struckAt?.toISOString() ?? null,
        stageName,
        entry,
        countedHours,
        expectedKg,
        lowKg,
        highKg,
        why: why as Extract<CopyRecord, { of: 'drain' }>['why'],
      };
    }
    const end = rows.at(-1);
    if (!end || rows.length < AT_ONCE) return;
    last = { date: end.drainedAt, id: end.id };
  }
}

/** Everything that is kept of a line, one thing after another; of its calendar addresses none, for they are secrets. */
export async function* recordsOf(planId: string): AsyncGenerator<CopyRecord> {
  const id = checkedId('id', planId);
  const { plan } = await planOf(id);
  const madeAt = new Date().toISOString();
  yield { of: 'line', format: COPY_FORMAT, version: COPY_VERSION, id, madeAt, plan };
  for (const row of await database()
    .select()
    .from(revisions)
    .where(eq(revisions.planId, id))
    .orderBy(asc(revisions.id)))
    yield { of: 'revision', id: row.id, name: row.name, at: row.at.toISOString(), plan: storedPlan(row.document) };
  for (const row of await database().select().from(charges).where(eq(charges.planId, id)).orderBy(asc(charges.at)))
    yield { of: 'charge', at: row.at.toISOString(), charge: row.charge };
  const pictures = await database().select({ id: photos.id }).from(photos).where(eq(photos.planId, id));
  for (const picture of pictures) {
    const [row] = await database().select().from(photos).where(eq(photos.id, picture.id));
    if (row) yield { of: 'photo', id: row.id, at: row.at.toISOString(), jpeg: row.jpeg.toString('base64') };
  }
  for (const { id: fileId } of filesOf(plan)) {
    const [row] = await database().select().from(files).where(eq(files.id, fileId));
    if (row) yield { of: 'file', id: row.id, at: row.at.toISOString(), bytes: row.bytes.toString('base64') };
  }
  yield* entriesOf(id);
  yield* drainsOf(id);
}

/** The same as lines of JSON, with an end by which it is known to be whole. */
export async function* linesOf(records: AsyncGenerator<CopyRecord>): AsyncGenerator<string> {
  let n = 0;
  const line = (record: CopyRecord): string => `${JSON.stringify(record)}\n`;
  for await (const record of records) {
    n++;
    yield line(record);
  }
  yield line({ of: 'end', records: n });
}
