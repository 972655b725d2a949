import fc from 'fast-check';
import { walk } from '../line/walk';
import type { Plan } from '../plan/plan';
import { planOf, stageOf } from '../test/plan-of';
import { type DrainEntry, drainEntrySchema, futureMessage } from './drain-entry';
import { expectDrain, explainDrain } from './expect-drain';
import { judgeLogged, type LoggedDrain } from './judge-log';
import { clockIn, isZone, siteTimeMs, siteTimeOf, workingHoursBetween } from './site-clock';

const WEEK = { days: [1, 2, 3, 4, 5], startsAtH: 8, endsAtH: 17 };
const plan: Plan = planOf(
  { temperatureC: 27, relativeHumidity: 0.6, roomC: 27, pressurePa: 9e5, flowM3PerS: 0.01 },
  stageOf('aftercooler', { approachK: 10 }),
  stageOf('separator', { drain: 'float' }),
  stageOf('receiver', { method: 'measured', outletTemperatureC: 30 }),
  stageOf('refrigerated-dryer'),
);

function entry(change: Partial<DrainEntry> = {}): DrainEntry {
  return {
    id: '00000000-0000-4000-8000-000000000001',
    stageId: 'separator',
    drainedAt: '2026-11-17T16:00',
    sinceAt: '2026-11-16T16:00',
    amountM3: 1e-3,
    appearance: 'clear',
    who: 'A',
    note: '',
    loadedHours: null,
    intakeTemperatureC: 27,
    intakeRelativeHumidity: 0.6,
    ...change,
  };
}

describe('the shop’s clock', () => {
  test.each([
    ['2026-11-16T08:00', '2026-11-17T12:00', 13], // Monday to Tuesday noon
    ['2026-11-13T16:00', '2026-11-16T09:00', 2], // over a weekend
    ['2026-11-14T08:00', '2026-11-15T20:00', 0],
    ['2026-11-17T12:00', '2026-11-17T12:00', 0],
    ['2026-11-17T12:00', '2026-11-16T12:00', 0],
  ])('%s to %s has %p working hours (counted by hand)', (since, until, hours) => {
    expect(workingHoursBetween(since, until, WEEK)).toBeCloseTo(hours, 9);
  });

  test('hours add up however the time is cut', () => {
    const minute = fc.integer({ min: 0, max: 60 * 24 * 40 }).map((m) => siteTimeOf(Date.UTC(2026, 9, 1) + m * 60_000));
    fc.assert(
      fc.property(minute, minute, minute, (...times) => {
        const [a, b, c] = times.sort() as [string, string, string];
        expect(workingHoursBetween(a, b, WEEK) + workingHoursBetween(b, c, WEEK)).toBeCloseTo(
          workingHoursBetween(a, c, WEEK),
          9,
        );
      }),
    );
  });

  test.each(['2026-02-30T10:00', '2026-11-17', '2026-13-01T00:00', '2026-11-17T25:00', 'yesterday'])(
    '%s is no time',
    (t) => {
      expect(siteTimeMs(t)).toBeNaN();
    },
  );
});

describe('a drain entry', () => {
  const refused = (change: object): string => {
    const result = drainEntrySchema.safeParse({ ...entry(), ...change });
    return result.success ? '' : result.error.issues.map((i) => `${i.path.join('.')}: ${i.message}`).join('\n');
  };
  test.each<[object, RegExp]>([
    [{ amountM3: -1e-3 }, /amountM3/],
    [{ amountM3: 'lots' }, /amountM3/],
    [{ amountM3: 5 }, /amountM3/],
    [{ appearance: 'green' }, /appearance: Say how it looked/],
    [{ who: '  ' }, /who: Say who/],
    [{ drainedAt: '1990-01-01T10:00' }, /before the year 2000/],
    [{ sinceAt: '2026-11-18T16:00' }, /sinceAt: The drain before must be earlier/],
    [{ drainedAt: '2026-11-18T16:00', sinceAt: '2025-11-17T15:59' }, /More than 366 days/],
    [{ drainedAt: '2026-11-18T16:00', sinceAt: '2025-11-17T16:00' }, /^$/],
    [{ loadedHours: 100 }, /loadedHours: More loaded hours than have passed/],
    [{ intakeRelativeHumidity: 1.4 }, /intakeRelativeHumidity/],
    [{ id: 'one' }, /id:/],
  ])('%j is refused at its field', (change, message) => {
    expect(refused(change)).toMatch(message);
  });

  test('a date in 2206 lies in the future; one in the easternmost zone does not', () => {
    const now = Date.UTC(2026, 10, 17, 12);
    expect(futureMessage('2206-11-17T16:00', now)).toMatch(/future/);
    expect(futureMessage('2026-11-18T02:00', now)).toBeUndefined();
    expect(futureMessage('2026-11-18T02:01', now)).toMatch(/future/);
  });
});

describe('what a drain should have given', () => {
  test('is the walk’s rate times the loaded hours', () => {
    const expected = expectDrain(plan, entry());
    const rate = walk(plan).stations[3]?.caughtKgPerS as number;
    expect(expected?.loadedHours).toBeCloseTo(9 * 0.4, 9);
    expect(expected?.expectedKg).toBeCloseTo(rate * 3600 * 3.6, 9);
  });

  // Common practice: predicted condensate ±15–20 %, measured ±5 % and spray, so only beyond some 30 % is it flagged.
  test('has a band of the width that practice gives it', () => {
    const expected = expectDrain(plan, entry({ loadedHours: 4 }));
    if (!expected) throw new Error('no expectation');
    const half = (expected.highKg - expected.lowKg) / 2 / expected.expectedKg;
    expect(half).toBeGreaterThan(0.25);
    expect(half).toBeLessThan(0.55);
  });

  test('is surer with metered hours, and follows the intake air of those days', () => {
    const width = (e: DrainEntry) => {
      const x = expectDrain(plan, e);
      return x ? (x.highKg - x.lowKg) / x.expectedKg : Number.NaN;
    };
    expect(width(entry({ loadedHours: 3.6 }))).toBeLessThan(width(entry()));
    const dry = expectDrain(plan, entry({ intakeRelativeHumidity: 0.3 }))?.expectedKg as number;
    expect(dry).toBeLessThan(expectDrain(plan, entry())?.expectedKg as number);
  });

  test('is unknown for a stage that the line has not', () => {
    expect(expectDrain(plan, entry({ stageId: 'gone' }))).toBeUndefined();
  });
});

describe('the judgement', () => {
  let n = 0;
  const logged = (stageId: string, day: number, ratio: number, change: Partial<LoggedDrain> = {}): LoggedDrain => {
    const e = entry({
      stageId,
      drainedAt: `2026-11-${day}T16:00`,
      sinceAt: `2026-11-${day - 1}T16:00`,
      id: `0000000${n++}`,
    });
    return {
      ...e,
      amountM3: ratio * 1e-3,
      expectedKg: 1,
      lowKg: 0.65,
      highKg: 1.4,
      countedHours: 4,
      stageName: stageId,
      struck: false,
      ...change,
    };
  };
  const judge = (log: LoggedDrain[]) => judgeLogged(plan, log, log.at(-1) as LoggedDrain);

  test.each([
    [1, 'as expected'],
    [0.66, 'as expected'],
    [0.5, 'less'],
    [1.5, 'more'],
  ])('%p of the expected amount is %s', (ratio, verdict) => {
    expect(judge([logged('separator', 17, ratio)]).verdict).toBe(verdict);
  });

  test('a few drops where nothing was due are nothing to judge', () => {
    expect(judge([logged('separator', 17, 0.005, { expectedKg: 0, lowKg: 0, highKg: 0 })]).verdict).toBe(
      'nothing to expect',
    );
  });

  test('short here and plenty further down: the drain is stuck', () => {
    const first = judge([logged('receiver', 17, 3), logged('separator', 17, 0.1)]).causes[0];
    expect(first?.id).toBe('drain-stuck');
    expect(first?.because).toMatch(/the point after it gives more/i);
  });

  test('“further down” is along the way of the air: what a parallel branch gives says nothing', () => {
    const drop: Plan = {
      ...plan,
      branches: [
        {
          id: 'b',
          name: 'b',
          from: 'separator',
          into: null,
          split: 'entered',
          share: 1,
          stages: [stageOf('bowl-filter', {}, 'bowl')],
        },
      ],
    };
    const log = [logged('bowl', 17, 3), logged('receiver', 17, 0.1)];
    expect(judgeLogged(drop, log, log[1] as LoggedDrain).causes[0]?.because).not.toMatch(/the point after it/i);
    const above = [logged('bowl', 18, 3), logged('separator', 18, 0.1)];
    expect(judgeLogged(drop, above, above[1] as LoggedDrain).causes[0]?.because).toMatch(/the point after it/i);
    const far = [logged('bowl', 19, 0.5)];
    expect(judgeLogged(drop, far, far[0] as LoggedDrain).causes.map((c) => c.id)).toContain('cooler-fouled');
  });

  test('all four causes of a short drain are weighed, but a fouled cooler only where there is one', () => {
    const short = (p: Plan) => {
      const log = [logged('separator', 17, 0.5)];
      return judgeLogged(p, log, log[0] as LoggedDrain)
        .causes.map((c) => c.id)
        .sort();
    };
    expect(short(plan)).toEqual(['cooler-fouled', 'drain-stuck', 'drier-air', 'less-use']);
    expect(short(planOf({}, stageOf('separator')))).toEqual(['drain-stuck', 'drier-air', 'less-use']);
    for (const cooler of ['water-cooler', 'cooling-run', 'fluid-cooler'] as const)
      expect(short(planOf({}, stageOf(cooler), stageOf('separator')))).toContain('cooler-fouled');
  });

  test('short everywhere: less use or drier air, not a stuck drain', () => {
    const { causes } = judge([
      logged('receiver', 17, 0.5),
      logged('refrigerated-dryer', 17, 0.5),
      logged('separator', 17, 0.5),
    ]);
    expect(
      causes
        .slice(0, 2)
        .map((c) => c.id)
        .sort(),
    ).toEqual(['drier-air', 'less-use']);
  });

  test('metered hours put use at the end of the list', () => {
    const { causes } = judge([logged('receiver', 17, 0.5), logged('separator', 17, 0.5, { loadedHours: 4 })]);
    expect(causes[0]?.id).toBe('drier-air');
  });

  test('more here and short upstream: what is before it lets its water through', () => {
    expect(judge([logged('separator', 17, 0.1), logged('receiver', 17, 3)]).causes[0]?.id).toBe(
      'upstream-lets-through',
    );
  });

  test('more after a short one: water was left over', () => {
    expect(judge([logged('separator', 16, 0.3), logged('separator', 17, 1.7)]).causes[0]?.id).toBe('left-before');
  });

  test.each([
    ['oily', 'It looked oily.'],
    ['milky', 'It looked milky.'],
  ] as const)('a drain that looked %s says so', (appearance, because) => {
    const { causes } = judge([logged('separator', 17, 2, { appearance })]);
    expect(causes.find((c) => c.id === 'not-only-water')?.because).toBe(because);
  });

  test('an oily drain that gives more may not be all water', () => {
    expect(judge([logged('separator', 17, 2, { appearance: 'oily' })]).causes.map((c) => c.id)).toContain(
      'not-only-water',
    );
  });

  test('what happened weeks before does not count', () => {
    expect(judge([logged('receiver', 11, 3), logged('separator', 17, 0.5)]).causes[0]?.because).not.toMatch(
      /point after/i,
    );
  });
});

test.each([
  ['by working hours', {}, ['caught while loaded', 'working hours since', 'share loaded']],
  ['by the hour meter', { loadedHours: 3 }, ['caught while loaded', 'loaded hours']],
] as const)('the inputs of an expected amount multiply to it: %s', (_, change, factors) => {
  const why = explainDrain(plan, entry(change));
  const of = (label: string): number => {
    const found = why?.inputs.find((i) => i.label === label);
    if (!found) throw new Error(`no ${label} in ${why?.inputs.map((i) => i.label)}`);
    return found.value;
  };
  expect((factors.reduce((product, label) => product * of(label), 1) / (why?.value ?? 0)) * 1e-3).toBeCloseTo(1, 9);
});

// Offsets of the IANA time zone database: New York −4 h in summer and −5 h in winter, Kathmandu +5:45.
test.each([
  ['America/New_York', Date.UTC(2026, 6, 1, 12), '2026-07-01T08:00'],
  ['America/New_York', Date.UTC(2026, 0, 1, 3), '2025-12-31T22:00'],
  ['Asia/Kathmandu', Date.UTC(2026, 0, 1), '2026-01-01T05:45'],
])('on the wall in %s', (zone, ms, time) => {
  expect(clockIn(zone, ms)).toBe(time);
});

test('universal time is the clock without a zone, at every minute; a zone that is none is said to be none', () => {
  fc.assert(
    fc.property(fc.integer({ min: 0, max: Date.UTC(2100, 0) }), (ms) => {
      expect(clockIn('UTC', ms)).toBe(siteTimeOf(ms));
    }),
  );
  expect(['', 'Europe/Lisbon', 'Mars/Olympus', 'x'.repeat(80)].map(isZone)).toEqual([true, true, false, false]);
});
