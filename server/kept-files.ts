import { createHash } from 'node:crypto';
import { and, eq, sql } from 'drizzle-orm';
import { database } from '../db/client';
import { sites } from '../db/people';
import { files, plans } from '../db/schema';
import { RequestRefused } from './errors';
import { permitted, type Who } from './people/may';
import { pictureMadeAnew } from './picture-made-anew';
import { checkedId, noSuchPlan } from './plan-id';
import { readBody } from './respond';
import { inTransaction } from './transaction';

const MOST_BYTES = 8_000_000;
/** What a site may hold. */
const MOST = 2000;
const PDF = '%PDF-';

const noSuchFile = (): RequestRefused =>
  new RequestRefused(404, 'not-found', 'There is no such file.', [{ field: 'fileId', message: 'Unknown.' }]);

/** What is kept of what was sent: a PDF document as it is, a picture made anew. */
export async function asKept(sent: Buffer): Promise<Pick<typeof files.$inferInsert, 'type' | 'bytes' | 'digest'>> {
  const isPdf = sent.subarray(0, PDF.length).toString('latin1') === PDF;
  return {
    type: isPdf ? 'pdf' : 'picture',
    bytes: isPdf ? sent : await pictureMadeAnew(sent),
    digest: createHash('sha256').update(sent).digest('hex'),
  };
}

/** Keeps a picture or a PDF document on the site of a line. Sent again under its id it is one file. */
export async function keepFile(who: Who, planId: string, fileId: string, request: Request): Promise<{ id: string }> {
  const [ofPlan, id] = [await permitted(who, 'log', planId), checkedId('fileId', fileId)];
  const sent = await readBody(request, MOST_BYTES, 'The file is larger than 8 MB. Send a smaller one.');
  const kept = await asKept(sent);
  return inTransaction(async (tx) => {
    const [plan] = await tx.select({ siteId: plans.siteId }).from(plans).where(eq(plans.id, ofPlan));
    if (!plan) throw noSuchPlan();
    await tx.select({ id: sites.id }).from(sites).where(eq(sites.id, plan.siteId)).for('update');
    const [there] = await tx.select({ digest: files.digest }).from(files).where(eq(files.id, id));
    if (there?.digest === kept.digest) return { id };
    if (there)
      throw new RequestRefused(409, 'conflict', 'Another file has this id already.', [
        { field: 'fileId', message: 'Already used.' },
      ]);
    if ((await tx.$count(files, eq(files.siteId, plan.siteId))) >= MOST)
      throw new RequestRefused(409, 'conflict', `A site holds at most ${MOST} pictures and documents.`);
    await tx.insert(files).values({ id, siteId: plan.siteId, ...kept });
    return { id };
  });
}

/** A file for whoever may read a line: one of its site, or one that came to it with a thing that its plan names. */
export async function readFile(
  who: Who,
  planId: string,
  fileId: string,
): Promise<{ type: string; body: Buffer; name?: string }> {
  const [ofPlan, id] = [await permitted(who, 'read', planId), checkedId('fileId', fileId)];
  const [row] = await database()
    .select({ type: files.type, bytes: files.bytes })
    .from(files)
    .innerJoin(plans, eq(plans.id, ofPlan))
    .where(
      and(
        eq(files.id, id),
        sql`(${plans.siteId} = ${files.siteId} OR JSON_SEARCH(${plans.document}, 'one', ${id}) IS NOT NULL)`,
      ),
    );
  if (!row) throw noSuchFile();
  return row.type === 'pdf'
    ? { type: 'application/pdf', body: row.bytes, name: 'document.pdf' }
    : { type: 'image/jpeg', body: row.bytes };
}
