/**
 * The pages of a server that holds much: two lines of 200,000 entries and 200,000 drains each, and 5,000 lines of usual
 * size, all made up from one seed. For each page its server time at eight requests at once, and its size; then writes a
 * second. `node_modules/.bin/tsx bench/server.ts [SHARE]` installs it in a place of its own and takes some minutes.
 */
import { randomUUID } from 'node:crypto';
import { chmodSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { setTimeout as pause } from 'node:timers/promises';
import { createConnection } from 'mysql2/promise';
import { Place } from '../e2e/attack/place';
import { fill, LONG } from './fill-server';

const share = Number(process.argv[2] ?? 1);
const ENTRIES = Math.round(200_000 * share);
const LINES = Math.round(5000 * share);
const AT_ONCE = 8;
const ASKED = 48; // requests of each page
const P95_MOST_MS = 200;
const BODY_MOST_KB = 300;

const PAGES = [
  '/',
  '/?q=Hall+77',
  ...['survey', 'line', 'advice', 'compare', 'day', 'today', 'rounds', 'rounds/go', 'rounds/sheet', 'rounds/cards'],
  ...['logbook', 'logbook/all', 'logbook/all?q=nothing+such', 'logbook/all?kind=complaint', 'logbook/trial', 'charges'],
  ...['water', 'water/year'],
].map((page) => (page.startsWith('/') ? page : `/lines/${LONG[0]}/${page}`));

const quantile = (sorted: readonly number[], q: number): number =>
  sorted[Math.min(sorted.length - 1, Math.floor(q * sorted.length))] as number;

async function timed(url: string, times: number): Promise<{ ms: number[]; bytes: number; status: number }> {
  const ms: number[] = [];
  let [bytes, status, left] = [0, 0, times];
  const go = async (): Promise<void> => {
    while (left-- > 0) {
      const began = performance.now();
      const answer = await fetch(url);
      bytes = (await answer.arrayBuffer()).byteLength;
      status = answer.status;
      ms.push(performance.now() - began);
    }
  };
  await Promise.all(Array.from({ length: AT_ONCE }, go));
  return { ms: ms.toSorted((a, b) => a - b), bytes, status };
}

async function writesASecond(url: string): Promise<number> {
  const began = performance.now();
  let done = 0;
  const go = async (): Promise<void> => {
    while (performance.now() - began < 5000) {
      const entry = {
        id: randomUUID(),
        kind: 'observation',
        stageId: '',
        measuredAt: '2026-11-20T08:00',
        who: 'x',
        what: 'y',
      };
      const init = { method: 'POST', headers: { 'content-type': 'application/json' }, body: JSON.stringify(entry) };
      if ((await fetch(`${url}/api/plans/${LONG[0]}/entries`, init)).ok) done++;
    }
  };
  await Promise.all(Array.from({ length: AT_ONCE }, go));
  return done / ((performance.now() - began) / 1000);
}

/** How long the server takes to say that it is well while it works calendars out, p95 and longest, ms. */
async function healthMeanwhile(url: string): Promise<{ ms: number[]; calendarsS: number }> {
  const began = performance.now();
  let busy = true;
  const calendars = Promise.all(LONG.map((id) => fetch(`${url}/api/plans/${id}/calendar`))).finally(() => {
    busy = false;
  });
  const ms: number[] = [];
  while (busy) {
    const asked = performance.now();
    await fetch(`${url}/api/health`);
    ms.push(performance.now() - asked);
    await pause(20);
  }
  await calendars;
  return { ms: ms.toSorted((a, b) => a - b), calendarsS: (performance.now() - began) / 1000 };
}

const dir = mkdtempSync(path.join(tmpdir(), 'cool-dram-bench-'));
chmodSync(dir, 0o755);
const place = new Place(path.join(dir, 'data'), 3190, path.join(dir, 'start.log'));
try {
  place.begin();
  await place.up(600);
  const read = (file: string): string => readFileSync(path.join(place.dir, file), 'utf8').trim();
  const db = await createConnection({
    host: '127.0.0.1',
    port: Number(read('port')),
    user: 'cool_dram_migrate',
    password: read('migrate-password'),
    database: 'cool_dram',
  });
  const began = performance.now();
  await fill(db, ENTRIES, LINES);
  console.log(
    `${2 * ENTRIES} entries, ${2 * ENTRIES} drains, ${LINES} lines, made in ${((performance.now() - began) / 1000).toFixed(0)} s\n`,
  );
  console.log('| Page | p50, ms | p95, ms | of 200 ms | kB | of 300 kB |\n|---|---|---|---|---|---|');
  for (const page of PAGES) {
    await timed(place.url + page, AT_ONCE);
    const { ms, bytes, status } = await timed(place.url + page, ASKED);
    const [p50, p95, kb] = [quantile(ms, 0.5), quantile(ms, 0.95), bytes / 1000];
    const name = page.replace(LONG[0] as string, '…');
    const ratio = (x: number): string => x.toFixed(2);
    console.log(
      `| ${name}${status === 200 ? '' : ` (${status})`} | ${p50.toFixed(0)} | ${p95.toFixed(0)} | ${ratio(p95 / P95_MOST_MS)} | ${kb.toFixed(0)} | ${ratio(kb / BODY_MOST_KB)} |`,
    );
  }
  console.log(`\nwrites a second, eight at once: ${(await writesASecond(place.url)).toFixed(0)}, of 80`);
  const { ms, calendarsS } = await healthMeanwhile(place.url);
  console.log(
    `health while two calendars are worked out (${calendarsS.toFixed(1)} s): p95 ${quantile(ms, 0.95).toFixed(0)} ms, longest ${quantile(ms, 1).toFixed(0)} ms, of 50`,
  );
  await db.end();
} finally {
  await place.stop();
  rmSync(dir, { recursive: true, force: true });
}
