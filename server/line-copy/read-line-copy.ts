import { inArray } from 'drizzle-orm';
import type { MySqlColumn, MySqlTable } from 'drizzle-orm/mysql-core';
import { z } from 'zod';
import { charges, drainEntries, files, logEntries, photos, plans, revisions } from '../../db/schema';
import { checked, RequestRefused } from '../errors';
import { type EntryRow, keepEntries } from '../keep-entries';
import { asKept } from '../kept-files';
import { drainMark, markAgain } from '../log-marks';
import { note } from '../people/audit';
import { permitted, siteFor, type Who } from '../people/may';
import { pictureMadeAnew } from '../picture-made-anew';
import { wellFormed } from '../respond';
import { restoreLine } from '../sites/remove-line';
import { inTransaction, type Transaction } from '../transaction';
import { type CopyRecord, recordSchema } from './records';

const MOST_BYTES = 500_000_000;
const MOST_LINE_BYTES = 12_000_000; // a document of 8 MB, written in base 64
const AT_ONCE = 200; // rows a statement

export const asSchema = z.enum(['new', 'merge'], { error: 'Say as what: new or merge.' });

/** What came of a copy. */
export interface CopyRead {
  readonly id: string;
  readonly added: number;
  /** Were there already, and stay as they are. */
  readonly already: number;
}

const refuse = (line: number, message: string) =>
  new RequestRefused(422, 'invalid', `Line ${line} of the copy: ${message}`, [{ field: `line ${line}`, message }]);

/** The lines of a body as they come, no more of it than may be. */
async function* textLines(body: ReadableStream<Uint8Array> | null): AsyncGenerator<string> {
  const tooLarge = () =>
    new RequestRefused(413, 'too-large', 'That is too large for a copy of a line.', [
      { field: '(body)', message: 'Too large.' },
    ]);
  const decoder = new TextDecoder('utf-8', { fatal: true });
  let [rest, size] = ['', 0];
  for await (const chunk of body ?? []) {
    size += chunk.byteLength;
    if (size > MOST_BYTES) throw tooLarge();
    rest += decoder.decode(chunk, { stream: true });
    const lines = rest.split('\n');
    rest = lines.pop() ?? '';
    if (rest.length > MOST_LINE_BYTES) throw tooLarge();
    yield* lines;
  }
  yield rest + decoder.decode();
}

async function* recordsIn(body: ReadableStream<Uint8Array> | null): AsyncGenerator<Exclude<CopyRecord, { of: 'end' }>> {
  let [n, isWhole] = [0, false];
  try {
    for await (const text of textLines(body)) {
      n++;
      if (text.trim() === '') continue;
      const record = checked(recordSchema, wellFormed(JSON.parse(text)));
      if ((n === 1) !== (record.of === 'line') || isWhole) throw new SyntaxError();
      if (record.of !== 'end') yield record;
      else if (record.records === n - 1) isWhole = true;
    }
  } catch (error) {
    if (error instanceof RequestRefused && error.status === 422) throw refuse(Math.max(n, 1), error.message);
    if (error instanceof SyntaxError || error instanceof TypeError)
      throw refuse(Math.max(n, 1), n <= 1 ? 'This is no copy of a line.' : 'This is no part of a copy of a line.');
    throw error;
  }
  if (!isWhole) throw refuse(Math.max(n, 1), 'The copy is not whole. Make it again.');
}

const TABLES = { revision: revisions, charge: charges, photo: photos, entry: logEntries, drain: drainEntries };
type Kept = Exclude<CopyRecord, { of: 'line' | 'end' | 'file' }>;

/** The row of a record in the line that it goes into; `idOf` gives each id its id there. */
function rowOf(record: Kept, planId: string, idOf: (id: string) => string) {
  const orNull = (id: string | null): string | null => id && idOf(id);
  switch (record.of) {
    case 'revision':
      return { id: idOf(record.id), planId, name: record.name, document: record.plan, at: new Date(record.at) };
    case 'charge': {
      const charge = { ...record.charge, id: idOf(record.charge.id) };
      return { id: charge.id, planId, charge, at: new Date(record.at) };
    }
    case 'photo':
      return { id: idOf(record.id), planId, jpeg: Buffer.from(record.jpeg, 'base64'), at: new Date(record.at) };
    case 'entry': {
      const { amends, chargeId, photoId } = record.entry;
      const own = { amends: orNull(amends), chargeId: orNull(chargeId), photoId: orNull(photoId) };
      const entry = { ...record.entry, ...own, id: idOf(record.entry.id) };
      const { id, stageId, kind, task, measuredAt, who } = entry;
      const { stageName, expected } = record;
      const enteredAt = new Date(record.enteredAt);
      return { id, planId, stageId, stageName, kind, task, measuredAt, who, entry, expected, enteredAt };
    }
    case 'drain': {
      const { of: _, entry, loggedAt, struckAt, ...kept } = record;
      const dates = { loggedAt: new Date(loggedAt), struckAt: struckAt === null ? null : new Date(struckAt) };
      return { ...entry, ...kept, ...dates, id: idOf(entry.id), planId };
    }
  }
}

/** Adds the rows whose ids are new. One that is there stays as it is; one of another line is refused. */
async function add(tx: Transaction, kind: Kept['of'], rows: ReturnType<typeof rowOf>[]): Promise<number> {
  const table = TABLES[kind] as MySqlTable & { id: MySqlColumn; planId: MySqlColumn };
  const ids = rows.map((r) => r.id);
  const there = (await tx.select({ id: table.id, planId: table.planId }).from(table).where(inArray(table.id, ids))) as {
    id: string;
    planId: string;
  }[];
  if (there.some((t) => t.planId !== rows[0]?.planId))
    throw new RequestRefused(409, 'conflict', 'Some of it belongs to another line here. Import it as a new line.', [
      { field: 'as', message: 'Import it as a new line.' },
    ]);
  const fresh = rows.filter((r) => !there.some((t) => t.id === r.id));
  if (fresh.length === 0) return 0;
  if (kind === 'entry') await keepEntries(tx, fresh as unknown as EntryRow[]);
  else await tx.insert(table).values(fresh as never);
  if (kind === 'drain') {
    const drained = fresh as unknown as { stageId: string; planId: string }[];
    await markAgain(
      tx,
      drained[0]?.planId ?? '',
      drained.map((d) => drainMark(d.stageId)),
    );
  }
  return fresh.length;
}

/**
 * Takes in a copy of a line, whole or not at all: as a new line with ids of its own, or merged into the line that it was
 * made of, where what is there stays as it is and what is missing is added. A plan that has gone on differently is kept as
 * a revision.
 */
export async function readLineCopy(who: Who, as: unknown, request: Request): Promise<CopyRead> {
  if (!/^application\/x-ndjson\b/i.test(request.headers.get('content-type') ?? ''))
    throw new RequestRefused(415, 'invalid', 'Send it as application/x-ndjson.', [
      { field: 'content-type', message: 'Not application/x-ndjson.' },
    ]);
  const isNew = checked(z.strictObject({ as: asSchema }), { as }).as === 'new';
  const known = new Map<string, string>();
  const idOf = (id: string): string => {
    if (!isNew) return id;
    const own = known.get(id) ?? crypto.randomUUID();
    known.set(id, own);
    return own;
  };
  return inTransaction(async (tx) => {
    let planId = '';
    let [added, already] = [0, 0];
    const [given, named] = [new Set<string>(), new Set<string>()];
    let waiting: { of: Kept['of']; rows: ReturnType<typeof rowOf>[] } | undefined;
    const flush = async (): Promise<void> => {
      if (!waiting) return;
      const fresh = await add(tx, waiting.of, waiting.rows);
      added += fresh;
      already += waiting.rows.length - fresh;
      waiting = undefined;
    };
    for await (const record of recordsIn(request.body)) {
      if (record.of === 'line') {
        planId = await takeLine(tx, who, record, isNew);
        continue;
      }
      if (record.of === 'file') {
        if (await addFile(tx, planId, record)) added++;
        else already++;
        continue;
      }
      if (record.of === 'entry')
        for (const id of [record.entry.amends, record.entry.chargeId, record.entry.photoId]) if (id) named.add(id);
      if (record.of === 'photo') {
        const jpeg = await pictureMadeAnew(Buffer.from(record.jpeg, 'base64'));
        record.jpeg = jpeg.toString('base64');
      }
      const row = rowOf(record, planId, idOf);
      given.add(row.id);
      if (waiting && (waiting.of !== record.of || waiting.rows.length >= AT_ONCE || record.of === 'photo'))
        await flush();
      waiting ??= { of: record.of, rows: [] };
      waiting.rows.push(row);
    }
    await flush();
    for (const id of named)
      if (!given.has(idOf(id))) throw refuse(1, 'One of its entries speaks of something that is not in the copy.');
    return { id: planId, added, already };
  }, 1);
}

/** Adds a file under its own id, by which the plan names it; one that is there stays. */
async function addFile(
  tx: Transaction,
  planId: string,
  { id, at, bytes }: Extract<CopyRecord, { of: 'file' }>,
): Promise<boolean> {
  const there = await tx.$count(files, inArray(files.id, [id]));
  if (there > 0) return false;
  const [plan] = await tx
    .select({ siteId: plans.siteId })
    .from(plans)
    .where(inArray(plans.id, [planId]));
  const kept = await asKept(Buffer.from(bytes, 'base64'));
  await tx.insert(files).values({ id, siteId: plan?.siteId ?? '', ...kept, at: new Date(at) });
  return true;
}

async function takeLine(
  tx: Transaction,
  who: Who,
  record: Extract<CopyRecord, { of: 'line' }>,
  isNew: boolean,
): Promise<string> {
  const id = isNew ? crypto.randomUUID() : record.id;
  const [there] = await tx
    .select()
    .from(plans)
    .where(inArray(plans.id, [id]))
    .for('update');
  if (there?.removedAt) await restoreLine(who, id, tx);
  else if (there) await permitted(who, 'plan', id);
  const siteId = there?.siteId ?? (await siteFor(who, 'plan'));
  await note(tx, who, { siteId, planId: id, about: record.plan.name, says: ['Taken in from a copy.'] });
  if (!there) await tx.insert(plans).values({ id, siteId, document: record.plan });
  else if (JSON.stringify(there.document) !== JSON.stringify(record.plan)) {
    const name = `Copy of ${record.madeAt.slice(0, 19).replace('T', ' ')}`;
    const own = await tx
      .select({ name: revisions.name })
      .from(revisions)
      .where(inArray(revisions.planId, [id]));
    if (!own.some((r) => r.name === name))
      await tx.insert(revisions).values({ id: crypto.randomUUID(), planId: id, name, document: record.plan });
  }
  return id;
}
