import type { z } from 'zod';
import { type FieldIssue, issuesOf } from '../core/plan/issues';
import { speakPlainly } from '../core/plan/plain-messages';
import { isDiskFull } from './disk-space';

speakPlainly();

/** A refusal that goes to the client as JSON with a 4xx (or 503) status. */
export class RequestRefused extends Error {
  constructor(
    readonly status: number,
    readonly code:
      | 'invalid'
      | 'not-found'
      | 'signed-out'
      | 'forbidden'
      | 'conflict'
      | 'too-large'
      | 'database-down'
      | 'disk-full'
      | 'too-often'
      | 'busy'
      | 'service-down'
      | 'unreadable',
    message: string,
    readonly issues: readonly FieldIssue[] = [],
    readonly more: Record<string, unknown> = {},
  ) {
    super(message);
    this.name = 'RequestRefused';
  }
}

/** What may be said back of an input: no password, no code, wherever that goes. */
const withoutSecrets = (input: unknown): unknown =>
  typeof input === 'object' && input !== null ? { ...input, password: undefined, code: undefined } : input;

/** Checks input against a schema, or refuses with every field named. */
export function checked<S extends z.ZodType>(schema: S, input: unknown): z.output<S> {
  const result = schema.safeParse(input);
  if (result.success) return result.data;
  const issues = issuesOf(result.error, withoutSecrets(input));
  const first = issues[0];
  throw new RequestRefused(422, 'invalid', first ? `${first.field}: ${first.message}` : 'Not valid.', issues);
}

const DOWN = new Set([
  'ECONNREFUSED',
  'ECONNRESET',
  'ENOENT',
  'ENOTFOUND',
  'EPIPE',
  'ETIMEDOUT',
  'PROTOCOL_CONNECTION_LOST',
  'PROTOCOL_SEQUENCE_TIMEOUT',
  'ER_SERVER_SHUTDOWN',
  'ER_CON_COUNT_ERROR',
  'ER_UNKNOWN_COM_ERROR', // a node that has lost its cluster, or not joined it yet
  'PROTOCOL_ENQUEUE_AFTER_FATAL_ERROR',
]);

/** Whether an error means that the database does not answer. Drizzle hides the driver's error in `cause`. */
export function isDatabaseDown(error: unknown): boolean {
  for (let e = error; e instanceof Error; e = e.cause) {
    if (DOWN.has(String((e as { code?: unknown }).code))) return true;
    if (e.message.includes('closed state')) return true;
  }
  return false;
}

const TOO_MUCH = new Set(['ER_DATA_TOO_LONG', 'ER_WARN_DATA_OUT_OF_RANGE', 'ER_TRUNCATED_WRONG_VALUE_FOR_FIELD']);

const FULL = new Set(['ER_RECORD_FILE_FULL', 'ER_DISK_FULL', 'ER_ERROR_ON_WRITE', 'ER_TEMP_FILE_WRITE_FAILURE']);

const diskFull = (): RequestRefused =>
  new RequestRefused(503, 'disk-full', 'The disk of the server is full. Nothing was changed: make room on it.');

/** Turns the database's own refusals into ours, so that what a person typed never becomes a 500. */
export async function translated(error: unknown): Promise<unknown> {
  if (isDatabaseDown(error) && (await isDiskFull())) return diskFull();
  if (isDatabaseDown(error))
    return new RequestRefused(503, 'database-down', 'The database does not answer. Nothing was changed.');
  const has = (codes: ReadonlySet<string>): boolean => {
    for (let e = error; e instanceof Error; e = e.cause)
      if (codes.has(String((e as { code?: unknown }).code))) return true;
    return false;
  };
  if (has(FULL)) return diskFull();
  if (has(TOO_MUCH)) return new RequestRefused(422, 'invalid', 'A value is too long or too large to store.');
  return error;
}
