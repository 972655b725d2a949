import type { Plan } from '../plan/plan';
import { COVERAGE } from '../quantity/derivation';
import { planOf, stageOf } from '../test/plan-of';
import { explain } from './explain';
import { judgeOutlets } from './judge-outlet';
import type { OutletStage } from './outlet-criteria';
import { propagate } from './propagate';
import type { Section } from './section';
import { walk } from './walk';

const waterIn = (s: Section): number => s.ledger.waterInKgPerS;

describe('propagated uncertainty', () => {
  // Worked in the trade handbook: 80 ± 1 °F and 60 ± 3 % give ± 6 % of vapour; with ± 10 % of flow, ± 12 % in all.
  test('80 °F and 60 % give the worked figure', () => {
    const plan = planOf({ temperatureC: 26.667, relativeHumidity: 0.6 });
    const band = propagate(plan, waterIn);
    if (!band) throw new Error('no band');
    const relative = (band.high - band.value) / COVERAGE / band.value;
    const byHand = Math.hypot(0.5 * 0.0595, 0.03 / 0.6, 0.1); // d ln e/dT at 80 °F is 5.95 %/K (computed)
    expect(relative).toBeCloseTo(byHand, 2);
    expect(band.drivers[0]?.label).toMatch(/Free air delivery/);
  });

  test('a figure that cannot be negative keeps a lopsided band', () => {
    const plan = planOf(
      { temperatureC: 25, relativeHumidity: 0.5, pressurePa: 8e5 },
      stageOf('aftercooler', { method: 'measured', outletTemperatureC: 52, drain: 'manual' }),
    );
    const band = propagate(plan, (s) => s.ledger.caughtKgPerS);
    expect(band?.value).toBe(0);
    expect(band?.low).toBe(0);
    expect(band?.high).toBeGreaterThan(0);
  });

  test('is undefined where the walk stops before the figure', () => {
    const plan = planOf({ roomC: 40 }, stageOf('aftercooler', { method: 'measured', outletTemperatureC: 30 }));
    expect(propagate(plan, (s) => s.stations[2]?.temperatureC)).toBeUndefined();
  });
});

test('a band of water never reaches below nothing', () => {
  const plan = planOf({}, stageOf('aftercooler'), stageOf('separator', { efficiency: 0.98 }));
  const why = explain(plan, walk(plan), { stageId: 'separator', name: 'liquid' });
  expect(why?.band?.low).toBe(0);
  expect(why?.band?.high).toBeGreaterThan(why?.value as number);
});

describe('outlets judged', () => {
  const judge = (parameters: Partial<OutletStage['parameters']>, dewPointC: number) => {
    const outlet = stageOf('outlet', { leastPressurePa: 5e5, ...parameters }) as OutletStage;
    const plan: Plan = planOf(
      { pressurePa: 8e5 },
      stageOf('refrigerated-dryer', { pressureDewPointC: dewPointC, separatorEfficiency: 1, reheat: 'no' }),
      outlet,
    );
    return judgeOutlets(plan, walk(plan)).get(outlet.id);
  };

  test.each([
    [20, 'meets'],
    [4, 'open'],
    [-6, 'fails'],
  ] as const)('a dryer at 3 °C ± 2.8 K against a dew point of %p °C: %s', (limit, verdict) => {
    expect(judge({ need: 'dew-point', dewPointC: limit }, 3)?.verdict).toBe(verdict);
  });

  test('an open verdict says which reading would decide', () => {
    expect(judge({ need: 'dew-point', dewPointC: 4 }, 3)?.note).toMatch(
      /read its pressure dew point at Refrigerated dryer/,
    );
  });

  // Table 0.3 of the trade handbook, computed: 38 °F at 90 psig is 31 % in the line at 70 °F, 4.4 % expanded.
  test('humidity in the line and after expansion are two meanings', () => {
    const at = { pressurePa: 101325 + 90 * 6894.757, temperatureC: 21.111, roomC: 21.111 };
    const outlet = (need: 'humidity-in-line' | 'humidity-expanded') =>
      stageOf('outlet', { need, relativeHumidity: 0.1 }) as OutletStage;
    const gets = (need: 'humidity-in-line' | 'humidity-expanded') => {
      const dryer = stageOf('refrigerated-dryer', {
        pressureDewPointC: 10 / 3,
        separatorEfficiency: 1,
        pressureLossPa: 0,
      });
      const warmed = stageOf('receiver', { method: 'measured', outletTemperatureC: 21.111 });
      const plan = planOf(at, dryer, warmed, outlet(need));
      return judgeOutlets(plan, walk(plan, 'ideal'), 'ideal').get('outlet')?.gets;
    };
    expect(gets('humidity-in-line')).toBeCloseTo(0.31, 2);
    expect(Math.abs((gets('humidity-expanded') ?? 0) - 0.044)).toBeLessThan(0.0006); // the table is rounded
  });

  test('drops fail every need; saturated air is borderline', () => {
    const cooled = stageOf('aftercooler', { method: 'measured', outletTemperatureC: 30 });
    const outlet = stageOf('outlet', { need: 'no-liquid' }) as OutletStage;
    const wet = planOf({ relativeHumidity: 0.9 }, cooled, outlet);
    expect(judgeOutlets(wet, walk(wet)).get(outlet.id)).toMatchObject({
      verdict: 'fails',
      note: expect.stringMatching(/drops/),
    });
    const drained = planOf({ relativeHumidity: 0.9 }, cooled, stageOf('separator', { efficiency: 1 }), outlet);
    expect(judgeOutlets(drained, walk(drained)).get(outlet.id)?.verdict).toBe('open');
  });

  test('too little pressure is told apart from moisture', () => {
    expect(judge({ need: 'dew-point', dewPointC: 20, leastPressurePa: 12e5 }, 3)).toMatchObject({
      verdict: 'meets',
      pressure: { enough: false },
    });
  });

  test('class boundaries are compared unrounded: 38 °F is class 5, not 4', () => {
    expect(judge({ need: 'iso-class', waterClass: '4' }, 10 / 3)?.gets).toBeGreaterThan(3);
  });
});
