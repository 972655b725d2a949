import fc from 'fast-check';
import { PSI } from '../quantity/constants';
import { checksOf, expectCheck } from '../test/reference';
import { bedLossPaPerM, liftsAtMPerS } from './bed-shape';
import { purgeShare, sizeTowers } from './size-towers';

test.each(checksOf(11).filter((c) => c.id.includes('purge')))(
  '$id, purge of heatless towers ($provenance)',
  (check) => {
    const n = (key: string): number | undefined =>
      check.inputs[key] === undefined ? undefined : Number(check.inputs[key]);
    const roomPa = (n('p_purge_psia') ?? 0) * PSI || (n('p_purge_bar_abs') ?? 0) * 1e5;
    const linePa = roomPa + ((n('psig') ?? 0) * PSI || (n('line_bar_g') ?? 0) * 1e5);
    const share = purgeShare(linePa, roomPa, n('multiplier'));
    expectCheck(share, check, 'purge_fraction_of_inlet');
    expectCheck(1 - share, check, 'delivered_fraction');
  },
);

test('where Wen & Yu say that a bed lifts, Ergun’s loss is about its weight: two laws that know nothing of each other', () => {
  for (const airKgPerM3 of [2, 9, 14]) {
    // At the voids of a bed about to lift, 0.45 (handbook value).
    const loss = bedLossPaPerM(liftsAtMPerS(airKgPerM3), airKgPerM3, 0.003, 0.45);
    const weight = 0.55 * (1200 - airKgPerM3) * 9.81;
    expect(loss / weight).toBeGreaterThan(0.7);
    expect(loss / weight).toBeLessThan(1.3);
  }
});

const duty = {
  medium: 'alumina',
  dryAirKgPerS: 0.06, // 100 scfm
  inletC: 38,
  inletPa: 8e5,
  atmosphericPa: 101325,
  relativeHumidity: 1,
  cycleS: 600,
  load: 1,
} as const;

test('100 scfm at 7 bar: beads of the order of 40 kg a tower, 12 to 15 % of the air (common practice), slow enough not to lift', () => {
  const t = sizeTowers(duty);
  expect(t.massKg).toBeGreaterThan(20);
  expect(t.massKg).toBeLessThan(80);
  expect(t.purgeTheory).toBeGreaterThan(0.12);
  expect(t.purge).toBeLessThan(0.15);
  expect(t.velocityMPerS).toBeLessThan(t.liftsAtMPerS);
});

test('laws: a longer cycle never needs less, a fixed orifice costs the more the less passes, and no share passes one', () => {
  const between = (min: number, max: number) => fc.double({ min, max, noNaN: true });
  fc.assert(
    fc.property(
      between(60, 3600),
      between(0.05, 1),
      between(5, 60),
      between(1.5e5, 40e5),
      (cycleS, load, inletC, inletPa) => {
        const d = { ...duty, cycleS, load, inletC, inletPa };
        const t = sizeTowers(d);
        expect(sizeTowers({ ...d, cycleS: cycleS * 1.5 }).massKg).toBeGreaterThanOrEqual(t.massKg);
        expect(sizeTowers({ ...d, load: load / 2 }).purgeFixed).toBeGreaterThanOrEqual(t.purgeFixed);
        expect(t.purgeFixed).toBeLessThanOrEqual(1);
        expect(t.purge).toBeLessThanOrEqual(t.purgeFixed);
        // Volume is volume: bore and height hold the beads.
        expect((Math.PI / 4) * t.boreM ** 2 * t.heightM * 750).toBeCloseTo(t.massKg, 6);
      },
    ),
  );
});
