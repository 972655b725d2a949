import { database } from '../db/client';
import { RequestRefused } from './errors';

export type Transaction = Parameters<Parameters<ReturnType<typeof database>['transaction']>[0]>[0];

/** What two writers at once do to each other: the second finds the row of the first when it begins again. */
const AGAIN = new Set(['ER_DUP_ENTRY', 'ER_LOCK_DEADLOCK', 'ER_LOCK_WAIT_TIMEOUT', 'ER_CHECKREAD']);
const TIMES = 4;

function isClash(error: unknown): boolean {
  for (let e = error; e instanceof Error; e = e.cause)
    if (AGAIN.has(String((e as { code?: unknown }).code))) return true;
  return false;
}

/**
 * Does some work in one transaction, and begins it again where another writer got there first; work that can be done only
 * once (it reads a body as it comes) is done in one time.
 * @throws RequestRefused 409 where it never gets through
 */
export async function inTransaction<T>(work: (tx: Transaction) => Promise<T>, times = TIMES): Promise<T> {
  for (let time = 1; ; time++) {
    try {
      return await database().transaction(work);
    } catch (error) {
      if (!isClash(error)) throw error;
      if (time === times)
        throw new RequestRefused(409, 'conflict', 'Somebody else writes the same at this moment. Try again.');
    }
  }
}
