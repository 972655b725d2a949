import { checksOf, expectCheck } from '../test/reference';
import { enhancementFactor, saturatedVapourPressurePa } from './enhancement-factor';

describe('enhancement factor', () => {
  for (const check of checksOf(2).filter((c) => Array.isArray(c.inputs.p_bar_abs)))
    test.each(check.inputs.p_bar_abs as unknown as number[])(`${check.id} at %p bar (${check.provenance})`, (bar) => {
      const phase = String(check.inputs.phase).includes('ice') ? 'ice' : 'water';
      expectCheck(enhancementFactor(check.inputs.T_C as number, bar * 1e5, phase), check, `f_${bar}bar_abs`);
    });

  test('pitfall 7: 1.0251 for water at 20 °C and 8 bar, 1.043 for ice at −40 °C (reference table, ±0.001 and ±0.002)', () => {
    expect(Math.abs(enhancementFactor(20, 8e5) - 1.0251)).toBeLessThan(0.001);
    expect(Math.abs(enhancementFactor(-40, 8e5) - 1.0434)).toBeLessThan(0.002);
  });

  test('is held at its value at 100 °C above the end of the fit, and is 1 where water boils', () => {
    expect(enhancementFactor(180, 20e5)).toBe(enhancementFactor(100, 20e5));
    expect(enhancementFactor(100, 1e5)).toBe(1);
  });

  test('refuses what lies outside 0.5 to 41 bar, and supercooled water below −50 °C', () => {
    expect(() => enhancementFactor(20, 0.4e5)).toThrow(/0.5 to 41 bar/);
    expect(() => enhancementFactor(20, 42e5)).toThrow(/0.5 to 41 bar/);
    expect(() => saturatedVapourPressurePa(-60, 8e5, 'real', 'water')).toThrow(/-50 to 200/);
  });
});
