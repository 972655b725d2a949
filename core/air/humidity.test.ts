import psychrolib from 'psychrolib';
import { checksOf, expectCheck } from '../test/reference';
import { atmosphericPressurePa } from './atmosphere';
import { saturatedVapourPressurePa } from './enhancement-factor';
import {
  humidityRatioFromFraction,
  ppmByVolume,
  saturatedHumidityRatio,
  vapourDensityKgPerM3,
  vapourFractionFromRelativeHumidity,
} from './humidity';
import { type MoistureReading, moistureAt, vapourFractionFromDewPoint, vapourFractionOf } from './moisture';
import type { Phase } from './saturation';

psychrolib.SetUnitSystem(psychrolib.SI);
const LB_PER_FT3 = 16.018463; // kg/m³
const SEVEN_BAR_G = 801325;

describe('water content', () => {
  test.each(checksOf(5).filter((c) => 'rho_g_per_m3_ideal' in c.expected))(
    '$id: density of saturated vapour ($provenance)',
    (check) => {
      const t = check.inputs.T_C as number;
      const phase = (check.inputs.phase as unknown) === 'ice' ? ('ice' as Phase) : undefined;
      const saturated = (p: number, basis: 'real' | 'ideal') =>
        1000 * vapourDensityKgPerM3(saturatedVapourPressurePa(t, p, basis, phase) / p, t, p, basis);
      expectCheck(saturated(101325, 'ideal'), check, 'rho_g_per_m3_ideal');
      expectCheck(saturated(SEVEN_BAR_G, 'real'), check, 'rho_real_7barg_g_per_m3');
      expectCheck(saturated(101325, 'ideal') / LB_PER_FT3, check, 'lb_per_1000ft3_ideal');
    },
  );

  test.each(checksOf(5).filter((c) => 'ppmv_ideal' in c.expected))('$id: parts per million ($provenance)', (check) => {
    const p = check.inputs.p_Pa_abs as number;
    const x = (basis: 'real' | 'ideal') => vapourFractionFromDewPoint(check.inputs.PDP_C as number, p, 'frost', basis);
    expectCheck(ppmByVolume(x('ideal')), check, 'ppmv_ideal');
    expectCheck(ppmByVolume(x('real')), check, 'ppmv_real');
    const ratio = humidityRatioFromFraction(x('ideal'));
    expectCheck(ratio * 1e6, check, 'ppmw_ideal');
    expectCheck(ratio * 1000, check, 'humidity_ratio_g_per_kg_ideal');
    expectCheck(ratio * 7000, check, 'humidity_ratio_grains_per_lb_ideal');
  });

  test.each(checksOf(5).filter((c) => 'lb_per_1000_acf' in c.expected))(
    '$id: lb per 1000 ft³ ($provenance)',
    (check) => {
      const t = ((check.inputs.T_F as number) - 32) / 1.8;
      const p = 101325 + (check.inputs.psig as number) * 6894.757;
      const x = vapourFractionFromRelativeHumidity((check.inputs.RH_percent as number) / 100, t, p, 'ideal');
      expectCheck((1000 * vapourDensityKgPerM3(x, t, p, 'ideal')) / LB_PER_FT3, check, 'lb_per_1000_acf');
      const dryLbPer1000Scf = ((14.5 * 6894.757) / (287.042 * 293.15) / LB_PER_FT3) * 1000;
      expectCheck(humidityRatioFromFraction(x) * dryLbPer1000Scf, check, 'lb_per_1000_scf_14.5psia_68F');
    },
  );

  test('humidity ratio equals psychrolib 2.5 at atmospheric pressure (f = 1)', () => {
    for (let t = -40; t < 60; t += 3.1)
      expect(
        saturatedHumidityRatio(t, 101325, 'ideal') /
          psychrolib.GetHumRatioFromVapPres(psychrolib.GetSatVapPres(t), 101325),
      ).toBeCloseTo(1, 5);
  });

  test('air at a pressure at which its water would boil can take up any amount', () => {
    expect(saturatedHumidityRatio(190, 8e5)).toBe(Number.POSITIVE_INFINITY);
  });

  test('pressure at altitude equals psychrolib 2.5; pitfall 8: 1600 m is 83.5 kPa', () => {
    for (let z = -400; z <= 4800; z += 400)
      expect(atmosphericPressurePa(z) / psychrolib.GetStandardAtmPressure(z)).toBeCloseTo(1, 4);
    expect(atmosphericPressurePa(1600) / 1e5 + 7).toBeCloseTo(7.835, 3);
    expect(() => atmosphericPressurePa(9000)).toThrow(/altitude/);
  });
});

describe('moisture turned from one way of telling into the others', () => {
  const at = { temperatureC: 21, pressurePa: 101325 + 3.45e5 };
  const answer = moistureAt(vapourFractionOf({ kind: 'relativeHumidity', relativeHumidity: 0.024, at }), at);
  const readings: MoistureReading[] = [
    { kind: 'pressureDewPoint', dewPointC: answer.frostOrDewPointC as number, convention: 'frost', at },
    { kind: 'pressureDewPoint', dewPointC: answer.dewPointOverWaterC as number, convention: 'water', at },
    { kind: 'density', kgPerM3: answer.kgPerM3 as number, at },
    { kind: 'ppm', ppmByVolume: answer.ppmByVolume },
  ];
  test.each(readings)('$kind gives back the same air', (reading) => {
    expect(moistureAt(vapourFractionOf(reading), at).relativeHumidity).toBeCloseTo(0.024, 6);
  });

  test('humidity in the line grows with the pressure ratio, and says when drops fall out (pitfall 3)', () => {
    const intake = {
      kind: 'relativeHumidity',
      relativeHumidity: 0.5,
      at: { temperatureC: 20, pressurePa: 101325 },
    } as const;
    const line = moistureAt(vapourFractionOf(intake, 'ideal'), { temperatureC: 20, pressurePa: 801325 }, 'ideal');
    expect(line.relativeHumidity).toBeCloseTo(3.95, 2); // computed, f = 1
    expect(line.condenses).toBe(true);
  });
});
