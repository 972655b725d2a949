import { X509Certificate } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, renameSync, writeFileSync } from 'node:fs';
import { isIP } from 'node:net';
import path from 'node:path';
import { generate } from 'selfsigned';
import { DAY_MS } from '../../core/quantity/constants';
import { type TlsFiles, tlsFiles } from './tls-files';

const AUTHORITY_DAYS = 3650;
/** Longer ones are refused by phones (Apple, 825 days for an authority that a person trusts; recalled). */
const CERTIFICATE_DAYS = 397;
const RENEWED_BEFORE_DAYS = 60;

/** Writes a file whole or not at all, for its owner alone. */
function write(file: string, text: string): void {
  writeFileSync(`${file}.new`, text, { mode: 0o600 });
  renameSync(`${file}.new`, file);
}

const common = (value: string) => [
  { name: 'commonName', value },
  { name: 'organizationName', value: 'Cool Dram' },
];
const EC = { keyType: 'ec', curve: 'P-256', algorithm: 'sha256' } as const;

async function authorityIn(dir: string, nowMs: number): Promise<{ key: string; cert: string }> {
  const [file, keyFile] = [tlsFiles(dir).authority, path.join(dir, 'authority.key')];
  if (existsSync(file) && existsSync(keyFile))
    return { key: readFileSync(keyFile, 'utf8'), cert: readFileSync(file, 'utf8') };
  const made = await generate(common('Cool Dram on this network'), {
    ...EC,
    notBeforeDate: new Date(nowMs - DAY_MS),
    notAfterDate: new Date(nowMs + AUTHORITY_DAYS * DAY_MS),
    extensions: [
      { name: 'basicConstraints', cA: true, pathLenConstraint: 0, critical: true },
      { name: 'keyUsage', keyCertSign: true, cRLSign: true, critical: true },
    ],
  });
  write(keyFile, made.private);
  write(file, made.cert);
  return { key: made.private, cert: made.cert };
}

/** Whether a certificate is signed by the authority, good for all of the names, and for some weeks yet. */
function serves(cert: string, authority: string, names: readonly string[], nowMs: number): boolean {
  const own = new X509Certificate(cert);
  const has = (name: string) => (isIP(name) ? own.checkIP(name) : own.checkHost(name)) !== undefined;
  return (
    own.verify(new X509Certificate(authority).publicKey) &&
    names.every(has) &&
    Date.parse(own.validTo) - nowMs > RENEWED_BEFORE_DAYS * DAY_MS
  );
}

/**
 * A certificate for the names of this machine, signed by an authority of this installation: made once, and made anew when
 * an address is new or the old one ends soon. Phones trust the authority, which stays.
 * @param dir for its owner alone; made where it is missing
 */
export async function certificateFor(names: readonly string[], dir: string, nowMs = Date.now()): Promise<TlsFiles> {
  mkdirSync(dir, { recursive: true, mode: 0o700 });
  const files = tlsFiles(dir);
  const ca = await authorityIn(dir, nowMs);
  const all = [...new Set([...names, 'localhost', '127.0.0.1'])];
  if (
    existsSync(files.certificate) &&
    existsSync(files.key) &&
    serves(readFileSync(files.certificate, 'utf8'), ca.cert, all, nowMs)
  )
    return files;
  const made = await generate(common(names[0] ?? 'localhost'), {
    ...EC,
    ca,
    notBeforeDate: new Date(nowMs - DAY_MS),
    notAfterDate: new Date(nowMs + CERTIFICATE_DAYS * DAY_MS),
    extensions: [
      { name: 'basicConstraints', cA: false, critical: true },
      { name: 'keyUsage', digitalSignature: true, critical: true },
      { name: 'extKeyUsage', serverAuth: true },
      { name: 'subjectAltName', altNames: all.map((n) => (isIP(n) ? { type: 7, ip: n } : { type: 2, value: n })) },
    ],
  });
  write(files.key, made.private);
  write(files.certificate, made.cert);
  return files;
}
