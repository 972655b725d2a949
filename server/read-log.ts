import type { Charge } from '../core/record/charge';
import type { LoggedDrain } from '../core/record/judge-log';
import type { LoggedEntry } from '../core/record/log-entry';
import { readEntries } from './log-an-entry';
import { readLogbook } from './read-logbook';
import { readCharges } from './save-charge';

/** The whole log of a line: its drains, everything else, and the charges of beads that it speaks of. */
export async function readLog(
  planId: string,
): Promise<{ drains: LoggedDrain[]; entries: LoggedEntry[]; charges: Charge[] }> {
  const [drains, entries, charges] = await Promise.all([readLogbook(planId), readEntries(planId), readCharges(planId)]);
  return { drains, entries, charges };
}
