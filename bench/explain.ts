/**
 * How the database answers what each page asks: a table for docs/operations.md. On a database that bench/fill-server.ts
 * has filled: `DATABASE_URL=… node_modules/.bin/tsx bench/explain.ts`.
 */
import type { RowDataPacket } from 'mysql2/promise';
import { database } from '../db/client';
import { ALONE } from '../server/people/may';
import { readChargeLog } from '../server/read-lives';
import { readLogPage, readTrial } from '../server/read-log-page';
import { readSummaryOf } from '../server/read-log-summary';
import { readLogbook } from '../server/read-logbook';
import { listPlans, readPlan } from '../server/read-plan';
import { readTrend } from '../server/read-trend';
import { LONG } from './fill-server';

const id = LONG[0] as string;
const PAGES: Readonly<Record<string, () => Promise<unknown>>> = {
  'Start page, line switcher': () => listPlans(ALONE),
  'Start page, searched': () => listPlans(ALONE, 'Hall 77'),
  'Every page of a line': () => readPlan(ALONE, id),
  'Today, Rounds, calendar': () => readSummaryOf(ALONE, id),
  Charges: () => readChargeLog(ALONE, id),
  Drains: () => readLogbook(ALONE, id),
  'Everything in the log': () => readLogPage(ALONE, id, {}),
  'the same, searched': () => readLogPage(ALONE, id, { q: 'nothing such' }),
  'the same, by kind': () => readLogPage(ALONE, id, { kind: 'complaint' }),
  Trend: () => readTrend(ALONE, id, undefined),
  Trial: () => readTrial(ALONE, id, '2026-11-20T08:00', 7),
};

type Query = (sql: string | { sql: string }, values?: unknown[]) => Promise<[RowDataPacket[], unknown]>;
const pool = (database() as unknown as { $client: { query: Query; execute: Query } }).$client;
const query = pool.query.bind(pool);
const asked = new Map<string, unknown[] | undefined>();
for (const how of ['query', 'execute'] as const) {
  const own = pool[how].bind(pool);
  pool[how] = (sql, values) => {
    asked.set(typeof sql === 'string' ? sql : sql.sql, values);
    return own(sql, values);
  };
}

console.log('| Page | Tables | How each is found (type, index, rows that it expects to look at) |\n|---|---|---|');
for (const [page, ask] of Object.entries(PAGES)) {
  asked.clear();
  await ask();
  for (const [sql, values] of [...asked]) {
    const [rows] = await query(`EXPLAIN ${sql}`, values);
    const steps = rows.filter((r) => r.table && !String(r.table).startsWith('<'));
    const ways = steps.map((r) => `${r.type}, ${r.key ?? 'no index'}, ${r.rows}`);
    const counted = [...new Set(ways)].map((w) => {
      const n = ways.filter((x) => x === w).length;
      return n > 1 ? `${n} × (${w})` : w;
    });
    console.log(
      `| ${page} | ${[...new Set(steps.map((r) => r.table))].join(', ')} | ${counted.slice(0, 6).join('; ')} |`,
    );
  }
}
process.exit(0);
