import { type Outgoing, onlyInThisPage, putOut, takeOut, waiting, withoutPhoto } from './outbox';

const entry = (n: number): Outgoing => ({ to: 'entries', body: { id: `e${n}`, photoId: `p${n}` } });
let full: boolean;
const stored = new Map<string, string>();
beforeEach(() => {
  full = false;
  stored.clear();
  Object.assign(globalThis, {
    localStorage: {
      getItem: (k: string) => stored.get(k) ?? null,
      setItem: (k: string, text: string) => {
        if (full) throw new DOMException('full', 'QuotaExceededError');
        stored.set(k, text);
      },
    },
  });
});

test('a full store throws nothing away: what it does not take is kept by the page, and stored once there is room', () => {
  putOut('a', entry(1));
  full = true;
  putOut('a', entry(2));
  expect(waiting('a')).toEqual([entry(1), entry(2)]);
  expect(onlyInThisPage('a')).toBe(true);
  full = false;
  takeOut('a', entry(1));
  expect(waiting('a')).toEqual([entry(2)]);
  expect(onlyInThisPage('a')).toBe(false);
  expect(JSON.parse(stored.values().next().value as string)).toEqual([entry(2)]);
});

test('a photo that is refused is taken off its entry, and off no other', () => {
  putOut('b', entry(1), entry(2));
  withoutPhoto('b', 'p1');
  expect(waiting('b')).toEqual([{ to: 'entries', body: { id: 'e1', photoId: null } }, entry(2)]);
});
