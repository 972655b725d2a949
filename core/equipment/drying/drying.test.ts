import type { Station } from '../../line/section';
import { walk } from '../../line/walk';
import { type Plan, planSchema } from '../../plan/plan';
import { planOf, stageOf } from '../../test/plan-of';
import { fieldsOf, KINDS, type KindName, kindOf } from '../index';

const BAR_100_PSIG = 790801;
const last = (plan: Plan, basis: 'real' | 'ideal' = 'real'): Station => walk(plan, basis).stations.at(-1) as Station;

describe('what catches drops leaves the dew point alone', () => {
  // Pitfall 13, computed: air saturated at 95 °F leaves a perfect separator with a dew point of exactly 95 °F.
  test.each<KindName>(['separator', 'bowl-filter', 'coalescing-filter'])('%s', (kind) => {
    const cooled = stageOf('aftercooler', { method: 'measured', outletTemperatureC: 35, pressureLossPa: 0 });
    const catcher = stageOf(kind as 'separator', { efficiency: 1, drain: 'manual', pressureLossPa: 0 });
    const station = last(
      planOf({ temperatureC: 32, relativeHumidity: 0.7, pressurePa: BAR_100_PSIG }, cooled, catcher),
    );
    expect(station.pressureDewPointC).toBeCloseTo(35, 6);
    expect(station.liquidKgPerS).toBe(0);
    expect(station.caughtKgPerS).toBeGreaterThan(0);
  });

  test('a filter catches no vapour: near a hot compressor it catches nothing', () => {
    expect(last(planOf({ dischargeC: 110 }, stageOf('bowl-filter'))).caughtKgPerS).toBe(0);
  });

  test('without a drain the sump is full and everything is carried on', () => {
    const cooled = stageOf('aftercooler', { method: 'measured', outletTemperatureC: 30 });
    expect(last(planOf({ relativeHumidity: 0.9 }, cooled, stageOf('separator', { drain: 'none' }))).caughtKgPerS).toBe(
      0,
    );
  });
});

describe('refrigerated dryer', () => {
  // Pitfall 11, computed with f = 1: 0.0381 kg/h pass the dryer; reheated to 75 °F they raise the dew point to 45.3 °F.
  const stages = (reheat: 'yes' | 'no') => [
    stageOf('aftercooler', {
      method: 'measured',
      outletTemperatureC: 43.3333,
      drain: 'manual',
      catchEfficiency: 0.95,
      pressureLossPa: 0,
    }),
    stageOf('receiver', { method: 'measured', outletTemperatureC: 35, settlingEfficiency: 0.95 }),
    stageOf('refrigerated-dryer', {
      method: 'evaporator',
      evaporatorTemperatureC: 1 / 3,
      approachK: 3,
      separatorEfficiency: 0.95,
      reheat,
      reheatApproachK: 35 - 23.8889,
      pressureLossPa: 0,
    }),
  ];
  const hot = {
    temperatureC: 32.2222,
    relativeHumidity: 0.68,
    flowM3PerS: 100 * 4.719474e-4,
    pressurePa: BAR_100_PSIG,
  };

  test('drops that its separator misses evaporate in the reheat and raise the dew point', () => {
    const cold = last(planOf(hot, ...stages('no')), 'ideal');
    expect(cold.liquidKgPerS * 3600).toBeCloseTo(0.0381, 4);
    const warm = last(planOf(hot, ...stages('yes')), 'ideal');
    expect(warm.vapourKgPerS * 3600).toBeCloseTo(0.154, 3);
    expect(warm.pressureDewPointC * 1.8 + 32).toBeCloseTo(45.3, 1);
  });

  test('by evaporator and approach it is the same dryer', () => {
    const by = (parameters: object) =>
      last(planOf({}, stageOf('refrigerated-dryer', { separatorEfficiency: 1, reheat: 'no', ...parameters })));
    expect(by({ method: 'evaporator', evaporatorTemperatureC: 1, approachK: 4 }).pressureDewPointC).toBeCloseTo(5, 6);
    expect(by({ pressureDewPointC: 5 }).pressureDewPointC).toBeCloseTo(5, 6);
    // A dew point from the plate includes what the separator misses.
    expect(by({ pressureDewPointC: 5, separatorEfficiency: 0.5, reheat: 'yes' }).pressureDewPointC).toBeCloseTo(5, 6);
  });

  test('refuses settings that would freeze it, and leaves air that is drier already as it is', () => {
    const ice = walk(
      planOf({}, stageOf('refrigerated-dryer', { method: 'evaporator', evaporatorTemperatureC: -5, approachK: 1 })),
    );
    expect(ice.problem).toMatchObject({ field: 'approachK' });
    expect(last(planOf({ temperatureC: -15, relativeHumidity: 0.5 }, stageOf('refrigerated-dryer'))).caughtKgPerS).toBe(
      0,
    );
  });
});

describe('regulator', () => {
  // Pitfall 6, computed with f = 1: 3 °C at 7 bar g becomes −9.0 °C (frost point) at 2 bar g.
  test('lowers the dew point with the pressure, and cannot raise pressure', () => {
    const dry = stageOf('refrigerated-dryer', { pressureDewPointC: 3, separatorEfficiency: 1, pressureLossPa: 0 });
    const plan = (set: number) => planOf({ pressurePa: 801325 }, dry, stageOf('regulator', { setPressurePa: set }));
    expect(last(plan(301325), 'ideal').pressureDewPointC).toBeCloseTo(-9, 1);
    expect(last(plan(20e5)).pressurePa).toBe(801325);
  });
});

describe('the catalogue', () => {
  const kinds = Object.keys(KINDS) as KindName[];
  test.each(kinds)('%s declares every field with label, range and default', (name) => {
    const defaults = kindOf(name).parameters.parse({});
    for (const [field, meta] of fieldsOf(name)) {
      expect(meta.label).toBeTruthy();
      const value = defaults[field];
      if (typeof value === 'number' && meta.least !== undefined) {
        expect(value).toBeGreaterThanOrEqual(meta.least);
        expect(value).toBeLessThanOrEqual(meta.most ?? Number.POSITIVE_INFINITY);
        expect(meta.source).toBeTruthy();
      }
      if (meta.when) expect(Object.keys(kindOf(name).parameters.shape)).toContain(meta.when.field);
    }
  });

  test.each(kinds)('%s refuses a parameter that it does not know', (name) => {
    expect(kindOf(name).parameters.safeParse({ colour: 'blue' }).success).toBe(false);
  });

  test('the plan schema knows every kind of the catalogue', () => {
    const plan = planOf({}, ...kinds.slice(2).map((k) => stageOf(k)));
    expect(planSchema.parse(plan).stages.map((s) => s.kind)).toEqual(kinds);
  });
});
