import { walk } from '../line/walk';
import { type LoggedEntry, logEntrySchema } from '../log/log-entry';
import type { Plan } from '../plan/plan';
import { but, goodShop } from '../test/good-lines';
import { dueTasks, dueTime } from './due';
import { maintenanceFacts } from './facts';
import { lineState, openComplaints } from './line-state';

const NOW = '2026-11-27T07:00';
const shop: Plan = { ...goodShop(), routine: { ...goodShop().routine, startedOn: '2026-11-01' } };
const none = { series: [], newest: [] };
const stateOf = (plan = shop, log: Parameters<typeof lineState>[3] = none) => {
  const section = walk(plan);
  return lineState(plan, section, dueTasks(maintenanceFacts(plan, section), [], [], NOW), log, NOW);
};
let n = 0;
const entry = (at: string, said: object): LoggedEntry => ({
  ...logEntrySchema.parse({
    id: `00000000-0000-4000-8000-${String(++n).padStart(12, '0')}`,
    measuredAt: `2026-11-${at}T08:00`,
    who: 'Ida',
    stageId: 'gun',
    ...said,
  }),
  expected: [],
  enteredAt: '',
  stageName: '',
});

test('tasks reach a month ahead and no further, in the order of what is due, with what to take along', () => {
  const { tasks } = stateOf();
  const all = dueTasks(maintenanceFacts(shop, walk(shop)), [], [], NOW).map(dueTime);
  expect(tasks.map((t) => t.dueAt)).toEqual(all.filter((at) => at < '2026-12-28T07:00'));
  expect(all.length).toBeGreaterThan(tasks.length);
  const element = stateOf({ ...shop, routine: { ...shop.routine, startedOn: '2025-01-01' } }).tasks.find((t) => t.part);
  expect(element?.part).toBe('filter element');
  expect(stateOf({ ...shop, routine: { ...shop.routine, startedOn: null } }).tasks).toEqual([]);
});

test('the worst outlet is named: one that fails before one that meets its need', () => {
  expect(stateOf().outlet?.verdict).toBe('meets');
  const asks = but('outlet', { need: 'dew-point', dewPointC: -70 })(shop);
  expect(stateOf(asks).outlet?.verdict).toBe('fails');
});

test('a complaint is open until a later check at its stage went well', () => {
  const complaint = entry('10', { kind: 'complaint', what: 'Wet' });
  const open = (...others: LoggedEntry[]) => openComplaints([...others, complaint]).length;
  const check = { kind: 'test', result: 'ok', what: 'Dry' };
  expect(open()).toBe(1);
  expect(open(entry('09', check))).toBe(1);
  expect(open(entry('11', { ...check, result: 'not-ok' }))).toBe(1);
  expect(open(entry('11', { ...check, stageId: 'other' }))).toBe(1);
  expect(open(entry('11', check))).toBe(0);
  const whole = entry('10', { kind: 'complaint', what: 'Wet', stageId: '' });
  expect(openComplaints([whole, entry('11', { ...check, stageId: 'other' })])).toEqual([]);
});

test('the trend of water is the median of the newest drains of each point', () => {
  const drains = (stageId: string, ratios: number[]) => ({ stageId, of: 'drain' as const, ratios });
  const series = [
    drains('a', [9, 9, 1, 1, 1, 2, 2]),
    drains('b', [0.5]),
    { ...drains('a', [7]), of: 'temperature' as const },
  ];
  expect(stateOf(shop, { ...none, series }).waterShare).toBe(1); // of 0.5, 1, 1, 1, 2, 2
  expect(stateOf().waterShare).toBeUndefined();
});
