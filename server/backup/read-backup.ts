import { createHash } from 'node:crypto';
import { createReadStream, existsSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { createInterface } from 'node:readline';
import { extract } from 'tar';
import { bytesSchema, type Manifest, manifestSchema } from './manifest';

const OURS = /^(manifest\.json|tables\/[a-z0-9_]+\.jsonl|photos\/[\w-]+\.jpg)$/;

/** A backup that cannot be used, in words. */
export class BackupRefused extends Error {}

export interface OpenBackup {
  readonly manifest: Manifest;
  /** The rows of one of its tables, bytes as they were. */
  rows(table: string): AsyncGenerator<Record<string, unknown>>;
}

const sha256 = (data: Buffer): string => createHash('sha256').update(data).digest('hex');

function manifestIn(dir: string): Manifest {
  const file = path.join(dir, 'manifest.json');
  if (!existsSync(file)) throw new BackupRefused('It has no manifest.json: it is no backup of Cool Dram.');
  try {
    return manifestSchema.parse(JSON.parse(readFileSync(file, 'utf8')));
  } catch {
    throw new BackupRefused('Its manifest.json is not one that this version of Cool Dram can read.');
  }
}

/** Its lines as rows; the bytes of photos in their places. */
async function* rowsIn(dir: string, table: string): AsyncGenerator<Record<string, unknown>> {
  const file = path.join(dir, 'tables', `${table}.jsonl`);
  for await (const line of createInterface({ input: createReadStream(file), crlfDelay: Number.POSITIVE_INFINITY })) {
    const row = JSON.parse(line) as Record<string, unknown>;
    for (const [name, value] of Object.entries(row)) {
      const bytes = bytesSchema.safeParse(value);
      if (!bytes.success) continue;
      const data = readFileSync(path.join(dir, bytes.data.file));
      if (sha256(data) !== bytes.data.sha256) throw new BackupRefused(`${bytes.data.file} is damaged.`);
      row[name] = data;
    }
    yield row;
  }
}

async function checkWhole(dir: string, manifest: Manifest): Promise<void> {
  for (const { name, rows, sha256: sum } of manifest.tables) {
    const file = path.join(dir, 'tables', `${name}.jsonl`);
    if (!existsSync(file)) throw new BackupRefused(`Its table ${name} is missing.`);
    const hash = createHash('sha256');
    for await (const chunk of createReadStream(file)) hash.update(chunk as Buffer);
    if (hash.digest('hex') !== sum) throw new BackupRefused(`Its table ${name} is damaged.`);
    let found = 0;
    for await (const _ of rowsIn(dir, name)) found++;
    if (found !== rows) throw new BackupRefused(`Its table ${name} has ${found} rows instead of ${rows}.`);
  }
}

/**
 * Opens a backup for some work, after every row and photo in it was compared with its checksum.
 * @throws BackupRefused where it is no backup, or not whole
 */
export async function readBackup<T>(file: string, work: (backup: OpenBackup) => Promise<T>): Promise<T> {
  if (!existsSync(file)) throw new BackupRefused(`There is no file ${file}.`);
  const dir = mkdtempSync(path.join(tmpdir(), 'cool-dram-backup-'));
  try {
    try {
      await extract({ file, cwd: dir, strict: true, filter: (name) => OURS.test(name) });
    } catch (error) {
      throw new BackupRefused(`It cannot be unpacked: ${error instanceof Error ? error.message : error}.`);
    }
    const manifest = manifestIn(dir);
    try {
      await checkWhole(dir, manifest);
    } catch (error) {
      if (error instanceof BackupRefused) throw error;
      throw new BackupRefused(`It is damaged: ${error instanceof Error ? error.message : error}.`);
    }
    return await work({ manifest, rows: (table) => rowsIn(dir, table) });
  } finally {
    rmSync(dir, { recursive: true, force: true });
  }
}
