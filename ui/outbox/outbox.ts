import { readStored, store } from '@/ui/browser-store';

/** Something to be written into the log: where it goes, and what. Its id is in it, so that sent twice it is one. */
export interface Outgoing {
  readonly to: 'entries' | 'drains' | 'charges' | `photos/${string}`;
  readonly body: Readonly<Record<string, unknown>> | string;
}

const key = (planId: string): string => `cool-dram.outgoing.${planId}`;
/** What the browser's store did not take: kept as long as the page is open. */
const inMemory = new Map<string, readonly Outgoing[]>();

/** What is not acknowledged yet, the oldest first. */
export function waiting(planId: string): readonly Outgoing[] {
  const held = inMemory.get(planId);
  if (held) return held;
  try {
    return JSON.parse(readStored(key(planId)) ?? '[]');
  } catch {
    return [];
  }
}

function keep(planId: string, all: readonly Outgoing[]): void {
  if (store(key(planId), JSON.stringify(all))) inMemory.delete(planId);
  else inMemory.set(planId, all);
}

/** Puts entries at the end of the queue. */
export const putOut = (planId: string, ...more: readonly Outgoing[]): void =>
  keep(planId, [...waiting(planId), ...more]);

/** Takes out one that was acknowledged or refused. By its content: another page may have changed the queue meanwhile. */
export function takeOut(planId: string, one: Outgoing): void {
  const text = JSON.stringify(one);
  const all = waiting(planId);
  const at = all.findIndex((o) => JSON.stringify(o) === text);
  if (at >= 0) keep(planId, all.toSpliced(at, 1));
}

/** Takes a photo that was refused off the entry that names it, so that the entry is not lost with it. */
export function withoutPhoto(planId: string, photoId: string): void {
  const names = (o: Outgoing): boolean => typeof o.body !== 'string' && o.body.photoId === photoId;
  const all = waiting(planId);
  if (all.some(names))
    keep(
      planId,
      all.map((o) => (names(o) ? { ...o, body: { ...(o.body as object), photoId: null } } : o)),
    );
}

/** Whether some of it is kept by this page alone, because the browser's store did not take it. */
export const onlyInThisPage = (planId: string): boolean => inMemory.has(planId);
