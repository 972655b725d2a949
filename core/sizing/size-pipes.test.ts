import { CFM, FREE_AIR_KG_PER_M3, INCH, PSI } from '../quantity/constants';
import { ratingFor } from './next-size';
import { sizeCoupler } from './size-coupler';
import { sizeFilter } from './size-filter';
import { sizeHose } from './size-hose';
import { sizePipe } from './size-pipe';
import { sizeRegulator } from './size-regulator';

const kgPerS = (cfm: number): number => cfm * CFM * FREE_AIR_KG_PER_M3;
const absolute = (psig: number): number => 101_325 + psig * PSI;

test('a main for 100 cfm at 100 psig under 20 ft/s is of 1½ in steel: 12.8 cfm of compressed air want 1.40 in of bore', () => {
  // By hand: 100 / (114.7/14.7) = 12.8 cfm; 12.8/60/19.7 ft² = 1.56 in² = 1.41 in; schedule 40 has 1.38 and 1.61 in.
  const main = {
    kgPerS: kgPerS(100),
    temperatureC: 20,
    pressurePa: absolute(100),
    lengthM: 10,
    material: 'black',
  } as const;
  const sized = sizePipe({ ...main, use: 'main' });
  expect([sized.beside.down?.size, sized.size, sized.beside.up?.size]).toEqual(['1-1/4', '1-1/2', '2']);
  // As a branch, at 9 m/s, one size less; over a kilometre the loss decides, not the speed.
  expect(sizePipe({ ...main, use: 'branch' }).size).toBe('1-1/4');
  const far = sizePipe({ ...main, use: 'main', lengthM: 2000 });
  expect(far.lossPa).toBeLessThanOrEqual(0.03 * main.pressurePa);
  expect(far.beside.down?.lossPa).toBeGreaterThan(0.03 * main.pressurePa);
  expect(far.beside.down?.velocityMPerS).toBeLessThan(6);
});

test('a ring loses between an eighth and a 6.7th of the same pipe in one piece, and is a size or two smaller', () => {
  // Half the flow through half the length: f·L·q² with f constant gives 1/8; by Blasius f ∝ q^−¼, 2^−2.75 = 1/6.73.
  const main = {
    kgPerS: kgPerS(100),
    temperatureC: 20,
    pressurePa: absolute(100),
    lengthM: 600,
    material: 'black',
    use: 'branch',
  } as const;
  const single = sizePipe(main);
  const ring = sizePipe({ ...main, shape: 'ring' });
  expect([single.size, ring.size]).toEqual(['2', '1-1/4']);
  const sameSize = sizePipe({ ...main, mostLossPa: 1e5 });
  expect(sameSize.size).toBe(ring.size);
  expect(sameSize.lossPa / ring.lossPa).toBeGreaterThan(6.73);
  expect(sameSize.lossPa / ring.lossPa).toBeLessThan(8.5); // air expands on the way: a little over 8
});

test('15 cfm at 90 psig lose 1 psi in a full-flow coupler, and a little more wants the next body', () => {
  // A standard one loses 2–5 psi there, a high-flow one about 1 (trade handbook).
  const duty = { kgPerS: 15 * CFM * 1.185, pressurePa: 7.2e5, temperatureC: 20 };
  const fits = sizeCoupler({ ...duty, kgPerS: duty.kgPerS * 0.999 });
  expect([fits.body, fits.pattern]).toEqual(['1/4', 'full-flow']);
  expect((fits.beside.down?.lossPa ?? 0) / PSI).toBeCloseTo(3.5, 1);
  expect(sizeCoupler({ ...duty, kgPerS: duty.kgPerS * 1.001 }).body).toBe('3/8');
  expect(sizeCoupler({ ...duty, kgPerS: 100 * duty.kgPerS }).fits).toBe(false);
});

test('a spray gun of 14 cfm wants ⅜ in of hose at 25 ft, and more at 100 ft', () => {
  const gun = { kgPerS: kgPerS(14), temperatureC: 20, pressurePa: absolute(40) };
  const bore = (lengthM: number): number => sizeHose({ ...gun, lengthM }).boreM / INCH;
  expect(bore(30)).toBeGreaterThan(bore(7.62));
  const { lossPa, beside } = sizeHose({ ...gun, lengthM: 7.62 });
  expect(lossPa).toBeLessThanOrEqual(5 * PSI + 100);
  expect(beside.down?.lossPa ?? Infinity).toBeGreaterThan(5 * PSI);
});

test('a regulator of C = 10 dm³/(s·bar) chokes at 80 dm³/s from 8 bar, and is used for a third of it (ISO 6358)', () => {
  const duty = { kgPerS: 0.35 * 80e-3 * 1.185 * 0.999, supplyPa: 8e5, temperatureC: 20 };
  expect(sizeRegulator(duty).port).toBe('3/8');
  // At the flow for which it is sized 5–15 psi of droop (common practice, the middle); the next one passes 1.8 times as much.
  const { droopHerePa, beside } = sizeRegulator(duty);
  expect(droopHerePa / PSI).toBeCloseTo(5.07, 1);
  expect(droopHerePa / (beside.up?.droopHerePa ?? 0)).toBeCloseTo(1.8, 6);
  expect(sizeRegulator({ ...duty, kgPerS: duty.kgPerS * 1.01 }).port).toBe('1/2');
});

test('a filter at its rating loses what its handbook says, a quarter of it at half; its element lasts 7000 h, a year at most', () => {
  // 2–3 psi wet of 1 µm, 3–5 of 0.01 µm: 2 and 3; 6000–8000 h, 6–12 months (trade handbook).
  const need = { grade: 'general', passesM3PerS: 35 * CFM, pressurePa: 801_325, hoursPerWeek: 168 } as const;
  const sized = sizeFilter(need);
  expect([sized.ratedM3PerS / CFM, sized.loadShare, sized.wetLossPa / PSI]).toEqual([
    expect.closeTo(35, 6),
    expect.closeTo(1, 9),
    expect.closeTo(2, 1),
  ]);
  expect(sizeFilter({ ...need, grade: 'fine' }).wetLossPa / PSI).toBeCloseTo(3, 0);
  expect(sized.beside.down?.loadShare).toBeGreaterThan(1);
  expect((sized.beside.up?.wetLossPa ?? 0) / sized.wetLossPa).toBeCloseTo((35 / 50) ** 2, 9);
  // Day and night 7000 h are 292 days; at 134 h a week a little over a year.
  expect(sized.lifeS / 86_400).toBeCloseTo(291.7, 1);
  expect([134, 135].map((hoursPerWeek) => Math.round(sizeFilter({ ...need, hoursPerWeek }).lifeS / 86_400))).toEqual([
    365, 363,
  ]);
});

test('a filter passes in proportion to the absolute pressure: 25 cfm at 50 psig want a plate of 50 cfm at 100 psig', () => {
  expect(ratingFor(25 * CFM, absolute(50)) / CFM).toBeCloseTo(50, 6);
  expect(ratingFor(25 * CFM, absolute(101.6)) / CFM).toBeCloseTo(25, 6);
});
