import { get, update } from 'idb-keyval';
import { readStored, store } from '@/ui/browser-store';

/** Something to be written into the log: where it goes, and what. Its id is in it, so that sent twice it is one. */
export interface Outgoing {
  readonly to: 'entries' | 'drains' | 'charges' | `photos/${string}`;
  readonly body: Readonly<Record<string, unknown>> | string;
  /** Whose sign-in it was written under; it is sent under no other. */
  readonly by?: { readonly id: string; readonly name: string };
}
type Queue = readonly Outgoing[];

/** Whether something may be sent by whoever is signed in: theirs, or written where nobody signs in. */
export const isOf = (outgoing: Outgoing, ownId: string | undefined): boolean =>
  outgoing.by === undefined || outgoing.by.id === ownId;

/** What is no fault of the entry: nobody signed in, the role or the site taken away, too much at once. It may pass later. */
const LATER = new Set([401, 403, 404, 408, 429]);
/** Whether something stays in the outbox after such an answer. */
export const isPostponed = (status: number): boolean => status >= 500 || LATER.has(status);

const key = (planId: string): string => `outbox.${planId}`;
/** What the browser's store did not take: kept as long as the page is open. */
const inMemory = new Map<string, Queue>();
let lastChange: Promise<unknown> = Promise.resolve();

/** What is not acknowledged yet, the oldest first. */
export async function waiting(planId: string): Promise<Queue> {
  const held = inMemory.get(planId);
  if (held) return held;
  await takeUpEarlier(planId);
  return (await get<Queue>(key(planId)).catch(() => undefined)) ?? [];
}

/** Changes the queue as it is when its turn comes: another page may have changed it meanwhile. */
function change(planId: string, to: (queue: Queue) => Queue): Promise<void> {
  const mine = lastChange.then(async () => {
    const held = inMemory.get(planId);
    try {
      await update<Queue>(key(planId), (stored = []) => to(held ?? stored));
      inMemory.delete(planId);
    } catch {
      inMemory.set(planId, to(await waiting(planId)));
    }
  });
  lastChange = mine;
  return mine;
}

/** Puts entries at the end of the queue; done when the browser has stored them, or this page keeps them. */
export const putOut = (planId: string, ...more: Queue): Promise<void> => change(planId, (queue) => [...queue, ...more]);

/** Takes out one that was acknowledged or refused. */
export const takeOut = (planId: string, one: Outgoing): Promise<void> =>
  change(planId, (queue) => {
    const text = JSON.stringify(one);
    const at = queue.findIndex((o) => JSON.stringify(o) === text);
    return at < 0 ? queue : queue.toSpliced(at, 1);
  });

/** Takes a photo that was refused off the entry that names it, so that the entry is not lost with it. */
export const withoutPhoto = (planId: string, photoId: string): Promise<void> =>
  change(planId, (queue) =>
    queue.map((o) =>
      typeof o.body !== 'string' && o.body.photoId === photoId ? { ...o, body: { ...o.body, photoId: null } } : o,
    ),
  );

/** Whether some of it is kept by this page alone, because the browser's store did not take it. */
export const onlyInThisPage = (planId: string): boolean => inMemory.has(planId);

/** Before version 2 the queue was in the browser’s other store, and a drain by itself beside it. */
async function takeUpEarlier(planId: string): Promise<void> {
  const queueKey = `cool-dram.outgoing.${planId}`;
  const drainKey = `cool-dram.pending-drain.${planId}`;
  const [queue, drain] = [readStored(queueKey), readStored(drainKey)];
  if (!queue && !drain) return;
  try {
    const earlier: Queue = [
      ...(queue ? (JSON.parse(queue) as Queue) : []),
      ...(drain ? [{ to: 'drains', body: JSON.parse(drain) } as const] : []),
    ];
    await update<Queue>(key(planId), (stored = []) => {
      const has = new Set(stored.map((o) => JSON.stringify(o)));
      return [...earlier.filter((o) => !has.has(JSON.stringify(o))), ...stored];
    });
  } catch {
    return; // not readable, or no room yet: it stays where it is, and blocks nothing
  }
  store(queueKey, undefined);
  store(drainKey, undefined);
}
