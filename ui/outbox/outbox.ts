import { type DBSchema, type IDBPDatabase, openDB } from 'idb';

/** Something to be written into the log: where it goes, and what. Its id is in it, so that sent twice it is one. */
export interface Outgoing {
  readonly to: 'entries' | 'drains' | 'charges' | `photos/${string}`;
  readonly body: Readonly<Record<string, unknown>> | Blob;
  /** Whose sign-in it was written under; it is sent under no other. */
  readonly by?: { readonly id: string; readonly name: string };
  /** What it is about, in words: the line, and the stage. */
  readonly about?: { readonly line: string; readonly stage: string };
}

/** Why the server refused something: words, and what is wrong with which field. */
export interface Refusal {
  readonly message: string;
  readonly issues: readonly { readonly field: string; readonly message: string }[];
}

/** Something in the outbox. What was refused is set apart: it blocks nothing, and is kept until corrected or discarded. */
export interface Waiting extends Outgoing {
  readonly id: string;
  readonly planId: string;
  readonly order: number;
  readonly refused?: Refusal;
}

interface Schema extends DBSchema {
  outbox: { key: string; value: Waiting; indexes: { order: number } };
  device: { key: 'signed-in'; value: string };
}

let opened: Promise<IDBPDatabase<Schema>> | undefined;
function database(): Promise<IDBPDatabase<Schema>> {
  opened ??= openDB<Schema>('cool-dram', 1, {
    upgrade(db) {
      db.createObjectStore('outbox', { keyPath: 'id' }).createIndex('order', 'order');
      db.createObjectStore('device');
    },
    terminated: () => {
      opened = undefined;
    },
  }).then(async (db) => {
    await takeUpEarlier(db).catch(() => undefined); // not readable, or no room yet: it stays where it is, and blocks nothing
    return db;
  });
  opened.catch(() => {
    opened = undefined;
  });
  return opened;
}

/** What the browser's store did not take: kept as long as the page is open. */
let inMemory: readonly Waiting[] = [];

/** Signed in on a device that several people use: it sends what each of them wrote, and the server checks. */
export const EVERYBODY = 'everybody';

/** Whether something may be sent by whoever is signed in: theirs, or written where nobody signs in. */
export const isOf = (outgoing: Outgoing, ownId: string | undefined): boolean =>
  outgoing.by === undefined || outgoing.by.id === ownId || ownId === EVERYBODY;

/** What is no fault of the entry: nobody signed in, the role or the site taken away, too much at once. It may pass later. */
const LATER = new Set([401, 403, 404, 408, 429]);
/** Whether something stays in the outbox after such an answer. */
export const isPostponed = (status: number): boolean => status >= 500 || LATER.has(status);

const idOf = (planId: string, { to, body }: Outgoing): string =>
  body instanceof Blob ? `${planId}/${to}` : `${planId}/${to}/${body.id}`;

/** Everything that is not acknowledged yet, the oldest first, what is set apart too. */
export async function everything(): Promise<readonly Waiting[]> {
  const stored = await database()
    .then((db) => db.getAllFromIndex('outbox', 'order'))
    .catch(() => []);
  return [...stored.filter(({ id }) => inMemory.every((held) => held.id !== id)), ...inMemory];
}

/** What is still to be sent of a line. */
export const waiting = async (planId: string): Promise<readonly Waiting[]> =>
  (await everything()).filter((one) => one.planId === planId && !one.refused);

/** Whether some of it is kept by this page alone, because the browser's store did not take it. */
export const onlyInThisPage = (planId: string): boolean => inMemory.some((one) => one.planId === planId);

/**
 * Puts entries at the end of the outbox, all of them or none; done when the browser has stored them, or this page keeps them.
 * One that is there already, such as one that was refused and is corrected, keeps its place.
 */
export async function putOut(planId: string, ...more: readonly Outgoing[]): Promise<void> {
  const items = more.map((one) => ({ ...one, id: idOf(planId, one), planId, order: Number.MAX_SAFE_INTEGER }));
  try {
    const tx = (await database()).transaction('outbox', 'readwrite');
    const last = await tx.store.index('order').openKeyCursor(null, 'prev');
    for (const [i, item] of items.entries()) {
      const before = await tx.store.get(item.id);
      await tx.store.put({ ...item, order: before?.order ?? (last?.key ?? 0) + 1 + i });
    }
    await tx.done;
  } catch {
    const isNew = (one: Waiting): boolean => items.every(({ id }) => id !== one.id);
    inMemory = [...inMemory.filter(isNew), ...items];
  }
}

/** Takes out one that was acknowledged or discarded. */
export async function takeOut(id: string): Promise<void> {
  inMemory = inMemory.filter((one) => one.id !== id);
  await database()
    .then((db) => db.delete('outbox', id))
    .catch(() => undefined);
}

async function change(id: string, to: (one: Waiting) => Waiting): Promise<void> {
  inMemory = inMemory.map((one) => (one.id === id ? to(one) : one));
  const tx = (await database()).transaction('outbox', 'readwrite');
  const one = await tx.store.get(id);
  if (one) await tx.store.put(to(one));
  await tx.done;
}

/** Sets one apart that was refused. */
export const setApart = (one: Waiting, refused: Refusal): Promise<void> =>
  change(one.id, (stored) => ({ ...stored, refused })).catch(() => {
    inMemory = [...inMemory.filter(({ id }) => id !== one.id), { ...one, refused }];
  });

/** Takes a photo that was refused off the entry that names it, so that the entry is not lost with it. */
export async function withoutPhoto(planId: string, photoId: string): Promise<void> {
  for (const { id, body } of await waiting(planId))
    if (!(body instanceof Blob) && body.photoId === photoId)
      await change(id, (one) => ({ ...one, body: { ...one.body, photoId: null } })).catch(() => undefined);
}

/** Who signed in last on this device: for the service worker, and pages that are copies. */
export const keptSignedIn = async (): Promise<string | undefined> =>
  (await database()).get('device', 'signed-in').catch(() => undefined);
/** Keeps who is signed in. @returns whether somebody else was before */
export async function keepSignedIn(ownId: string): Promise<boolean> {
  const before = await keptSignedIn();
  if (before !== ownId) await (await database()).put('device', ownId, 'signed-in');
  return before !== undefined && before !== ownId;
}

/** Until version 0.1 the outbox was one list a line, in a store of its own, with photos as data addresses. */
async function takeUpEarlier(db: IDBPDatabase<Schema>): Promise<void> {
  if (!(await indexedDB.databases?.())?.some(({ name }) => name === 'keyval-store')) return;
  const earlier = await openDB('keyval-store');
  if (!earlier.objectStoreNames.contains('keyval')) return earlier.close();
  for (const key of await earlier.getAllKeys('keyval')) {
    const planId = /^outbox\.(.+)$/.exec(String(key))?.[1];
    if (!planId) continue;
    const queue = (await earlier.get('keyval', key)) as readonly {
      to: Outgoing['to'];
      body: Outgoing['body'] | string;
    }[];
    const items = queue.map((o) => ({ ...o, body: typeof o.body === 'string' ? pictureOf(o.body) : o.body }));
    const tx = db.transaction('outbox', 'readwrite');
    const last = await tx.store.index('order').openKeyCursor(null, 'prev');
    for (const [i, one] of items.entries())
      await tx.store.put({ ...one, id: idOf(planId, one), planId, order: (last?.key ?? 0) + 1 + i });
    await tx.done;
    await earlier.delete('keyval', key);
  }
  earlier.close();
}

/** The picture of a data address. Not by fetch: pages of this server may fetch only from it. */
export const pictureOf = (dataUrl: string): Blob =>
  new Blob([Uint8Array.from(atob(dataUrl.slice(dataUrl.indexOf(',') + 1)), (c) => c.charCodeAt(0))], {
    type: 'image/jpeg',
  });
