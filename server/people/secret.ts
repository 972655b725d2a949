import { createHash, randomBytes } from 'node:crypto';

/** A secret that stands in an address or a cookie. */
export const newSecret = (): string => randomBytes(32).toString('base64url');

/** What is kept of a secret: it cannot be turned back into it. */
export const hashOf = (secret: string): string => createHash('sha256').update(secret).digest('hex');
