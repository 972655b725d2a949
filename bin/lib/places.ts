import path from 'node:path';

/** Where bin/start keeps what is this installation’s own, and the backups in it. */
export const DATA = path.resolve(process.env.COOL_DRAM_DATA ?? '.data');
export const BACKUPS = path.resolve(process.env.COOL_DRAM_BACKUPS ?? path.join(DATA, 'backups'));
export const MIGRATIONS = new URL('../../db/migrations', import.meta.url).pathname;
