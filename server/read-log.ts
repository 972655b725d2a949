import type { LoggedDrain } from '../core/record/judge-log';
import type { LoggedEntry } from '../core/record/log-entry';
import { readEntries } from './log-an-entry';
import { readLogbook } from './read-logbook';

/** The whole log of a line: its drains, and everything else. */
export async function readLog(planId: string): Promise<{ drains: LoggedDrain[]; entries: LoggedEntry[] }> {
  const [drains, entries] = await Promise.all([readLogbook(planId), readEntries(planId)]);
  return { drains, entries };
}
