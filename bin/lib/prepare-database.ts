import { openPool } from '../../db/client';
import { type DemoMode, prepareDatabase } from '../../server/prepare-database';

const MODES: Record<string, DemoMode> = { '--empty': 'empty', '--reset-demo': 'reset' };

const pool = openPool();
const migrations = new URL('../../db/migrations', import.meta.url).pathname;
const done = await prepareDatabase(pool, migrations, MODES[process.argv[2] ?? ''] ?? 'once', Date.now());
if (done) console.log(done);
await pool.end();
