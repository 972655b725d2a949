import { readJson, respond } from './respond';

const post = (body: BodyInit): Request => new Request('http://x/', { method: 'POST', body });
const answerTo = async (body: BodyInit) => {
  const answer = await respond(async () => readJson(post(body)));
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
    const silent = new Request('http://x/', { method: 'POST', body: stream, duplex: 'half' } as RequestInit);
    expect((await respond(async () => readJson(silent))).status).toBe(413);
  });

  test.each(['', '{', 'hello', '\u0000'])('%j is refused with 400', async (text) => {
    expect(await answerTo(text)).toMatchObject({
      status: 400,
      body: { error: { code: 'invalid', issues: [{ field: '(body)' }] } },
    });
  });

  test('a database that does not answer is 503 and says so; a bug of ours is not dressed up', async () => {
    const down = Object.assign(new Error('query failed'), {
      cause: Object.assign(new Error('refused'), { code: 'ECONNREFUSED' }),
    });
    const answer = await respond(() => Promise.reject(down));
    expect(answer.status).toBe(503);
    expect(await answer.json()).toMatchObject({ error: { code: 'database-down' } });
    await expect(respond(() => Promise.reject(new Error('bug')))).rejects.toThrow('bug');
  });
});
