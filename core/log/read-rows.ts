import type { Plan } from '../plan/plan';
import { allStages } from '../plan/runs';
import { parseQuantity } from '../quantity/parse';
import { timeOf } from '../year/read-csv';
import { type LogEntry, logEntrySchema } from './log-entry';
import { READINGS, type ReadingName } from './readings';

/** Columns of a table of readings; the first row names them, in any order. */
export const ROW_COLUMNS = ['time', 'point', 'reading', 'value', 'who', 'note'] as const;

/** A row that is read, or what is wrong with it. */
export type ReadRow =
  | { readonly row: number; readonly entry: LogEntry }
  | { readonly row: number; readonly problem: string };

const plain = (text: string): string =>
  text
    .trim()
    .toLowerCase()
    .replaceAll(/[\s_-]+/g, ' ');

/** A cell that a spreadsheet was kept from running as a formula is read without its quotation mark. */
const cell = (text: string | undefined): string => (text ?? '').replace(/^'(?=[=+\-@])/, '').trim();

/**
 * Reads a table of readings. Nothing is written: this is the dry run. The id of each comes from its content, so that the
 * same file read twice gives the same entries.
 * @param idOf makes an id of a text
 * @example readRows(plan, ['time', 'point', 'reading', 'value', 'who', 'note'], [], async (text) => text, 101325) // []
 */
export async function readRows(
  plan: Plan,
  head: readonly string[],
  rows: readonly (readonly string[])[],
  idOf: (text: string) => Promise<string>,
  atmosphericPa: number,
): Promise<ReadRow[]> {
  const at = Object.fromEntries(ROW_COLUMNS.map((c) => [c, head.findIndex((h) => plain(h) === c)])) as Record<
    (typeof ROW_COLUMNS)[number],
    number
  >;
  const missing = ROW_COLUMNS.filter((c) => at[c] < 0 && c !== 'note' && c !== 'who');
  if (missing.length > 0)
    return [
      {
        row: 1,
        problem: `The first row has no column ${missing.map((m) => `“${m}”`).join(', ')}. Columns: ${ROW_COLUMNS.join(', ')}.`,
      },
    ];
  const stages = allStages(plan);
  const seen = new Set<string>();
  const out: ReadRow[] = [];
  for (const [i, cells] of rows.entries()) {
    const row = i + 2;
    const get = (c: (typeof ROW_COLUMNS)[number]): string => cell(cells[at[c]]);
    if (cells.every((c) => c.trim() === '')) continue;
    const bad = (problem: string): void => void out.push({ row, problem });
    const time = timeOf(get('time'), 'day-first');
    const stage = stages.find((s) => s.id === get('point') || plain(s.name) === plain(get('point')));
    const of = (Object.entries(READINGS) as [ReadingName, (typeof READINGS)[ReadingName]][]).find(
      ([id, r]) => plain(id) === plain(get('reading')) || plain(r.label) === plain(get('reading')),
    );
    if (!time) bad(`no such time: “${get('time').slice(0, 25)}”`);
    else if (!stage) bad(`this line has no point “${get('point').slice(0, 40)}”`);
    else if (!of) bad(`no such reading: “${get('reading').slice(0, 40)}”`);
    else {
      const value = parseQuantity(get('value'), of[1].quantity, { choice: {}, atmosphericPa });
      if (!value.ok) bad(value.message);
      else {
        const two = (n: number): string => String(n).padStart(2, '0');
        const measuredAt = `${time.year}-${two(time.month + 1)}-${two(time.day)}T${two(time.hour)}:${two(time.minute)}`;
        const key = `${measuredAt} ${stage.id} ${of[0]} ${value.value}`;
        const parsed = logEntrySchema.safeParse({
          id: await idOf(key),
          kind: 'reading',
          stageId: stage.id,
          measuredAt,
          who: get('who') || 'imported',
          what: get('note'),
          instrument: 'fitted',
          readings: [{ of: of[0], value: value.value }],
        });
        if (seen.has(key)) bad('the same as a row before');
        else if (!parsed.success) bad(parsed.error.issues[0]?.message ?? 'that cannot be');
        else out.push({ row, entry: parsed.data });
        seen.add(key);
      }
    }
  }
  return out;
}
