import { LOG_COLUMNS, rowOfDrain, rowsOfEntry } from '../core/maintenance/log-table';
import { lineOf } from './csv-line';
import { recordsOf } from './line-copy/write-line-copy';
import { logPageOf } from './read-log-page';

/** The log of a line as lines of CSV: all of it with its drains, or the entries that are searched for. */
export async function* tableLines(planId: string, q: string, kind: string): AsyncGenerator<string> {
  yield `\uFEFF${lineOf(LOG_COLUMNS)}`; // by its first character spreadsheets know the encoding
  if (q.trim() === '' && kind === 'all') {
    for await (const record of recordsOf(planId)) {
      if (record.of === 'drain') {
        const { entry, struckAt, ...kept } = record;
        yield lineOf(rowOfDrain({ ...entry, ...kept, struck: struckAt !== null }));
      } else if (record.of === 'entry')
        for (const row of rowsOfEntry({ ...record.entry, ...record })) yield lineOf(row);
    }
    return;
  }
  let before: string | undefined;
  do {
    const page = await logPageOf(planId, { q, kind, before });
    for (const entry of page.entries) for (const row of rowsOfEntry(entry)) yield lineOf(row);
    before = page.next;
  } while (before !== undefined);
}
