import { RequestRefused, translated } from './errors';

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

function refusal(thrown: unknown): Response {
  const error = translated(thrown);
  if (!(error instanceof RequestRefused)) throw error;
  const retry = RETRY_AFTER[error.status];
  return Response.json(
    { error: { code: error.code, message: error.message, issues: error.issues, ...error.more } },
    { status: error.status, headers: retry === undefined ? {} : { 'retry-after': retry } },
  );
}

/** Runs a route's work and answers in JSON; refusals carry their status, message and fields. */
export async function respond(work: () => Promise<unknown>, status = 200): Promise<Response> {
  try {
    return Response.json(await work(), { status });
  } catch (thrown) {
    return refusal(thrown);
  }
}

/** The same for what is no JSON: a picture, a calendar. */
export async function respondAs(type: string, work: () => Promise<string | Buffer>): Promise<Response> {
  try {
    const body = await work();
    return new Response(typeof body === 'string' ? body : new Uint8Array(body), {
      headers: { 'content-type': type, 'cache-control': 'private, no-cache' },
    });
  } catch (thrown) {
    return refusal(thrown);
  }
}
