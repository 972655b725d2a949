import { type Charge, chargeSchema, chargesNow, stintsOf } from './charge';
import { type LogEntry, type LoggedEntry, logEntrySchema } from './log-entry';

let n = 0;
const uuid = (): string => `00000000-0000-4000-8000-${String(++n).padStart(12, '0')}`;
const tin = (name: string): Charge =>
  chargeSchema.parse({ id: uuid(), name, medium: 'silica', massKg: 1, boughtAt: '2026-01-01T08:00', timesBefore: 2 });
const entry = (at: string, change: Partial<LogEntry> & Pick<LogEntry, 'kind'>): LoggedEntry => ({
  ...logEntrySchema.parse({ id: uuid(), stageId: 'beads', measuredAt: `2026-${at}`, who: 'x', ...change }),
  stageName: '',
  enteredAt: `2026-12-01T00:00:${String(n % 60).padStart(2, '0')}`,
  expected: [],
});
const looked = (spent: number) => ({ readings: [{ of: 'spent' as const, value: spent }] });

test('who was where: a look within the minute of a change is of the new one; a tin that is put in elsewhere has left', () => {
  const [a, b] = [tin('A'), tin('B')];
  const log = [
    entry('02-01T08:00', { kind: 'change', chargeId: a.id }),
    entry('02-01T08:00', { kind: 'reading', ...looked(0.1) }),
    entry('02-05T08:00', { kind: 'change', chargeId: b.id, ...looked(0.9) }),
    entry('02-06T08:00', { kind: 'regeneration', chargeId: a.id, stageId: '' }),
    entry('02-07T08:00', { kind: 'change', chargeId: b.id, stageId: 'second' }),
    entry('02-08T08:00', { kind: 'change', chargeId: a.id }),
  ];
  const stints = stintsOf(['beads', 'second'], [a, b], log.toReversed());
  expect(stints.map((s) => [s.charge?.name, s.stageId, s.outAt, s.times, s.looks.map((l) => l.spent)])).toEqual([
    ['A', 'beads', '2026-02-05T08:00', 2, [0.1, 0.9]],
    ['B', 'beads', '2026-02-07T08:00', 2, []],
    ['B', 'second', undefined, 2, []],
    ['A', 'beads', undefined, 3, []],
  ]);
  expect(chargesNow([a, b], log, stints).map((c) => [c.is, c.stageId, c.times])).toEqual([
    ['in place', 'beads', 3],
    ['in place', 'second', 2],
  ]);
});

test('a dew point over its band says that it is through; a weight is kept beside the last dry one', () => {
  const a = tin('A');
  const dew = (value: number) => ({ kind: 'reading' as const, readings: [{ of: 'dew-point' as const, value }] });
  const band = [{ value: -40, low: -45, high: -35 }];
  const log = [
    entry('04-01T08:00', {
      kind: 'regeneration',
      chargeId: a.id,
      stageId: '',
      readings: [{ of: 'weight', value: 0.98 }],
    }),
    entry('04-02T08:00', { kind: 'change', chargeId: a.id }),
    { ...entry('04-03T08:00', dew(-38)), expected: band },
    entry('04-04T08:00', { kind: 'reading', readings: [{ of: 'weight', value: 1.03 }] }),
    { ...entry('04-05T08:00', dew(-20)), expected: band },
  ];
  const [stint] = stintsOf(['beads'], [a], log);
  expect(stint?.looks).toEqual([{ at: '2026-04-05T08:00', spent: 1 }]);
  expect(stint?.weights).toEqual([{ at: '2026-04-04T08:00', kg: 1.03 }]);
  expect(stint?.dryKg).toBe(0.98);
});

test('a correction moves a change; what could not be done was not; weights tell what was driven off', () => {
  const a = tin('A');
  const wrong = entry('03-01T08:00', { kind: 'change', chargeId: a.id });
  const log = [
    wrong,
    entry('03-02T08:00', { kind: 'change', chargeId: a.id, amends: wrong.id }),
    entry('03-04T08:00', { kind: 'done', task: 'M22', result: 'could-not', what: 'No valve' }),
    entry('03-05T08:00', { kind: 'change', chargeId: null, ...looked(1) }),
  ];
  const stints = stintsOf(['beads'], [a], log);
  expect(stints.map((s) => [s.charge?.name, s.inAt])).toEqual([
    ['A', '2026-03-02T08:00'],
    [undefined, '2026-03-05T08:00'],
  ]);
  expect(chargesNow([a], log, stints)[0]?.is).toBe('spent');
  const dried = entry('03-06T08:00', {
    kind: 'regeneration',
    chargeId: a.id,
    readings: [
      { of: 'weight-wet', value: 1.12 },
      { of: 'weight', value: 1 },
    ],
  });
  const now = chargesNow([a], [...log, dried], stintsOf(['beads'], [a], [...log, dried]))[0];
  expect([now?.is, now?.times]).toEqual(['dry', 3]);
  expect(now?.drivenOffKg).toBeCloseTo(0.12, 9);
});

test('named: unknown beads, nothing in the tin, heavier after drying, a drying of no charge', () => {
  expect(chargeSchema.safeParse({ ...tin('A'), medium: 'rice' }).error?.issues[0]?.message).toBe('Unknown beads.');
  expect(chargeSchema.safeParse({ ...tin('A'), massKg: Number.NaN }).success).toBe(false);
  const dry = { id: uuid(), kind: 'regeneration', measuredAt: '2026-03-01T08:00', who: 'x' };
  const heavier = [
    { of: 'weight-wet', value: 1 },
    { of: 'weight', value: 1.1 },
  ];
  const refused = (e: object): unknown => logEntrySchema.safeParse(e).error?.issues[0]?.path[0];
  expect(refused({ ...dry, stageId: 'beads', readings: heavier })).toBe('readings');
  expect(refused({ ...dry, stageId: '' })).toBe('stageId');
});

test('a change is one that was done: what could not be done, or only names the task, leaves the charge where it is', () => {
  const [a, b] = [tin('A'), tin('B')];
  const put = entry('03-01T08:00', { kind: 'change', chargeId: a.id });
  const after = (change: Partial<LogEntry> & Pick<LogEntry, 'kind'>) =>
    stintsOf(['beads'], [a, b], [put, entry('03-09T08:00', { chargeId: b.id, ...change })]).map((s) => s.charge?.name);
  expect(after({ kind: 'done', task: 'M22' })).toEqual(['A', 'B']);
  expect(after({ kind: 'done', task: 'M21' })).toEqual(['A']);
  expect(after({ kind: 'observation', task: 'M22', what: 'no time' })).toEqual(['A']);
  expect(after({ kind: 'done', task: 'M22', result: 'could-not', what: 'stuck' })).toEqual(['A']);
  expect(after({ kind: 'change', result: 'could-not', what: 'stuck' })).toEqual(['A']);
});

test('what is postponed says nothing of the charge; what happens elsewhere says nothing of these places', () => {
  const a = tin('A');
  const put = entry('03-01T08:00', { kind: 'change', chargeId: a.id });
  const later = entry('03-05T08:00', {
    kind: 'put-off',
    task: 'M22',
    what: 'busy',
    until: '2026-04-01T08:00',
    readings: [
      { of: 'spent', value: 0.9 },
      { of: 'weight', value: 1.3 },
    ],
  });
  const elsewhere = entry('03-06T08:00', { kind: 'change', stageId: 'tank', readings: [{ of: 'spent', value: 0.4 }] });
  expect(stintsOf(['beads'], [a], [put, later, elsewhere])).toMatchObject([
    { stageId: 'beads', outAt: undefined, looks: [], weights: [] },
  ]);
});
