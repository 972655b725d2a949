import fc from 'fast-check';
import { CFM, PSI } from '../quantity/constants';
import { checksOf, expectCheck } from '../test/reference';
import { compressorCycle, deliveryFromPumpUp, mostStartsPerHour, receiverTimeS } from './cycle';

const GAL = 3.785411784e-3;

test.each(checksOf(7))('$id ($provenance)', (check) => {
  const i = check.inputs as Record<string, number>;
  const pick = (...keys: [string, number][]): number =>
    keys.map(([k, f]) => (i[k] ?? Number.NaN) * f).find((v) => !Number.isNaN(v)) as number;
  const volume = pick(['V_US_gal', GAL], ['V_L', 1e-3]);
  const atmosphere = pick(['p_atm_psia', PSI], ['p_atm_bar', 1e5]);
  if (i.p_cutin_psig !== undefined) {
    const cycle = compressorCycle(
      volume,
      i.p_cutin_psig * PSI,
      (i.p_cutout_psig as number) * PSI,
      (i.compressor_cfm as number) * CFM,
      (i.demand_cfm as number) * CFM,
      atmosphere,
    );
    expectCheck(cycle.loadedS / 60, check, 'load_min');
    expectCheck(cycle.restS / 60, check, 'unload_min');
    expectCheck(cycle.startsPerHour, check, 'cycles_per_h');
    expectCheck(cycle.loadedShare * 100, check, 'duty_percent');
    return;
  }
  const [from, to] = [pick(['p1_psig', PSI], ['p1_bar_g', 1e5]), pick(['p2_psig', PSI], ['p2_bar_g', 1e5])];
  const flow = pick(['net_flow_free_cfm', CFM], ['net_flow_m3_min', 1 / 60]);
  expectCheck(receiverTimeS(volume, from, to, flow, atmosphere), check, 'time_s');
});

describe('pump-up test', () => {
  // Trade handbook, computed there: 80 gal, 90→150 psig, 75 s → 34.9 cfm; 60 gal, 100→150, 112 s → 14.6 cfm.
  test.each([
    [80, 90, 150, 75, 34.9],
    [60, 100, 150, 112, 14.6],
  ])('%d gal from %d to %d psig in %d s is %d cfm', (gal, from, to, seconds, cfm) => {
    const one = { volumeM3: gal * GAL, fromPa: from * PSI, toPa: to * PSI, seconds, intakeC: 20, receiverC: 20 };
    expect(deliveryFromPumpUp(one, 14.7 * PSI) / CFM).toBeCloseTo(cfm, 1);
    // Air that warms by 10–40 °F makes the reading 2–7 % too high (trade handbook).
    const warm = deliveryFromPumpUp({ ...one, receiverC: 20 + 25 / 1.8 }, 14.7 * PSI) / CFM;
    expect(warm / cfm).toBeGreaterThan(0.93);
    expect(warm / cfm).toBeLessThan(0.98);
  });

  test('is the time formula backwards, and says what cannot be', () => {
    const number = (min: number, max: number) => fc.double({ min, max, noNaN: true });
    fc.assert(
      fc.property(
        number(0.02, 2),
        number(1e5, 8e5),
        number(1e4, 6e5),
        number(1e-3, 0.1),
        (volumeM3, fromPa, rise, flow) => {
          const seconds = receiverTimeS(volumeM3, fromPa, fromPa + rise, flow, 101325);
          const back = deliveryFromPumpUp(
            { volumeM3, fromPa, toPa: fromPa + rise, seconds, intakeC: 20, receiverC: 20 },
            101325,
          );
          expect(back / flow).toBeCloseTo(1, 9);
        },
      ),
    );
    const bad = { volumeM3: 0.2, fromPa: 5e5, toPa: 5e5, seconds: 60, intakeC: 20, receiverC: 20 };
    expect(() => deliveryFromPumpUp(bad, 101325)).toThrow(/must rise/);
    expect(() => deliveryFromPumpUp({ ...bad, toPa: 6e5, seconds: 0 }, 101325)).toThrow(/some time/);
  });
});

test('starts are most at half the delivery; a compressor whose jobs ask for more never rests', () => {
  const most = mostStartsPerHour(0.3, 2e5, 0.01, 101325);
  for (const share of [0.1, 0.3, 0.5, 0.8])
    expect(compressorCycle(0.3, 6e5, 8e5, 0.01, 0.01 * share, 101325).startsPerHour).toBeLessThanOrEqual(
      most * (1 + 1e-9),
    );
  expect(compressorCycle(0.3, 6e5, 8e5, 0.01, 0.005, 101325).startsPerHour).toBeCloseTo(most, 9);
  expect(compressorCycle(0.3, 6e5, 8e5, 0.01, 0.02, 101325)).toMatchObject({ loadedShare: 1, startsPerHour: 0 });
});

test('a receiver by absolute pressures, the local atmosphere and cubic feet: 80 US gal to 175 psig at 16 cfm (pitfall 20)', () => {
  const minutes = (from: number): number => receiverTimeS(80 * GAL, from * PSI, 175 * PSI, 16 * CFM, 14.696 * PSI) / 60;
  expect(minutes(0)).toBeCloseTo(7.96, 2);
  expect(minutes(135)).toBeCloseTo(1.82, 2);
});
