import { sayIn as said } from '../advice/rule';
import { handDays } from '../drains/drain-work';
import type { PointYear } from '../drains/point-year';
import { walk } from '../line/walk';
import type { Plan } from '../plan/plan';
import { stageById } from '../plan/runs';
import { DAY_MS } from '../quantity/constants';
import { say as inUnits } from '../quantity/format';
import { all, behind, but, goodDry, goodShop, place, without } from '../test/good-lines';
import { stageOf } from '../test/plan-of';
import { type DueTask, dueTasks } from './due';
import { maintenanceFacts } from './facts';
import { type Interval, intervalOf } from './interval';
import { taskKey } from './line-tasks';
import { roundsOf } from './rounds';
import { taskById } from './tasks';

// The limits of due dates, rounds and intervals from both sides; each is an estimate or of the trade handbook, as stated there.
const NOW = '2026-11-25T09:00'; // a Wednesday, so that no weekend moves anything
const TODAY_MS = Date.parse('2026-11-25T00:00Z');
const factsOf = (plan: Plan) => maintenanceFacts(plan, walk(plan));
const interval = (plan: Plan, stageId: string, task: string): Interval =>
  intervalOf(factsOf(plan), stageById(plan, stageId) as never, taskById(task) as never);
const why = (i: Interval): string => i.why.map((w) => said(w, (si, q) => inUnits(si, q))).join(' ');

test('a sump is emptied at 80 % of its fill, hourly at most; with less than 50 mL a day weekly', () => {
  expect(handDays(1, 1.24, 1, false)).toEqual({ days: 1.24 * 0.8, water: 'sooner' });
  expect(handDays(1, 1.26, 1, false)).toEqual({ days: 1 });
  expect(handDays(1, 0.04, 1, false).days).toBeCloseTo(1 / 24, 12);
  expect(handDays(1, 0.06, 1, false).days).toBeCloseTo(0.06 * 0.8, 12);
  expect(handDays(1, 99, 0.051, false).days).toBe(1);
  expect(handDays(1, 99, 0.049, false).days).toBe(7);
});

/** The separator's try, done so many days ago, every so many days. */
function tried(agoDays: number, everyDays: number): DueTask {
  const shop = goodShop();
  const pins = [{ stageId: 'separator', task: 'M03', days: everyDays }];
  const plan: Plan = { ...shop, routine: { ...shop.routine, startedOn: '2026-01-01', pins } };
  const at = new Date(TODAY_MS - agoDays * DAY_MS).toISOString().slice(0, 16);
  const tasks = dueTasks(factsOf(plan), [{ stageId: 'separator', task: 'M03', at }], [], NOW);
  return tasks.find((t) => t.key === taskKey('separator', 'M03')) as DueTask;
}

test('soon is within seven days', () => {
  expect(tried(1, 7.5).state).toBe('soon');
  expect(tried(1, 8.5).state).toBe('later');
  expect([tried(1, 0.9).state, tried(1, 1.1).state, tried(1, 2.1).state]).toEqual(['overdue', 'due', 'soon']);
});

test.each([
  ['coalescing-filter', 'M12', 'pressure-drop', 7 * 6894.757], // 5–10 psi over a clean one, trade handbook
  ['particulate-filter', 'M13', 'pressure-drop', 40e3],
  ['bead-cartridge', 'M22', 'spent', 0.6],
] as const)('%s: %s at its reading', (stageId, id, of, limit) => {
  const plan = all(goodDry(), behind('fine', stageOf('bead-cartridge', { massKg: 400 })));
  const expected = of === 'spent' ? null : { value: 8e3, low: 4e3, high: 12e3 };
  const state = (over: number) => {
    const value = (expected?.value ?? 0) + over;
    const signals = [{ stageId, of, at: '2026-11-24T08:00', value, expected }];
    return dueTasks(factsOf(plan), [], [], NOW, [], signals).find((t) => t.key === taskKey(stageId, id))?.state;
  };
  expect([state(limit * 0.99), state(limit * 1.01)]).toEqual(['later', 'overdue']);
});

test('never done, what comes within a day and a half is due at once, the rest after its interval', () => {
  const state = (days: number) => {
    const shop = goodShop();
    const routine = { ...shop.routine, startedOn: '2026-11-25', pins: [{ stageId: 'separator', task: 'M03', days }] };
    const tasks = dueTasks(factsOf({ ...shop, routine }), [], [], NOW);
    return tasks.find((t) => t.key === taskKey('separator', 'M03'))?.state;
  };
  expect([state(1.45), state(1.55)]).toEqual(['due', 'soon']);
});

test('the winter list, done within 200 days, is done for this winter', () => {
  const plan = all(goodShop(), behind('receiver', stageOf('water-cooler', {}, 'cooler')));
  const year = { frostDays: [330] } as unknown as PointYear; // of the year, some days from now
  const facts = maintenanceFacts(plan, walk(plan), new Map([['receiver', year]]));
  const [winter] = dueTasks(facts, [], [], NOW).filter((t) => t.task.every.frost);
  const { stage, task } = winter as DueTask;
  const dueIn = (agoDays: number): number => {
    const at = new Date(Date.parse(`${NOW}Z`) - agoDays * DAY_MS).toISOString().slice(0, 16);
    const tasks = dueTasks(facts, [{ stageId: stage.id, task: task.id, at }], [], NOW);
    return ((tasks.find((t) => t.key === taskKey(stage.id, task.id))?.dueMs ?? 0) - TODAY_MS) / DAY_MS;
  };
  expect(dueIn(199)).toBeGreaterThan(100);
  expect(dueIn(201)).toBeLessThan(10);
});

describe('rounds', () => {
  const task = (days: number, dueInDays: number, isolates: boolean): DueTask =>
    ({
      key: `${days} ${dueInDays}`,
      stage: goodShop().stages[3],
      task: { minutes: 10, isolates },
      interval: { days },
      dueMs: TODAY_MS + dueInDays * DAY_MS,
      state: 'later',
    }) as unknown as DueTask;
  const round = (...tasks: DueTask[]) => roundsOf(goodShop(), tasks, TODAY_MS);

  test('what is due within 15 % of its own interval is done along the way', () => {
    const along = (dueInDays: number) => round(task(7, 0, false), task(100, dueInDays, false))[0]?.tasks.length;
    expect([along(15.9), along(16.1)]).toEqual([2, 1]); // 15 days from the end of today
  });

  test('one shutdown serves what is due within 30 days of it, and costs its isolation of 15 min once', () => {
    const shutdown = (dueInDays: number) => round(task(365, 5, true), task(365, dueInDays, true))[0];
    expect(shutdown(34.9)).toMatchObject({ minutes: 10 + 10 + 15 });
    expect(shutdown(35.1)).toMatchObject({ minutes: 10 + 15 });
  });
});

test('beads that come more often than every 14 days say what would make them last', () => {
  const dryer = (massKg: number) => all(goodDry(), behind('fine', stageOf('bead-cartridge', { massKg })));
  const days = (massKg: number) => interval(dryer(massKg), 'bead-cartridge', 'M22').days;
  let [few, many] = [0.01, 400];
  expect([days(few) < 14, days(many) > 14]).toEqual([true, true]);
  for (let i = 0; i < 30; i++) {
    const middle = Math.sqrt(few * many);
    if (/makes it last/.test(why(interval(dryer(middle), 'bead-cartridge', 'M22')))) few = middle;
    else many = middle;
  }
  expect(days(few)).toBeCloseTo(14, 1);
});

test('carbon without a coalescer lasts a quarter; heated desiccant three quarters of heatless', () => {
  const carbon = behind('refrigerated-dryer', stageOf('carbon-filter'));
  const days = (...gone: string[]) =>
    interval(all(goodShop(), carbon, without('fine', ...gone)), 'carbon-filter', 'M14').days;
  expect(days('coalescing-filter') / days()).toBeCloseTo(0.25, 6);
  const heated = all(goodDry(), behind('fine', stageOf('heated-purge-tower')));
  expect(
    interval(heated, 'heated-purge-tower', 'M20').days / interval(goodDry(), 'twin-tower', 'M20').days,
  ).toBeCloseTo(0.75, 6);
});

test('the intake air is named where its dew point is 16 °C or more', () => {
  const says = (dewPointC: number): boolean => {
    // By hand, with a small sump: more often than usual. Humidity by Magnus’ formula (WMO), whose error here is under 0.05 K.
    const e = (c: number) => Math.exp((17.62 * c) / (243.12 + c));
    const plan = all(goodShop(), but('receiver', { drain: 'manual', sumpM3: 1e-4 }), place('in', 30));
    const humid: Plan = {
      ...plan,
      survey: {
        ...plan.survey,
        places: plan.survey.places.map((p) => (p.id === 'in' ? { ...p, relativeHumidity: e(dewPointC) / e(30) } : p)),
      },
    };
    return /dew point of the intake air/.test(why(interval(humid, 'receiver', 'M01')));
  };
  expect([says(15.8), says(16.2)]).toEqual([false, true]);
});
