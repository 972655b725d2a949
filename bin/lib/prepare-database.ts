import { openPool } from '../../db/client';
import { type DemoMode, prepareDatabase } from '../../server/prepare-database';

const MODES: Record<string, DemoMode> = { '--empty': 'empty', '--reset-demo': 'reset' };

// Tables are changed by an account of its own; the web server’s may only read and write rows.
const pool = openPool(process.env.MIGRATE_DATABASE_URL ?? process.env.DATABASE_URL);
const migrations = new URL('../../db/migrations', import.meta.url).pathname;
const done = await prepareDatabase(pool, migrations, MODES[process.argv[2] ?? ''] ?? 'once', Date.now());
if (done) console.log(done);
await pool.end();
