import { spawn } from 'node:child_process';
import { readFileSync } from 'node:fs';
import path from 'node:path';
import { setTimeout as pause } from 'node:timers/promises';
import { createConnection, type RowDataPacket } from 'mysql2/promise';
import { demoPlan } from '../../db/demo';
import { BehindProxy } from './behind-proxy';
import { compared } from './compare';
import { Writers } from './writers';

// More than one machine: web servers behind a proxy, on one database or on a cluster of them, and each killed in turn.
// Ends with 1 where anything acknowledged was lost or doubled, or a browser saw an error that a retry does not cure.
const [what = '', dir = '', portsText = '', ...databases] = process.argv.slice(2);
const [port = 0, ...ports] = portsText.split(',').map(Number);
const DEMO = 'd0000000-0000-4000-8000-000000000001';
const MAIN_PATHS = ['newcomer', 'keep', 'logbook', 'advice'].map((name) => `e2e/${name}.spec.ts`);
const wrong: string[] = [];
const tell = (name: string, figure: string | number): void => console.error(`  ${name}: ${figure}`);

async function told(at: string, writers: Writers): Promise<void> {
  const { lost, doubled } = await compared(at, DEMO, writers);
  tell('writes acknowledged', writers.acknowledged.length);
  tell('of them lost', lost.length);
  tell('doubled', doubled);
  wrong.push(...lost, ...writers.wrong);
  if (doubled > 0) wrong.push(`${doubled} doubled`);
}

/** Runs the main paths in a browser; each may be tried twice, as a person reloads a page. */
function browse(url: string): Promise<number> {
  const args = ['test', '--retries=1', ...MAIN_PATHS];
  const env = {
    ...process.env,
    BASE_URL: url,
    NODE_OPTIONS: '', // it has its own way of another date

    PLAYWRIGHT_OUTPUT: path.join(dir, 'playwright'),
    PLAYWRIGHT_JSON_OUTPUT_NAME: path.join(dir, 'browser.json'),
  };
  const child = spawn('node_modules/.bin/playwright', args, { env, stdio: ['ignore', 2, 2] });
  return new Promise((ends) => child.on('close', (code) => ends(code ?? -1)));
}

/** Two servers on one database: one of them is killed every few seconds, while people work and others write. */
async function servers(): Promise<void> {
  const at = new BehindProxy(path.join(dir, 'servers'), port, ports, databases);
  await at.begin();
  const writers = new Writers(at.url, DEMO, demoPlan());
  let [killed, works] = [0, true];
  const kills = async (): Promise<void> => {
    while (works) {
      await pause(4000);
      const i = killed++ % ports.length;
      at.killWeb(i);
      await pause(1000);
      at.beginWeb(i);
      await at.up(at.webUrl(i));
    }
  };
  try {
    const killing = kills();
    const code = await browse(at.url);
    tell('main paths in a browser', code === 0 ? 'all pass' : 'failed');
    if (code !== 0) wrong.push('main paths failed');
    writers.begin(4);
    await pause(30_000);
    works = false;
    await killing;
    await writers.end();
    tell('kills of a web server', killed);
    await told(at.url, writers);
  } finally {
    if (wrong.length > 0) console.error(at.said().slice(-12).join('\n'));
    at.end();
  }
}

/** So many rows of each table, and whether they are the same. */
async function sumsOf(url: string): Promise<string> {
  const db = await createConnection(url);
  const tables = ['plans', 'log_entries', 'drain_entries', 'readings', 'charges', 'revisions', 'log_marks'];
  const [rows] = await db.query<RowDataPacket[]>(`CHECKSUM TABLE ${tables.join(', ')}`);
  await db.end();
  return JSON.stringify(rows.map((r) => [String(r.Table).split('.').pop(), r.Checksum]));
}

/** Three nodes, a web server on each: one node is killed, writes go on; it comes back and has what the others have. */
async function nodes(): Promise<void> {
  const at = new BehindProxy(path.join(dir, 'nodes'), port, ports, databases);
  await at.begin();
  const writers = new Writers(at.url, DEMO, demoPlan());
  try {
    writers.begin(4);
    await pause(10_000);
    const before = writers.acknowledged.length;
    process.kill(Number(readFileSync(path.join(dir, 'n2/mariadb/m.pid'), 'utf8')), 'SIGKILL');
    await pause(20_000);
    tell('acknowledged before a node was killed', before);
    tell('acknowledged in the 20 s after', writers.acknowledged.length - before);
    if (writers.acknowledged.length - before < 20) wrong.push('writes did not go on');
    const again = spawn('bash', ['-c', process.env.NODE_AGAIN ?? 'false'], { stdio: ['ignore', 2, 2] });
    const code = await new Promise((ends) => again.on('close', ends));
    tell('the node comes back', code === 0 ? 'yes' : 'no');
    if (code !== 0) wrong.push('the node did not come back');
    await pause(5000);
    await writers.end();
    await told(at.url, writers);
    await pause(2000);
    const sums = await Promise.all(databases.map(sumsOf));
    tell('nodes that hold the same', sums.filter((s) => s === sums[0]).length);
    if (new Set(sums).size > 1) wrong.push(`nodes differ: ${sums.join('\n')}`);
  } finally {
    if (wrong.length > 0) console.error(at.said().slice(-12).join('\n'));
    at.end();
  }
}

await (what === 'servers' ? servers() : nodes());
for (const line of wrong.slice(0, 30)) console.error(`✗ ${line}`);
process.exit(wrong.length > 0 ? 1 : 0);
