import fc from 'fast-check';
import { demoPlan } from '../../db/demo';
import { sayIn as said } from '../advice/rule';
import { type PointYear, pointYear } from '../drains/point-year';
import { KINDS } from '../equipment/index';
import { CAUTIONS } from '../equipment/shared/cautions';
import { walk } from '../line/walk';
import { type LoggedEntry, logEntrySchema } from '../log/log-entry';
import { siteTimeMs } from '../log/site-clock';
import type { Plan } from '../plan/plan';
import { DAY_MS } from '../quantity/constants';
import { say as inUnits } from '../quantity/format';
import { all, behind, but, goodDry, goodPlant, goodShop, place, working } from '../test/good-lines';
import { planOf, stageOf } from '../test/plan-of';
import { dayOfYear } from '../year/calendar';
import { runWeather, type WeatherRun } from '../year/run-weather';
import { beadPlaces } from './charge-lives';
import { type DueTask, dueTasks, dueTime } from './due';
import { maintenanceFacts } from './facts';
import { intervalOf, sayInterval } from './interval';
import { lastDone, openingsOf, signalsOf } from './last-done';
import { limitOf } from './limit';
import { hoursPerMonth, minutesPerWeek, taskKey, tasksOfLine, tasksOfStages, usualServiceMinutes } from './line-tasks';
import { roundsOf, routeOf } from './rounds';
import { TASKS, taskById } from './tasks';

const NOW = '2026-11-27T07:00'; // a Friday
const begun = (plan: Plan): Plan => ({ ...plan, routine: { ...plan.routine, startedOn: '2026-11-01' } });
const due = (
  plan: Plan,
  done: Parameters<typeof dueTasks>[1] = [],
  off: Parameters<typeof dueTasks>[2] = [],
  now = NOW,
) => dueTasks(maintenanceFacts(plan, walk(plan)), done, off, now);
const of = (tasks: readonly DueTask[], stageId: string, task: string): DueTask => {
  const found = tasks.find((t) => t.key === taskKey(stageId, task));
  if (!found) throw new Error(`no ${task} at ${stageId}`);
  return found;
};
const interval = (plan: Plan, stageId: string, task: string) => {
  const stage = tasksOfStages(plan).find((c) => c.stage.id === stageId && c.task.id === task)?.stage;
  if (!stage) throw new Error(`no ${task} at ${stageId}`);
  return intervalOf(maintenanceFacts(plan, walk(plan)), stage, taskById(task) as never);
};
const why = (i: ReturnType<typeof interval>): string => i.why.map((w) => said(w, (si, q) => inUnits(si, q))).join(' ');

test('every task that a kind brings is there, with steps, what is good, what it means if not, known cautions and its source', () => {
  const brought = Object.values(KINDS).flatMap((k) => k.service ?? []);
  expect([...new Set(brought)].filter((id) => !taskById(id))).toEqual([]);
  expect(TASKS.filter((t) => !brought.includes(t.id)).map((t) => t.id)).toEqual([]);
  for (const t of TASKS) {
    expect([t.steps.length > 0, t.accept !== '', t.abnormal !== '', t.minutes > 0, t.source !== '']).toEqual(
      Array(5).fill(true),
    );
    expect(t.cautions.filter((c) => !CAUTIONS[c])).toEqual([]);
    if (t.isolates) expect(t.cautions).toContain('C07');
  }
});

test('a blotter is held for a minute at least (ASTM D4285, recalled), a dew-point meter settles', () => {
  const wait = (id: string): number =>
    Math.max(...(taskById(id)?.steps ?? []).map((s) => (typeof s === 'string' ? 0 : (s.waitS ?? 0))));
  expect(wait('M34')).toBeGreaterThanOrEqual(60);
  expect(wait('M16')).toBeGreaterThanOrEqual(300); // 5–15 min for a warm dew point (trade handbook)
});

describe('how often', () => {
  const byHand = (plan: Plan): Plan => but('receiver', { drain: 'manual', sumpM3: 2e-4 })(plan);

  test('a drain by hand: daily as usual, more often in a humid month and why, weekly where little comes', () => {
    const usual = all(byHand(goodShop()), but('receiver', { sumpM3: 5e-3 }));
    expect(interval(usual, 'receiver', 'M01')).toMatchObject({ days: 1, by: 'days' });
    const humid = all(byHand(goodShop()), place('in', 32), place('room', 32), (p) => ({
      ...p,
      survey: { ...p.survey, places: p.survey.places.map((x) => ({ ...x, relativeHumidity: 0.85 })) },
    }));
    const often = interval(humid, 'receiver', 'M01');
    expect(often.days).toBeLessThan(1);
    expect(why(often)).toMatch(/^every \d+ h.*, not daily: dew point of the intake air 29/);
    const winter = all(byHand(goodShop()), but('receiver', { sumpM3: 5e-3 }), place('in', -15), place('room', 5));
    expect(interval(winter, 'receiver', 'M01')).toMatchObject({ days: 7 });
  });

  test('by loaded hours where these come first: 500 h of oil in a shop that runs day and night (by hand)', () => {
    const day = working({ days: [1, 2, 3, 4, 5, 6, 7], startsAtH: 0, endsAtH: 24, loadedShare: 0.5 })(goodShop());
    expect(interval(day, 'compressor', 'M06').days).toBeCloseTo(500 / 12, 6);
    expect(interval(goodShop(), 'compressor', 'M06').days).toBe(180);
  });

  test('an element that drops reach lasts half, carbon without a coalescer a quarter', () => {
    const wet = all(goodShop(), but('separator', { efficiency: 0 }), but('receiver', { settlingEfficiency: 0 }));
    expect(interval(wet, 'coalescing-filter', 'M12').days / interval(goodShop(), 'fine', 'M12').days).toBeCloseTo(
      0.5,
      6,
    );
    const carbon = all(goodShop(), behind('separator', stageOf('carbon-filter')));
    expect(why(interval(carbon, 'carbon-filter', 'M14'))).toMatch(/No coalescer/);
  });

  test('beads by the hours that a charge lasts; pinned intervals hold and say so; legal ones are marked', () => {
    const beads = all(goodDry(), behind('fine', stageOf('bead-cartridge', { spentShare: 0 })));
    expect(interval(beads, 'bead-cartridge', 'M22').by).toBe('beads');
    const pinned: Plan = {
      ...goodShop(),
      routine: { ...goodShop().routine, pins: [{ stageId: 'separator', task: 'M03', days: 3 }] },
    };
    expect(interval(pinned, 'separator', 'M03')).toMatchObject({ days: 3, pinned: true });
    expect(taskById('M29')?.legal).toBe(true);
  });

  test.each([
    [1 / 4, 'every 6 h'],
    [1, 'daily'],
    [7, 'weekly'],
    [30, 'every 4 weeks'],
    [365, 'yearly'],
    [1460, 'every 4 years'],
  ])('%d days: %s', (days, words) => {
    expect(sayInterval(days)).toBe(words);
  });
});

test('starts a day go by the local barometer: in thin air a receiver holds as much pressure with less free air', () => {
  const undrained = all(
    goodShop(),
    ...['separator', 'receiver', 'coalescing-filter', 'refrigerated-dryer', 'fine'].map((id) =>
      but(id, { drain: 'none' }),
    ),
  );
  const starts = (barometerPa: number): number => {
    const plan = { ...undrained, survey: { ...undrained.survey, barometerPa } };
    return maintenanceFacts(plan, walk(plan)).startsPerDay;
  };
  expect(starts(80_000) / starts(101_325)).toBeCloseTo(80_000 / 101_325, 1); // s = V·Δp/p_a, by hand
});

describe('what is due', () => {
  const plan = begun(all(goodShop(), but('receiver', { drain: 'manual' })));

  test('daily tasks that were never logged are overdue since the routine began; done today, they are due next workday', () => {
    expect(of(due(plan), 'receiver', 'M01').state).toBe('overdue');
    const done = [{ stageId: 'receiver', task: 'M01', at: '2026-11-27T06:50' }];
    const next = of(due(plan, done), 'receiver', 'M01');
    expect(new Date(next.dueMs).toISOString().slice(0, 10)).toBe('2026-11-30'); // Saturday and Sunday are off
    expect(next.state).toBe('soon');
  });

  test.each([
    ['a Saturday', '2026-11-28T08:00', 332],
    ['29 February', '2028-02-29T08:00', 60],
    ['the day on which summer time begins', '2027-03-28T02:30', 87],
    ['the day on which it ends', '2026-10-25T02:30', 298],
    ['31 December of a leap year', '2028-12-31T23:30', 365],
  ])('on %s the year of weather is read at its day: first frost %s', (_what, now, day) => {
    const frosty = all(plan, behind('receiver', stageOf('water-cooler', {}, 'cooler')));
    const year = { frostDays: [(day + 14) % 365] } as unknown as PointYear;
    const facts = maintenanceFacts(frosty, walk(frosty), new Map([['receiver', year]]));
    const frost = dueTasks(facts, [], [], now).filter((t) => t.task.every.frost);
    expect(frost.length).toBeGreaterThan(0);
    for (const t of frost)
      expect(Math.abs(t.dueMs - Date.parse(`${now.slice(0, 10)}T12:00Z`)) / DAY_MS).toBeLessThan(4);
  });

  test('the winter list comes two weeks before the frost: on the day, and a day later', () => {
    const frosty = all(plan, behind('receiver', stageOf('water-cooler', {}, 'cooler')));
    const dueIn = (frostIn: number): number => {
      const year = { frostDays: [dayOfYear(Date.parse('2026-11-25T00:00Z')) + frostIn] } as unknown as PointYear;
      const facts = maintenanceFacts(frosty, walk(frosty), new Map([['receiver', year]]));
      const [t] = dueTasks(facts, [], [], '2026-11-25T09:00').filter((d) => d.task.every.frost);
      return Math.floor(((t?.dueMs ?? 0) - Date.parse('2026-11-25T00:00Z')) / DAY_MS);
    };
    // A Wednesday, so that no weekend moves it.
    expect([dueIn(14), dueIn(15)]).toEqual([0, 1]);
  });

  test('not begun, nothing is overdue', () => {
    expect(due(goodShop()).filter((t) => t.state === 'overdue')).toEqual([]);
  });

  test('postponed it is not asked for until then, with the reason; done in between it counts anew', () => {
    const off = [
      { stageId: 'receiver', task: 'M01', at: '2026-11-26T07:00', until: '2026-11-29T00:00', reason: 'valve on order' },
    ];
    expect(of(due(plan, [], off), 'receiver', 'M01')).toMatchObject({
      state: 'postponed',
      postponed: { reason: 'valve on order' },
    });
    expect(of(due(plan, [], off, '2026-11-29T00:01'), 'receiver', 'M01').state).toBe('overdue');
    const doneAt = (at: string) => of(due(plan, [{ stageId: 'receiver', task: 'M01', at }], off), 'receiver', 'M01');
    expect(doneAt('2026-11-26T07:00')).toMatchObject({ state: 'due' });
    expect(doneAt('2026-11-26T06:59')).toMatchObject({ state: 'postponed' });
  });

  test('an opening upstream asks for the cloth at once, and the reading downstream of it; water seen for the dew point', () => {
    const spray = all(plan, but('outlet', { use: 'spray' }));
    const done = ['M34', 'M11'].flatMap((task) =>
      ['outlet', 'coalescing-filter', 'fine'].map((stageId) => ({ stageId, task, at: '2026-11-26T08:00' })),
    );
    const facts = maintenanceFacts(spray, walk(spray));
    const at = (events: Parameters<typeof dueTasks>[4]) => dueTasks(facts, done, [], NOW, events);
    expect(of(at([]), 'outlet', 'M34').state).toBe('soon');
    const opened = at([{ stageId: 'coalescing-filter', at: '2026-11-26T15:00', what: 'opened' }]);
    expect(of(opened, 'outlet', 'M34')).toMatchObject({
      state: 'overdue',
      season: expect.stringMatching(/was opened/),
    });
    expect(of(opened, 'fine', 'M11').state).toBe('overdue');
    // What lies before it is not asked.
    expect(
      of(at([{ stageId: 'fine', at: '2026-11-26T15:00', what: 'opened' }]), 'coalescing-filter', 'M11').state,
    ).toBe('soon');
    expect(
      of(at([{ stageId: 'refrigerated-dryer', at: '2026-11-26T15:00', what: 'wet' }]), 'refrigerated-dryer', 'M16')
        .state,
    ).toBe('overdue');
  });

  test('a reading asks for the change: drop over a clean element at its flow, beads spent, dew point above its band', () => {
    const own = all(plan, behind('fine', stageOf('bead-cartridge')));
    const facts = maintenanceFacts(own, walk(own));
    const at = '2026-11-26T08:00';
    const clean = { value: 8e3, low: 4e3, high: 12e3 };
    const state = (signals: Parameters<typeof dueTasks>[5], stageId: string, task: string) =>
      of(dueTasks(facts, [], [], NOW, [], signals), stageId, task).state;
    const drop = (value: number) => [
      { stageId: 'coalescing-filter', of: 'pressure-drop' as const, at, value, expected: clean },
    ];
    expect(state(drop(3e4), 'coalescing-filter', 'M12')).toBe('later');
    // 7 psi over a clean one at rated flow: within the 5–10 psi of the handbook.
    expect(state(drop(8e3 + 4.9e4), 'coalescing-filter', 'M12')).toBe('overdue');
    const beads = (value: number) => [{ stageId: 'bead-cartridge', of: 'spent' as const, at, value, expected: null }];
    expect(state(beads(0.65), 'bead-cartridge', 'M22')).toBe('overdue');
    const dew = [
      {
        stageId: 'refrigerated-dryer',
        of: 'dew-point' as const,
        at,
        value: 15,
        expected: { value: 5, low: 1, high: 9 },
      },
    ];
    expect(state(dew, 'refrigerated-dryer', 'M16')).toBe('overdue');
    // Changed since, it asks for nothing.
    const done = [{ stageId: 'coalescing-filter', task: 'M12', at: '2026-11-26T09:00' }];
    expect(of(dueTasks(facts, done, [], NOW, [], drop(9e4)), 'coalescing-filter', 'M12').state).toBe('later');
  });

  test('an hour meter that was read moves what comes by hours: 500 h, 400 run since at 20 a day, are due in 5 days (by hand)', () => {
    const facts = maintenanceFacts(plan, walk(plan));
    const read = (at: string, hours: number) => ({
      stageId: 'compressor',
      of: 'hours' as const,
      at,
      value: hours * 3600,
      expected: null,
    });
    const done = [{ stageId: 'compressor', task: 'M06', at: '2026-11-07T07:00' }];
    const oil = (...signals: ReturnType<typeof read>[]) =>
      of(dueTasks(facts, done, [], NOW, [], signals), 'compressor', 'M06');
    const metered = oil(read('2026-11-27T07:00', 1400), read('2026-11-07T07:00', 1000));
    expect(dueTime(metered).slice(0, 10)).toBe('2026-12-02');
    expect(metered.season).toContain('20.0 h a day');
    // One reading tells no rate; a meter that goes backwards is another meter.
    expect(oil(read('2026-11-27T07:00', 1400)).dueMs).toBe(oil().dueMs);
    expect(oil(read('2026-11-27T07:00', 10), read('2026-11-07T07:00', 1000)).dueMs).toBe(oil().dueMs);
  });

  test('the limit in a trend is the value at which the reading asks for the change, no less', () => {
    const stage = tasksOfStages(plan).find((c) => c.stage.id === 'coalescing-filter')?.stage;
    if (!stage) throw new Error('no coalescer');
    const expected = { value: 8e3, low: 4e3, high: 12e3 };
    const limit = limitOf(stage, 'pressure-drop', expected) as number;
    const state = (value: number) =>
      of(
        dueTasks(
          maintenanceFacts(plan, walk(plan)),
          [],
          [],
          NOW,
          [],
          [{ stageId: stage.id, of: 'pressure-drop', at: '2026-11-26T08:00', value, expected }],
        ),
        stage.id,
        'M12',
      ).state;
    expect([state(limit - 1), state(limit)]).toEqual(['later', 'overdue']);
    expect(limitOf(stage, 'temperature', expected)).toBeUndefined();
  });

  test('what is postponed, or could not be done, opens nothing; done, changed and dried does', () => {
    const entry = (more: Partial<LoggedEntry>): LoggedEntry => ({
      ...logEntrySchema.parse({
        id: '00000000-0000-4000-8000-000000000001',
        kind: 'done',
        stageId: 'coalescing-filter',
        task: 'M12',
        measuredAt: '2026-11-20T08:00',
        who: 'me',
        what: 'x',
        until: '2026-12-01T08:00',
      }),
      stageName: '',
      enteredAt: '',
      expected: [],
      ...more,
    });
    const opens = (more: Partial<LoggedEntry>) => openingsOf([entry(more)]).map((e) => e.what);
    expect(opens({})).toEqual(['opened']);
    expect(opens({ kind: 'regeneration', task: null })).toEqual(['opened']);
    expect(opens({ kind: 'put-off' })).toEqual([]);
    expect(opens({ result: 'could-not' })).toEqual([]);
  });

  test('a task left out is gone, another stays', () => {
    const without: Plan = {
      ...plan,
      routine: { ...plan.routine, leftOut: [{ stageId: 'receiver', task: 'M28', reason: 'rented' }] },
    };
    expect(due(without).some((t) => t.key === taskKey('receiver', 'M28'))).toBe(false);
    expect(due(without).length).toBe(due(plan).length - 1);
  });

  test('a season moves the dates: the wet month to come brings the drain forward, frost brings the winter list', () => {
    const weather = {
      temperatureC: Float64Array.from({ length: 8760 }, (_, h) =>
        h < 24 * 40 || h > 24 * 340 ? -8 : h > 24 * 150 && h < 24 * 250 ? 33 : 12,
      ),
      relativeHumidity: Float64Array.from({ length: 8760 }, (_, h) => (h > 24 * 150 && h < 24 * 250 ? 0.8 : 0.4)),
    };
    const own = all(plan, but('receiver', { drain: 'manual', sumpM3: 1.2e-3 }), place('in', 0), (p) => ({
      ...p,
      survey: {
        ...p.survey,
        places: p.survey.places.map((x) => ({
          ...x,
          relativeHumidity: 0.3,
          year: { follows: 'outdoors', lagS: 0, warmerK: 0, heatedToC: 0 } as const,
        })),
      },
    }));
    const ran = runWeather(own, weather, { year: 2026 }) as WeatherRun;
    const years = new Map(['receiver', 'separator'].map((id) => [id, pointYear(ran, id) as never]));
    const facts = maintenanceFacts(own, walk(own), years);
    const summer = dueTasks(
      facts,
      [{ stageId: 'receiver', task: 'M01', at: '2026-07-01T07:00' }],
      [],
      '2026-07-01T08:00',
    );
    const inSummer = of(summer, 'receiver', 'M01');
    expect(inSummer.season).toMatch(/wetter/);
    const autumn = dueTasks(facts, [], [], '2026-11-27T07:00');
    expect(of(autumn, 'compressor', 'M39')).toMatchObject({
      season: expect.stringMatching(/first frost about 7 Dec/),
      state: 'overdue',
    });
  });

  test('beads are changed when the water that came has spent them, not by the share that was typed once', () => {
    const own = demoPlan();
    const spent = Date.UTC(2026, 10, 20);
    const due = (spentAt?: ReadonlyMap<string, number>) =>
      dueTasks(maintenanceFacts(own, walk(own), new Map(), spentAt), [], [], '2026-11-23T08:00').find(
        (t) => t.stage.kind === 'bead-cartridge' && t.task.id === 'M22',
      );
    const place = due()?.stage.id ?? '';
    expect(due(new Map([[place, spent]]))).toMatchObject({ state: 'overdue', season: expect.stringMatching(/water/) });
    expect(due(new Map([[place, spent + 30 * 86_400_000]]))?.state).toBe('later');
  });

  test('a change that is logged without its task does it: how far the old charge was exhausted asks for nothing more', () => {
    const own = demoPlan();
    const change: LoggedEntry = {
      ...logEntrySchema.parse({
        id: crypto.randomUUID(),
        kind: 'change',
        stageId: 'press-beads',
        measuredAt: '2026-11-20T08:00',
        who: 'x',
        readings: [{ of: 'spent', value: 1 }],
      }),
      stageName: '',
      enteredAt: '',
      expected: [null],
    };
    const due = (entries: LoggedEntry[]) =>
      dueTasks(
        maintenanceFacts(own, walk(own)),
        lastDone(entries, []),
        [],
        '2026-11-20T10:00',
        [],
        signalsOf(entries),
      ).find((t) => t.stage.id === 'press-beads' && t.task.id === 'M22');
    expect(due([change])).toMatchObject({ last: '2026-11-20T08:00' });
    expect(due([change])?.state).not.toBe('overdue');
    expect(due([{ ...change, kind: 'reading' }])?.season).toMatch(/exhausted to 100 %/);
  });

  test('never more often than its shortest trigger, never rarer than its longest (law)', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.05, max: 1, noNaN: true }),
        fc.constantFrom(goodShop(), goodDry(), goodPlant()),
        (loadedShare, base) => {
          const p = working({ loadedShare })(base);
          const facts = maintenanceFacts(p, walk(p));
          for (const { stage, task } of tasksOfStages(p)) {
            const i = intervalOf(facts, stage, task);
            const days = i.triggers.map((t) => t.days);
            expect(i.days).toBeCloseTo(Math.min(...days), 9);
            expect(i.days).toBeGreaterThan(0);
            expect(why(i)).not.toMatch(/NaN|undefined|Infinity/);
          }
        },
      ),
      { numRuns: 25 },
    );
  });
});

describe('rounds', () => {
  const plan = begun(goodShop());

  test('what is done as the line runs is one walk, in the order of the way; what needs it stopped is one shutdown', () => {
    const rounds = roundsOf(plan, due(plan), siteTimeMs(NOW));
    const walkRound = rounds.find((r) => r.id === 'round');
    expect(walkRound?.tasks.every((t) => !t.task.isolates)).toBe(true);
    const way = routeOf(plan);
    const places = (walkRound?.tasks ?? []).map((t) => way.indexOf(t.stage.id));
    expect(places).toEqual([...places].sort((a, b) => a - b));
    const stop = rounds.find((r) => r.id === 'shutdown');
    expect(stop?.tasks.every((t) => t.task.isolates)).toBe(true);
    expect(stop?.tasks.length ?? 0).toBeGreaterThan(1);
    const last = Math.max(...(stop?.tasks ?? []).map((t) => t.dueMs));
    expect(last - (stop?.dueMs ?? 0)).toBeLessThan(60 * DAY_MS);
  });

  test('the route is the person’s; a stage that is new comes behind', () => {
    const own: Plan = { ...plan, routine: { ...plan.routine, way: ['receiver', 'compressor', 'gone'] } };
    expect(routeOf(own).slice(0, 2)).toEqual(['receiver', 'compressor']);
    expect(routeOf(own)).toHaveLength(routeOf(plan).length);
  });

  test('hours a month: minutes by how often (by hand)', () => {
    const tasks = [
      { task: { minutes: 3 }, interval: { days: 1 } },
      { task: { minutes: 60 }, interval: { days: 30.4 } },
    ] as never;
    expect(hoursPerMonth(tasks)).toBeCloseTo((3 / 60) * 30.4 + 1, 9);
  });

  test('service of a twin tower at the normal level, by hand: dew point, a cycle timed, purge, silencer, beads', () => {
    const perDay = 60 / 365 + 30 / 180 + 15 / 365 + 25 / 270 + 240 / 1460;
    expect(usualServiceMinutes('twin-tower')).toBeCloseTo(30.4 * perDay, 9);
  });
});

test('a hose asks to be emptied where it hangs in low loops, not where it falls to its end', () => {
  const hose = (hangs: string) =>
    tasksOfStages(all(goodShop(), behind('regulator', stageOf('hose', { hangs: hangs as 'loops' }))))
      .filter((c) => c.stage.id === 'hose')
      .map((c) => c.task.does);
  expect(hose('loops').length).toBe(hose('falls').length + 1);
});

test('a home-made housing is a place of beads while it is filled with gel', () => {
  const filled = (filling: 'gel' | 'clay') =>
    beadPlaces(all(goodShop(), behind('regulator', stageOf('home-made-housing', { filling })))).length;
  expect([filled('gel'), filled('clay')]).toEqual([1, 0]);
});

test('postponed until a time it is asked for from that time on', () => {
  const plan = begun(goodShop());
  const [first] = due(plan);
  if (!first) throw new Error('nothing is due');
  const until = (time: string) =>
    due(plan, [], [{ stageId: first.stage.id, task: first.task.id, at: '2026-11-02T08:00', until: time, reason: 'x' }])
      .filter((t) => t.key === first.key)
      .map((t) => t.state === 'postponed');
  expect(until('2026-11-27T07:01')).toEqual([true]);
  expect(until(NOW)).toEqual([false]);
});

test('a reel without a drain is blown out as a hose in loops is; one with a drain is drained', () => {
  const tasks = (kind: 'hose-reel' | 'cooling-run', p: object): string[] =>
    tasksOfStages(all(goodShop(), behind('fine', stageOf(kind, p))))
      .filter((t) => t.stage.kind === kind)
      .map((t) => t.task.does);
  expect(tasks('hose-reel', { drain: 'none' })).toContain('Blow out its low loops');
  expect(tasks('hose-reel', { drain: 'manual' })).not.toContain('Blow out its low loops');
  expect(tasks('cooling-run', { drain: 'none', legs: 1 })).toContain('Blow out its low loops');
  expect(tasks('cooling-run', { drain: 'none', legs: 0 })).not.toContain('Blow out its low loops');
  expect(tasks('cooling-run', { drain: 'manual', legs: 1 })).not.toContain('Blow out its low loops');
});

test('a spent charge moves the task that renews it, and no other', () => {
  const plan = begun(all(goodDry(), behind('fine', stageOf('bead-cartridge', { spentShare: 0 }))));
  const at = (spentAt: ReadonlyMap<string, number>) =>
    new Map(dueTasks(maintenanceFacts(plan, walk(plan), new Map(), spentAt), [], [], NOW).map((t) => [t.key, t.dueMs]));
  const [without, spent] = [at(new Map()), at(new Map([['bead-cartridge', siteTimeMs(NOW) + 3 * DAY_MS]]))];
  expect([...without.keys()].filter((key) => spent.get(key) !== without.get(key))).toEqual(['bead-cartridge M22']);
});

test('what a level leaves out comes back where it is pinned, there and for that task alone', () => {
  const at = (pins: Plan['routine']['pins']): string[] =>
    tasksOfStages({ ...goodShop(), routine: { ...goodShop().routine, level: 'essential', pins } }).map((t) =>
      taskKey(t.stage.id, t.task.id),
    );
  const usual = at([]);
  expect(usual).not.toContain('fine M11');
  expect(at([{ stageId: 'fine', task: 'M11', days: 7 }])).toEqual(expect.arrayContaining([...usual, 'fine M11']));
  expect(at([{ stageId: 'fine', task: 'M11', days: 7 }])).toHaveLength(usual.length + 1);
});

test('without anything to drain, and without a tank, nothing starts in a day that is counted', () => {
  const bare = planOf({}, stageOf('outlet'));
  expect(maintenanceFacts(bare, walk(bare)).startsPerDay).toBe(0);
});

test('only what needs no shutdown is no shutdown; nothing is no round', () => {
  const plan = begun(goodShop());
  const running = due(plan).filter((t) => !t.task.isolates);
  expect(roundsOf(plan, running, siteTimeMs(NOW)).map((r) => r.id)).toEqual(['round']);
  expect(roundsOf(plan, [], siteTimeMs(NOW))).toEqual([]);
});

test('minutes a week are those of a month by its days, at the level that is asked for (by hand)', () => {
  const facts = maintenanceFacts(goodShop(), walk(goodShop()));
  const all = tasksOfLine(facts).reduce((sum, { task, interval: i }) => sum + (task.minutes * 7) / i.days, 0);
  expect(minutesPerWeek(facts, 'thorough')).toBeCloseTo(all, 6);
  expect(minutesPerWeek(facts, 'essential')).toBeLessThan(minutesPerWeek(facts, 'normal'));
  expect(minutesPerWeek(facts, 'normal')).toBeLessThan(all);
});
