import { mkdtempSync, readFileSync, rmSync, statSync } from 'node:fs';
import { createServer, request } from 'node:https';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { DAY_MS } from '../../core/quantity/constants';
import { ownAddresses } from './addresses';
import { certificateFor } from './certificate';
import type { TlsFiles } from './tls-files';

let dir: string;
beforeEach(() => {
  dir = mkdtempSync(path.join(tmpdir(), 'cool-dram-tls-'));
});
afterEach(() => rmSync(dir, { recursive: true, force: true }));
const NAMES = ['192.0.2.7', 'hall.local'];
const text = (file: string): string => readFileSync(file, 'utf8');

/** What somebody who trusts the authority gets who calls the server by a name: its answer, or why not. */
async function called(name: string, { authority, certificate, key }: TlsFiles): Promise<string> {
  const server = createServer({ cert: text(certificate), key: text(key) }, (_, response) => response.end('hello'));
  await new Promise<void>((ready) => server.listen(0, '127.0.0.1', ready));
  const { port } = server.address() as AddressInfo;
  return new Promise<string>((resolve) => {
    request({ host: '127.0.0.1', port, servername: name, ca: text(authority), headers: { host: name } }, (answer) =>
      answer.on('data', (data) => resolve(String(data))),
    )
      .on('error', (error) => resolve(String((error as NodeJS.ErrnoException).code)))
      .end();
  }).finally(() => server.close());
}

// Judged by the TLS of Node.js (OpenSSL), as a browser judges.
test('who trusts the authority reaches the server by its names, and by no other', async () => {
  const files = await certificateFor(NAMES, dir);
  expect(await called('hall.local', files)).toBe('hello');
  expect(await called('localhost', files)).toBe('hello');
  expect(await called('elsewhere.local', files)).toBe('ERR_TLS_CERT_ALTNAME_INVALID');
  expect(statSync(files.key).mode & 0o077).toBe(0);
});

test('it stays while it serves, and is made anew for a new address or before it ends; the authority stays', async () => {
  const now = Date.now();
  const [authority, first] = await certificateFor(NAMES, dir, now).then((f) => [
    text(f.authority),
    text(f.certificate),
  ]);
  const next = async (names: string[], days: number) =>
    text((await certificateFor(names, dir, now + days * DAY_MS)).certificate);
  expect(await next(NAMES, 336)).toBe(first);
  expect(await next([...NAMES, '192.0.2.8'], 1)).not.toBe(first);
  const second = await next(NAMES, 1);
  expect(await next(NAMES, 338)).not.toBe(second);
  expect(text((await certificateFor(NAMES, dir)).authority)).toBe(authority);
});

test('of this machine’s addresses those that others reach', () => {
  const at = (address: string, internal: boolean, family: 'IPv4' | 'IPv6' = 'IPv4') =>
    ({ address, internal, family }) as never;
  const found = { lo: [at('127.0.0.1', true)], eth0: [at('192.0.2.7', false), at('fe80::1', false, 'IPv6')] };
  expect(ownAddresses(found, 'Hall')).toEqual(['192.0.2.7', 'hall.local', 'hall']);
  expect(ownAddresses(found, 'hall.local')).toEqual(['192.0.2.7', 'hall.local', 'hall']);
  expect(ownAddresses({}, 'localhost')).toEqual([]);
});
