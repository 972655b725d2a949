import { DEMO_STAGES, demoPlan } from '../../db/demo';
import { carbonLastsS } from '../equipment/filtering/carbon-filter';
import { walk } from '../line/walk';
import { compressorsOf } from '../line/waterfall';
import { chargeSchema } from '../log/charge';
import { type LogEntry, type LoggedEntry, logEntrySchema } from '../log/log-entry';
import { siteTimeOf } from '../log/site-clock';
import { priceOf } from '../plan/money';
import type { Plan } from '../plan/plan';
import { PSI } from '../quantity/constants';
import { all, behind, goodSpray } from '../test/good-lines';
import { planOf, stageOf } from '../test/plan-of';
import { neglectOfDrains } from '../year/neglect';
import { livesOf } from './charge-lives';
import { chargeLoad } from './charge-load';
import { cheapestChangeH, growthOf } from './element-life';
import { elementLives } from './element-lives';
import { loadedClock } from './loaded-clock';

let n = 0;
const uuid = (): string => `00000000-0000-4000-8000-${String(++n).padStart(12, '0')}`;
const entry = (
  at: string,
  change: Partial<LogEntry> & Pick<LogEntry, 'kind' | 'stageId'>,
  expected: LoggedEntry['expected'] = [],
): LoggedEntry => ({
  ...logEntrySchema.parse({ id: uuid(), measuredAt: at, who: 'x', ...change }),
  stageName: '',
  enteredAt: at,
  expected,
});
const plan = demoPlan();

test('an element is changed cheapest after 3443 h, at 2.2 psi more (trade handbook, worked example)', () => {
  const growth = (5 * PSI) / 8000;
  const hours = cheapestChangeH(400, growth, (0.005 / PSI) * 180 * 0.12);
  expect(Math.abs(hours / 3443 - 1)).toBeLessThan(1e-3);
  expect((hours * growth) / PSI).toBeCloseTo(2.15, 2);
});

test('growth: a straight line is found again; noise is told with its spread; falling counts as none', () => {
  const line = [100, 300, 700].map((loadedH) => ({ loadedH, ratio: 1 + 0.0004 * loadedH }));
  expect(growthOf(line)?.perH).toBeCloseTo(0.0004, 12);
  expect(growthOf([{ loadedH: 500, ratio: 0.8 }])?.perH).toBe(0);
  // By hand: 0.1 and 0.3 after 100 h are 0.002 an hour, each 0.1 off; √(2 · 0.1² / (2 − 1) / 20 000) = 0.001.
  const apart = growthOf([1.1, 1.3].map((ratio) => ({ loadedH: 100, ratio })));
  expect([apart?.perH, apart?.sd]).toEqual([expect.closeTo(0.002, 9), expect.closeTo(0.001, 9)]);
  // One reading is no surer than its gauge: 5 % of a clean drop.
  expect(growthOf([{ loadedH: 100, ratio: 1.2 }])?.sd).toBeCloseTo(0.05 / 100, 9);
  expect(growthOf([])).toBeUndefined();
});

test('an element in the line: a drop that doubled in half its way asks for a change before the calendar does', () => {
  const id = DEMO_STAGES.coalescer;
  const read = (at: string, ratio: number): LoggedEntry =>
    entry(at, { kind: 'reading', stageId: id, readings: [{ of: 'pressure-drop', value: 1e4 * ratio }] }, [
      { value: 1e4, low: 9e3, high: 1.1e4 },
    ]);
  const log = [
    entry('2026-01-05T08:00', { kind: 'done', task: 'M12', stageId: id }),
    read('2026-02-05T08:00', 3),
    read('2026-03-05T08:00', 5),
  ];
  const of = (entries: LoggedEntry[]) =>
    elementLives(plan, walk(plan), entries, '2026-03-10T08:00').find((l) => l.stage.id === id);
  const life = of(log);
  expect(life?.growth?.perH).toBeGreaterThan(0);
  const on = (reason: string) => life?.days.find((d) => d.reason === reason)?.on ?? '';
  expect(on('calendar')).toBe('2027-01-05T08:00');
  expect(on('drop') < on('calendar')).toBe(true);
  const [early, late] = life?.dropBand ?? [];
  expect((early ?? '9') <= on('drop') && on('drop') <= (late ?? '9')).toBe(true);
  // A gauge that reads half the growth puts the day off.
  const slower = of([log[0] as LoggedEntry, read('2026-02-05T08:00', 2), read('2026-03-05T08:00', 3)]);
  expect((slower?.days.find((d) => d.reason === 'drop')?.on ?? '') > on('drop')).toBe(true);
  expect(of([])?.days).toEqual([]);
});

test('carbon lasts half as long for each 20 °F (trade handbook), and 15 % of its mass in oil at 70 °F', () => {
  const carbon = { carbonKg: 1, oilMgPerM3: 0.3 };
  // 150 g of oil at 0.3 mg/m³ and 0.01 m³/s: 5·10⁷ s (by hand).
  expect(carbonLastsS(carbon, 21, 0.01)).toBeCloseTo(5e7, -3);
  expect(carbonLastsS(carbon, 21 + 11.1, 0.01)).toBeCloseTo(2.5e7, -3);
});

test('an hour meter that ran twice as fast as expected doubles the water; a meter of another compressor’s age does not matter', () => {
  const asExpected = loadedClock(plan, [], Date.UTC(2026, 0, 5), 60);
  const h = asExpected.hours.between(Date.UTC(2026, 0, 10), Date.UTC(2026, 1, 10));
  const meter = (at: string, hours: number) =>
    entry(at, { kind: 'reading', stageId: 'compressor', readings: [{ of: 'hours', value: hours * 3600 }] });
  const log = [meter('2026-01-10T00:00', 5000), meter('2026-02-10T00:00', 5000 + 2 * h)];
  expect(loadedClock(plan, log, Date.UTC(2026, 0, 5), 60).factor).toBeCloseTo(2, 6);
  const charge = chargeSchema.parse({
    id: uuid(),
    name: 'A',
    medium: 'silica',
    massKg: 9,
    boughtAt: '2026-01-01T08:00',
  });
  const put = entry('2026-01-12T07:00', { kind: 'change', stageId: DEMO_STAGES.beads, chargeId: charge.id });
  const load = (entries: LoggedEntry[]) =>
    livesOf(plan, undefined, [charge], entries, '2026-02-12T08:00')?.[0]?.loadKg ?? 0;
  expect(load([put, ...log]) / load([put])).toBeCloseTo(2, 6);
});

test('a charge that is weighed tells how much of the book’s water is in it; one that weighs less than dry tells nothing', () => {
  const charge = chargeSchema.parse({
    id: uuid(),
    name: 'B',
    medium: 'silica',
    massKg: 9,
    boughtAt: '2026-01-01T08:00',
  });
  const put = entry('2026-01-12T07:00', { kind: 'change', stageId: DEMO_STAGES.beads, chargeId: charge.id });
  const weigh = (kg: number) =>
    entry('2026-02-10T08:00', { kind: 'reading', stageId: DEMO_STAGES.beads, readings: [{ of: 'weight', value: kg }] });
  const life = (entries: LoggedEntry[]) => livesOf(plan, undefined, [charge], entries, '2026-02-12T08:00')?.[0];
  const bare = life([put]);
  const half = life([put, weigh(9 + 0.5 * (bare?.handbookKg ?? 0))]);
  // Half of the published water came, where the estimate says so much: the look alone would put it at twice that.
  const alone = Math.log(((half?.loadKg ?? 0) * 0.95) / 0.5);
  expect(half?.capacity?.variance).toBeLessThan(bare?.capacity?.variance ?? 0);
  const between = [bare?.capacity?.ln ?? 0, alone].toSorted((a, b) => a - b) as [number, number];
  expect(half?.capacity?.ln).toBeGreaterThan(between[0] - 0.05);
  expect(half?.capacity?.ln).toBeLessThan(between[1] + 0.05);
  expect(life([put, weigh(8.9)])?.capacity).toEqual(bare?.capacity);
  // Nor does one that weighs more than twice what the book gives it.
  const times = (n: number) => life([put, weigh(9 + n * (bare?.handbookKg ?? 0))])?.capacity;
  expect(times(2.01)).toEqual(bare?.capacity);
  expect(times(1.99)).not.toEqual(bare?.capacity);
});

test('a portable unit keeps the water that came while it was here, and gets none while it is away', () => {
  const unit = { id: 'cart', name: 'Cart', form: 'portable', is: 'here', usedS: 0, countedAt: null } as const;
  const carried = (change: object) => ({
    ...plan,
    stages: plan.stages.map((s) => (s.id === DEMO_STAGES.beads ? { ...s, unit: 'cart' } : s)),
    units: [{ ...unit, ...change }],
  });
  const put = entry('2026-01-12T07:00', { kind: 'change', stageId: DEMO_STAGES.beads });
  const load = (change: object, now: string) => livesOf(carried(change), undefined, [], [put], now)?.[0];
  const here = load({}, '2026-02-02T00:00');
  const away = load({ is: 'away', countedAt: '2026-02-02T00:00' }, '2026-02-20T00:00');
  expect(here?.loadKg).toBeGreaterThan(0);
  expect(away?.loadKg).toBeCloseTo(here?.loadKg ?? 0, 12);
  expect(away?.change?.days[1]).toBe(Number.POSITIVE_INFINITY);
  expect(away?.name).toContain('Cart');
});

describe('limits, from both sides; estimates that stand beside them', () => {
  test('hours of a meter count from a week apart on, and no further than five times and a tenth of what is calculated', () => {
    const clock = (entries: LoggedEntry[]) => loadedClock(plan, entries, Date.UTC(2026, 0, 5), 60);
    const factor = (until: string, times: number) => {
      const expectedHours = clock([]).hours.between(Date.UTC(2026, 0, 10), Date.parse(`${until}Z`));
      const meter = (at: string, hours: number) =>
        entry(at, { kind: 'reading', stageId: 'compressor', readings: [{ of: 'hours', value: hours * 3600 }] });
      return clock([meter('2026-01-10T00:00', 5000), meter(until, 5000 + times * expectedHours)]).factor;
    };
    expect([factor('2026-01-16T23:00', 2), factor('2026-01-17T01:00', 2)]).toEqual([1, expect.closeTo(2, 3)]);
    const month = (times: number) => factor('2026-02-10T00:00', times);
    expect([4.9, 5.1, 0.11, 0.09].map(month)).toEqual([4.9, 5, 0.11, 0.1].map((x) => expect.closeTo(x, 6)));
  });

  test('a place is known from three charges on that were looked at; soon is within seven days', () => {
    const charges = ['A', 'B', 'C', 'D'].map((name) =>
      chargeSchema.parse({ id: uuid(), name, medium: 'silica', massKg: 9, boughtAt: '2026-01-01T08:00' }),
    );
    const put = (i: number, at: string) =>
      entry(at, {
        kind: 'change',
        stageId: DEMO_STAGES.beads,
        chargeId: charges[i]?.id,
        readings: i === 0 ? [] : [{ of: 'spent', value: 0.5 }],
      });
    const log = charges.map((_, i) => put(i, `2026-0${i + 1}-12T07:00`));
    const at = (changes: number, now: string) =>
      livesOf(plan, undefined, charges, log.slice(0, changes), now)?.find((l) => l.stageId === DEMO_STAGES.beads);
    expect([at(3, '2026-03-13T08:00')?.state, at(4, '2026-04-13T08:00')?.state]).toEqual(['learning', 'known']);
    // Day by day towards its change: soon on the last seven.
    const states = Array.from({ length: 120 }, (_, d) => {
      const life = at(4, new Date(Date.UTC(2026, 3, 13 + d, 8)).toISOString().slice(0, 16));
      return [life?.change?.days[1] ?? 0, life?.state] as const;
    });
    const soon = states.filter(([, state]) => state === 'soon').map(([days]) => days);
    expect(Math.max(...soon)).toBeLessThanOrEqual(7);
    expect(Math.min(...states.filter(([, state]) => state === 'known').map(([days]) => days))).toBeGreaterThan(7);
    expect(soon.length).toBeGreaterThan(3);
  });
});

test('a dead drain before the beads sends them more water, and the chilled dryer’s most', () => {
  const found = neglectOfDrains(plan, DEMO_STAGES.beads);
  expect(found[0]?.stageId).toBe(DEMO_STAGES.dryer);
  expect(found[0]?.times).toBeGreaterThan(2);
});

test('a drain before the beads is named where its neglect costs more than a twentieth of their life', () => {
  const costs = (efficiency: number) =>
    neglectOfDrains(
      planOf(
        { temperatureC: 25, relativeHumidity: 0.6 },
        stageOf('aftercooler', { method: 'measured', outletTemperatureC: 30 }),
        stageOf('separator', { drain: 'float', efficiency }),
        stageOf('bead-cartridge'),
      ),
      'bead-cartridge',
    )[0]?.times;
  let [silent, named] = [0, 1];
  for (let i = 0; i < 30; i++) {
    const middle = (silent + named) / 2;
    if (costs(middle) === undefined) silent = middle;
    else named = middle;
  }
  expect(costs(named)).toBeCloseTo(1.05, 3);
});

test('a wet element is not judged by its first 24 loaded hours; a dry one is', () => {
  const since = entry('2026-01-05T07:00', { kind: 'done', task: 'M12', stageId: DEMO_STAGES.coalescer });
  const at = (hour: number, line: Plan) => {
    const measuredAt = siteTimeOf(Date.UTC(2026, 0, 5, hour));
    const read = entry(
      measuredAt,
      { kind: 'reading', stageId: DEMO_STAGES.coalescer, readings: [{ of: 'pressure-drop', value: 3e4 }] },
      [{ value: 1e4, low: 9e3, high: 1.1e4 }],
    );
    return elementLives(line, walk(line), [since, read], measuredAt).find((l) => l.stage.id === DEMO_STAGES.coalescer);
  };
  const isRead = (hour: number, line: Plan): boolean => at(hour, line)?.growth !== undefined;
  // The first hour from which on it is: it is not at 8, and is a fortnight later.
  let [before, first] = [8, 8 + 14 * 24];
  while (first - before > 1) {
    const middle = Math.floor((before + first) / 2);
    if (isRead(middle, plan)) first = middle;
    else before = middle;
  }
  expect(at(first - 1, plan)?.loadedH).toBeLessThanOrEqual(24);
  expect(at(first, plan)?.loadedH).toBeGreaterThan(24);
  const dry = {
    ...plan,
    survey: { ...plan.survey, places: plan.survey.places.map((p) => ({ ...p, relativeHumidity: 0.02 })) },
  };
  expect(isRead(9, dry)).toBe(true);
});

test('progress is told, and a run that is cancelled returns nothing', () => {
  const put = entry('2026-01-12T07:00', { kind: 'change', stageId: DEMO_STAGES.beads });
  expect(livesOf(plan, undefined, [], [put], '2026-02-12T08:00', () => false)).toBeUndefined();
  expect(livesOf(plan, undefined, [], [], '2026-02-12T08:00')?.[0]?.state).toBe('empty');
});

test('what comes day by day is what comes between the days, added up', () => {
  const load = chargeLoad(plan, undefined, DEMO_STAGES.beads, loadedClock(plan, [], Date.UTC(2026, 0, 5), 60));
  const days = load.daily('2026-01-05T00:00', 14);
  expect(days.some((kg) => kg > 0)).toBe(true);
  expect(days[6]).toBe(0); // a Sunday
  expect(days.reduce((a, b) => a + b, 0)).toBeCloseTo(load.kgBetween('2026-01-05T00:00', '2026-01-19T00:00'), 9);
  expect(days[1]).toBeCloseTo(load.kgBetween('2026-01-06T00:00', '2026-01-07T00:00'), 9);
});

test('its cheapest day comes half as late at four times the tariff; carbon is full when the oil has filled it', () => {
  const since = '2026-01-05T07:00';
  const line = (perKWh: number): Plan => ({
    ...planOf(
      { temperatureC: 25, relativeHumidity: 0.6 },
      stageOf('aftercooler', { method: 'measured', outletTemperatureC: 30 }),
      stageOf('coalescing-filter'),
      stageOf('carbon-filter', { carbonKg: 0.2, oilMgPerM3: 1 }),
    ),
    money: { ...plan.money, perKWh },
  });
  const lives = (perKWh: number) =>
    elementLives(
      line(perKWh),
      walk(line(perKWh)),
      [
        entry(since, { kind: 'change', stageId: 'coalescing-filter' }),
        entry(since, { kind: 'change', stageId: 'carbon-filter' }),
        entry(
          '2026-03-05T07:00',
          { kind: 'reading', stageId: 'coalescing-filter', readings: [{ of: 'pressure-drop', value: 4e4 }] },
          [{ value: 1e4, low: 9e3, high: 1.1e4 }],
        ),
      ],
      '2026-04-01T08:00',
    );
  const loadedH = (perKWh: number, of: number, reason: string): number => {
    const life = lives(perKWh)[of];
    const on = life?.days.find((d) => d.reason === reason)?.on ?? '';
    const clock = loadedClock(line(perKWh), [], Date.parse(`${since}Z`), 1500);
    return clock.hours.between(Date.parse(`${since}Z`), Date.parse(`${on}Z`));
  };
  expect(loadedH(0.4, 0, 'cheapest') / loadedH(0.1, 0, 'cheapest')).toBeCloseTo(0.5, 2);
  const rises = ((lives(0.1)[0]?.growth?.perH ?? 0) * (lives(0.1)[0]?.cleanPa ?? 0)) as number;
  const kW = compressorsOf(line(0.1)).watts / 1000;
  const price = priceOf(line(0.1).money, 'coalescing-filter').price.yearly;
  expect(loadedH(0.1, 0, 'cheapest') / cheapestChangeH(price, rises, (0.005 / PSI) * kW * 0.1)).toBeCloseTo(1, 2);
  const section = walk(line(0.1));
  const comes = section.at('coalescing-filter');
  // Dry air of 25 °C at the barometer, m³/s.
  const flow = ((comes?.dryAirKgPerS ?? 0) * 287.055 * 298.15) / 101_325;
  const carbon = { carbonKg: 0.2, oilMgPerM3: 1 };
  expect(loadedH(0.1, 1, 'oil') / (carbonLastsS(carbon, comes?.temperatureC ?? 0, flow) / 3600)).toBeCloseTo(1, 2);
});

test('a meter that was read over days off, where nothing was to run, changes nothing', () => {
  const idle: Plan = {
    ...plan,
    survey: { ...plan.survey, working: { ...plan.survey.working, days: [1], shifts: [] } },
  };
  const meter = (at: string, hours: number) =>
    entry(at, { kind: 'reading', stageId: 'compressor', readings: [{ of: 'hours', value: hours * 3600 }] });
  const closed = {
    ...idle,
    survey: { ...idle.survey, working: { ...idle.survey.working, holidays: [{ from: '01-12', to: '01-12' }] } },
  };
  const log = [meter('2026-01-06T00:00', 5000), meter('2026-01-18T00:00', 5002)];
  expect(loadedClock(closed, log, Date.UTC(2026, 0, 5), 60).factor).toBe(1);
});

test('progress only goes on, from nothing to all', () => {
  const places = all(goodSpray(), behind('bead-cartridge', stageOf('bead-cartridge', {}, 'second')));
  const put = ['bead-cartridge', 'second'].map((stageId) => entry('2026-01-12T07:00', { kind: 'change', stageId }));
  const shares: number[] = [];
  livesOf(places, undefined, [], put, '2026-02-12T08:00', (share) => shares.push(share) > 0);
  expect(shares.length).toBeGreaterThan(2);
  expect(shares).toEqual(shares.toSorted((a, b) => a - b));
  expect(shares[0]).toBeGreaterThanOrEqual(0);
  expect(shares.at(-1)).toBeLessThanOrEqual(1);
});
