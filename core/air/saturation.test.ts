import psychrolib from 'psychrolib';
import { checksOf, expectCheck } from '../test/reference';
import { OutOfRange } from './out-of-range';
import { saturationPressurePa } from './saturation';

psychrolib.SetUnitSystem(psychrolib.SI);

describe('saturation pressure', () => {
  test.each(checksOf(1))('$id ($provenance)', (check) => {
    const phase = String(check.inputs.phase).includes('ice') ? 'ice' : 'water';
    const got = saturationPressurePa(check.inputs.T_C as number, phase);
    expectCheck(got, check, 'p_sat_Pa');
    if ('p_sat_psia' in check.expected) expectCheck(got / 6894.757, check, 'p_sat_psia');
  });

  test('equals psychrolib 2.5 over its whole range, ice and water', () => {
    for (let t = -100; t <= 200; t += 0.7)
      expect(Math.abs(saturationPressurePa(t) / psychrolib.GetSatVapPres(t) - 1)).toBeLessThan(2e-9);
  });

  test('pitfall 4: at −40 °C ice and supercooled water differ by 1.47 (computed from published equations)', () => {
    expect(saturationPressurePa(-40, 'ice')).toBeCloseTo(12.84, 1);
    expect(saturationPressurePa(-40, 'water') / saturationPressurePa(-40, 'ice')).toBeCloseTo(1.47, 1);
  });

  test.each([-100.1, 200.1, Number.NaN])('refuses %p °C and names the range', (t) => {
    expect(() => saturationPressurePa(t)).toThrow(OutOfRange);
    expect(() => saturationPressurePa(t)).toThrow(/-100 to 200 °C/);
  });
});
