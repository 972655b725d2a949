import type { z } from 'zod';

/** A field and what is wrong with it, in words that the person can act on. */
export interface FieldIssue {
  readonly field: string;
  readonly message: string;
}

/** A refusal that goes to the client as JSON with a 4xx (or 503) status. */
export class RequestRefused extends Error {
  constructor(
    readonly status: number,
    readonly code:
      | 'invalid'
      | 'not-found'
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

/** Field names and messages of a failed Zod check, with what was given where it is short. */
export function issuesOf(error: z.ZodError, input: unknown): FieldIssue[] {
  return error.issues.flatMap((issue) => {
    if (issue.code === 'unrecognized_keys')
      return issue.keys.map((key) => ({
        field: [...issue.path, key].join('.'),
        message: 'This field is not known here.',
      }));
    return [{ field: issue.path.join('.') || '(body)', message: `${issue.message}${given(input, issue.path)}` }];
  });
}

function given(input: unknown, path: readonly PropertyKey[]): string {
  let value = input;
  for (const key of path) value = (value as Record<PropertyKey, unknown> | null | undefined)?.[key];
  const text = typeof value === 'string' ? `“${value.slice(0, 40)}”` : typeof value === 'number' ? String(value) : '';
  return text && ` Given: ${text}.`;
}

/** Checks input against a schema, or refuses with every field named. */
export function checked<S extends z.ZodType>(schema: S, input: unknown): z.output<S> {
  const result = schema.safeParse(input);
  if (result.success) return result.data;
  const issues = issuesOf(result.error, input);
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

/** Turns the database's own refusals into ours, so that what a person typed never becomes a 500. */
export function translated(error: unknown): unknown {
  if (isDatabaseDown(error))
    return new RequestRefused(503, 'database-down', 'The database does not answer. Nothing was changed.');
  const has = (codes: ReadonlySet<string>): boolean => {
    for (let e = error; e instanceof Error; e = e.cause)
      if (codes.has(String((e as { code?: unknown }).code))) return true;
    return false;
  };
  if (has(FULL))
    return new RequestRefused(
      503,
      'disk-full',
      'The disk of the server is full. Nothing was changed: make room on it.',
    );
  if (has(TOO_MUCH)) return new RequestRefused(422, 'invalid', 'A value is too long or too large to store.');
  return error;
}
