import type { LoggedDrain } from '../log/judge-log';
import { ENTRY_KINDS, type LoggedEntry } from '../log/log-entry';
import { READINGS } from '../log/readings';
import { taskById } from './tasks';

/** The columns of a log as a table, to be read by a spreadsheet. */
export const LOG_COLUMNS = [
  'time',
  'point',
  'kind',
  'task',
  'reading',
  'value',
  'unit',
  'expected low',
  'expected high',
  'result',
  'who',
  'note',
  'entered',
  'id',
  'corrects',
] as const;

type Cell = string | number;

/**
 * An entry as rows of that table, one for each of its readings.
 * @example rowsOfEntry(entry).length // 1
 */
export function rowsOfEntry(e: LoggedEntry): Cell[][] {
  const rest = [e.result ?? '', e.who, e.what, e.enteredAt, e.id, e.amends ?? ''];
  const first = [e.measuredAt, e.stageName, ENTRY_KINDS[e.kind], taskById(e.task ?? '')?.does ?? ''];
  if (e.readings.length === 0) return [[...first, '', '', '', '', '', ...rest]];
  return e.readings.map((r, i) => [
    ...first,
    READINGS[r.of].label,
    r.value,
    'SI',
    e.expected[i]?.low ?? '',
    e.expected[i]?.high ?? '',
    ...rest,
  ]);
}

/**
 * A drain as a row of that table.
 * @example rowOfDrain(drain).length // 15
 */
export const rowOfDrain = (d: Omit<LoggedDrain, 'why'>): Cell[] => [
  d.drainedAt,
  d.stageName,
  'drain',
  '',
  READINGS.amount.label,
  d.amountM3,
  'SI',
  d.lowKg / 1000,
  d.highKg / 1000,
  d.struck ? 'struck out' : '',
  d.who,
  `${d.appearance} ${d.note}`.trim(),
  '',
  d.id,
  '',
];
