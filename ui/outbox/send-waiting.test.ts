import 'fake-indexeddb/auto';
import { everything, type Outgoing, putOut, takeOut } from './outbox';
import { sendWaiting } from './send-waiting';

Object.assign(globalThis, { navigator: {} });
const entry = (id: string, by?: string): Outgoing => ({
  to: 'entries',
  body: { id, photoId: `p-${id}` },
  ...(by && { by: { id: by, name: by } }),
});
const photo = (id: string): Outgoing => ({ to: `photos/p-${id}`, body: new Blob(['x']) });
/** A server that answers by what is asked, and the paths that it was asked for, with what came. */
function server(answerTo: (path: string) => number | undefined): string[] {
  const asked: string[] = [];
  globalThis.fetch = (async (path: string, { body }: RequestInit) => {
    asked.push(`${path.replace('/api/plans/', '')}${typeof body === 'string' ? ` ${body}` : ''}`);
    const status = answerTo(path);
    if (status === undefined) throw new TypeError('no network');
    return Response.json({ error: { code: 'x', message: `refused ${status}`, issues: [] } }, { status });
  }) as typeof fetch;
  return asked;
}
const left = async () => (await everything()).map(({ id, refused }) => (refused ? `${id} refused` : id));
afterEach(async () => {
  for (const { id } of await everything()) await takeOut(id);
});

test('in the order in which they were put in, each told once', async () => {
  const asked = server(() => 200);
  await putOut('a', photo('1'), entry('1'));
  await putOut('b', entry('2'));
  const told: string[] = [];
  expect(await sendWaiting(undefined, ({ one }) => told.push(one.id))).toEqual(new Map());
  expect(asked.map((path) => path.split(' ')[0])).toEqual(['a/photos/p-1', 'a/entries', 'b/entries']);
  expect(told).toEqual(['a/photos/p-1', 'a/entries/1', 'b/entries/2']);
  expect(await left()).toEqual([]);
});

test('two at the same time send each once', async () => {
  // As browsers do it: one after another.
  let last: Promise<unknown> = Promise.resolve();
  const request = (_: string, work: () => Promise<unknown>) => {
    last = last.then(work);
    return last;
  };
  Object.assign(globalThis, { navigator: { locks: { request } } });
  const asked = server(() => 200);
  await putOut('a', entry('1'), entry('2'));
  await Promise.all([sendWaiting(undefined, () => undefined), sendWaiting(undefined, () => undefined)]);
  expect(asked).toHaveLength(2);
});

test('what is refused is set apart and blocks nothing; a photo that is goes off its entry', async () => {
  const asked = server((path) => (path.includes('photos') ? 413 : path.includes('/b/') ? 400 : 200));
  await putOut('a', photo('1'), entry('1'));
  await putOut('b', entry('2'));
  await putOut('c', entry('3'));
  const told: unknown[] = [];
  await sendWaiting(undefined, ({ refused }) => told.push(refused?.message));
  expect(told).toEqual(['refused 413', undefined, 'refused 400', undefined]);
  expect(asked[1]).toContain('"photoId":null');
  expect(await left()).toEqual(['a/photos/p-1 refused', 'b/entries/2 refused']);
});

test('a line that is gone makes its own entries wait, a server that is gone makes all of them', async () => {
  await putOut('a', entry('1'), entry('2'));
  await putOut('b', entry('3'));
  const asked = server((path) => (path.includes('/a/') ? 404 : 200));
  expect([...(await sendWaiting(undefined, () => undefined)).keys()]).toEqual(['a']);
  expect([asked.length, await left()]).toEqual([2, ['a/entries/1', 'a/entries/2']]);
  await putOut('b', entry('4'));
  const none = server(() => undefined);
  expect([...(await sendWaiting(undefined, () => undefined)).keys()]).toEqual(['a', 'b']);
  expect([none.length, (await left()).length]).toEqual([1, 3]);
});

test('entries of somebody else wait, and hold up none of one’s own', async () => {
  const asked = server(() => 200);
  await putOut('a', entry('1', 'Noor'), entry('2', 'Sam'));
  await putOut('b', entry('3', 'Noor'));
  expect(await sendWaiting('Sam', () => undefined)).toEqual(
    new Map([
      ['a', 'Noor has to sign in, who wrote it'],
      ['b', 'Noor has to sign in, who wrote it'],
    ]),
  );
  expect([asked.length, await left()]).toEqual([1, ['a/entries/1', 'b/entries/3']]);
});
