import { type ChildProcess, spawn } from 'node:child_process';
import { existsSync, openSync, readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import { setTimeout as pause } from 'node:timers/promises';

const ROOT = path.join(import.meta.dirname, '../..');

/** Who is signed in where a server is shared: everything is asked in their name. */
const cookies = new Map<string, string>();
const plain = globalThis.fetch;
globalThis.fetch = (input, init) => {
  const cookie = [...cookies].find(([url]) => String(input).startsWith(url))?.[1];
  if (cookie === undefined) return plain(input, init);
  const headers = new Headers(init?.headers);
  headers.set('cookie', cookie);
  return plain(input, { ...init, headers });
};
const ACCOUNT = { email: 'attack@example.com', password: 'only of this attack' };

/** An installation in a place of its own, run by bin/start as a person would, and killed as nobody would. */
export class Place {
  private starter: ChildProcess | undefined;

  constructor(
    readonly dir: string,
    readonly port: number,
    private readonly log: string,
    /** Whether people sign in on it. */
    private readonly shared = false,
  ) {}

  get url(): string {
    return `${this.shared ? 'https' : 'http'}://127.0.0.1:${this.port}`;
  }
  private get env(): NodeJS.ProcessEnv {
    const { DATABASE_URL: _, MIGRATE_DATABASE_URL: __, ...env } = process.env;
    // Whoever kills the same thing each second does not want to wait for a minute.
    return { ...env, COOL_DRAM_DATA: this.dir, PORT: String(this.port), COOL_DRAM_LONGEST_PAUSE_S: '1' };
  }

  /** One of our commands, to its end. */
  async run(command: string, ...args: string[]): Promise<{ code: number; says: string }> {
    const child = spawn(path.join(ROOT, 'bin', command), args, { cwd: ROOT, env: this.env });
    let says = '';
    for (const stream of [child.stdout, child.stderr]) stream.on('data', (chunk) => (says += chunk));
    const code = await new Promise<number>((ends) => child.on('close', (c) => ends(c ?? -1)));
    return { code, says };
  }

  /** Begins bin/start; `up` tells when it answers. */
  begin(...args: string[]): void {
    const out = openSync(this.log, 'a');
    const all = this.shared ? ['--share', ...args] : args;
    this.starter = spawn(path.join(ROOT, 'bin/start'), all, { cwd: ROOT, env: this.env, stdio: ['ignore', out, out] });
  }

  async up(seconds = 60): Promise<void> {
    for (const end = Date.now() + seconds * 1000; Date.now() < end; await pause(100)) {
      const answer = await fetch(`${this.url}/api/health`, { signal: AbortSignal.timeout(1000) }).catch(
        () => undefined,
      );
      if (answer?.ok) return;
      if (this.starter?.exitCode !== null) throw new Error(`bin/start ended: ${this.said()}`);
    }
    throw new Error(`It did not come up within ${seconds} s: ${this.said()}`);
  }

  /** Signs somebody in, where people do: with the first account, which is made where it is not there yet. */
  async signIn(): Promise<void> {
    if (!this.shared) return;
    const send = (to: string, body: object): Promise<Response> =>
      plain(`${this.url}/api/${to}`, {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify(body),
      });
    let answer = await send('sign-in', ACCOUNT);
    for (let i = 0; i < 100 && !answer.ok; i++) {
      const code = /\/join\?code=(\S+)/.exec(readFileSync(this.log, 'utf8'))?.[1];
      if (code) answer = await send('join', { ...ACCOUNT, code, name: 'Attack' });
      else await pause(100); // it is up before it says so
    }
    if (!answer.ok) throw new Error(`Nobody could sign in: ${await answer.text()}`);
    const cookie = answer.headers.getSetCookie().map((c) => c.split(';')[0]);
    cookies.set(this.url, cookie.join('; '));
  }

  said = (): string => readFileSync(this.log, 'utf8').slice(-2000);

  pidIn(file: string): number | undefined {
    const whole = path.join(this.dir, file);
    return existsSync(whole) ? Number(readFileSync(whole, 'utf8')) || undefined : undefined;
  }

  /** Kills a part as a power cut would; says whether there was any. */
  kill(part: 'web' | 'database' | 'starter'): boolean {
    const pid = part === 'starter' ? this.starter?.pid : this.pidIn(part === 'web' ? 'web.pid' : 'mariadb/m.pid');
    if (pid === undefined) return false;
    try {
      process.kill(pid, 'SIGKILL');
      return true;
    } catch {
      return false;
    }
  }

  /** Kills everything of this place at once. */
  killAll(): void {
    for (const pid of readdirSync('/proc').map(Number).filter(Boolean)) {
      try {
        const environment = readFileSync(`/proc/${pid}/environ`, 'utf8');
        if (pid !== process.pid && environment.includes(`COOL_DRAM_DATA=${this.dir}\0`)) process.kill(pid, 'SIGKILL');
      } catch {
        // it has ended, or is nobody's business
      }
    }
    this.starter = undefined;
  }

  async stop(): Promise<void> {
    const { starter } = this;
    if (!starter || starter.exitCode !== null || starter.signalCode !== null) return;
    const ended = new Promise((ends) => starter.on('close', ends));
    starter.kill('SIGTERM');
    await ended;
  }
}
