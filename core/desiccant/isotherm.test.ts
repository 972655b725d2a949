import { saturationPressurePa } from '../air/saturation';
import { chargeHumidity } from '../equipment/drying/bead-cartridge';
import { walk } from '../line/walk';
import type { Stage } from '../plan/plan';
import { planOf, stageOf } from '../test/plan-of';
import { checksOf, expectCheck } from '../test/reference';
import { BEADS_RH, BULK_KG_PER_M3, heldWater, type Medium, ovenHumidity, USABLE } from './isotherm';

const check = (start: string) => {
  const found = checksOf(12).find((c) => c.id.startsWith(start));
  if (!found) throw new Error(start);
  return found;
};

describe('cartridge states: reference group 12', () => {
  // Common practice: bands of plausibility, by grade of the medium.
  test.each<[string, Medium]>([
    ['G12-01', 'silica'],
    ['G12-03', 'sieve'],
  ])('%s, what %s holds in balance', (id, medium) => {
    for (const percent of [1, 5, 10, 20, 40, 60, 80, 100])
      expectCheck(100 * heldWater(medium, percent / 100), check(id), `RH_${percent}_pct_kg_per_100kg`);
  });
  test('G12-05 and G12-07, usable uptake and bulk density', () => {
    expectCheck(100 * USABLE.silica, check('G12-05'), 'silica_gel_dynamic_kg_per_100kg_at_100pct_RH');
    expectCheck(100 * USABLE.alumina, check('G12-05'), 'alumina_dynamic');
    expectCheck(100 * USABLE.sieve, check('G12-05'), 'mol_sieve_dynamic');
    expectCheck(BULK_KG_PER_M3.silica, check('G12-07'), 'silica_gel_kg_m3');
    expectCheck(BULK_KG_PER_M3.alumina, check('G12-07'), 'alumina');
    expectCheck(BULK_KG_PER_M3.sieve, check('G12-07'), 'mol_sieve_4A');
  });
  test.each(['G12-09', 'G12-11'])('%s, humidity in an oven', (id) => {
    const { oven_T_C } = check(id).inputs as Record<string, number>;
    expectCheck(100 * ovenHumidity(oven_T_C as number, (70 - 32) / 1.8, 0.5), check(id), 'oven_RH_percent');
  });
  test('a medium never holds less in more humid air', () => {
    for (const medium of ['silica', 'alumina', 'sieve'] as const)
      for (let rh = 0; rh < 1; rh += 0.01) expect(heldWater(medium, rh + 0.01)).toBeGreaterThan(heldWater(medium, rh));
  });
});

describe('a charge dried in a cool oven', () => {
  const dewPoint = (ovenC: number): number => {
    const plan = planOf(
      { temperatureC: 27, relativeHumidity: 0.6, roomC: 27, flowM3PerS: 5e-4, dischargeC: 100 },
      stageOf('aftercooler', { method: 'measured', outletTemperatureC: 27 }),
      { ...stageOf('bead-cartridge', { massKg: 5, spentShare: 0, charge: 'oven', ovenC }), id: 'beads' } as Stage,
    );
    return walk(plan).at('beads')?.pressureDewPointC as number;
  };
  test('an oven at 300 °C is far drier than one at 200: by the steam tables, 8.588 over 1.555 MPa', () => {
    expect(ovenHumidity(200, 21, 0.5) / ovenHumidity(300, 21, 0.5)).toBeCloseTo(8.588 / 1.5549, 2);
    expect(dewPoint(300)).toBeLessThan(dewPoint(121));
  });
  test('135 °F leaves air no drier than its 7 % RH; 250 °F dries further', () => {
    const limit = 0.0715 * saturationPressurePa(27);
    expect(saturationPressurePa(dewPoint(57.2))).toBeGreaterThan(0.7 * limit);
    expect(dewPoint(121)).toBeLessThan(dewPoint(57.2) - 15);
    expect(chargeHumidity({ medium: 'silica', charge: 'new', ovenC: 57 })).toBe(BEADS_RH.silica);
  });
});
