import 'fake-indexeddb/auto';
import { openDB } from 'idb';
import {
  everything,
  isOf,
  isPostponed,
  type Outgoing,
  onlyInThisPage,
  putOut,
  setApart,
  takeOut,
  type Waiting,
  waiting,
  withoutPhoto,
} from './outbox';

const entry = (n: number): Outgoing => ({ to: 'entries', body: { id: `e${n}`, photoId: `p${n}` } });
const bodiesOf = async (planId: string) => (await waiting(planId)).map(({ body }) => body);
/** A browser whose store is full for as long as `does` runs. */
async function whileFull(does: () => Promise<unknown>): Promise<void> {
  const full = jest.spyOn(IDBObjectStore.prototype, 'put').mockImplementation(() => {
    throw new DOMException('full', 'QuotaExceededError');
  });
  await does();
  full.mockRestore();
}

// First, as the outbox is opened once.
test('what an earlier version of the program left to be sent is taken up once, photos too', async () => {
  const earlier = await openDB('keyval-store', 1, { upgrade: (db) => void db.createObjectStore('keyval') });
  const photo = { to: 'photos/p1', body: `data:image/jpeg;base64,${btoa('a picture')}` };
  await earlier.put('keyval', [photo, entry(1)], 'outbox.earlier');
  earlier.close();
  const [first, second] = await waiting('earlier');
  expect(await new Response(first?.body as Blob).text()).toBe('a picture');
  expect(second?.body).toEqual(entry(1).body);
  const left = await openDB('keyval-store');
  expect(await left.getAllKeys('keyval')).toEqual([]);
  left.close();
});

test('entries put in at once stand in the order in which they were put', async () => {
  await Promise.all([putOut('order', entry(1)), putOut('order', entry(2), entry(3))]);
  await takeOut('order/entries/e2');
  expect(await bodiesOf('order')).toEqual([entry(1).body, entry(3).body]);
});

test('a full store throws nothing away: what it does not take is kept by the page', async () => {
  await putOut('full', entry(1));
  await whileFull(() => putOut('full', entry(2), entry(3)));
  expect(await bodiesOf('full')).toEqual([entry(1).body, entry(2).body, entry(3).body]);
  expect(onlyInThisPage('full')).toBe(true);
  await takeOut('full/entries/e2');
  await takeOut('full/entries/e3');
  expect(await bodiesOf('full')).toEqual([entry(1).body]);
  expect(onlyInThisPage('full')).toBe(false);
});

test('a photo that is refused is taken off its entry, and off no other', async () => {
  await putOut('photo', entry(1), entry(2));
  await withoutPhoto('photo', 'p1');
  expect(await bodiesOf('photo')).toEqual([{ id: 'e1', photoId: null }, entry(2).body]);
});

test('what was refused is set apart, across a full store too; put in anew it has its place again', async () => {
  await putOut('apart', entry(1), entry(2));
  const [first] = await waiting('apart');
  await setApart(first as Waiting, { message: 'No such stage.', issues: [] });
  expect(await bodiesOf('apart')).toEqual([entry(2).body]);
  expect((await everything()).find(({ id }) => id === 'apart/entries/e1')?.refused?.message).toBe('No such stage.');
  await putOut('apart', { ...entry(1), body: { id: 'e1', what: 'corrected' } });
  expect(await bodiesOf('apart')).toEqual([{ id: 'e1', what: 'corrected' }, entry(2).body]);
  const [, second] = await waiting('apart');
  await whileFull(() => setApart(second as Waiting, { message: 'No.', issues: [] }));
  expect(await bodiesOf('apart')).toEqual([{ id: 'e1', what: 'corrected' }]);
});

test('an answer that is no fault of the entry leaves it to be sent again; one that is sets it apart', () => {
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
