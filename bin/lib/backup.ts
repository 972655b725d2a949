import { mkdirSync, readdirSync, rmSync } from 'node:fs';
import path from 'node:path';
import { openPool } from '../../db/client';
import { BackupRefused } from '../../server/backup/read-backup';
import { compareBackup, restoreBackup } from '../../server/backup/restore-backup';
import { KEPT, keptOf, madeAt, nameOfBackup, notKept } from '../../server/backup/series';
import { writeBackup } from '../../server/backup/write-backup';
import { BACKUPS, MIGRATIONS } from './places';

const DAY_MS = 86_400_000;
const [does, file] = process.argv.slice(2);
const url = process.env.MIGRATE_DATABASE_URL ?? process.env.DATABASE_URL ?? '';

async function write(to: string): Promise<void> {
  const pool = openPool(url);
  try {
    const { tables } = await writeBackup(pool, url, MIGRATIONS, to);
    const rows = (name: string): number => tables.find((t) => t.name === name)?.rows ?? 0;
    const log = rows('log_entries') + rows('drain_entries');
    console.log(
      `${to}: ${rows('plans')} lines, ${log} entries of their logs, ${rows('photos')} photos; read again and whole.`,
    );
  } finally {
    await pool.end();
  }
}

/** A backup a day, and the series pruned; nothing where the newest is younger. */
async function daily(): Promise<void> {
  const kept = process.env.COOL_DRAM_BACKUPS_KEPT ? keptOf(process.env.COOL_DRAM_BACKUPS_KEPT) : KEPT;
  mkdirSync(BACKUPS, { recursive: true, mode: 0o700 });
  const newest = Math.max(0, ...readdirSync(BACKUPS).map((name) => madeAt(name)?.getTime() ?? 0));
  if (Date.now() - newest < DAY_MS) return;
  await write(path.join(BACKUPS, nameOfBackup(new Date())));
  for (const name of notKept(readdirSync(BACKUPS), kept)) rmSync(path.join(BACKUPS, name));
}

async function compare(from: string): Promise<void> {
  const found = await compareBackup(from, url);
  const words = { same: 'the same', changed: 'changed', onlyInBackup: 'only in the backup', onlyHere: 'only here' };
  console.table(
    Object.fromEntries(
      found.map(({ table, ...counts }) => [
        table,
        Object.fromEntries(Object.entries(words).map(([key, word]) => [word, counts[key as keyof typeof words]])),
      ]),
    ),
  );
  console.log('Nothing was changed.');
}

try {
  if (does === 'write') await write(file ?? path.join(BACKUPS, nameOfBackup(new Date())));
  else if (does === 'daily') await daily();
  else if (does === 'compare') await compare(file ?? '');
  else if (does === 'restore') {
    await restoreBackup(file ?? '', url, MIGRATIONS);
    console.log(`Restored from ${file}.`);
  }
} catch (error) {
  if (error instanceof BackupRefused) console.error(`cool-dram: ${file}: ${error.message}`);
  else console.error(`cool-dram: ${error instanceof Error ? error.message : error}`);
  process.exitCode = 1;
}
