import { INCH, PSI } from '../quantity/constants';
import { checksOf, expectCheck } from '../test/reference';
import { blowDownS, DISCHARGE, orificeKgPerS } from './orifice';

/** 0.0749 lb/ft³ at 70 °F and 14.7 psia, as the tables count it. */
const SCFM_KG_PER_S = (0.0749 * 0.45359237) / 60;
const inches = (text: string): number =>
  text
    .split('/')
    .map(Number)
    .reduce((a, b) => a / b);

describe('holes: reference group 8', () => {
  test.each(checksOf(8))('$id ($provenance)', (check) => {
    const { psig, Cd = 0.97, T_F = 70, d_in } = check.inputs as Record<string, number>;
    const upstream = ((psig as number) + 14.696) * PSI;
    const scfm = (d: number) =>
      orificeKgPerS(d * INCH, upstream, 14.696 * PSI, ((T_F as number) - 32) / 1.8, Cd) / SCFM_KG_PER_S;
    if (d_in !== undefined) expectCheck(scfm(d_in), check, 'scfm');
    else
      for (const d of (check.inputs as unknown as { diameters_in: string[] }).diameters_in)
        expectCheck(scfm(inches(d)), check, d);
  });
});

test('blowing down follows ln(p/p₀) while the hole is choked (closed form), and nothing flows backwards', () => {
  const args = [1e5, 20, 3e-3] as const;
  const tau = (0.002 * 3e5) / (287.042 * 293.15 * orificeKgPerS(3e-3, 3e5, 1e5, 20));
  expect(blowDownS(0.002, 9e5, ...args) - blowDownS(0.002, 3e5, ...args)).toBeCloseTo(tau * Math.log(3), 2);
  expect(blowDownS(0.004, 9e5, ...args) / blowDownS(0.002, 9e5, ...args)).toBeCloseTo(2, 9);
  expect(blowDownS(0.002, 1e5, ...args)).toBe(0);
  expect(orificeKgPerS(0.003, 1e5, 2e5, 20)).toBe(0);
});

test('choked flow counts from absolute pressure, and a table’s 0.97 is not taken twice (pitfall 17)', () => {
  const scfm = (psia: number, cd: number): number =>
    orificeKgPerS(INCH / 8, psia * PSI, 14.696 * PSI, 21.1, cd) / SCFM_KG_PER_S;
  expect(scfm(114.696, 1)).toBeCloseTo(26.05, 0);
  expect(scfm(100, 1)).toBeCloseTo(22.71, 0); // what gauge taken as absolute would give
  expect(scfm(114.696, DISCHARGE.sharp)).toBeCloseTo(15.9, 0);
  expect(scfm(114.696, DISCHARGE.rounded)).toBeCloseTo(25.22, 0);
});
