import { createHash } from 'node:crypto';
import { readFileSync } from 'node:fs';
import path from 'node:path';
import type { Pool, RowDataPacket } from 'mysql2/promise';
import { knownMigrations, migrateAlone } from '../db/migrate';
import { closeDatabase, emptyDatabase } from './test/database';

jest.setTimeout(120_000);
const FOLDER = path.join(__dirname, '../db/migrations');
const TAGS = knownMigrations(FOLDER);
const statements = (tag: string): string[] =>
  readFileSync(path.join(FOLDER, `${tag}.sql`), 'utf8').split('--> statement-breakpoint');

let pool: Pool;
beforeAll(async () => {
  pool = await emptyDatabase('migrate');
});
afterAll(() => closeDatabase(pool));

/** The pool of a server that dies as soon as a statement of a migration has been done, before it can take note of it. */
function dyingAfter(statement: string): Pool {
  return new Proxy(pool, {
    get(target, name) {
      const found = Reflect.get(target, name);
      if (name !== 'getConnection') return typeof found === 'function' ? found.bind(target) : found;
      return async () => {
        const connection = await target.getConnection();
        const query = connection.query.bind(connection) as (...args: unknown[]) => Promise<unknown>;
        connection.query = (async (...args: unknown[]) => {
          const answer = await query(...args);
          if ((args[0] as { sql: string }).sql.trim() !== statement.trim()) return answer;
          connection.destroy();
          throw new Error('killed');
        }) as typeof connection.query;
        return connection;
      };
    },
  });
}

async function clear(): Promise<void> {
  const [tables] = await pool.query<RowDataPacket[]>({ sql: 'SHOW TABLES', rowsAsArray: true });
  const names = tables.map((t) => `\`${t[0]}\``).join(', ');
  if (names) await pool.query(`SET STATEMENT foreign_key_checks = 0 FOR DROP TABLE ${names}`);
}
async function schema(): Promise<string[]> {
  const [tables] = await pool.query<RowDataPacket[]>({ sql: 'SHOW TABLES', rowsAsArray: true });
  const found: string[] = [];
  for (const [name] of tables as unknown as [string][]) {
    const [[row]] = await pool.query<RowDataPacket[]>(`SHOW CREATE TABLE \`${name}\``);
    found.push(String(row?.['Create Table']).replace(/ AUTO_INCREMENT=\d+/, ''));
  }
  return found;
}
const ROW = `INSERT INTO plans (id, is_demo, row_version, document, created_at, updated_at)
  VALUES ('p', 0, 1, '{}', '2026-11-25', '2026-11-25')`;
const DRAIN = `INSERT INTO drain_entries (id, plan_id, stage_id, stage_name, drained_at, since_at, amount_m3, appearance, who,
  intake_temperature_c, intake_relative_humidity, counted_hours, expected_kg, low_kg, high_kg, logged_at)
  VALUES ('d', 'p', 's', 's', '2026-11-25T08:00', '2026-11-24T08:00', 1, 'clear', 'x', 20, 0.5, 1, 1, 1, 1, '2026-11-25')`;

test('a migration that is killed after any of its statements is finished by the next start, and keeps the data', async () => {
  await migrateAlone(pool, FOLDER);
  const whole = await schema();
  for (const [i, tag] of TAGS.entries())
    for (const statement of statements(tag)) {
      await clear();
      if (i > 0) {
        await migrateAlone(pool, FOLDER, { upTo: i });
        await pool.query(ROW);
        await pool.query(DRAIN);
      }
      await expect(migrateAlone(dyingAfter(statement), FOLDER)).rejects.toThrow();
      await migrateAlone(pool, FOLDER);
      expect(await schema()).toEqual(whole);
      const [[kept]] = await pool.query<RowDataPacket[]>(
        'SELECT (SELECT COUNT(*) FROM plans) + (SELECT COUNT(*) FROM drain_entries) AS n',
      );
      expect(Number(kept?.n)).toBe(i > 0 ? 2 : 0);
    }
});

test('private addresses of before they were kept as hashes go on working', async () => {
  await clear();
  await migrateAlone(pool, FOLDER, { upTo: 7 });
  const token = 'Abc-_'.repeat(9).slice(0, 43);
  await pool.query(ROW);
  await pool.query(`INSERT INTO feeds VALUES ('${token}', 'p', NULL, '2026-11-25')`);
  await migrateAlone(pool, FOLDER);
  const [rows] = await pool.query('SELECT token FROM feeds');
  expect(rows).toEqual([{ token: createHash('sha256').update(token).digest('hex') }]);
});

test('of several servers that start at once one migrates, after it was told what; the others find it done', async () => {
  await clear();
  await migrateAlone(pool, FOLDER, { upTo: 1 });
  const told: string[][] = [];
  const before = async (pending: readonly string[]) => void told.push([...pending]);
  await Promise.all(Array.from({ length: 4 }, () => migrateAlone(pool, FOLDER, { before })));
  expect(told).toEqual([TAGS.slice(1)]);
  const [rows] = await pool.query<RowDataPacket[]>('SELECT id FROM __drizzle_migrations');
  expect(rows).toHaveLength(TAGS.length);
});
