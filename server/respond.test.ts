import { isDiskFull, lowDiskBytes } from './disk-space';
import { readBody, readJson, respond } from './respond';

let freeBytes = 1e9;
jest.mock('node:fs/promises', () => ({
  ...jest.requireActual('node:fs/promises'),
  statfs: async () => ({ bavail: freeBytes, bsize: 1 }),
}));

const JSON_TYPE = { 'content-type': 'application/json; charset=utf-8' };
const post = (body: BodyInit, headers: HeadersInit): Request =>
  new Request('http://x/', { method: 'POST', body, headers });
const answerTo = async (body: BodyInit, headers: HeadersInit = JSON_TYPE) => {
  const answer = await respond(async () => readJson(post(body, headers)));
  return { status: answer.status, body: await answer.json() };
};

describe('what a client sends', () => {
  test('JSON comes through', async () => {
    expect(await answerTo('{"a":[1,"µ"]}')).toEqual({ status: 200, body: { a: [1, 'µ'] } });
  });

  test('10 MB are refused with 413, whether their length is announced or not', async () => {
    const big = JSON.stringify({ a: 'x'.repeat(10_000_000) });
    expect(await answerTo(big)).toMatchObject({
      status: 413,
      body: { error: { code: 'too-large', issues: [{ field: '(body)' }] } },
    });
    const stream = new Blob([big]).stream();
    const init = { method: 'POST', body: stream, headers: JSON_TYPE, duplex: 'half' };
    const silent = new Request('http://x/', init as RequestInit);
    expect((await respond(async () => readJson(silent))).status).toBe(413);
  });

  test('half of a character is refused with the field that holds it: no database stores it, no page shows it', async () => {
    for (const [text, field] of [
      ['{"plan":{"name":"a\\ud800"}}', 'plan.name'],
      ['{"plan":[{"\\udc00":1}]}', 'plan.0'],
    ] as const)
      expect(await answerTo(text)).toMatchObject({ status: 422, body: { error: { issues: [{ field }] } } });
    expect((await answerTo('{"name":"\\ud83d\\ude00"}')).status).toBe(200);
    expect((await answerTo(`${'['.repeat(300_000)}${']'.repeat(300_000)}`)).status).toBeLessThan(500);
  });

  test('what is said to be a form or plain text is refused with 415: a form of another page can send that', async () => {
    for (const type of ['text/plain', 'application/x-www-form-urlencoded', 'multipart/form-data; boundary=x'])
      expect((await answerTo('{}', { 'content-type': type })).status).toBe(415);
  });

  test('a body is cut off while it comes: no more is read than may', async () => {
    let sent = 0;
    const endless = new ReadableStream({
      pull: (to) => {
        sent += 65_536;
        to.enqueue(new Uint8Array(65_536));
      },
    });
    const init = { method: 'PUT', body: endless, duplex: 'half' };
    await expect(readBody(new Request('http://x/', init as RequestInit), 1_500_000, 'too much')).rejects.toMatchObject({
      status: 413,
    });
    expect(sent).toBeLessThan(2_500_000);
  });

  test.each(['', '{', 'hello', '\u0000'])('%j is refused with 400', async (text) => {
    expect(await answerTo(text)).toMatchObject({
      status: 400,
      body: { error: { code: 'invalid', issues: [{ field: '(body)' }] } },
    });
  });

  test.each(['ER_RECORD_FILE_FULL', 'ER_DISK_FULL'])('a full disk (%s) is 503 and says so', async (code) => {
    const answer = await respond(() => Promise.reject(Object.assign(new Error('full'), { code })));
    expect(answer.status).toBe(503);
    expect(answer.headers.get('retry-after')).toBe('5');
    expect(await answer.json()).toMatchObject({ error: { code: 'disk-full' } });
  });

  test('a database that a full disk has ended does not answer for want of room', async () => {
    const down = Object.assign(new Error('refused'), { code: 'ECONNREFUSED' });
    freeBytes = 0;
    const answer = await respond(() => Promise.reject(down));
    freeBytes = 1e9;
    expect(answer.status).toBe(503);
    expect(await answer.json()).toMatchObject({ error: { code: 'disk-full' } });
  });

  test('with less than 50 MB of free disk the database is not started again', async () => {
    expect(await isDiskFull(Promise.resolve(49e6))).toBe(true);
    expect(await isDiskFull(Promise.resolve(51e6))).toBe(false);
    expect(await isDiskFull(Promise.resolve(undefined))).toBe(false);
  });

  test('less than 500 MB of free disk is worth a warning', async () => {
    expect(await lowDiskBytes(Promise.resolve(499e6))).toBe(499e6);
    expect(await lowDiskBytes(Promise.resolve(501e6))).toBeUndefined();
  });

  test.each([
    ['refused', 'ECONNREFUSED'],
    ['WSREP has not yet prepared node for application use', 'ER_UNKNOWN_COM_ERROR'], // a node without its cluster
  ])(
    'a database that does not answer (%s) is 503 and says so; a bug of ours is not dressed up',
    async (message, code) => {
      const cause = Object.assign(new Error(message), { code });
      const down = Object.assign(new Error('query failed'), { cause });
      const answer = await respond(() => Promise.reject(down));
      expect(answer.status).toBe(503);
      expect(await answer.json()).toMatchObject({ error: { code: 'database-down' } });
      await expect(respond(() => Promise.reject(new Error('bug')))).rejects.toThrow('bug');
    },
  );
});
