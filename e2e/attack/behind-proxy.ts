import { type ChildProcess, spawn } from 'node:child_process';
import { mkdirSync, openSync, readFileSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { setTimeout as pause } from 'node:timers/promises';

const ROOT = path.join(import.meta.dirname, '../..');

/** What the proxy does with a server that is gone: it asks the next one, also to write, for a repeated write is one write. */
const conf = (port: number, webs: readonly number[], dir: string): string => `
daemon off;
worker_processes 1;
pid ${dir}/nginx.pid;
error_log ${dir}/nginx.log;
events {}
http {
  access_log off;
  client_body_temp_path ${dir}/body;
  proxy_temp_path ${dir}/proxy;
  fastcgi_temp_path ${dir}/other;
  uwsgi_temp_path ${dir}/other;
  scgi_temp_path ${dir}/other;
  client_max_body_size 64m;
  upstream web {
${webs.map((w) => `    server 127.0.0.1:${w} max_fails=0;`).join('\n')}
  }
  server {
    listen 127.0.0.1:${port};
    location / {
      proxy_pass http://web;
      proxy_http_version 1.1;
      proxy_set_header Host $http_host;
      proxy_set_header Connection "";
      proxy_connect_timeout 1s;
      proxy_next_upstream error timeout http_502 http_503 http_504 non_idempotent;
    }
  }
}
`;

/** Web servers, each on its own port and with its own database or the same, behind one proxy. */
export class BehindProxy {
  private readonly webs: (ChildProcess | undefined)[] = [];
  private proxy: ChildProcess | undefined;

  constructor(
    private readonly dir: string,
    private readonly port: number,
    private readonly ports: readonly number[],
    private readonly databases: readonly string[],
  ) {}

  get url(): string {
    return `http://127.0.0.1:${this.port}`;
  }
  webUrl = (i: number): string => `http://127.0.0.1:${this.ports[i]}`;

  async begin(): Promise<void> {
    mkdirSync(this.dir, { recursive: true });
    const file = path.join(this.dir, 'nginx.conf');
    writeFileSync(file, conf(this.port, this.ports, this.dir));
    for (let i = 0; i < this.ports.length; i++) this.beginWeb(i);
    for (let i = 0; i < this.ports.length; i++) await this.up(this.webUrl(i));
    this.proxy = spawn('nginx', ['-c', file, '-e', path.join(this.dir, 'nginx.log')], { stdio: 'inherit' });
    await this.up(this.url);
  }

  beginWeb(i: number): void {
    const out = openSync(path.join(this.dir, `web-${i}.log`), 'a');
    this.webs[i] = spawn(
      'node_modules/.bin/next',
      ['start', '--hostname', '127.0.0.1', '--port', String(this.ports[i])],
      {
        cwd: ROOT,
        env: { ...process.env, DATABASE_URL: this.databases[i] ?? '' },
        stdio: ['ignore', out, out],
        detached: true, // its own group, so that all of it is killed
      },
    );
  }

  /** Kills a web server as a power cut would. */
  killWeb(i: number): void {
    const pid = this.webs[i]?.pid;
    if (pid !== undefined) process.kill(-pid, 'SIGKILL');
    this.webs[i] = undefined;
  }

  async up(url: string, seconds = 60): Promise<void> {
    for (const end = Date.now() + seconds * 1000; Date.now() < end; await pause(100)) {
      const answer = await fetch(`${url}/api/health`, { signal: AbortSignal.timeout(2000) }).catch(() => undefined);
      if (answer?.ok) return;
    }
    throw new Error(`${url} did not come up within ${seconds} s.`);
  }

  /** What the web servers said of errors. */
  said(): string[] {
    return this.ports.flatMap((_, i) =>
      readFileSync(path.join(this.dir, `web-${i}.log`), 'utf8')
        .split('\n')
        .filter((line) => /Error|code:|sqlMessage/.test(line)),
    );
  }

  end(): void {
    this.proxy?.kill('SIGTERM');
    for (let i = 0; i < this.webs.length; i++) this.killWeb(i);
  }
}
