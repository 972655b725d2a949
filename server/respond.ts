import { Readable } from 'node:stream';
import { RequestRefused, translated } from './errors';
import type { Who } from './people/may';
import type { SignedIn } from './people/sign-in';
import { whoAsks } from './people/who-asks';

/** Largest body that is read: a plan of sixty stages is under 100 kB. */
const MOST_BYTES = 1_000_000;
/** When to ask again, s: a database that died is back in about five; what is asked too often is counted by the minute. */
const RETRY_AFTER: Readonly<Record<number, string>> = { 429: '60', 503: '5' };

/** Reads a body, or refuses it as soon as more has come than may (413). */
export async function readBody(request: Request, mostBytes: number, tooMuch: string): Promise<Buffer> {
  const tooLarge = () => new RequestRefused(413, 'too-large', tooMuch, [{ field: '(body)', message: 'Too large.' }]);
  if (Number(request.headers.get('content-length') ?? 0) > mostBytes) throw tooLarge();
  return bytesOf(request.body, mostBytes, tooLarge);
}

/** The bytes of a stream; it is cut off as soon as more has come than may. */
export async function bytesOf(
  stream: ReadableStream<Uint8Array> | null,
  mostBytes: number,
  tooLarge: () => RequestRefused,
): Promise<Buffer> {
  const chunks: Uint8Array[] = [];
  let size = 0;
  const reader = stream?.getReader();
  for (;;) {
    const { done, value } = (await reader?.read()) ?? { done: true, value: undefined };
    if (done || !value) break;
    size += value.byteLength;
    if (size > mostBytes) {
      await reader?.cancel();
      throw tooLarge();
    }
    chunks.push(value);
  }
  return Buffer.concat(chunks);
}

/** Reads a JSON body, or refuses it: said to be something else (415), too large (413), or not JSON (400). */
export async function readJson(request: Request): Promise<unknown> {
  if (!/^application\/json\b/i.test(request.headers.get('content-type') ?? ''))
    throw new RequestRefused(415, 'invalid', 'Send it as application/json.', [
      { field: 'content-type', message: 'Not application/json.' },
    ]);
  const body = await readBody(request, MOST_BYTES, 'More than 1 MB was sent. A plan file is far smaller.');
  try {
    return wellFormed(JSON.parse(new TextDecoder('utf-8', { fatal: true }).decode(body)));
  } catch (error) {
    if (error instanceof RequestRefused) throw error;
    throw new RequestRefused(400, 'invalid', 'The body is not valid JSON.', [
      { field: '(body)', message: 'Not valid JSON.' },
    ]);
  }
}

/** A value in which every text can be stored and shown: no half of a character (a lone surrogate). */
export function wellFormed<T>(value: T, field = '(body)'): T {
  const refuse = (): never => {
    const message = 'Half of a character is missing in this text.';
    throw new RequestRefused(422, 'invalid', `${field}: ${message}`, [{ field, message }]);
  };
  if (typeof value === 'string' && /\p{Surrogate}/u.test(value)) refuse();
  if (typeof value === 'object' && value !== null)
    for (const [key, own] of Object.entries(value)) {
      if (/\p{Surrogate}/u.test(key)) refuse();
      wellFormed(own, field === '(body)' ? key : `${field}.${key}`);
    }
  return value;
}

async function refusal(thrown: unknown): Promise<Response> {
  const error = await translated(thrown);
  if (!(error instanceof RequestRefused)) throw error;
  const retry = RETRY_AFTER[error.status];
  return Response.json(
    { error: { code: error.code, message: error.message, issues: error.issues, ...error.more } },
    { status: error.status, headers: retry === undefined ? {} : { 'retry-after': retry } },
  );
}

/** Does a route's work for whoever asks, and answers in JSON; refusals carry their status, message and fields. */
export const respond = (work: (who: Who) => Promise<unknown>, status = 200): Promise<Response> =>
  answer(async () => Response.json(await work(await whoAsks()), { status }));

/** The same for what is no JSON: a picture, a calendar, a file. */
export const respondAs = (
  type: string,
  work: (who: Who) => Promise<string | Buffer | ReadableStream>,
  fileName?: string,
): Promise<Response> => answer(async () => bodyOf(type, await work(await whoAsks()), fileName));

/** The same where only the work tells what it is; what has a name is saved, never shown in place. */
export const respondWithFile = (
  work: (who: Who) => Promise<{ type: string; body: Buffer; name?: string }>,
): Promise<Response> =>
  answer(async () => {
    const { type, body, name } = await work(await whoAsks());
    return bodyOf(type, body, name);
  });

/** The same for whom nobody knows: who asks for a calendar by its private address, or comes with a code. */
export const respondToAnybody = (work: () => Promise<unknown>, status = 200): Promise<Response> =>
  answer(async () => Response.json(await work(), { status }));
export const respondToAnybodyAs = (type: string, work: () => Promise<string>, fileName?: string): Promise<Response> =>
  answer(async () => bodyOf(type, await work(), fileName));

/** What is written bit by bit, as a body. */
export const streamOf = (parts: AsyncIterable<string>): ReadableStream =>
  (Readable.toWeb(Readable.from(parts)) as ReadableStream<string>).pipeThrough(new TextEncoderStream());

/** The same, with the cookies that somebody is signed in by. */
export const respondSignedIn = (work: () => Promise<SignedIn>, status = 200): Promise<Response> =>
  answer(async () => {
    const { body, cookies } = await work();
    const response = Response.json(body, { status });
    for (const cookie of cookies) response.headers.append('set-cookie', cookie);
    return response;
  });

/** Leads to another page of this server, with cookies to go on with. */
export const redirectWith = (work: () => Promise<{ to: string; cookies: readonly string[] }>): Promise<Response> =>
  answer(async () => {
    const { to, cookies } = await work();
    const response = new Response(null, { status: 303, headers: { location: to, 'cache-control': 'no-store' } });
    for (const cookie of cookies) response.headers.append('set-cookie', cookie);
    return response;
  });

/** Where a request comes from, as far as it says. */
export const callerOf = (request: Request): string => request.headers.get('x-forwarded-for')?.split(',')[0] ?? '';

async function answer(work: () => Promise<Response>): Promise<Response> {
  try {
    return await work();
  } catch (thrown) {
    return refusal(thrown);
  }
}

function bodyOf(type: string, body: string | Buffer | ReadableStream, fileName?: string): Response {
  const headers = new Headers({ 'content-type': type, 'cache-control': 'private, no-cache' });
  if (fileName !== undefined) headers.set('content-disposition', `attachment; filename="${fileName}"`);
  return new Response(Buffer.isBuffer(body) ? new Uint8Array(body) : body, { headers });
}
