import { notFound } from 'next/navigation';
import { isDatabaseDown, RequestRefused } from './errors';
import type { Who } from './people/may';
import { whoReads } from './people/who-asks';

/**
 * What a page read, or `undefined` while the database does not answer; a wrong id becomes the page “not found”, a line that
 * cannot be read the page that says so.
 */
export const whenUp = <T>(read: (who: Who) => Promise<T>): Promise<T | undefined> =>
  upForAnybody(async () => read(await whoReads()));

/** The same where nobody has to be signed in. */
export async function upForAnybody<T>(read: () => Promise<T>): Promise<T | undefined> {
  try {
    return await read();
  } catch (error) {
    if (isDatabaseDown(error)) return undefined;
    if (error instanceof RequestRefused && error.status < 500 && error.code !== 'unreadable') notFound();
    throw error;
  }
}
