import { shownBy } from '../../line/explain';
import { imbalance, type Station } from '../../line/section';
import { walk } from '../../line/walk';
import type { Stage } from '../../plan/plan';
import { CFM, PSI } from '../../quantity/constants';
import { planOf, stageOf } from '../../test/plan-of';
import { cycloneAtLoad } from '../catching/separator';
import { KINDS, type KindName, kindOf } from '../index';

/** Saturated air with drops in it at 30 °C and 8 bar, and what a stage makes of it. */
function behind(stage: Stage, { flowM3PerS = 15 * CFM, pressurePa = 8e5, inletC = 30, drops = true } = {}) {
  const plan = planOf(
    { temperatureC: 32, relativeHumidity: 0.8, flowM3PerS, pressurePa, dischargeC: 120, roomC: 27 },
    { ...stageOf('aftercooler', { method: 'measured', outletTemperatureC: inletC }), id: 'cooler' },
    { ...stageOf('separator', { efficiency: drops ? 0.5 : 1, drain: 'float' }), id: 'trap' },
    { ...stage, id: 'stage' },
  );
  const section = walk(plan);
  const last = plan.stages.at(-1) as Stage;
  return {
    section,
    before: section.at('trap') as Station,
    after: section.at('stage') as Station,
    shown: Object.fromEntries(shownBy(plan, section, last).map((s) => [s.label, s])),
  };
}

const others = (Object.keys(KINDS) as KindName[]).filter((k) => !['intake', 'compressor', 'outlet'].includes(k));
test.each(others)('%s is more than a name: it changes the air, or tells something of it', (kind) => {
  // An unloader works as the compressor stops (core/compressor); a measured stage does what was measured, at first nothing; a
  // heat-of-compression dryer refuses such cool air (plant.test.ts).
  if (['unloader', 'measured-stage', 'heat-of-compression-tower'].includes(kind)) return;
  const rated = 'ratedFlowM3PerS' in stageOf(kind).parameters ? { ratedFlowM3PerS: 12 * CFM } : {};
  const { before, after, shown, section } = behind({ ...stageOf(kind, rated), kind } as Stage, {
    flowM3PerS: 10 * CFM,
    inletC: 40,
  });
  expect(section.problems).toEqual([]);
  expect(imbalance(section.ledger)).toBeLessThan(1e-9);
  const changes = (['temperatureC', 'pressurePa', 'vapourKgPerS', 'liquidKgPerS', 'dryAirKgPerS'] as const).some(
    (figure) => Math.abs(after[figure] - before[figure]) > 1e-12,
  );
  expect(changes || Object.keys(shown).length > 0).toBe(true);
  expect(kindOf(kind).equation.length).toBeGreaterThan(10);
});

describe('regulator', () => {
  const at = (p: object) => behind(stageOf('regulator', { setPressurePa: 6e5, ...p }));
  test('lets down to its setting less its fall, and cannot raise', () => {
    expect(at({}).after.pressurePa).toBe(6e5);
    expect(at({ droopPa: 5e4 }).after.pressurePa).toBe(5.5e5);
    const starved = at({ setPressurePa: 9e5 });
    expect(starved.after.pressurePa).toBe(starved.before.pressurePa);
    expect(starved.shown.Starved?.warns).toBe(true);
  });
});

describe('coupler', () => {
  test('standard loses 2–5 psi at 15 cfm and 90 psig, high-flow about one (trade handbook, estimates)', () => {
    const loss = (type: 'standard' | 'full-flow', flow = 15) => {
      const { before, after } = behind(stageOf('coupler', { type }), { pressurePa: 7.4e5, flowM3PerS: flow * CFM });
      return (before.pressurePa - after.pressurePa) / PSI;
    };
    expect(loss('standard')).toBeGreaterThan(2);
    expect(loss('standard')).toBeLessThan(5);
    expect(loss('full-flow')).toBeCloseTo(1, 0);
    expect(loss('standard', 30) / loss('standard')).toBeCloseTo(4, 0);
  });
  test('what leaks is gone from the air and in the ledger', () => {
    const { before, after, section } = behind(stageOf('coupler', { leakM3PerS: CFM }));
    expect(1 - after.dryAirKgPerS / before.dryAirKgPerS).toBeCloseTo(1 / 15, 2);
    expect(imbalance(section.ledger)).toBeLessThan(1e-9);
  });
});

test('a shut valve stops what is downstream of it, and says so', () => {
  expect(behind(stageOf('isolating-valve', { is: 'shut' })).section.problem?.message).toMatch(/shut/);
});

test('a check valve costs little; a relief valve refuses a line at its setting, and tells when it is too small', () => {
  const { before, after } = behind(stageOf('check-valve'));
  expect(before.pressurePa - after.pressurePa).toBeCloseTo(2000, 6);
  expect(behind(stageOf('relief-valve', { setPressurePa: 7e5 })).section.problem?.field).toBe('setPressurePa');
  const { shown } = behind(stageOf('relief-valve', { setPressurePa: 12e5, boreM: 8e-3 }));
  expect(shown['Passes, blowing']?.warns).toBe(false);
  expect(behind(stageOf('relief-valve', { setPressurePa: 12e5, boreM: 1e-3 })).shown['Passes, blowing']?.warns).toBe(
    true,
  );
  // Working pressure at most 90 % of the setting (ASME VIII-1, recalled).
  expect(behind(stageOf('relief-valve', { setPressurePa: 8.2e5 })).shown['Line runs at, of its setting']?.warns).toBe(
    true,
  );
});

test('a gauge fits where its range is about twice the working pressure (common practice)', () => {
  const of = (rangePa: number) => behind(stageOf('gauge', { rangePa })).shown['Of its range'];
  expect(of(14e5)?.warns).toBe(false);
  expect(of(8e5)?.warns).toBe(true);
  expect(of(6e5)?.text).toBe('off its scale');
  expect(of(40e5)?.warns).toBe(true);
  // Two-inch-and-a-half grade B: 2 % of 200 psi in the middle is ±4 psi (ASME B40.100, recalled).
  expect(behind(stageOf('gauge', { rangePa: 200 * PSI })).shown['Give or take']?.value).toBeCloseTo(4 * PSI, 6);
});

test('beads in a glass turn with the humidity, not with the dew point of −40', () => {
  const colour = (inletC: number, spent: number) => {
    const plan = planOf(
      { temperatureC: 32, relativeHumidity: 0.8, roomC: inletC, flowM3PerS: CFM, dischargeC: 120 },
      stageOf('aftercooler', { method: 'measured', outletTemperatureC: inletC }),
      stageOf('separator', { efficiency: 1, drain: 'float' }),
      stageOf('bead-cartridge', { massKg: 3, spentShare: spent }),
      { ...stageOf('sight-glass'), id: 'glass' },
    );
    return shownBy(plan, walk(plan), plan.stages.at(-1) as Stage)[0]?.text;
  };
  expect(colour(30, 0)).toBe('blue');
  expect(colour(30, 1)).toBe('pink');
});

test('a meter open to the room reads the atmospheric dew point: −70 °F there is −39.6 °F at 100 psig (reference scenario 07)', () => {
  const at = behind(stageOf('test-point'), { drops: false }).shown;
  const line = at['Meter at line pressure']?.value as number;
  const open = at['Meter open to the room']?.value as number;
  expect(open).toBeLessThan(line - 20);
});

test('a lubricator at one drop to 15 cfm, and what three times that looks like', () => {
  const { shown } = behind(stageOf('lubricator', { dropsPerMinute: 1 }));
  // 43 mg in 15 ft³ (0.425 m³): about 100 mg/m³.
  expect(shown['Oil in the air, mg/m³']?.value).toBeCloseTo(101, -1);
  expect(shown['Usual here, drops a minute']?.warns).toBe(false);
  expect(behind(stageOf('lubricator', { dropsPerMinute: 5 })).shown['Usual here, drops a minute']?.warns).toBe(true);
});

test('a reel without a way to empty it holds nothing back for good; blown out by hand it does', () => {
  expect(behind(stageOf('hose-reel')).shown['Holds water']?.warns).toBe(true);
  expect(behind(stageOf('hose-reel')).after.caughtKgPerS).toBe(0);
  expect(behind(stageOf('hose-reel', { drain: 'manual' })).after.caughtKgPerS).toBeGreaterThan(0);
});

test('a hose is compared with what is printed on it', () => {
  expect(behind(stageOf('hose')).shown['Rating left']?.warns).toBe(false);
  expect(behind(stageOf('hose', { ratedPa: 5e5 })).shown['Rating left']?.warns).toBe(true);
});

describe('cyclone off its rating', () => {
  // 0.95 at 0.4–1.0 of the rating, ~0.6 below 0.2, ~0.8 above 1.3 (trade handbook, estimate).
  test.each([
    [0.1, 0.5, 0.65],
    [0.19, 0.55, 0.65],
    [0.4, 0.94, 0.96],
    [1, 0.94, 0.96],
    [1.3, 0.78, 0.82],
  ])('at %d of its rating', (load, least, most) => {
    expect(0.95 * cycloneAtLoad(load)).toBeGreaterThan(least - 0.03);
    expect(0.95 * cycloneAtLoad(load)).toBeLessThan(most + 0.01);
  });
  test('catches by it where it is rated', () => {
    const caught = (ratedFlowM3PerS: number) =>
      behind(stageOf('separator', { drain: 'float', flowRating: 'rated', ratedFlowM3PerS })).after.caughtKgPerS;
    expect(caught(20 * CFM)).toBeGreaterThan(1.3 * caught(150 * CFM));
  });
});

describe('a home-made housing', () => {
  test('with clay leaves the air as it is, with gel dries it, and refuses a line above its mark', () => {
    const clay = behind(stageOf('home-made-housing', { filling: 'clay' }));
    expect(clay.after.vapourKgPerS + clay.after.liquidKgPerS).toBeCloseTo(
      clay.before.vapourKgPerS + clay.before.liquidKgPerS,
      12,
    );
    expect(clay.shown.Clay?.warns).toBe(true);
    const gel = behind(stageOf('home-made-housing', { filling: 'gel', spentShare: 0 }));
    expect(gel.after.vapourKgPerS).toBeLessThan(0.7 * gel.before.vapourKgPerS);
    expect(behind(stageOf('home-made-housing'), { pressurePa: 11e5 }).section.problem?.field).toBe('markedPa');
  });
});

test('carbon lasts half as long for every 20 °F more (trade handbook, estimate), and minds the wet', () => {
  const lasts = (inletC: number) =>
    behind(stageOf('carbon-filter'), { inletC, drops: false }).shown['Lasts about']?.value as number;
  expect(lasts(30) / lasts(30 + 11.1)).toBeCloseTo(2, 1);
  expect(behind(stageOf('carbon-filter')).shown['Too humid']?.warns).toBe(true);
});
