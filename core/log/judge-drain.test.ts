import { type CauseId, type DrainContext, type ExpectedDrain, judgeDrain } from './judge-drain';

// Expected 1 kg, 0.8 to 1.2. The order of the causes is common practice, no source: what speaks for each is beside it.
const of = (amountKg: number): ExpectedDrain => ({
  stageId: 'receiver',
  drainedAt: '2026-11-17T08:00',
  amountKg,
  expectedKg: 1,
  lowKg: 0.8,
  highKg: 1.2,
});
const [LESS, USUAL, MORE] = [of(0.5), of(1), of(1.5)];
const judged = (amountKg: number, known: Partial<Omit<DrainContext, 'entry'>> = {}, entry: object = {}) =>
  judgeDrain({
    entry: { ...of(amountKg), appearance: 'clear', loadedHours: null, ...entry },
    drain: 'manual',
    before: [],
    upstream: [],
    downstream: [],
    coolerBefore: false,
    ...known,
  });
const METERED = { loadedHours: 4 };
type Row = readonly [
  why: string,
  amountKg: number,
  known: Parameters<typeof judged>[1],
  entry: object,
  order: CauseId[],
];

test.each<Row>([
  ['by hand, alone: use first', 0.5, {}, {}, ['less-use', 'drier-air', 'drain-stuck']],
  ['automatic drains stick most', 0.5, { drain: 'level' }, {}, ['drain-stuck', 'less-use', 'drier-air']],
  ['hours that were metered', 0.5, {}, METERED, ['drier-air', 'drain-stuck', 'less-use']],
  ['hardly anything came', 0.3, {}, {}, ['drain-stuck', 'less-use', 'drier-air']],
  ['short once before: as likely as less use', 0.5, { before: [LESS] }, {}, ['drain-stuck', 'less-use', 'drier-air']],
  ['short before, usual since', 0.5, { before: [USUAL, LESS] }, {}, ['less-use', 'drier-air', 'drain-stuck']],
  ['others as usual', 0.5, { upstream: [USUAL] }, {}, ['drain-stuck', 'less-use', 'drier-air']],
  ['others short too', 0.5, { downstream: [LESS] }, {}, ['less-use', 'drier-air']],
  [
    'one short, one usual',
    0.5,
    { upstream: [LESS], downstream: [USUAL] },
    {},
    ['less-use', 'drier-air', 'drain-stuck'],
  ],
  ['more further down', 0.5, { downstream: [MORE] }, {}, ['drain-stuck', 'less-use', 'drier-air']],
  ['more upstream says nothing', 0.5, { upstream: [MORE] }, {}, ['less-use', 'drier-air', 'drain-stuck']],
  ['a cooler before it', 0.5, { coolerBefore: true }, {}, ['less-use', 'drier-air', 'cooler-fouled', 'drain-stuck']],
  [
    'a cooler before it, more further down',
    0.5,
    { coolerBefore: true, downstream: [MORE] },
    {},
    ['drain-stuck', 'cooler-fouled', 'less-use', 'drier-air'],
  ],
  ['more: nothing upstream', 1.5, {}, {}, ['wetter-air', 'more-use', 'left-before']],
  [
    'more: upstream as usual',
    1.5,
    { upstream: [USUAL] },
    {},
    ['upstream-lets-through', 'wetter-air', 'more-use', 'left-before'],
  ],
  [
    'more: upstream short',
    1.5,
    { upstream: [LESS], before: [LESS] },
    {},
    ['upstream-lets-through', 'left-before', 'wetter-air', 'more-use'],
  ],
  ['more: short before', 1.5, { before: [LESS, USUAL] }, {}, ['left-before', 'wetter-air', 'more-use']],
  ['more: short long before', 1.5, { before: [USUAL, LESS] }, {}, ['wetter-air', 'more-use', 'left-before']],
  [
    'more everywhere',
    1.5,
    { upstream: [MORE], before: [LESS] },
    {},
    ['wetter-air', 'more-use', 'left-before', 'upstream-lets-through'],
  ],
  ['more everywhere, metered', 1.5, { downstream: [MORE] }, METERED, ['wetter-air', 'more-use', 'left-before']],
  ['more, and milky', 1.5, {}, { appearance: 'milky' }, ['not-only-water', 'wetter-air', 'more-use', 'left-before']],
  ['more, and rusty', 1.5, {}, { appearance: 'rusty' }, ['wetter-air', 'more-use', 'left-before']],
])('%s', (_, amountKg, known, entry, order) => {
  expect(judged(amountKg, known, entry).causes.map((c) => c.id)).toEqual(order);
});

test('a cause says what speaks for it here', () => {
  const because = (id: CauseId, ...of: Parameters<typeof judged>): string =>
    judged(...of).causes.find((c) => c.id === id)?.because ?? '';
  expect(because('drain-stuck', 0.3, { before: [LESS, LESS, USUAL], downstream: [MORE] })).toBe(
    'The point after it gives more than it should; 3 entries running are short; only 30 % came out.',
  );
  expect(because('drain-stuck', 0.5, { upstream: [USUAL] })).toBe('The other points are as expected.');
  expect(because('drain-stuck', 0.5)).toMatch(/^Scale and sludge/);
  expect(because('less-use', 0.5, {}, METERED)).toMatch(/metered/);
  expect(because('less-use', 0.5, { downstream: [LESS] })).toBe('Every point gave less by a like share.');
  expect(because('drier-air', 0.5, { upstream: [LESS] })).toBe('Every point gave less by a like share.');
  expect(because('cooler-fouled', 0.5, { coolerBefore: true, downstream: [MORE] })).toMatch(/further down/);
  expect(because('cooler-fouled', 0.5, { coolerBefore: true })).toMatch(/condenses less here/);
  expect(because('upstream-lets-through', 1.5, { upstream: [LESS] })).toMatch(/^A point upstream gave less/);
  expect(because('left-before', 1.5, { before: [LESS] })).toBe('The entry before was short.');
  expect(because('wetter-air', 1.5, { upstream: [MORE] })).toBe('Every point gave more by a like share.');
  expect(because('more-use', 1.5, {}, METERED)).toMatch(/metered/);
});

test('where nothing was expected there is no share of it', () => {
  expect(judged(0.5, {}, { expectedKg: 0, lowKg: 0, highKg: 0 })).toMatchObject({ verdict: 'more' });
  expect(judged(0.5, {}, { expectedKg: 0, lowKg: 0, highKg: 0 }).ratio).toBeUndefined();
  expect(judged(0.5).ratio).toBe(0.5);
});
