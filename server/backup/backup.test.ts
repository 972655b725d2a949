import { mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import fc from 'fast-check';
import type { Pool, RowDataPacket } from 'mysql2/promise';
import { create, extract } from 'tar';
import { knownMigrations, migrateAlone } from '../../db/migrate';
import { prepareDatabase } from '../prepare-database';
import { closeDatabase, emptyDatabase, freshDatabase } from '../test/database';
import { readBackup } from './read-backup';
import { compareBackup, restoreBackup } from './restore-backup';
import { writeBackup } from './write-backup';

jest.setTimeout(120_000);
const FOLDER = path.join(__dirname, '../../db/migrations');
let dir: string;
let pool: Pool;
let url: string;
let other: Pool;
let otherUrl: string;
const asOwner = (): string => {
  const own = new URL(process.env.MIGRATE_DATABASE_URL ?? '');
  own.pathname = new URL(process.env.DATABASE_URL ?? '').pathname;
  return own.href;
};
beforeAll(async () => {
  dir = mkdtempSync(path.join(tmpdir(), 'cool-dram-test-backup-'));
  other = await emptyDatabase('backup_other');
  otherUrl = asOwner();
  pool = await freshDatabase('backup');
  url = asOwner();
});
afterAll(async () => {
  rmSync(dir, { recursive: true, force: true });
  await other.end();
  await closeDatabase(pool);
});
const fileOf = (name: string): string => path.join(dir, `${name}.tar.gz`);
const backup = (name: string) => writeBackup(pool, url, FOLDER, fileOf(name));

/** Everything in a database, as its server writes it. */
async function contents(of: Pool): Promise<string> {
  const [tables] = await of.query<RowDataPacket[]>({ sql: 'SHOW TABLES', rowsAsArray: true });
  const found: unknown[] = [];
  for (const [name] of tables as unknown as [string][])
    if (!name.startsWith('__')) found.push(name, (await of.query(`SELECT * FROM \`${name}\` ORDER BY 1`))[0]);
  return JSON.stringify(found);
}
async function emptied(of: Pool): Promise<void> {
  for (const table of ['plans', 'weather_years']) await of.query(`DELETE FROM ${table}`);
}

const text = fc.string({ unit: 'grapheme', maxLength: 40 });
const number = fc.double({ noNaN: true, noDefaultInfinity: true });
const json = fc.jsonValue().filter((value) => value !== null); // null is no document
const line = fc.record({
  document: json,
  name: text,
  number,
  why: fc.option(json),
  jpeg: fc.uint8Array({ maxLength: 300 }),
  entry: json,
});

test('what is restored is what was there: any text, number, document and picture', async () => {
  await fc.assert(
    fc.asyncProperty(fc.array(line, { maxLength: 4 }), async (lines) => {
      await emptied(pool);
      for (const l of lines) {
        const id = crypto.randomUUID();
        await pool.query(
          "INSERT INTO plans (id, is_demo, row_version, document, created_at, updated_at) VALUES (?, 0, 3, ?, '2026-11-25 01:02:03.456', '2026-03-29 02:30:00')",
          [id, JSON.stringify(l.document)],
        );
        await pool.query("INSERT INTO revisions VALUES (?, ?, ?, ?, '2026-11-25')", [
          crypto.randomUUID(),
          id,
          l.name,
          JSON.stringify(l.document),
        ]);
        await pool.query("INSERT INTO photos VALUES (?, ?, ?, '2026-11-25', NULL)", [
          crypto.randomUUID(),
          id,
          Buffer.from(l.jpeg),
        ]);
        await pool.query(
          "INSERT INTO log_entries (id, plan_id, stage_id, stage_name, kind, measured_at, who, entry, expected, entered_at) VALUES (?, ?, '', ?, 'x', '2026-11-25T08:00', ?, ?, '[]', '2026-11-25')",
          [crypto.randomUUID(), id, l.name, l.name, JSON.stringify(l.entry)],
        );
        await pool.query(
          "INSERT INTO drain_entries VALUES (?, ?, 's', ?, '2026-11-25T08:00', '2026-11-24T08:00', ?, 'clear', ?, '', NULL, 1, 1, 1, 1, ?, ?, NULL, '2026-11-25', ?, NULL)",
          [
            crypto.randomUUID(),
            id,
            l.name,
            l.number,
            l.name,
            l.number,
            l.number,
            l.why === null ? null : JSON.stringify(l.why),
          ],
        );
      }
      await backup('any');
      await restoreBackup(fileOf('any'), otherUrl, FOLDER);
      expect(await contents(other)).toBe(await contents(pool));
      await emptied(other);
    }),
    { numRuns: 8 },
  );
});

test('a comparison says what differs, and changes nothing; nothing is restored over lines', async () => {
  await emptied(pool);
  await prepareDatabase(pool, FOLDER, 'reset', Date.UTC(2026, 10, 23, 18));
  await pool.query('UPDATE plans SET is_demo = 0');
  await backup('demo');
  await restoreBackup(fileOf('demo'), otherUrl, FOLDER);
  await other.query('UPDATE plans SET row_version = 9 LIMIT 1');
  await other.query('DELETE FROM charges LIMIT 1');
  const before = await contents(other);
  const found = await compareBackup(fileOf('demo'), otherUrl);
  expect(found.find((d) => d.table === 'plans')).toEqual({
    table: 'plans',
    same: 1,
    onlyInBackup: 0,
    onlyHere: 0,
    changed: 1,
  });
  expect(found.find((d) => d.table === 'charges')).toMatchObject({ onlyInBackup: 1, onlyHere: 0, changed: 0 });
  await expect(restoreBackup(fileOf('demo'), otherUrl, FOLDER)).rejects.toThrow(/holds lines already \(2\)/);
  expect(await contents(other)).toBe(before);
  await emptied(other);
});

test('a backup of an earlier version is restored and brought up to date', async () => {
  await restoreBackup(fileOf('demo'), otherUrl, FOLDER); // to have a database to make older
  const [tables] = await other.query<RowDataPacket[]>({ sql: 'SHOW TABLES', rowsAsArray: true });
  for (const [name] of tables as unknown as [string][])
    await other.query(`SET STATEMENT foreign_key_checks = 0 FOR DROP TABLE \`${name}\``);
  await migrateAlone(other, FOLDER, { upTo: 1 });
  await other.query(
    `INSERT INTO plans (id, is_demo, row_version, document, created_at, updated_at) VALUES ('p', 0, 1, '{"a":1}', '2026-11-25', '2026-11-25')`,
  );
  const { migrations } = await writeBackup(other, otherUrl, FOLDER, fileOf('early'));
  expect(migrations).toEqual(knownMigrations(FOLDER).slice(0, 1));
  await other.query('DELETE FROM plans');
  await restoreBackup(fileOf('early'), otherUrl, FOLDER);
  const [rows] = await other.query('SELECT id, document FROM plans');
  expect(rows).toEqual([{ id: 'p', document: { a: 1 } }]);
  expect((await compareBackup(fileOf('early'), otherUrl)).find((d) => d.table === 'plans')?.same).toBe(1);
  await emptied(other);
});

test('a damaged file is refused in words, wherever it is damaged, and nothing is written', async () => {
  const whole = readFileSync(fileOf('demo'));
  const damaged = fileOf('damaged');
  const before = await contents(other);
  const refusals = /unpack|damaged|missing|manifest|rows instead/;
  await fc.assert(
    fc.asyncProperty(fc.nat({ max: whole.length - 20 }), fc.boolean(), async (at, cut) => {
      const bytes = Buffer.from(cut ? whole.subarray(0, at) : whole);
      if (!cut) bytes[at + 10] = (bytes[at + 10] as number) ^ 0x55;
      writeFileSync(damaged, bytes);
      await expect(restoreBackup(damaged, otherUrl, FOLDER)).rejects.toThrow(refusals);
    }),
    { numRuns: 25 },
  );
  const inside = mkdtempSync(path.join(dir, 'inside-'));
  await extract({ file: fileOf('demo'), cwd: inside });
  const again = async (change: (manifest: { migrations: string[] }) => void): Promise<void> => {
    const manifest = JSON.parse(readFileSync(path.join(inside, 'manifest.json'), 'utf8'));
    change(manifest);
    writeFileSync(path.join(inside, 'manifest.json'), JSON.stringify(manifest));
    await create({ gzip: true, file: damaged, cwd: inside }, readdirSync(inside));
  };
  await again((m) => m.migrations.push('9999_of_tomorrow'));
  await expect(restoreBackup(damaged, otherUrl, FOLDER)).rejects.toThrow(/newer version/);
  await expect(readBackup(fileOf('none'), async () => {})).rejects.toThrow(/no file/);
  expect(await contents(other)).toBe(before);
});
