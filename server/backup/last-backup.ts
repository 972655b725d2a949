import { readdir } from 'node:fs/promises';
import path from 'node:path';
import { madeAt } from './series';

/** The backups that are there: how many, where, and when the newest was made; none where there is no such place. */
export async function lastBackup(): Promise<{ place: string; count: number; newest: string | undefined }> {
  const data = path.resolve(process.env.COOL_DRAM_DATA ?? '.data');
  const place = path.resolve(process.env.COOL_DRAM_BACKUPS ?? path.join(data, 'backups'));
  const names = await readdir(place).catch(() => []);
  const made = names.flatMap((name) => madeAt(name)?.toISOString() ?? []).toSorted();
  return { place, count: made.length, newest: made.at(-1) };
}
