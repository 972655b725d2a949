import { existsSync, readFileSync } from 'node:fs';
import path from 'node:path';
import { RequestRefused } from '../errors';
import { tlsFiles } from './tls-files';

const file = (): string => tlsFiles(path.join(process.env.COOL_DRAM_DATA ?? '.data', 'tls')).authority;

/** Whether this installation signs its own certificate, so that phones have to be told to trust it. */
export const hasOwnAuthority = (): boolean =>
  process.env.COOL_DRAM_TLS === '1' && !process.env.TLS_CERT && !process.env.TRUST_PROXY && existsSync(file());

/** The authority's certificate, which says nothing that is secret. */
export async function readAuthority(): Promise<string> {
  if (!hasOwnAuthority()) throw new RequestRefused(404, 'not-found', 'This server has no authority of its own.');
  return readFileSync(file(), 'utf8');
}
