import { execFileSync } from 'node:child_process';
import { mkdirSync, readFileSync, rmSync, statfsSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { setTimeout as pause } from 'node:timers/promises';
import { createConnection } from 'mysql2/promise';
import { demoPlan } from '../../db/demo';
import { compared } from './compare';
import { fuzz } from './fuzz';
import { Place } from './place';
import { Writers } from './writers';

// Everything that goes wrong on the worst day, on a real installation in a place of its own. With a share below one, so
// much less of it; with “shared”, on one where people sign in. Ends with 1 where anything acknowledged was lost or doubled, or anything was answered with 500.
const [dir = '', portsText = '', shareText = '1', people = ''] = process.argv.slice(2);
const [port = 0, otherPort = 0] = portsText.split(',').map(Number);
const share = Number(shareText);
const shared = people === 'shared';
const times = (n: number): number => Math.max(1, Math.round(n * share));
const FULL_WITHIN_MS = 60_000;
const DEMO = 'd0000000-0000-4000-8000-000000000001';
const figures: [what: string, figure: string | number][] = [];
const wrong: string[] = [];
const began = Date.now();
const tell = (what: string, figure: string | number): void => {
  figures.push([what, figure]);
  console.error(`  ${what}: ${figure}   (${Math.round((Date.now() - began) / 1000)} s)`);
};
let seed = 20261128;
const chance = (): number => {
  seed = (Math.imul(seed, 1664525) + 1013904223) >>> 0;
  return seed / 2 ** 32;
};
const place = (name: string, at = port): Place => {
  const own = path.join(dir, name);
  mkdirSync(own, { recursive: true, mode: 0o755 });
  return new Place(path.join(own, 'data'), at, path.join(own, 'start.log'), shared);
};

/** What of the acknowledged writes is missing, other than it was sent, or there twice. */
async function compare(at: Place, writers: Writers, after: string): Promise<void> {
  const { lost, doubled } = await compared(at.url, DEMO, writers);
  tell(`${after}: writes acknowledged`, writers.acknowledged.length);
  tell(`${after}: of them lost`, lost.length);
  tell(`${after}: doubled`, doubled);
  for (const w of lost) wrong.push(`lost: ${w}`);
  if (doubled > 0) wrong.push(`${doubled} doubled`);
  wrong.push(...writers.wrong);
}

async function kills(): Promise<void> {
  const at = place('kills');
  at.begin();
  await at.up();
  await at.signIn();
  let second = await at.run('start');
  for (let i = 0; i < 20 && !second.says.includes(at.url); i++) second = await at.run('start'); // it is up before it says so
  tell('a second bin/start ends with', second.code);
  if (second.code !== 0 || !second.says.includes(at.url)) wrong.push(`second start: ${second.says}`);
  const writers = new Writers(at.url, DEMO, demoPlan());
  writers.begin(4);
  const killed = { web: 0, database: 0, starter: 0 };
  for (let round = 0; round < times(40); round++) {
    await pause(100 + 500 * chance());
    for (const part of ['web', 'database'] as const) if (at.kill(part)) killed[part]++;
    if (round % 4 === 3) {
      if (at.kill('starter')) killed.starter++;
      if (chance() < 0.5) at.killAll();
      await pause(300 * chance());
      at.begin();
    }
    await at.up();
  }
  // A backup in the middle of it, for the drill below.
  const { code, says } = await at.run('backup', path.join(dir, 'drill.tar.gz'));
  if (code !== 0) wrong.push(`backup: ${says}`);
  await writers.end();
  tell('kills of the web server', killed.web);
  tell('kills of the database', killed.database);
  tell('kills of bin/start', killed.starter);
  tell('tries of writers', writers.tries);
  await compare(at, writers, 'kills');
  await killsWhileMigrating(at);
  await compare(at, writers, 'kills of migrations');
  await at.stop();
}

/** Forgets that migrations were done: each may be done again, so that a start goes through all of them. */
async function killsWhileMigrating(at: Place): Promise<void> {
  let killed = 0;
  for (let round = 0; round < times(112); round++) {
    const password = readFileSync(path.join(at.dir, 'migrate-password'), 'utf8').trim();
    const dbPort = Number(readFileSync(path.join(at.dir, 'port'), 'utf8'));
    const account = { host: '127.0.0.1', port: dbPort, user: 'cool_dram_migrate', password, database: 'cool_dram' };
    const connection = await createConnection(account).catch(() => undefined);
    if (connection) {
      await connection.query(
        'DELETE FROM __drizzle_migrations WHERE id > (SELECT MIN(id) FROM (SELECT id FROM __drizzle_migrations) AS m)',
      );
      connection.destroy();
    }
    at.killAll();
    at.begin();
    await pause(400 + 1500 * chance());
    at.killAll();
    killed++;
    if (round % 8 === 7 || round === times(112) - 1) {
      at.begin();
      await at.up();
    }
  }
  tell('kills of a start that migrates', killed);
}

async function drill(): Promise<void> {
  const at = place('drill');
  const file = path.join(dir, 'drill.tar.gz');
  for (const args of [
    [file, at.dir],
    [file, at.dir, '--dry-run'],
  ]) {
    const { code, says } = await at.run('restore', ...args);
    if (code !== 0) wrong.push(`restore: ${says}`);
    if (args.length === 3 && !/plans +│ \d+ +│ 0 +│ 0 +│ 0/.test(says)) wrong.push(`the drill differs: ${says}`);
  }
  at.begin();
  await at.up();
  await at.signIn();
  const answer = await fetch(`${at.url}/lines/${DEMO}/logbook/all`);
  tell('restore drill: the restored log answers', answer.status);
  if (answer.status !== 200) wrong.push('the restored log does not open');
  await at.stop();
}

async function fuzzed(): Promise<void> {
  const at = place('fuzz', otherPort);
  at.begin();
  await at.up();
  await at.signIn();
  const web = at.pidIn('web.pid');
  const {
    requests,
    accepted,
    pages,
    wrong: found,
  } = await fuzz(at.url, DEMO, demoPlan(), { requests: times(20_500), pages: times(600), chance });
  tell('fuzzed requests', requests);
  tell('strange plans accepted', accepted);
  tell('pages of them opened', pages);
  tell('answers of 500, and pages that break', found.length);
  wrong.push(...found);
  if (at.pidIn('web.pid') !== web) wrong.push('the web server died of a request');
  const log = readFileSync(path.join(at.dir, 'web.log'), 'utf8');
  const forged = log.split('\n').filter((line) => line.startsWith('DROP') || line.includes('\u0000')).length;
  if (forged > 0) wrong.push(`${forged} forged lines in the log`);
  await at.stop();
}

async function fullDisk(): Promise<void> {
  const disk = path.join(dir, 'disk');
  mkdirSync(disk, { recursive: true, mode: 0o755 });
  try {
    execFileSync('mount', ['-t', 'tmpfs', '-o', 'size=400M,mode=755', 'tmpfs', disk], { stdio: 'ignore' });
  } catch {
    return tell('full disk', 'left out: no disk can be made here (needs root)');
  }
  try {
    const at = new Place(path.join(disk, 'data'), otherPort, path.join(dir, 'disk.log'), shared);
    at.begin();
    await at.up();
    await at.signIn();
    const fill = path.join(disk, 'fill');
    const { bavail, bsize } = statfsSync(disk);
    writeFileSync(fill, Buffer.alloc(bavail * bsize - 2_000_000));
    const writers = new Writers(at.url, DEMO, demoPlan());
    writers.begin(4);
    const isFull = async (): Promise<boolean> => {
      const body = { id: crypto.randomUUID(), plan: demoPlan() };
      const init = { method: 'POST', headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) };
      const within = AbortSignal.timeout(10_000);
      const answer = await fetch(`${at.url}/api/plans`, { ...init, signal: within }).catch(() => undefined);
      return answer?.status === 503 && (await answer.text()).includes('disk-full');
    };
    let full = false;
    for (const end = Date.now() + FULL_WITHIN_MS; Date.now() < end && !full; ) full = await isFull();
    tell('full disk: said in words', full ? 'yes' : 'no');
    if (!full) wrong.push('the full disk was not said');
    at.kill('database');
    await pause(4000);
    if (!(await isFull())) wrong.push('the full disk was not said without its database');
    rmSync(fill);
    await at.up();
    await pause(1000);
    await writers.end();
    await compare(at, writers, 'full disk');
    await at.stop();
  } finally {
    await pause(500);
    execFileSync('umount', ['-l', disk]);
  }
}

/** One attack after another, on one port. */
async function inTurn(...attacks: readonly (() => Promise<void>)[]): Promise<void> {
  try {
    for (const attack of attacks) {
      console.error(attack.name);
      await attack();
    }
  } catch (error) {
    wrong.push(error instanceof Error ? (error.stack ?? error.message) : String(error));
  }
}
await Promise.all([inTurn(kills, drill), inTurn(fuzzed, fullDisk)]);
const kinds = new Map<string, number>();
for (const w of wrong) kinds.set(w, (kinds.get(w) ?? 0) + 1);
for (const [what, count] of [...kinds].slice(0, 40)) console.error(`✗ ${count} × ${what}`);
console.log('| What | Figure |\n|---|---|');
for (const [what, figure] of figures) console.log(`| ${what} | ${figure} |`);
console.log(`\n${wrong.length === 0 ? '1 passed, 0 failed' : '0 passed, 1 failed'}`);
process.exit(wrong.length === 0 ? 0 : 1);
