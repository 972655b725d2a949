import { type Connection, createConnection, type RowDataPacket } from 'mysql2';

export type ColumnType = 'json' | 'bytes' | 'plain';

export interface Table {
  readonly name: string;
  /** Its primary key. */
  readonly key: readonly string[];
  readonly columns: readonly { readonly name: string; readonly type: ColumnType }[];
}

/** A connection that reads dates and documents as they are stored, so that no clock has a say in a copy. */
export const openAsStored = (uri: string): Connection =>
  createConnection({ uri, dateStrings: true, jsonStrings: true, timezone: 'Z' });

/** The tables of a database with their columns, but for those that it works out itself and the lists that migrations keep. */
export async function tablesOf(connection: Connection): Promise<Table[]> {
  const [columns] = await connection.promise().query<RowDataPacket[]>(
    `SELECT c.TABLE_NAME AS tableName, c.COLUMN_NAME AS name, c.DATA_TYPE AS type, c.COLUMN_KEY AS columnKey,
      EXISTS (SELECT 1 FROM information_schema.CHECK_CONSTRAINTS k WHERE k.CONSTRAINT_SCHEMA = c.TABLE_SCHEMA
        AND k.TABLE_NAME = c.TABLE_NAME AND k.CHECK_CLAUSE = CONCAT('json_valid(\`', c.COLUMN_NAME, '\`)')) AS isJson
    FROM information_schema.COLUMNS c WHERE c.TABLE_SCHEMA = DATABASE() AND c.IS_GENERATED = 'NEVER' AND c.TABLE_NAME NOT LIKE '\\_\\_%'
    ORDER BY c.TABLE_NAME, c.ORDINAL_POSITION`,
  );
  const names = [...new Set(columns.map((c) => String(c.tableName)))];
  return names.map((name) => {
    const own = columns.filter((c) => c.tableName === name);
    const typeOf = (c: RowDataPacket): ColumnType =>
      c.isJson ? 'json' : /blob|binary/.test(c.type) ? 'bytes' : 'plain';
    return {
      name,
      key: own.filter((c) => c.columnKey === 'PRI').map((c) => String(c.name)),
      columns: own.map((c) => ({ name: String(c.name), type: typeOf(c) })),
    };
  });
}

/** The key of a row as one text. */
export const keyOf = (table: Table, row: Record<string, unknown>): string => table.key.map((c) => row[c]).join(' ');

/** The rows of a table in the order of its key, one after another: a log is longer than memory should be. */
export async function* rowsOf(connection: Connection, table: Table): AsyncGenerator<Record<string, unknown>> {
  const columns = table.columns.map((c) => `\`${c.name}\``).join(', ');
  const query = connection.query(
    `SELECT ${columns} FROM \`${table.name}\` ORDER BY ${table.key.map((c) => `\`${c}\``).join(', ')}`,
  );
  for await (const row of query.stream({ highWaterMark: 100 })) {
    for (const { name, type } of table.columns)
      if (type === 'json' && typeof row[name] === 'string') row[name] = JSON.parse(row[name]);
    yield row;
  }
}
