import { type Sentence, sayIn as said } from '../advice/rule';
import { compressorCycle } from '../day/cycle';
import type { Drain } from '../equipment/shared/drain-fields';
import { airBalance } from '../line/balance';
import { walk } from '../line/walk';
import type { Plan } from '../plan/plan';
import { say as inUnits } from '../quantity/format';
import {
  all,
  behind,
  branch,
  but,
  type Edit,
  goodDry,
  goodPlant,
  goodShop,
  outdoors,
  place,
  site,
  standingIn,
  without,
  working,
} from '../test/good-lines';
import { planOf, stageOf } from '../test/plan-of';
import { steady } from '../test/synthetic-year';
import { YEAR_HOURS } from '../year/calendar';
import { runWeather, type WeatherRun } from '../year/run-weather';
import type { WeatherHours } from '../year/weather';
import { collectingStages, type DrainDuty, type DutyOfYear, dutyOf } from './duty';
import { HOW_TO_CHECK } from './how-to-check';
import { judgeSetting, panFullS } from './judge-setting';
import { oilyWater } from './oily-water';
import { pointYear } from './point-year';
import { standingWaterKg } from './restart';
import { waysToDrain } from './ways';
import { weekPlan } from './week-plan';
import { winterList } from './winter';
import { spellWork } from './words';

const words = (s: Sentence | undefined): string => (s === undefined ? '' : said(s, (si, q) => inUnits(si, q)));
function duty(plan: Plan, id: string, year?: DutyOfYear): DrainDuty {
  const stage = collectingStages(plan).find((s) => s.id === id);
  const found = stage && dutyOf(plan, walk(plan), stage, year);
  if (!found) throw new Error(`no drain at ${id}`);
  return found;
}
const suits = (plan: Plan, id: string, drain: Drain, year?: DutyOfYear): number =>
  waysToDrain(duty(plan, id, year)).find((w) => w.drain === drain)?.suits as number;
const because = (plan: Plan, id: string, drain: Drain, year?: DutyOfYear): string =>
  (waysToDrain(duty(plan, id, year)).find((w) => w.drain === drain)?.because ?? []).map(words).join(' ');
const SHOP: Edit[] = [but('receiver', { drain: 'manual' }), but('compressor', { control: 'start-stop' })];

describe('which drain suits: the table of the trade handbook, situation by situation', () => {
  test('attended small shop that starts and stops: by hand or by the unloader on the tank', () => {
    const plan = all(goodShop(), ...SHOP, site({ remembers: 'daily' }));
    expect(suits(plan, 'receiver', 'manual')).toBe(3);
    expect(suits(plan, 'receiver', 'unloader')).toBe(3);
  });

  test('forgotten: not by hand', () => {
    const plan = all(goodShop(), ...SHOP, site({ remembers: 'forgotten' }));
    expect(suits(plan, 'receiver', 'manual')).toBe(0);
    expect(waysToDrain(duty(plan, 'receiver'))[0]?.drain).not.toBe('manual');
  });

  test('rusty wet receiver: a wide port with a strainer, not a float', () => {
    const plan = all(goodShop(), but('receiver', { strainer: 'none' }));
    expect(suits(plan, 'receiver', 'float')).toBe(1);
    expect(because(plan, 'receiver', 'float')).toMatch(/Rust/);
    expect(suits(plan, 'receiver', 'timer')).toBe(3);
  });

  test('no electricity, or an explosive atmosphere: no solenoid', () => {
    expect(suits(all(goodShop(), but('receiver', { drainPower: 'no' })), 'receiver', 'timer')).toBe(0);
    expect(suits(all(goodShop(), site({ area: 'unrated' })), 'receiver', 'timer')).toBe(0);
    expect(suits(all(goodShop(), but('receiver', { drainPower: 'no' })), 'receiver', 'float')).toBeGreaterThan(0);
  });

  test('freezing spot: a timer that dumps before a float that stands in water', () => {
    const cold = { peakKgPerS: 1e-4, coldestC: -8 };
    expect(suits(goodShop(), 'separator', 'timer', cold)).toBeGreaterThan(
      suits(goodShop(), 'separator', 'float', cold),
    );
  });

  test('bowl of a coalescer: a float, not a timer, whose opening shocks the element', () => {
    const plan = all(goodShop(), but('coalescing-filter', { drain: 'manual' }));
    const wet = { peakKgPerS: 2e-5, coldestC: 15 };
    expect(suits(plan, 'coalescing-filter', 'float', wet)).toBe(3);
    expect(suits(plan, 'coalescing-filter', 'timer', wet)).toBeLessThan(2);
  });

  test('emulsion: one that opens gently', () => {
    const plan = all(goodShop(), behind('fine', stageOf('oil-water-separator', { oil: 'emulsion' })));
    expect(because(plan, 'receiver', 'timer')).toMatch(/emulsion/);
    expect(suits(plan, 'receiver', 'timer')).toBe(1);
    expect(suits(plan, 'receiver', 'level')).toBeGreaterThan(1);
  });

  test('a drain without loss pays from 100 cfm or 4,000 h a year', () => {
    expect(suits(goodShop(), 'receiver', 'level')).toBe(2);
    expect(suits(goodPlant(), collectingStages(goodPlant())[0]?.id as string, 'level')).toBe(3);
    const dayAndNight = working({ days: [1, 2, 3, 4, 5, 6, 7], startsAtH: 0, endsAtH: 24 });
    expect(suits(dayAndNight(goodShop()), 'receiver', 'level')).toBe(3);
  });

  test('what only opens without pressure never opens in a line that stays charged', () => {
    expect(suits(goodShop(), 'separator', 'pressure-loss')).toBe(0);
    const depressurised = all(goodShop(), working({ overnight: 'depressurised' }), but('separator', { sumpM3: 0.01 }));
    expect(suits(depressurised, 'separator', 'pressure-loss')).toBe(2);
  });

  test('an unloader downstream of the check valve, or of a compressor that never unloads, drains nothing', () => {
    const check = all(goodShop(), behind('aftercooler', stageOf('check-valve')));
    expect(suits(check, 'separator', 'unloader')).toBe(0);
    expect(suits(all(goodShop(), but('compressor', { control: 'speed' })), 'receiver', 'unloader')).toBe(0);
  });

  test('upstream of the check valve the unloader blows the whole sump out, not a pulse', () => {
    const plan = all(goodShop(), but('separator', { drainPulseM3: 1e-7 }), behind('separator', stageOf('check-valve')));
    expect(suits(plan, 'separator', 'unloader')).toBeGreaterThan(0);
  });

  test('every way says why and how, whatever the line', () => {
    for (const plan of [goodShop(), goodDry(), goodPlant()])
      for (const s of collectingStages(plan))
        for (const w of waysToDrain(duty(plan, s.id))) {
          expect(words(w.setting)).not.toMatch(/NaN|undefined|Infinity/);
          expect(w.because.map(words).join(' ')).not.toMatch(/NaN|undefined|Infinity/);
          expect(w.because.length).toBeGreaterThan(0);
          expect(Number.isFinite(w.kWhPerYear) && Number.isFinite(w.taskMinutes)).toBe(true);
          expect(HOW_TO_CHECK[w.drain]).toBeTruthy();
        }
  });
});

test('what gathers between two stops is the rate by the loaded time of a cycle (cycle of reference group 7)', () => {
  const plan = goodShop();
  const d = duty(plan, 'receiver');
  const { usedM3PerS, lostM3PerS } = airBalance(plan, walk(plan));
  const compressor = plan.stages[1];
  if (compressor?.kind !== 'compressor') throw new Error('no pump');
  const { cutInPa, cutOutPa, freeAirDeliveryM3PerS } = compressor.parameters;
  const cycle = compressorCycle(0.5, cutInPa, cutOutPa, freeAirDeliveryM3PerS, usedM3PerS + lostM3PerS, 101325);
  expect(d.cycle?.loadedS).toBeCloseTo(cycle.loadedS, 6);
  expect(words(waysToDrain(d).find((w) => w.drain === 'unloader')?.setting)).toMatch(/each stop/);
});

describe('a drain as it is set', () => {
  test('a timer that opens too rarely is over, one that opens too long wastes, the better one is good', () => {
    const at = (drainEveryS: number, drainOpenS: number) => {
      const plan = all(goodShop(), but('separator', { drain: 'timer', drainEveryS, drainOpenS, sumpM3: 1e-4 }));
      const judged = judgeSetting(duty(plan, 'separator'));
      return { plan, judged };
    };
    expect(at(7200, 5).judged.mark).toBe('over');
    const wasteful = at(30, 10);
    expect(wasteful.judged.mark).toBe('wastes');
    const fixed = but('separator', wasteful.judged.parameters ?? {})(wasteful.plan);
    expect(judgeSetting(duty(fixed, 'separator')).mark).toBe('holds');
    // Right in one of its two settings it is still told the other; right in both there is nothing better.
    const { drainEveryS, drainOpenS } = wasteful.judged.parameters as Record<string, number>;
    expect(at(30, drainOpenS as number).judged.parameters).toEqual({ drainEveryS, drainOpenS });
    expect(at(drainEveryS as number, 60).judged.parameters).toEqual({ drainEveryS, drainOpenS });
    expect(at(drainEveryS as number, drainOpenS as number).judged.parameters).toBeUndefined();
  });

  test('by hand: over once a day brings more than the mark, with the millimetres of this receiver', () => {
    const plan = (stands: 'upright' | 'lying', sumpM3: number) =>
      all(goodShop(), ...SHOP, but('receiver', { sumpM3, stands }));
    expect(judgeSetting(duty(plan('upright', 5e-3), 'receiver')).mark).toBe('holds');
    const over = judgeSetting(duty(plan('upright', 1e-4), 'receiver'));
    expect(over.mark).toBe('over');
    expect(words(over.better)).toMatch(/a day|every/);
    expect(words(judgeSetting(duty(plan('lying', 5e-3), 'receiver')).atSetting)).toMatch(/mark is 20\.8 mm/);
  });

  test('a pellet tower is opened each shift at the least, also while it idles', () => {
    const plan = all(goodShop(), behind('receiver', stageOf('pellet-tower', { drain: 'manual' })));
    expect(words(judgeSetting(duty(plan, 'pellet-tower')).better)).toMatch(/also while it idles/);
  });

  test('a check filter should stay dry; where nothing comes, look weekly', () => {
    const plan = all(goodShop(), (p) => ({
      ...p,
      stages: p.stages.map((s) =>
        s.id === 'fine' ? { ...s, checkFilter: true as const, parameters: { ...s.parameters, drain: 'manual' } } : s,
      ) as Plan['stages'],
    }));
    expect(judgeSetting(duty(plan, 'fine'))).toMatchObject({ mark: 'dry', better: 'look weekly' });
  });

  test('a catch pan is full when what comes has filled it', () => {
    const plan = all(goodShop(), but('separator', { panM3: 2e-3 }));
    const d = duty(plan, 'separator');
    expect(panFullS(d)).toBeCloseTo(2 / d.nowKgPerS / d.loadedShare, 6);
    expect(panFullS(duty(goodShop(), 'separator'))).toBeUndefined();
  });
});

/** A year with a humid half, from May to October. */
const halves = (dry: readonly [number, number], humid: readonly [number, number]): WeatherHours => {
  const isHumid = (h: number): boolean => h >= 120 * 24 && h < 300 * 24;
  return {
    temperatureC: Float64Array.from({ length: YEAR_HOURS }, (_, h) => (isHumid(h) ? humid[0] : dry[0])),
    relativeHumidity: Float64Array.from({ length: YEAR_HOURS }, (_, h) => (isHumid(h) ? humid[1] : dry[1])),
  };
};
const run = (plan: Plan, weather: WeatherHours): WeatherRun => runWeather(plan, weather, { year: 2026 }) as WeatherRun;

describe('by season', () => {
  const plan = all(
    goodShop(),
    outdoors,
    but('separator', { drain: 'timer', sumpM3: 3e-4 }),
    but('receiver', { drain: 'manual', sumpM3: 1e-3 }),
  );
  const year = run(plan, halves([8, 0.6], [30, 0.8]));
  const sep = pointYear(year, 'separator');
  if (!sep) throw new Error('no year');
  const d = duty(plan, 'separator', { peakKgPerS: sep.design.value, coldestC: sep.coldestC });

  test('a timer has two settings and the days to change; in the humid one it opens more often', () => {
    const { seasons } = judgeSetting(d, sep, 200);
    expect(seasons).toHaveLength(2);
    // 1 May 2026 is a Friday, 27 October a Tuesday: the humid stretch ends where the working days do.
    expect(seasons.map((s) => s.fromDay)).toEqual([120, expect.closeTo(300, -1)]);
    const every = (s: string): number => {
      const [, n, u] = /every ([\d.]+)(?: (s|min|h))/.exec(s) ?? [];
      return Number(n) * ({ s: 1, min: 60, h: 3600 }[u ?? ''] ?? Number.NaN);
    };
    expect(every(seasons[0]?.setting ?? '')).toBeLessThan(every(seasons[1]?.setting ?? ''));
  });

  test('the setting of today is of today’s season', () => {
    const set = but('separator', { drainEveryS: 3600, drainOpenS: 1.5 })(plan);
    const own = duty(set, 'separator', { peakKgPerS: sep.design.value, coldestC: sep.coldestC });
    expect(judgeSetting({ ...own, nowKgPerS: 0.03 / 3600 }, sep, 20).mark).toBe('holds');
    expect(judgeSetting({ ...own, nowKgPerS: 0.03 / 3600 }, sep, 200).mark).toBe('over');
  });

  test('by hand it is said until when', () => {
    const rcv = pointYear(year, 'receiver');
    const own = duty(plan, 'receiver', { peakKgPerS: rcv?.design.value ?? 0, coldestC: 8 });
    expect(words(judgeSetting({ ...own, nowKgPerS: 1.5e-4 }, rcv, 200).better)).toMatch(/until \d+ (Oct|Nov), then/);
  });

  test('the week that is forecast: a change before the first day on which the setting does not do', () => {
    const startMs = Date.UTC(2026, 10, 30); // a Monday
    const week: WeatherHours = {
      temperatureC: Float64Array.from({ length: 168 }, (_, h) => (h >= 48 ? 32 : 8)),
      relativeHumidity: new Float64Array(168).fill(0.8),
    };
    const set = all(plan, but('separator', { drainEveryS: 3600, drainOpenS: 2, sumpM3: 3e-4 }));
    const ran = runWeather(set, week, { startMs }) as WeatherRun;
    const [change] = weekPlan([duty(set, 'separator')], ran, 0);
    expect(change).toMatchObject({ stageId: 'separator', beforeMs: startMs + 2 * 86_400_000 });
    expect(words(change?.why)).toMatch(/would not let it all out/);
    const fixed = but('separator', change?.parameters ?? {})(set);
    expect(weekPlan([duty(fixed, 'separator')], runWeather(fixed, week, { startMs }) as WeatherRun, 0)).toEqual([]);
  });

  test('in that week a hand, an unloader and a float each ask for their own; a level sensor for nothing', () => {
    const startMs = Date.UTC(2026, 10, 30);
    const week: WeatherHours = {
      temperatureC: Float64Array.from({ length: 168 }, (_, h) => (h >= 72 ? 34 : 6)),
      relativeHumidity: new Float64Array(168).fill(0.8),
    };
    const asks = (parameters: object, change: (d: DrainDuty) => DrainDuty = (d) => d) => {
      const set = all(plan, but('separator', parameters));
      return weekPlan([change(duty(set, 'separator'))], runWeather(set, week, { startMs }) as WeatherRun, 0).map(
        (c) => [words(c.does), (c.beforeMs - startMs) / 86_400_000, words(c.why)] as const,
      );
    };
    const [hand] = asks({ drain: 'manual', sumpM3: 1e-3 });
    expect(hand?.[0]).toMatch(/^open it (twice|three times) a day|every/);
    expect(hand?.[1]).toBe(3);
    expect(hand?.[2]).toMatch(/come on that day, and it holds 1000 mL up to its mark/);
    expect(asks({ drain: 'manual', sumpM3: 0.05 })).toEqual([]);
    const [unloader] = asks({ drain: 'unloader', sumpM3: 1e-5 });
    expect([unloader?.[0], unloader?.[1]]).toEqual(['drain it by hand besides', 3]);
    expect(unloader?.[2]).toMatch(/gathers between two stops, it passes 10\.0 mL/);
    expect(asks({ drain: 'unloader', sumpM3: 1e-3 })).toEqual([]);
    expect(asks({ drain: 'float' })).toEqual([]);
    // At so little pressure a float passes hardly anything.
    const weak = (d: DrainDuty): DrainDuty => ({ ...d, station: { ...d.station, pressurePa: d.atmosphericPa + 0.02 } });
    expect(asks({ drain: 'float' }, weak).map(([does]) => does)).toEqual(['test its float']);
    expect(asks({ drain: 'level' }, weak)).toEqual([]);
  });
});

describe('oily water', () => {
  const plan = all(goodShop(), outdoors, without('oil-water-separator'), but('compressor', { type: 'piston2' }));

  test('oil of the year over water of the year; an hour’s rest at the wettest hour', () => {
    const oily = oilyWater(plan, walk(plan), run(plan, steady(25, 0.7)));
    if (!oily) throw new Error('no oily water');
    const loadedS = 261 * 9 * 0.4 * 3600;
    // 12 mg/m³ of a two-stage piston (common practice) in 0.01 m³/s.
    expect(oily.oilKgPerYear).toBeCloseTo(12e-6 * 0.01 * loadedS, 3);
    expect(oily.oilKgPerM3).toBeCloseTo((oily.oilKgPerYear / oily.yearKg) * 1000, 9);
    // 100–5000 mg/L before it is parted (trade handbook).
    expect(oily.oilKgPerM3 * 1000).toBeGreaterThan(100);
    expect(oily.oilKgPerM3 * 1000).toBeLessThan(5000);
    expect(oily.chamberM3).toBeCloseTo(oily.peakKgPerS * 3.6, 9);
    expect(oily.toDisposeM3).toBeCloseTo(oily.yearKg / 1000, 9);
  });

  test('with a separator only the oil is handed over, and its carbon lasts a year at most; a compressor without oil has none', () => {
    const parted = behind('fine', stageOf('oil-water-separator', { carbonKg: 500 }))(plan);
    const oily = oilyWater(parted, walk(parted), run(parted, steady(25, 0.7)));
    expect(oily?.carbonLastsS).toBe(365 * 86_400);
    expect(oily?.toDisposeM3).toBeCloseTo((oily?.oilKgPerYear ?? 0) / 870, 9);
    const clean = but('compressor', { type: 'oilfree' })(plan);
    expect(oilyWater(clean, walk(clean), run(clean, steady(25, 0.7)))).toBeUndefined();
  });
});

test('a receiver that cools overnight drops what its air held over: 500 L from 40 to 10 °C (reference group 5)', () => {
  const plan = planOf(
    { temperatureC: 30, relativeHumidity: 0.9, roomC: 10, pressurePa: 8e5 },
    stageOf('aftercooler', { method: 'measured', outletTemperatureC: 40 }),
    stageOf('separator'),
    stageOf('receiver', { volumeM3: 0.5, method: 'measured', outletTemperatureC: 40 }),
  );
  // Saturated air holds 51.1 g/m³ at 40 °C and 9.4 g/m³ at 10 °C (handbook tables), whatever the pressure; 2–3 % more here.
  expect(standingWaterKg(plan, walk(plan)) * 1000).toBeGreaterThan(0.5 * (51.1 - 9.4));
  expect(standingWaterKg(plan, walk(plan)) * 1000).toBeLessThan(0.5 * (51.1 - 9.4) * 1.05);
});

describe('winter', () => {
  const frost = halves([-12, 0.8], [20, 0.6]);

  test('in the cold: drains, dryer, bowl, cooler; in one piece of winter, and nothing in the warm', () => {
    const plan = all(
      goodShop(),
      outdoors,
      but('separator', { drain: 'manual' }),
      behind('fine', stageOf('bowl-filter', {}, 'bowl')),
      but('outlet', { need: 'no-liquid' }),
    );
    const items = winterList(plan, run(plan, frost));
    const of = (id: string): string[] => items.filter((i) => i.stage.id === id).map((i) => i.does);
    expect(of('refrigerated-dryer')).toContain('move');
    expect(of('aftercooler')).toContain('watch');
    expect(of('receiver')).toEqual(['trace']); // level-sensing: it stands in water
    expect(of('separator')).toEqual(['drain down']); // by hand
    expect(of('bowl')).toContain('drain down');
    const dryer = items.find((i) => i.stage.id === 'refrigerated-dryer');
    expect(dryer?.hours).toBe(YEAR_HOURS - 180 * 24);
    expect([dryer?.firstHour, dryer?.lastHour]).toEqual([300 * 24, 120 * 24 - 1]);
    expect(winterList(plan, run(plan, steady(15, 0.6)))).toEqual([]);
  });

  test('a pipe through the cold needs a dew point 10 K below it (ISA-7.0.01, recalled)', () => {
    const pipe = (plan: Plan, from: string): Plan =>
      all(
        plan,
        outdoors,
        place('cold', -20),
        branch('yard', from, [stageOf('pipe', {}, 'yard-pipe'), stageOf('outlet', {}, 'yard-tool')]),
        standingIn('yard-pipe', 'cold'),
        (p) => ({
          ...p,
          survey: {
            ...p.survey,
            places: p.survey.places.map((x) => ({
              ...x,
              year: { follows: 'held', lagS: 0, warmerK: 0, heatedToC: 0 } as const,
            })),
          },
        }),
      );
    const wet = pipe(goodShop(), 'fine');
    expect(winterList(wet, run(wet, steady(20, 0.5))).map((i) => i.stage.id)).toContain('yard-pipe');
    const dry = pipe(goodDry(), 'twin-tower');
    expect(winterList(dry, run(dry, steady(20, 0.5))).map((i) => i.stage.id)).not.toContain('yard-pipe');
  });
});

test.each([
  [3600, 9, '1 h of work'],
  [9 * 3600 * 27, 9, '27 working days'],
  [9 * 3600 * 2.5, 9, '2.5 working days'],
  [Number.POSITIVE_INFINITY, 9, 'never'],
])('%d s of work at %d h a day: %s', (s, hours, text) => {
  expect(spellWork(s, hours)).toBe(text);
});
