import { randomUUID } from 'node:crypto';
import { readFileSync } from 'node:fs';
import path from 'node:path';
import { setTimeout as pause } from 'node:timers/promises';
import { drizzle } from 'drizzle-orm/mysql2';
import { migrate } from 'drizzle-orm/mysql2/migrator';
import type { Pool, ResultSetHeader, RowDataPacket } from 'mysql2/promise';

/** A server that is killed while it migrates keeps others waiting no longer than this. */
const LOCKED_S = 15;
const RENEWED_MS = 5000;
const TRIES_MS = 200;

interface Journal {
  readonly entries: readonly { readonly when: number; readonly tag: string }[];
}

/** The names of the migrations that this program knows, and those that the database has not had. */
export async function migrationsOf(pool: Pool, folder: string): Promise<{ done: string[]; pending: string[] }> {
  const journal = JSON.parse(readFileSync(path.join(folder, 'meta/_journal.json'), 'utf8')) as Journal;
  const [tables] = await pool.query<RowDataPacket[]>("SHOW TABLES LIKE '\\_\\_drizzle\\_migrations'");
  const last = tables.length > 0 ? 'SELECT MAX(created_at) AS last FROM __drizzle_migrations' : 'SELECT 0 AS last';
  const [[row]] = await pool.query<RowDataPacket[]>(last);
  const isDone = (entry: { when: number }): boolean => entry.when <= Number(row?.last ?? 0);
  const tags = (done: boolean): string[] => journal.entries.filter((e) => isDone(e) === done).map((e) => e.tag);
  return { done: tags(true), pending: tags(false) };
}

/**
 * Brings the tables up to date. Data definition is not transactional in MariaDB, so every statement of a migration may be
 * run again, and one that was killed half way is run again from its first. One server migrates at a time, by a row that is
 * locked: a lock of one node would mean nothing to the others of a cluster.
 * @param before is called with the names of what is to be done, before any of it
 */
export async function migrateAlone(
  pool: Pool,
  folder: string,
  before?: (pending: readonly string[], done: readonly string[]) => Promise<void>,
): Promise<void> {
  if ((await migrationsOf(pool, folder)).pending.length === 0) return;
  await pool.query(
    `CREATE TABLE IF NOT EXISTS __migrating
      (id tinyint PRIMARY KEY, holder char(36) NOT NULL, until datetime(3) NOT NULL)`,
  );
  await pool.query("INSERT IGNORE INTO __migrating VALUES (1, '', '2000-01-01')");
  const holder = randomUUID();
  const take = `UPDATE __migrating SET holder = ?, until = NOW(3) + INTERVAL ${LOCKED_S} SECOND`;
  for (;;) {
    const [taken] = await pool.query<ResultSetHeader>(`${take} WHERE until < NOW(3)`, [holder]);
    if (taken.affectedRows === 1) break;
    await pause(TRIES_MS);
  }
  const renewing = setInterval(
    () => pool.query(`${take} WHERE holder = ?`, [holder, holder]).catch(() => {}),
    RENEWED_MS,
  );
  try {
    const { done, pending } = await migrationsOf(pool, folder);
    if (pending.length === 0) return;
    await before?.(pending, done);
    await migrate(drizzle({ client: pool }), { migrationsFolder: folder });
  } finally {
    clearInterval(renewing);
    await pool.query("UPDATE __migrating SET until = '2000-01-01' WHERE holder = ?", [holder]).catch(() => {});
  }
}
