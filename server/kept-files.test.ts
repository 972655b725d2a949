import type { Pool } from 'mysql2/promise';
import { goodShop } from '../core/test/good-lines';
import { database } from '../db/client';
import { sites } from '../db/people';
import { keepFile, readFile } from './kept-files';
import { readLineCopy } from './line-copy/read-line-copy';
import { linesOf, recordsOf } from './line-copy/write-line-copy';
import { ALONE } from './people/may';
import { createPlan } from './save-plan';
import { closeDatabase, freshDatabase } from './test/database';
import { pictureOf } from './test/picture';

const OTHER = '5c7e1b0a-0000-4000-8000-0000000000bb';
const uuid = (): string => crypto.randomUUID();
const PDF = Buffer.from('%PDF-1.4\n1 0 obj <<>> endobj\ntrailer <<>>\n%%EOF\n');
const sent = (body: Buffer): Request => new Request('http://x/', { method: 'PUT', body: new Uint8Array(body) });

/** A line whose receiver has a document. */
const withDocument = (id: string) => {
  const plan = goodShop();
  const files = [{ id, type: 'pdf', name: 'Manual' }];
  return {
    ...plan,
    stages: plan.stages.map((s) => (s.kind === 'receiver' ? { ...s, thing: { files } } : s)),
  };
};

let pool: Pool;
let planId = '';
beforeAll(async () => {
  pool = await freshDatabase('kept_files');
  await database().insert(sites).values({ id: OTHER, name: 'Other site' });
  planId = uuid();
  await createPlan(ALONE, { id: planId, plan: goodShop() });
});
afterAll(() => closeDatabase(pool));

test('a document is kept as it is, a picture without what else was in its file; sent twice each is there once', async () => {
  const [document, picture] = [uuid(), uuid()];
  for (const _ of [1, 2]) await keepFile(ALONE, planId, document, sent(PDF));
  expect(await readFile(ALONE, planId, document)).toEqual({
    type: 'application/pdf',
    body: PDF,
    name: 'document.pdf',
  });
  await keepFile(ALONE, planId, picture, sent(await pictureOf('plate')));
  const { type, body } = await readFile(ALONE, planId, picture);
  expect([type, body.includes('plate')]).toEqual(['image/jpeg', false]);
  await expect(keepFile(ALONE, planId, document, sent(await pictureOf('plate')))).rejects.toMatchObject({
    status: 409,
  });
});

test('what is neither is refused, and nothing is kept', async () => {
  const id = uuid();
  for (const body of ['<script>alert(1)</script>', 'x%PDF-1.4', ''])
    await expect(keepFile(ALONE, planId, id, sent(Buffer.from(body)))).rejects.toMatchObject({ status: 422 });
  await expect(keepFile(ALONE, planId, id, sent(Buffer.alloc(8_000_001)))).rejects.toMatchObject({ status: 413 });
  await expect(readFile(ALONE, planId, id)).rejects.toMatchObject({ status: 404 });
});

test('a line of another site reads a file only once its plan names it', async () => {
  const [file, stranger, lent] = [uuid(), uuid(), uuid()];
  await keepFile(ALONE, planId, file, sent(PDF));
  await createPlan(ALONE, { id: stranger, plan: goodShop(), siteId: OTHER });
  await createPlan(ALONE, { id: lent, plan: withDocument(file), siteId: OTHER });
  await expect(readFile(ALONE, stranger, file)).rejects.toMatchObject({ status: 404 });
  expect((await readFile(ALONE, lent, file)).body).toEqual(PDF);
});

test('a copy of a line carries the files that its plan names', async () => {
  const [file, line] = [uuid(), uuid()];
  await keepFile(ALONE, planId, file, sent(PDF));
  await createPlan(ALONE, { id: line, plan: withDocument(file) });
  let text = '';
  for await (const part of linesOf(recordsOf(line))) text += part;
  await pool.query('DELETE FROM files WHERE id = ?', [file]);
  const copy = new Request('http://x/', {
    method: 'POST',
    body: text,
    headers: { 'content-type': 'application/x-ndjson' },
  });
  const { id, added } = await readLineCopy(ALONE, 'new', copy);
  expect(added).toBe(1);
  expect((await readFile(ALONE, id, file)).body).toEqual(PDF);
});
