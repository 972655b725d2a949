import { randomUUID } from 'node:crypto';
import { cpSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { setTimeout as pause } from 'node:timers/promises';
import { drizzle } from 'drizzle-orm/mysql2';
import { migrate } from 'drizzle-orm/mysql2/migrator';
import type { Pool, ResultSetHeader, RowDataPacket } from 'mysql2/promise';

/** A server that is killed while it migrates keeps others waiting no longer than this. */
const LOCKED_S = 15;
const RENEWED_MS = 5000;
const TRIES_MS = 200;

/** Is called with the names of what is to be done, before any of it; not for a database that is new. */
export type BeforeMigration = (pending: readonly string[]) => Promise<void>;

interface HowFar {
  /** So many of the migrations; left out, all. */
  readonly upTo?: number | undefined;
  readonly before?: BeforeMigration | undefined;
}

interface Journal {
  readonly entries: readonly { readonly when: number; readonly tag: string }[];
}

const JOURNAL = 'meta/_journal.json';
const journalOf = (folder: string): Journal => JSON.parse(readFileSync(path.join(folder, JOURNAL), 'utf8')) as Journal;

/** The names of the migrations that this program knows, in their order. */
export const knownMigrations = (folder: string): string[] => journalOf(folder).entries.map((e) => e.tag);

/** A folder with the first migrations alone, as an earlier version had them. */
function folderUpTo(folder: string, count: number): string {
  const earlier = mkdtempSync(path.join(tmpdir(), 'cool-dram-migrations-'));
  cpSync(folder, earlier, { recursive: true });
  const journal = journalOf(folder);
  writeFileSync(path.join(earlier, JOURNAL), JSON.stringify({ ...journal, entries: journal.entries.slice(0, count) }));
  return earlier;
}

/** The names of the migrations that the database has had, and those that the database has not had. */
export async function migrationsOf(pool: Pool, folder: string): Promise<{ done: string[]; pending: string[] }> {
  const journal = journalOf(folder);
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
 */
export async function migrateAlone(pool: Pool, migrationsFolder: string, { upTo, before }: HowFar = {}): Promise<void> {
  if (upTo === undefined) return migrateBy(pool, migrationsFolder, before);
  const folder = folderUpTo(migrationsFolder, upTo);
  try {
    await migrateBy(pool, folder, before);
  } finally {
    rmSync(folder, { recursive: true });
  }
}

async function migrateBy(pool: Pool, folder: string, before: BeforeMigration | undefined): Promise<void> {
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
    if (done.length > 0) await before?.(pending);
    await migrate(drizzle({ client: pool }), { migrationsFolder: folder });
  } finally {
    clearInterval(renewing);
    await pool.query("UPDATE __migrating SET until = '2000-01-01' WHERE holder = ?", [holder]).catch(() => {});
  }
}
