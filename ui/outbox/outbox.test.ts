import 'fake-indexeddb/auto';
import { isOf, isPostponed, type Outgoing, onlyInThisPage, putOut, takeOut, waiting, withoutPhoto } from './outbox';

const entry = (n: number): Outgoing => ({ to: 'entries', body: { id: `e${n}`, photoId: `p${n}` } });
/** A browser whose store is full for as long as `does` runs. */
async function whileFull(does: () => Promise<unknown>): Promise<void> {
  const full = jest.spyOn(IDBObjectStore.prototype, 'put').mockImplementation(() => {
    throw new DOMException('full', 'QuotaExceededError');
  });
  await does();
  full.mockRestore();
}

test('entries put in at once stand in the order in which they were put', async () => {
  await Promise.all([putOut('order', entry(1)), putOut('order', entry(2), entry(3)), takeOut('order', entry(2))]);
  expect(await waiting('order')).toEqual([entry(1), entry(3)]);
});

test('a full store throws nothing away: what it does not take is kept by the page, and stored once there is room', async () => {
  await putOut('full', entry(1));
  await whileFull(() => putOut('full', entry(2)));
  expect(await waiting('full')).toEqual([entry(1), entry(2)]);
  expect(onlyInThisPage('full')).toBe(true);
  await takeOut('full', entry(1));
  expect(await waiting('full')).toEqual([entry(2)]);
  expect(onlyInThisPage('full')).toBe(false);
});

test('a photo that is refused is taken off its entry, and off no other', async () => {
  await putOut('photo', entry(1), entry(2));
  await withoutPhoto('photo', 'p1');
  expect(await waiting('photo')).toEqual([{ to: 'entries', body: { id: 'e1', photoId: null } }, entry(2)]);
});

test('what an earlier version of the program left to be sent is taken up once, drains too', async () => {
  const stored = new Map([
    ['cool-dram.outgoing.earlier', JSON.stringify([entry(1)])],
    ['cool-dram.pending-drain.earlier', JSON.stringify({ id: 'd' })],
  ]);
  Object.assign(globalThis, {
    localStorage: { getItem: (k: string) => stored.get(k) ?? null, removeItem: (k: string) => stored.delete(k) },
  });
  const both = [entry(1), { to: 'drains', body: { id: 'd' } }];
  expect(await waiting('earlier')).toEqual(both);
  expect(stored.size).toBe(0);
  expect(await waiting('earlier')).toEqual(both);
});

test('an earlier queue that cannot be read, or a browser without a store, blocks nothing', async () => {
  const keep = (text: string) =>
    Object.assign(globalThis, { localStorage: { getItem: () => text, removeItem: () => undefined } });
  keep('{broken');
  expect(await waiting('broken')).toEqual([]);
  keep(JSON.stringify([entry(1)]));
  await whileFull(async () => {
    expect(await waiting('closed')).toEqual([]);
    await putOut('closed', entry(2));
    expect(await waiting('closed')).toEqual([entry(2)]);
  });
});

test('an earlier queue is taken up once, also where two parts of a page ask at the same time', async () => {
  const stored = new Map([['cool-dram.outgoing.both', JSON.stringify([entry(1)])]]);
  Object.assign(globalThis, {
    localStorage: { getItem: (k: string) => stored.get(k) ?? null, removeItem: (k: string) => stored.delete(k) },
  });
  await Promise.all([waiting('both'), waiting('both')]);
  expect(await waiting('both')).toEqual([entry(1)]);
});

test('an answer that is no fault of the entry leaves it in the outbox; one that is takes it out', () => {
  expect([401, 403, 404, 408, 429, 500, 503].filter((status) => !isPostponed(status))).toEqual([]);
  expect([200, 201, 400, 409, 413, 415, 422].filter(isPostponed)).toEqual([]);
});

test('what somebody wrote is sent under their own sign-in alone', () => {
  const of = (id: string): Outgoing => ({ ...entry(1), by: { id, name: 'Noor' } });
  expect([isOf(of('a'), 'a'), isOf(of('a'), 'b'), isOf(of('a'), undefined), isOf(entry(1), 'b')]).toEqual([
    true,
    false,
    false,
    true,
  ]);
});
