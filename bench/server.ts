/**
 * The pages of a server that holds much: two lines of 200,000 entries and 200,000 drains each, and 5,000 lines of usual
 * size, all made up from one seed. For each page its server time at eight requests at once, and its size; then writes a
 * second. `node_modules/.bin/tsx bench/server.ts [SHARE]` installs it in a place of its own and takes some minutes.
 */
import { randomUUID } from 'node:crypto';
import { chmodSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { type Connection, createConnection } from 'mysql2/promise';
import { Place } from '../bin/lib/attack/place';
import { DEMO_PLAN_ID } from '../db/demo';

const share = Number(process.argv[2] ?? 1);
const ENTRIES = Math.round(200_000 * share);
const LINES = Math.round(5000 * share);
const AT_ONCE = 8;
const ASKED = 48; // requests of each page
const P95_MOST_MS = 200;
const BODY_MOST_KB = 300;

const LONG = [1, 2].map((n) => `b0000000-0000-4000-8000-00000000000${n}`);
const PAGES = [
  '/',
  '/?q=Hall+77',
  ...['survey', 'line', 'advice', 'compare', 'day', 'today', 'rounds', 'rounds/go', 'rounds/sheet', 'rounds/cards'],
  ...['logbook', 'logbook/all', 'logbook/all?q=nothing+such', 'logbook/all?kind=complaint', 'logbook/trial', 'charges'],
  ...['water', 'water/year'],
].map((page) => (page.startsWith('/') ? page : `/lines/${LONG[0]}/${page}`));

/** Made in the database itself: entries of each kind at each stage, one an hour back from now. */
async function fill(db: Connection): Promise<void> {
  const copyOf = (id: string, name: string, n = ''): string =>
    `INSERT INTO plans (id, is_demo, row_version, document, created_at, updated_at)
     SELECT ${id}, 0, 1, JSON_SET(document, '$.name', ${name}), NOW(3), NOW(3) FROM plans${n} WHERE id = '${DEMO_PLAN_ID}'`;
  for (const id of LONG) await db.query(copyOf(`'${id}'`, `'A long log'`));
  await db.query(
    `INSERT INTO plans (id, is_demo, row_version, document, created_at, updated_at)
     SELECT UUID(), 0, 1, JSON_SET(p.document, '$.name', CONCAT('Hall ', s.seq)), NOW(3), NOW(3) - INTERVAL s.seq MINUTE
     FROM seq_1_to_${LINES} s, plans p WHERE p.id = '${DEMO_PLAN_ID}'`,
  );
  const stage = `ELT(1 + s.seq % 6, 'separator', 'receiver', 'coalescer', 'dryer', 'frame-bowl', 'press-beads')`;
  const kind = `IF(s.seq % 7 = 0, 'observation', IF(s.seq % 501 = 0, 'change', IF(s.seq % 97 = 0, 'complaint', IF(s.seq % 3 = 0, 'reading', 'done'))))`;
  const at = `DATE_FORMAT(NOW() - INTERVAL s.seq * 20 MINUTE, '%Y-%m-%dT%H:%i')`;
  for (const id of LONG) {
    await db.query(
      `INSERT INTO log_entries (id, plan_id, stage_id, stage_name, kind, task, measured_at, who, entry, expected, entered_at)
       SELECT e.id, '${id}', e.stage, e.stage, e.kind, e.task, e.at, 'Ida', JSON_OBJECT(
         'id', e.id, 'kind', e.kind, 'stageId', e.stage, 'task', e.task, 'measuredAt', e.at, 'who', 'Ida', 'result', NULL,
         'chargeId', NULL, 'what', IF(e.kind = 'observation', CONCAT('seen again, number ', e.seq), ''), 'instrument', 'fitted',
         'readings', IF(e.kind IN ('reading', 'done'), JSON_ARRAY(JSON_OBJECT('of', e.of, 'value', 1000 + e.seq % 977)), JSON_ARRAY()),
         'intakeTemperatureC', NULL, 'intakeRelativeHumidity', NULL, 'until', NULL,
         'symptom', IF(e.kind = 'complaint', 'D01', NULL), 'amends', NULL, 'photoId', NULL),
         JSON_ARRAY(JSON_OBJECT('value', 1400, 'low', 1200, 'high', 1600)), NOW(3)
       FROM (SELECT s.seq, UUID() AS id, ${stage} AS stage, ${kind} AS kind, ${at} AS at,
         IF(${kind} = 'done', ELT(1 + s.seq % 5, 'M01', 'M12', 'M06', 'M13', 'M22'), NULL) AS task,
         ELT(1 + (s.seq DIV 6) % 3, 'pressure-drop', 'temperature', 'seconds') AS of
         FROM seq_1_to_${ENTRIES} s) e`,
    );
    await db.query(
      `INSERT INTO readings SELECT e.id, r.of, e.plan_id, e.stage_id, e.measured_at, e.stands, r.value, 1400, 1200, 1600
       FROM log_entries e, JSON_TABLE(e.entry, '$.readings[*]' COLUMNS (of varchar(20) PATH '$.of', value double PATH '$.value')) r
       WHERE e.plan_id = '${id}'`,
    );
    await db.query(
      `INSERT INTO drain_entries SELECT UUID(), '${id}', d.stage_id, d.stage_name,
         DATE_FORMAT(NOW() - INTERVAL s.seq * 20 MINUTE, '%Y-%m-%dT%H:%i'), d.since_at, d.amount_m3 * (0.8 + s.seq % 5 / 10),
         d.appearance, d.who, d.note, d.loaded_hours, d.intake_temperature_c, d.intake_relative_humidity, d.counted_hours,
         d.expected_kg, d.low_kg, d.high_kg, NULL, NOW(3), d.why
       FROM seq_1_to_${ENTRIES} s, (SELECT * FROM drain_entries WHERE plan_id = '${DEMO_PLAN_ID}' AND why IS NOT NULL LIMIT 1) d`,
    );
  }
  await db.query('ANALYZE TABLE plans, log_entries, readings, drain_entries');
}

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
  await fill(db);
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
  await db.end();
} finally {
  await place.stop();
  rmSync(dir, { recursive: true, force: true });
}
