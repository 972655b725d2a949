import { goodShop } from '../test/good-lines';
import { type LogEntry, logEntrySchema } from './log-entry';
import { newEntry } from './new-entry';

const FRESH = { id: '00000000-0000-4000-8000-000000000001', at: '2026-11-27T07:00' };
const refused = (said: Partial<LogEntry> & Pick<LogEntry, 'kind'>): string[] => {
  const entry = newEntry(goodShop(), FRESH, { stageId: 'receiver', who: 'Ida', ...said });
  return (logEntrySchema.safeParse(entry).error?.issues ?? []).map((i) => i.path.join('.'));
};

const POSTPONED = { kind: 'put-off', task: 'M03', what: 'Valve on order', until: '2026-12-01T00:00' } as const;

test('a task is postponed with a reason, until a later time', () => {
  expect(refused(POSTPONED)).toEqual([]);
  expect(refused({ ...POSTPONED, what: '' })).toEqual(['what']);
  expect(refused({ ...POSTPONED, task: null })).toEqual(['task']);
  expect(refused({ ...POSTPONED, until: null })).toEqual(['until']);
  expect(refused({ ...POSTPONED, until: FRESH.at })).toEqual(['until']);
  expect(refused({ ...POSTPONED, until: '2026-11-27T07:01' })).toEqual([]);
});

test('what was done names its task; what could not be done says why', () => {
  expect(refused({ kind: 'done', task: null })).toEqual(['task']);
  expect(refused({ kind: 'done', task: 'M03', result: 'ok' })).toEqual([]);
  expect(refused({ kind: 'done', task: 'M03', result: 'could-not' })).toEqual(['what']);
  expect(refused({ kind: 'done', task: 'M03', result: 'could-not', what: 'Shut in' })).toEqual([]);
});
