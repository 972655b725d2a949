import { createHash } from 'node:crypto';
import { createWriteStream, mkdirSync, mkdtempSync, renameSync, rmSync, writeFileSync } from 'node:fs';
import { open } from 'node:fs/promises';
import path from 'node:path';
import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import type { Connection } from 'mysql2';
import type { Pool } from 'mysql2/promise';
import { create } from 'tar';
import { PLAN_VERSION } from '../../core/plan/plan';
import { migrationsOf } from '../../db/migrate';
import { BACKUP_FORMAT, BACKUP_VERSION, type Manifest } from './manifest';
import { readBackup } from './read-backup';
import { keyOf, openAsStored, rowsOf, type Table, tablesOf } from './tables';

const sha256 = (data: Buffer): string => createHash('sha256').update(data).digest('hex');

async function writeTable(connection: Connection, table: Table, dir: string): Promise<Manifest['tables'][number]> {
  const hash = createHash('sha256');
  let rows = 0;
  async function* lines(): AsyncGenerator<string> {
    for await (const row of rowsOf(connection, table)) {
      for (const { name, type } of table.columns)
        if (type === 'bytes' && row[name] instanceof Buffer) {
          const file = `photos/${keyOf(table, row)}.jpg`;
          writeFileSync(path.join(dir, file), row[name]);
          row[name] = { file, sha256: sha256(row[name]) };
        }
      const line = `${JSON.stringify(row)}\n`;
      hash.update(line);
      rows++;
      yield line;
    }
  }
  await pipeline(Readable.from(lines()), createWriteStream(path.join(dir, 'tables', `${table.name}.jsonl`)));
  const columns = table.columns.map((c) => c.name);
  return { name: table.name, columns, rows, sha256: hash.digest('hex') };
}

/**
 * Writes all that a database holds into one file, while it is in use: as it was at one moment. The file is read again and
 * compared with its checksums before it gets its name.
 * @throws where it cannot be written whole; then nothing is left over
 */
export async function writeBackup(pool: Pool, url: string, migrationsFolder: string, file: string): Promise<Manifest> {
  mkdirSync(path.dirname(path.resolve(file)), { recursive: true });
  const dir = mkdtempSync(`${path.resolve(file)}.part-`);
  try {
    for (const folder of ['tables', 'photos']) mkdirSync(path.join(dir, folder));
    const connection = openAsStored(url);
    const tables: Manifest['tables'] = [];
    let migrations: string[];
    try {
      await connection.promise().query('SET TRANSACTION ISOLATION LEVEL REPEATABLE READ');
      await connection.promise().query('START TRANSACTION WITH CONSISTENT SNAPSHOT, READ ONLY');
      migrations = (await migrationsOf(pool, migrationsFolder)).done;
      for (const table of await tablesOf(connection)) tables.push(await writeTable(connection, table, dir));
    } finally {
      connection.destroy();
    }
    const manifest: Manifest = {
      format: BACKUP_FORMAT,
      version: BACKUP_VERSION,
      madeAt: new Date().toISOString(),
      planVersion: PLAN_VERSION,
      migrations,
      tables,
    };
    writeFileSync(path.join(dir, 'manifest.json'), JSON.stringify(manifest, null, 2));
    const part = `${dir}.tar.gz`;
    try {
      await create({ gzip: true, file: part, cwd: dir, portable: true }, ['manifest.json', 'tables', 'photos']);
      const written = await open(part);
      await written.sync();
      await written.close();
      await readBackup(part, async () => {});
      renameSync(part, file);
    } finally {
      rmSync(part, { force: true });
    }
    return manifest;
  } finally {
    rmSync(dir, { recursive: true, force: true });
  }
}
