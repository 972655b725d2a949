import { setTimeout as pause } from 'node:timers/promises';
import { database } from '../db/client';
import { RequestRefused } from './errors';

export type Transaction = Parameters<Parameters<ReturnType<typeof database>['transaction']>[0]>[0];

/** What two writers at once do to each other: a row of the one is in the way of the other, which begins again. */
const LOCKED = new Set(['ER_LOCK_DEADLOCK', 'ER_LOCK_WAIT_TIMEOUT', 'ER_CHECKREAD']);
const THERE_ALREADY = 'ER_DUP_ENTRY';
const TIMES = 6;
/** Who was in the way has finished after about so long; twice that the next time, by chance less, so that both do not meet again. */
const PAUSE_MS = 10;

function codeOf(error: unknown): string | undefined {
  for (let e = error; e instanceof Error; e = e.cause) {
    const code = String((e as { code?: unknown }).code);
    if (code === THERE_ALREADY || LOCKED.has(code)) return code;
  }
  return undefined;
}

/**
 * Does some work in one transaction, and begins it again where another writer got there first; work that can be done only
 * once (it reads a body as it comes) is done in one time. On a cluster, writers on two nodes find out only as they commit.
 * @throws RequestRefused where it never gets through: 409 what it writes is there already, 503 others are in the way
 */
export async function inTransaction<T>(work: (tx: Transaction) => Promise<T>, times = TIMES): Promise<T> {
  for (let time = 1; ; time++) {
    try {
      return await database().transaction(work);
    } catch (error) {
      const code = codeOf(error);
      if (!code) throw error;
      if (time >= times)
        throw code === THERE_ALREADY
          ? new RequestRefused(409, 'conflict', 'Somebody else writes the same at this moment. Try again.')
          : new RequestRefused(503, 'busy', 'Others write into this line at this moment. Try again.');
      await pause(Math.random() * PAUSE_MS * 2 ** time);
    }
  }
}
