import { createHash } from 'node:crypto';
import type { Connection } from 'mysql2';
import { createPool, type RowDataPacket } from 'mysql2/promise';
import { knownMigrations, migrateAlone } from '../../db/migrate';
import { BackupRefused, type OpenBackup, readBackup } from './read-backup';
import { keyOf, openAsStored, rowsOf, type Table, tablesOf } from './tables';

const AT_ONCE = 200; // rows a statement

/** A table of the backup against the same in the database. */
export interface Difference {
  readonly table: string;
  readonly same: number;
  readonly onlyInBackup: number;
  readonly onlyHere: number;
  readonly changed: number;
}

/** What a row has in some columns as one value. */
function printOf(row: Record<string, unknown>, columns: readonly string[]): string {
  const hash = createHash('sha256');
  for (const key of columns) {
    const value = row[key];
    hash.update(`${key}\0`).update(Buffer.isBuffer(value) ? value : JSON.stringify(value ?? null));
  }
  return hash.digest('hex');
}

/** By the columns that the backup has: one that is newer than it makes no row another. */
async function differenceOf(
  backup: OpenBackup,
  connection: Connection,
  table: Table,
  columns: readonly string[],
): Promise<Difference> {
  const here = new Map<string, string>();
  for await (const row of rowsOf(connection, table)) here.set(keyOf(table, row), printOf(row, columns));
  let [same, onlyInBackup, changed] = [0, 0, 0];
  for await (const row of backup.rows(table.name)) {
    const print = here.get(keyOf(table, row));
    if (print === undefined) onlyInBackup++;
    else if (print === printOf(row, columns)) same++;
    else changed++;
  }
  return { table: table.name, same, onlyInBackup, changed, onlyHere: here.size - same - changed };
}

/** What a restore would change, without changing anything: for each table of the backup. */
export function compareBackup(file: string, url: string): Promise<Difference[]> {
  return readBackup(file, async (backup) => {
    const connection = openAsStored(url);
    try {
      const here = await tablesOf(connection);
      const found: Difference[] = [];
      for (const { name, rows, columns } of backup.manifest.tables) {
        const table = here.find((t) => t.name === name);
        found.push(
          table
            ? await differenceOf(backup, connection, table, columns)
            : { table: name, same: 0, onlyInBackup: rows, changed: 0, onlyHere: 0 },
        );
      }
      return found;
    } finally {
      connection.destroy();
    }
  });
}

/** Lines in a database that are somebody's own; the demo comes back by itself. */
async function linesOf(connection: Connection): Promise<number> {
  const [tables] = await connection.promise().query<RowDataPacket[]>("SHOW TABLES LIKE 'plans'");
  if (tables.length === 0) return 0;
  const [[row]] = await connection
    .promise()
    .query<RowDataPacket[]>('SELECT COUNT(*) AS n FROM plans WHERE NOT is_demo');
  return Number(row?.n);
}

async function dropTables(connection: Connection): Promise<void> {
  const [tables] = await connection.promise().query<RowDataPacket[]>({ sql: 'SHOW TABLES', rowsAsArray: true });
  for (const [name] of tables as unknown as [string][])
    await connection.promise().query(`SET STATEMENT foreign_key_checks = 0 FOR DROP TABLE \`${name}\``);
}

async function load(backup: OpenBackup, connection: Connection): Promise<void> {
  const tables = await tablesOf(connection);
  await connection.promise().query('SET SESSION foreign_key_checks = 0');
  await connection.promise().beginTransaction();
  for (const { name } of tables) await connection.promise().query(`DELETE FROM \`${name}\``); // what migrations put in
  for (const { name, columns } of backup.manifest.tables) {
    const table = tables.find((t) => t.name === name);
    if (!table || columns.some((c) => !table.columns.some((own) => own.name === c)))
      throw new BackupRefused(`This version of Cool Dram has no such table as its ${name}.`);
    const insert = `INSERT INTO \`${name}\` (${columns.map((c) => `\`${c}\``).join(', ')}) VALUES ?`;
    const stored = (row: Record<string, unknown>, column: string): unknown => {
      const value = row[column] ?? null;
      const isJson = table.columns.some((c) => c.name === column && c.type === 'json');
      return isJson && value !== null ? JSON.stringify(value) : value;
    };
    let rows: unknown[][] = [];
    for await (const row of backup.rows(name)) {
      rows.push(columns.map((column) => stored(row, column)));
      if (rows.length < AT_ONCE) continue;
      await connection.promise().query(insert, [rows]);
      rows = [];
    }
    if (rows.length > 0) await connection.promise().query(insert, [rows]);
  }
  await connection.promise().commit();
}

/**
 * Makes a database that holds no lines of anybody what a backup says it was, and brings it up to date.
 * @throws BackupRefused where the backup is not whole or from a newer version, or the database holds lines
 */
export function restoreBackup(file: string, url: string, migrationsFolder: string): Promise<void> {
  return readBackup(file, async (backup) => {
    const { migrations } = backup.manifest;
    const known = knownMigrations(migrationsFolder);
    if (migrations.some((tag, i) => tag !== known[i]))
      throw new BackupRefused(`It is from a newer version of Cool Dram (${migrations.at(-1)}). Restore it there.`);
    const pool = createPool({ uri: url });
    const connection = openAsStored(url);
    try {
      const lines = await linesOf(connection);
      if (lines > 0)
        throw new BackupRefused(`This place holds lines already (${lines}). Nothing is ever restored over them.`);
      await dropTables(connection);
      await migrateAlone(pool, migrationsFolder, { upTo: migrations.length });
      await load(backup, connection);
      await migrateAlone(pool, migrationsFolder);
    } finally {
      connection.destroy();
      await pool.end();
    }
  });
}
