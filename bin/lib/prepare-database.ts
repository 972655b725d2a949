import path from 'node:path';
import { openPool } from '../../db/client';
import { writeBackup } from '../../server/backup/write-backup';
import { isDatabaseDown } from '../../server/errors';
import { type DemoMode, prepareDatabase } from '../../server/prepare-database';
import { BACKUPS, MIGRATIONS } from './places';

const MODES: Record<string, DemoMode> = { '--empty': 'empty', '--reset-demo': 'reset' };

// Tables are changed by an account of its own; the web server’s may only read and write rows.
const url = process.env.MIGRATE_DATABASE_URL ?? process.env.DATABASE_URL ?? '';
const pool = openPool(url);
const before = async ([first]: readonly string[]): Promise<void> => {
  const file = path.join(BACKUPS, `before-${first}.tar.gz`);
  await writeBackup(pool, url, MIGRATIONS, file);
  console.log(`The database is brought up to date. As it was, it is in ${file}.`);
};
const AGAIN_LATER = 75; // EX_TEMPFAIL, sysexits.h
try {
  const done = await prepareDatabase(pool, MIGRATIONS, MODES[process.argv[2] ?? ''] ?? 'once', Date.now(), before);
  if (done) console.log(done);
} catch (error) {
  if (!isDatabaseDown(error)) throw error;
  console.error('cool-dram: the database does not answer.');
  process.exitCode = AGAIN_LATER;
} finally {
  await pool.end().catch(() => {});
}
