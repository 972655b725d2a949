import path from 'node:path';
import { createPool, type Pool } from 'mysql2/promise';
import { migrateAlone } from '../../db/migrate';

// A real database on a busy machine may take its time; none of these tests is about time.
jest.setTimeout(30_000);

/**
 * A database without tables on the server of DATABASE_URL, for one test file; DATABASE_URL then points to it.
 * @returns connections that may change tables; the code under test may only read and write rows
 */
export async function emptyDatabase(name: string): Promise<Pool> {
  const own = `cool_dram_${name}_${process.pid}`;
  const admin = new URL(process.env.MIGRATE_DATABASE_URL ?? process.env.DATABASE_URL ?? '');
  const first = createPool({ uri: admin.href });
  await first.query(`DROP DATABASE IF EXISTS ${own}`);
  await first.query(`CREATE DATABASE ${own} CHARACTER SET utf8mb4`);
  await first.end();
  const url = new URL(process.env.DATABASE_URL ?? '');
  admin.pathname = url.pathname = `/${own}`;
  process.env.DATABASE_URL = url.href;
  return createPool({ uri: admin.href, timezone: 'Z' });
}

/** The same with its tables. */
export async function freshDatabase(name: string): Promise<Pool> {
  const pool = await emptyDatabase(name);
  await migrateAlone(pool, path.join(__dirname, '../../db/migrations'));
  return pool;
}

/** Closes what the code under test had opened. */
export async function closeDatabase(pool: Pool): Promise<void> {
  const kept = globalThis as { coolDramDb?: { $client: Pool } };
  await kept.coolDramDb?.$client.end();
  delete kept.coolDramDb;
  await pool.end();
}
