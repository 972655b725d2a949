import path from 'node:path';

/** Where the certificate of this installation lies. */
export interface TlsFiles {
  /** The authority, which phones are told to trust once. */
  readonly authority: string;
  readonly certificate: string;
  readonly key: string;
}

export const tlsFiles = (dir: string): TlsFiles => ({
  authority: path.join(dir, 'authority.crt'),
  certificate: path.join(dir, 'server.crt'),
  key: path.join(dir, 'server.key'),
});
