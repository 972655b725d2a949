import fc from 'fast-check';
import psychrolib from 'psychrolib';
import { type Check, checksOf, expectCheck } from '../test/reference';
import { dewPointFromVapourPressureC, pressureDewPointC } from './dew-point';
import { saturatedVapourPressurePa } from './enhancement-factor';
import { relativeHumidity, vapourFractionFromRelativeHumidity } from './humidity';
import { vapourFractionFromDewPoint } from './moisture';
import { saturationPressurePa } from './saturation';

psychrolib.SetUnitSystem(psychrolib.SI);
const fahrenheit = (c: number): number => c * 1.8 + 32;

/** Checks every °C and °F key that ends in the basis. */
function expectBasis(check: Check, basis: 'real' | 'ideal', c: number): void {
  for (const key of Object.keys(check.expected)) {
    if (key.endsWith(`_${basis}_C`)) expectCheck(c, check, key);
    if (key.endsWith(`_${basis}_F`)) expectCheck(fahrenheit(c), check, key);
  }
}

describe('dew point', () => {
  test.each(checksOf(3))('$id: pressure and atmospheric dew point ($provenance)', (check) => {
    const { T_in_C: t, line_bar_g: gauge, p_atm_Pa: atmosphere } = check.inputs as Record<string, number>;
    const line = (atmosphere as number) + (gauge as number) * 1e5;
    const [from, to] = String(check.inputs.direction).startsWith('PDP') ? [line, atmosphere] : [atmosphere, line];
    for (const basis of ['real', 'ideal'] as const)
      expectBasis(
        check,
        basis,
        pressureDewPointC(vapourFractionFromDewPoint(t as number, from as number, 'frost', basis), to as number, basis),
      );
  });

  test.each(checksOf(4).filter((c) => 'RH_percent' in c.inputs))(
    '$id: from humidity in the line ($provenance)',
    (check) => {
      const p = 101325 + (check.inputs.line_psig as number) * 6894.757;
      for (const basis of ['real', 'ideal'] as const) {
        const x = vapourFractionFromRelativeHumidity(
          (check.inputs.RH_percent as number) / 100,
          check.inputs.T_C as number,
          p,
          basis,
        );
        expectBasis(check, basis, pressureDewPointC(x, p, basis));
      }
    },
  );

  test.each(checksOf(4).filter((c) => 'PDP_C' in c.inputs))('$id: humidity of a dew point ($provenance)', (check) => {
    const p = 101325 + (check.inputs.line_psig as number) * 6894.757;
    const t = ((check.inputs.line_T_F as number) - 32) / 1.8;
    const humidity = (basis: 'real' | 'ideal') =>
      100 * relativeHumidity(vapourFractionFromDewPoint(check.inputs.PDP_C as number, p, 'frost', basis), t, p, basis);
    expectCheck(humidity('ideal'), check, 'RH_percent');
    expectCheck(humidity('real'), check, 'RH_percent_real');
  });

  test('equals psychrolib 2.5 at atmospheric pressure within its own tolerance', () => {
    for (let t = -99; t < 90; t += 1.3) {
      const e = psychrolib.GetSatVapPres(t);
      expect(Math.abs(dewPointFromVapourPressureC(e) - psychrolib.GetTDewPointFromVapPres(95, e))).toBeLessThan(0.002);
    }
  });

  test('comes back to where it started, in both conventions, over the whole range', () => {
    const pressure = fc.double({ min: 0.5e5, max: 41e5, noNaN: true });
    fc.assert(
      fc.property(fc.double({ min: -100, max: 95, noNaN: true }), pressure, fc.boolean(), (t, p, ideal) => {
        const basis = ideal ? 'ideal' : 'real';
        // At 0 °C the fits of f over ice and over water part by up to 0.1 K of dew point at 41 bar.
        fc.pre(Math.abs(t) > 0.2 && saturationPressurePa(t) < 0.9 * p);
        expect(pressureDewPointC(vapourFractionFromDewPoint(t, p, 'frost', basis), p, basis)).toBeCloseTo(t, 4);
        if (t > -50)
          expect(pressureDewPointC(vapourFractionFromDewPoint(t, p, 'water', basis), p, basis, 'water')).toBeCloseTo(
            t,
            4,
          );
      }),
    );
  });

  test('rises with the water in the air (monotony)', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 1e-6, max: 0.05, noNaN: true }),
        fc.double({ min: 1.001, max: 3, noNaN: true }),
        (x, k) => {
          expect(pressureDewPointC(x * k, 8e5)).toBeGreaterThan(pressureDewPointC(x, 8e5));
        },
      ),
    );
  });

  // Computed with f = 1 and IAPWS equations (reference/PITFALLS of the check values).
  test('pitfalls 4, 5 and 6: conventions, atmospheric against pressure dew point, regulator', () => {
    const at = (pdp: number, from: number, to: number, c: 'frost' | 'water' = 'frost') =>
      pressureDewPointC(vapourFractionFromDewPoint(pdp, from, 'frost', 'ideal'), to, 'ideal', c);
    const sevenBar = 801325;
    expect(at(3, sevenBar, 101325)).toBeCloseTo(-20.8, 1);
    expect(at(3, sevenBar, 101325, 'water')).toBeCloseTo(-23.1, 1);
    expect(at(3, 101325, sevenBar)).toBeCloseTo(36.1, 1);
    expect(at(-40, 101325, sevenBar)).toBeCloseTo(-20.2, 1);
    expect(at(3, sevenBar, 301325)).toBeCloseTo(-9, 1);
    const meter = vapourFractionFromRelativeHumidity(0.024, (70 - 32) / 1.8, 8e5, 'ideal');
    expect(fahrenheit(pressureDewPointC(meter, 8e5, 'ideal'))).toBeCloseTo(-13.9, 1);
    expect(fahrenheit(pressureDewPointC(meter, 8e5, 'ideal', 'water'))).toBeCloseTo(-18.85, 1);
  });

  test('just below freezing at 24 to 41 bar it comes back as it went in, over ice', () => {
    for (const bar of [10, 24, 30, 41])
      for (const t of [-5, -1, -0.5, -0.1, -0.02, 0, 0.005]) {
        const x = saturatedVapourPressurePa(t, bar * 1e5) / (bar * 1e5);
        expect(Math.abs(pressureDewPointC(x, bar * 1e5) - t)).toBeLessThan(1e-3);
      }
    // Just above it, where the fits for ice and water part, within 0.08 K.
    for (const bar of [24, 41])
      for (const t of [0.02, 0.05, 0.2]) {
        const x = saturatedVapourPressurePa(t, bar * 1e5) / (bar * 1e5);
        expect(Math.abs(pressureDewPointC(x, bar * 1e5) - t)).toBeLessThan(0.08);
      }
  });

  test('refuses a vapour pressure below its range rather than answer', () => {
    expect(() => dewPointFromVapourPressureC(1e-5)).toThrow(/vapour pressure/);
    expect(() => pressureDewPointC(1e-12, 8e5)).toThrow(/vapour pressure/);
    expect(() => dewPointFromVapourPressureC(0)).toThrow(/vapour pressure/);
    expect(saturatedVapourPressurePa(200, 41e5)).toBeGreaterThan(0);
  });
});
