import type { Drain } from '../equipment/shared/drain-fields';
import { walk } from '../line/walk';
import type { Plan } from '../plan/plan';
import { all, behind, but, goodShop, site } from '../test/good-lines';
import { stageOf } from '../test/plan-of';
import { steady } from '../test/synthetic-year';
import { runWeather, type WeatherRun } from '../year/run-weather';
import { howOften } from './by-hand';
import { collectingStages, type DrainDuty, dutyOf, pressureHours } from './duty';
import { judgeSetting } from './judge-setting';
import { oilyWater } from './oily-water';
import { pointYear } from './point-year';
import { twoSeasons } from './seasons';
import { setTimer, timerAt } from './timer';
import { bestTimer, timerDuty, timerLossPerDay, waysToDrain } from './ways';
import { weekPlan } from './week-plan';

// Limits of the drains from both sides; each is of the trade handbook or an estimate, as stated there.
const WORKED_S = 9 * 3600; // of a day of the good shop
const LOADED = 0.4;

const plan = all(goodShop(), site({ remembers: 'daily' }));
const dutyAt = (line: Plan, id: string): DrainDuty => {
  const stage = collectingStages(line).find((s) => s.id === id);
  return dutyOf(line, walk(line), stage as never) as DrainDuty;
};
const duty = (change: Partial<DrainDuty> = {}): DrainDuty => ({ ...dutyAt(plan, 'separator'), ...change });
const suits = (drain: Drain, change: Partial<DrainDuty>): number =>
  waysToDrain(duty(change)).find((w) => w.drain === drain)?.suits as number;

test('by hand: at most three visits a day suit, more than eight are nobody’s routine', () => {
  const perDay = (visits: number) => ({
    peakKgPerS: (visits * duty().stage.parameters.sumpM3 * 1000) / (WORKED_S * LOADED),
  });
  expect([2.99, 3.01].map((n) => suits('manual', perDay(n)))).toEqual([3, 1]);
  expect([7.99, 8.01].map((n) => suits('manual', perDay(n)))).toEqual([1, 0]);
});

test.each([
  [8.01, 1, false, 'more often than is practical: fit an automatic drain'],
  [7.99, 1, false, 'every 1 h'],
  [3.01, 1, false, 'every 2 h'],
  [2.99, 1, false, 'three times a day'],
  [2.01, 1, false, 'three times a day'],
  [1.99, 1, false, 'twice a day'],
  [1.01, 1, false, 'twice a day'],
  [0.99, 1, false, 'daily'],
  [0.1, 0.0501, false, 'daily'],
  [0.1, 0.0499, false, 'weekly'],
  [0.201, 0.01, false, 'daily'],
  [0.199, 0.01, false, 'weekly'],
  [0, 0, false, 'look weekly; nothing is expected'],
  [3.01, 1, true, 'every hour, also while it idles'],
  [2.99, 1, true, 'each shift, also while it idles'],
] as const)('%d fills a day of %d kg, brine %s: %s', (perDay, kg, salty, says) => {
  expect(howOften(perDay, kg, salty)).toBe(says);
});

test('a float passes half of what 2 mm would, with a margin of two; under 5 mL an hour its seat runs dry', () => {
  const d = duty();
  // Q = 0.61·A·√(2·Δp/ρ), by hand.
  const gaugePa = d.station.pressurePa - d.atmosphericPa;
  const most = 0.5 * 0.61 * (Math.PI / 4) * 0.002 ** 2 * Math.sqrt((2 * gaugePa) / 1000) * 1000;
  const sound = { rusty: false, emulsion: false, coldestC: 10 };
  const at = (peakKgPerS: number) => suits('float', { ...sound, nowKgPerS: 1e-4, peakKgPerS });
  expect([at((most / 2) * 0.999), at((most / 2) * 1.001)]).toEqual([3, 0]);
  const mLPerH = 1e-3 / 3600;
  const seals = (now: number, peak: number) =>
    suits('float', { ...sound, nowKgPerS: now * mLPerH, peakKgPerS: peak * mLPerH });
  expect([seals(4.99, 19.9), seals(5.01, 19.9), seals(4.99, 20.1)]).toEqual([1, 3, 3]);
  const float = dutyAt(but('separator', { drain: 'float' })(plan), 'separator');
  const better = (mL: number) => judgeSetting({ ...float, nowKgPerS: mL * mLPerH, peakKgPerS: 1e-4 }).better;
  expect([better(4.99), better(5.01)]).toEqual(['test it weekly; by hand does as well', 'test it weekly']);
  const judged = (peakKgPerS: number) => judgeSetting({ ...float, peakKgPerS }).mark;
  expect([judged(most * 0.999), judged(most * 1.001)]).toEqual(['holds', 'over']);
});

test('a timer loses half a per cent of the air at best, one at most; a strainer lets half of the water through', () => {
  const wide = duty({ power: 'yes', hazardous: false, emulsion: false, peakKgPerS: 1e-4, nowKgPerS: 1e-4 });
  const lost = bestTimer(wide)?.lostKgPerS ?? 0;
  const at = (share: number) => suits('timer', { ...wide, deliveredKgPerS: lost / share });
  expect([0.00499, 0.00501, 0.00999, 0.01001].map(at)).toEqual([3, 2, 2, 1]);
  const out = (strained: boolean) => timerAt(timerDuty({ ...wide, strained }), { everyS: 600, openS: 5 }).liquidS;
  expect(out(true) / out(false)).toBeCloseTo(2, 9);
});

test('a timer is set for a sump half full, open half a second longer than the water takes, a second at least', () => {
  const set = (fill: number, liquidS: number) => {
    const own = timerDuty(duty());
    const sumpM3 = 1e-4;
    const peakKgPerS = (fill * sumpM3 * 1000) / 300; // half full after five minutes
    const { liquidS: takes } = timerAt({ ...own, sumpM3, peakKgPerS }, { everyS: 300, openS: 1 });
    return setTimer({ ...own, sumpM3, peakKgPerS, boreM: own.boreM * Math.sqrt(takes / liquidS) });
  };
  expect([set(0.499, 0.9)?.everyS, set(0.501, 0.9)?.everyS]).toEqual([300, 240]);
  expect([set(0.499, 0.999)?.openS, set(0.499, 1.001)?.openS]).toEqual([1.5, 2]);
  expect([set(0.499, 0.001)?.openS, setTimer({ ...timerDuty(duty()), peakKgPerS: 0 })?.openS]).toEqual([1, 1]);
});

test('a drain without loss pays over 100 cfm, or from 4000 hours a year', () => {
  const at = (cfm: number, workedHoursPerYear: number) =>
    suits('level', { coldestC: 10, deliveredKgPerS: (cfm * 4.719474e-4) / duty().m3PerKg, workedHoursPerYear });
  expect([at(99.9, 3999), at(100.1, 3999), at(99.9, 4000)]).toEqual([2, 3, 3]);
});

test('what opens at each stop passes twice what gathers, or has no margin, or is not enough', () => {
  const ahead = duty({ blownOut: true, behindTank: false });
  const per = (gathers: number) => {
    const sumpM3 = ahead.stage.parameters.sumpM3;
    const perLoad = (gathers * sumpM3 * 1000) / (ahead.cycle?.loadedS ?? 1);
    return suits('unloader', { ...ahead, peakKgPerS: perLoad });
  };
  expect([0.499, 0.501, 0.999, 1.001].map(per)).toEqual([3, 2, 2, 0]);
});

test('the design hour of a year is exceeded in 35 hours of it, 0.4 % (ASHRAE’s design days)', () => {
  const ran = runWeather(plan, steady(20, 0.6), { year: 2026 }) as WeatherRun;
  const worked = Array.from(ran.load.keys()).filter((h) => (ran.load[h] as number) > 0);
  const design = (wetHours: number) => {
    const figures = new Float32Array(ran.figures);
    const n = ran.stages.length;
    const i = ran.stages.findIndex((s) => s.id === 'separator');
    for (const [k, h] of worked.entries()) figures[(h * n + i) * 7 + 5] = k < wetHours ? 2 : 1;
    return pointYear({ ...ran, figures }, 'separator')?.design.value;
  };
  expect([design(35), design(36)]).toEqual([1, 2]);
});

describe('two seasons', () => {
  const year = (humid: number, dry: number) => Array.from({ length: 365 }, (_, d) => (d < humid ? 1 : dry));
  test('are worth the walk where they lose less than three quarters of one setting', () => {
    // Half a year each: (183·1 + 182·dry) / 365 of the one setting.
    const worth = (cost: number) => twoSeasons(year(183, (cost * 365 - 183) / 182)) !== undefined;
    expect([worth(0.749), worth(0.751)]).toEqual([true, false]);
  });
  test('are 28 days long at least', () => {
    const dryDays = (n: number) => twoSeasons(year(365 - n, 0));
    // So short a season is worth nothing by itself: looked at the other way round, the humid one is the short one.
    expect(dryDays(120)).toMatchObject({ dryFrom: 245, humidFrom: 0 });
    const humid = (n: number) => {
      const s = twoSeasons(year(n, 0));
      return s && (s.dryFrom - s.humidFrom + 365) % 365;
    };
    expect([humid(27), humid(28), humid(29)]).toEqual([28, 28, 29]);
  });
});

test('a week asks for more visits by hand only for 15 % more water than today', () => {
  const line = but('separator', { drain: 'manual' })(plan);
  const own = dutyAt(line, 'separator');
  const ran = runWeather(line, steady(24, 0.55, 168), { startMs: Date.UTC(2026, 10, 30) }) as WeatherRun;
  const changes = (times: number) => {
    // Today it is full twice a day; each day of the week so many times that.
    const sumpM3 = (own.nowKgPerS * WORKED_S * LOADED) / 1000 / 2;
    const stage = { ...own.stage, parameters: { ...own.stage.parameters, sumpM3 } };
    const figures = ran.figures.map((v, k) => (k % 7 === 5 ? own.nowKgPerS * times : v));
    return weekPlan([{ ...own, stage } as DrainDuty], { ...ran, figures }, 0).length;
  };
  expect([changes(1.145), changes(1.155)]).toEqual([0, 1]);
});

test('carbon holds a tenth of its mass in oil, of which 100 mg/L are left in the water (by hand)', () => {
  const line = behind('fine', stageOf('oil-water-separator', { carbonKg: 0.5 }))(plan);
  const oily = oilyWater(line, walk(line), runWeather(line, steady(25, 0.7), { year: 2026 }) as WeatherRun);
  const toCarbonKg = (0.1 * (oily?.yearKg ?? 0)) / 1000;
  expect((oily?.carbonLastsS ?? 0) / ((0.1 * 0.5) / toCarbonKg / (1 / (365 * 86_400)))).toBeCloseTo(1, 9);
});

test('a year has fifty weeks of work', () => {
  expect([duty().workedDaysPerYear, duty().workedHoursPerYear]).toEqual([250, 250 * 9]);
});

test('what a timer blows away is the time without water: twice the interval halves it, water takes its part off', () => {
  const d = duty();
  const dry = timerLossPerDay(d, { everyS: 600, openS: 5 }, 0);
  expect(timerLossPerDay(d, { everyS: 1200, openS: 5 }, 0) / dry).toBeCloseTo(0.5, 9);
  const { blowsKgPerS, liquidS } = timerAt(timerDuty(d, d.nowKgPerS), { everyS: 600, openS: 5 });
  const openings = (hours: number) => (hours * 3600) / 600;
  const wet = blowsKgPerS * (openings(pressureHours(d)) * 5 - openings(d.loadedHoursPerDay) * Math.min(liquidS, 5));
  expect(timerLossPerDay(d, { everyS: 600, openS: 5 })).toBeCloseTo(wet, 9);
  expect(wet).toBeLessThan(dry);
});
