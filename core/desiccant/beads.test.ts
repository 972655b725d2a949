import fc from 'fast-check';
import { CFM, PSI } from '../quantity/constants';
import { checksOf, expectCheck } from '../test/reference';
import { type Batch, dryBatch, dryingHours, QUOTED, suitsBatch } from './dry-batch';
import { dryingSteps } from './drying-steps';
import { fitCartridge } from './fit-cartridge';
import { INDICATORS, provesDownToC } from './indicators';
import { heldWater, USABLE, usableWater } from './isotherm';
import { judgeCharge, leftAfter, sparesOf, type WeighedCharge } from './judge-charge';
import { type CartridgeDuty, sizeCartridge, waterLoadKgPerS } from './size-cartridge';

const toC = (f: number): number => (f - 32) / 1.8;

test.each(checksOf(13))('$id, hours of air of a charge ($provenance)', (check) => {
  const i = check.inputs;
  const n = (key: string): number => Number(i[key]);
  const duty = {
    dryAirKgPerS: (n('scfm_14.5_68F') * CFM * 14.5 * PSI) / (287.042 * 293.15),
    inletC: toC(n('inlet_T_F')),
    inletPa: (n('inlet_psig') + 14.696) * PSI,
    relativeHumidity: n('inlet_RH_percent') / 100,
  };
  const holdsKg = (n('bead_g') / 1000) * n('capacity_kg_per_kg');
  const ideal = waterLoadKgPerS(duty, toC(n('outlet_PDP_F')), 'ideal');
  expectCheck(holdsKg * 1000, check, 'water_removed_g');
  expectCheck(ideal * 3.6e6, check, 'water_load_g_h');
  expectCheck(holdsKg / ideal / 3600, check, 'hours_to_saturation');
  expectCheck(holdsKg / waterLoadKgPerS(duty, toC(n('outlet_PDP_F'))) / 3600, check, 'hours_real_f');
});

describe('a cartridge sized', () => {
  const duty: CartridgeDuty = {
    medium: 'silica',
    massKg: 2,
    dryAirKgPerS: 3 * CFM * 1.2,
    inletC: 27,
    inletPa: 8e5,
    relativeHumidity: 1,
    airHPerDay: 1,
  };
  test('usable uptake of drier air is 30 to 60 % less (trade handbook, estimate, for gel at 20–30 % RH)', () => {
    expect(usableWater('silica', 1)).toBe(USABLE.silica);
    for (const rh of [0.22, 0.3]) {
      expect(usableWater('silica', rh)).toBeLessThan(0.7 * USABLE.silica);
      expect(usableWater('silica', rh)).toBeGreaterThan(0.38 * USABLE.silica);
    }
  });
  test('honest about what is hopeless, and what upstream makes it sensible', () => {
    expect(sizeCartridge(duty).worth).toBe('good');
    const hopeless = sizeCartridge({ ...duty, massKg: 0.5, airHPerDay: 6, inletC: 40 });
    expect(hopeless.worth).toBe('hopeless');
    expect(hopeless.upstream.length).toBe(3);
    expect(sizeCartridge({ ...duty, inletC: 70 }).because).toContain('hot');
    expect(sizeCartridge({ ...duty, massKg: 0.01, airHPerDay: 0.01 }).because).toContain('second');
    // Behind a refrigerated dryer there is nothing left to gain from another.
    expect(sizeCartridge({ ...duty, relativeHumidity: 0.2 }).upstream.map((u) => u.says)).not.toContain(
      'A refrigerated dryer before it',
    );
  });
  test('more beads last longer, more or warmer air shorter; the mass for a week lasts a week (laws)', () => {
    const between = (min: number, max: number) => fc.double({ min, max, noNaN: true });
    fc.assert(
      fc.property(between(0.1, 50), between(5, 40), between(0.05, 1), (massKg, inletC, relativeHumidity) => {
        const d = { ...duty, massKg, inletC, relativeHumidity };
        const { hours, weekKg } = sizeCartridge(d);
        expect(sizeCartridge({ ...d, massKg: massKg * 1.1 }).hours).toBeGreaterThan(hours);
        expect(sizeCartridge({ ...d, inletC: inletC + 2 }).hours).toBeLessThan(hours);
        expect(sizeCartridge({ ...d, dryAirKgPerS: d.dryAirKgPerS * 2 }).hours).toBeCloseTo(hours / 2, 6);
        expect(sizeCartridge({ ...d, massKg: weekKg }).days).toBeCloseTo(5, 6);
      }),
    );
  });
});

describe('a batch in the oven', () => {
  const batch: Batch = { medium: 'silica', dyed: false, oily: false, dryKg: 0.9, loaded: 0.25, layerM: 0.02 };
  test.each(checksOf(12).filter((c) => c.id.includes('oventime')))('$id, time by heat ($provenance)', (check) => {
    const n = (key: string): number => Number(check.inputs[key]);
    // Sieve holds its water by 1800 Btu/lb (bead handbooks), gel by 2.6 MJ/kg: the latter is what the check has.
    expect(dryingHours(1, 0.2, 0.1, 288, 4.19e6)).toBeGreaterThan(1.3 * dryingHours(1, 0.2, 0.1, 288));
    expectCheck(dryingHours(n('dry_gel_kg'), n('water_kg_per_kg'), n('tray_area_m2'), n('oven_C')), check, 'hours');
  });
  test('135 °F leaves 3 to 6 % in gel, 300 °F next to nothing, 400 °F ruins it (reference group 12, notes)', () => {
    const [cool, warm, hot] = QUOTED.map((q) => dryBatch(batch, q.ovenC, 100));
    expect(cool?.leaves).toBeGreaterThan(0.03);
    expect(cool?.leaves).toBeLessThan(0.06);
    expect(cool?.says).toContain('in part');
    expect(warm?.leaves).toBeLessThan(0.004);
    expect(warm?.ruins).toBeUndefined();
    expect(hot?.ruins).toContain('cracks');
    // 1½ h does not even bring it there: it cannot supply the heat.
    expect(dryBatch(batch, QUOTED[0].ovenC, 1.5).leaves).toBeGreaterThan(0.15);
  });
  test('dye bears 250 °F; oil is never heated; sieve is not for a cool oven (trade handbook)', () => {
    expect(dryBatch({ ...batch, dyed: true }, 149, 3).ruins).toContain('dye');
    expect(dryBatch({ ...batch, dyed: true }, 120, 3).ruins).toBeUndefined();
    expect(dryBatch({ ...batch, oily: true }, 120, 3).refused).toContain('oil');
    expect(dryBatch({ ...batch, medium: 'sieve' }, 200, 4).refused).toBeDefined();
  });
  test('what suits a medium does not ruin it, and dries it by all but a hundredth or two', () => {
    for (const medium of ['silica', 'alumina', 'sieve'] as const)
      for (const dyed of [false, true]) {
        const b = { ...batch, medium, dyed: dyed && medium === 'silica', loaded: heldWater(medium, 0.6) };
        const result = dryBatch(b, suitsBatch(b).ovenC, 48);
        expect([result.refused, result.ruins]).toEqual([undefined, undefined]);
        expect(result.leaves).toBeLessThan(medium === 'sieve' ? 0.02 : 0.012);
      }
  });
});

describe('a charge weighed', () => {
  const charge = { medium: 'silica', dyed: false, wetKg: 1.12, dryKg: 1, times: 2 } as const;
  const fate = (c: Partial<WeighedCharge>) => {
    const judged = judgeCharge({ ...charge, ...c });
    return typeof judged === 'string' ? judged : judged.fate;
  };
  test('kept, put to lesser use, or discarded under 70 % of new and after 20 times (trade handbook)', () => {
    expect(fate({})).toBe('keep');
    expect(fate({ wetKg: 1.09 })).toBe('lesser use');
    expect(fate({ wetKg: 1.083 })).toBe('discard');
    expect(fate({ times: 20 })).toBe('discard');
    expect(fate({ medium: 'alumina', times: 20 })).toBe('keep');
    expect(fate({ dyed: true, times: 15 })).toBe('lesser use');
  });
  test('weights that cannot be are reported, not used', () => {
    expect(fate({ wetKg: 0.98 })).toContain('Heavier after');
    expect(fate({ wetKg: 1.6 })).toContain('No beads hold');
  });
  test('a charge that lasts a day needs one spare; one that lasts a third of it, three', () => {
    expect([sparesOf(8, 8), sparesOf(2.7, 8), sparesOf(Number.POSITIVE_INFINITY, 8)]).toEqual([1, 3, 1]);
  });
});

test('a dry colour proves 27 °F at beads of 70 °F where it begins to turn at 20 % (trade handbook, computed), and never −40', () => {
  expect(Math.abs(provesDownToC(INDICATORS.cobalt, 21.11) * 1.8 + 32 - 27)).toBeLessThan(1);
  for (const i of Object.values(INDICATORS)) expect(provesDownToC(i, 21.11)).toBeGreaterThan(-20);
});

test('gel takes up 70 % of new after its twenty dryings (trade handbook)', () => {
  expect(leftAfter('silica', 20)).toBeCloseTo(0.7, 9);
  expect(leftAfter('silica', 0)).toBe(1);
});

test('a housing: rated under cut-out, a relief valve over the rating, beads that do not go in, a leak at night', () => {
  const duty = {
    medium: 'silica',
    massKg: 0.9,
    dryAirKgPerS: 0.0056,
    inletC: 27,
    inletPa: 8e5,
    relativeHumidity: 1,
    airHPerDay: 2,
  } as const;
  const housing = {
    ratedPa: 11e5,
    cutOutPa: 9.5e5,
    reliefPa: 10.5e5,
    volumeM3: 1.35e-3,
    inSeries: 1,
    leakKgPerS: 0,
    idleH: 22,
  };
  const of = (change: Partial<typeof housing>) => fitCartridge(duty, { ...housing, ...change });
  expect(of({}).findings).toEqual([]);
  expect(of({ ratedPa: 9e5 }).findings[0]?.grave).toBe(true);
  expect(of({ ratedPa: 0 }).findings[0]?.grave).toBe(true);
  // What nobody has read is asked for, never judged.
  const { ratedPa: _, volumeM3: __, ...unread } = housing;
  const open = fitCartridge({ ...duty, massKg: 40 }, unread);
  expect(open.findings.map((f) => f.grave)).toEqual([false]);
  expect(open.needsM3).toBeCloseTo(40 / 735 / 0.95, 6);
  expect(of({ reliefPa: 12e5 }).findings[0]?.grave).toBe(true);
  expect(of({ volumeM3: 1e-3 }).findings[0]?.says).toContain('do not go in');
  // 0.9 kg at 735 kg/m³ (reference group 12): 1.22 L.
  expect(of({ volumeM3: 1.22449e-3 }).filled).toBeCloseTo(1, 4);
  // A leak of a tenth of the flow, eleven times as long: 1.1 times a day’s work.
  expect(of({ leakKgPerS: 0.00056 }).idleKg).toBeCloseTo(waterLoadKgPerS(duty) * 2 * 3600 * 1.1, 6);
  expect(of({ inSeries: 2 }).leadHours).toBeGreaterThan(of({}).leadHours * 1.5);
});

test('the steps of an oven take its hours, the last weighing half an hour more, and never stop short', () => {
  for (const hours of [0.5, 1.2, 4]) {
    const steps = dryingSteps({ dyed: false }, hours);
    const oven = steps.filter((s) => s.says.startsWith('In the oven')).reduce((sum, s) => sum + (s.lastsS ?? 0), 0);
    expect(oven).toBeCloseTo(hours * 3600, 6);
  }
});
