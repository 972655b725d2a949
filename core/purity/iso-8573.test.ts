import { type Check, checksOf } from '../test/reference';
import {
  liquidGPerM3,
  OIL_CLASS_MG_PER_M3,
  oilClassOf,
  PARTICLE_CLASS_MG_PER_M3,
  PARTICLE_CLASS_PER_M3,
  REFERENCE,
  waterClassOf,
} from './iso-8573';

type Classes = Readonly<Record<string, unknown>>;
const byId = new Map(checksOf(14).map((check) => [check.id, check]));
const expected = (id: string): Record<string, never> => (byId.get(id) as Check).expected as never;
const cases = (part: string): Check[] =>
  checksOf(14).filter((check) => check.id.includes(part) && 'class' in check.inputs);

// Group 14: published, recalled from memory; exact.
test.each(cases('particle'))('$id', (check) => {
  const own = (PARTICLE_CLASS_PER_M3 as Classes)[String(check.inputs.class)] as Record<string, number | undefined>;
  expect([own.from01to05 ?? null, own.from05to1 ?? null, own.from1to5 ?? null]).toEqual(Object.values(check.expected));
});

test.each(cases('water'))('$id: at its limit in it, a hair above out of it, unrounded', (check) => {
  const limit = check.expected.PDP_max_C as number;
  expect(waterClassOf(limit, 0)).toBe(String(check.inputs.class));
  expect(waterClassOf(limit + 0.01, 0)).toBe(String((check.inputs.class as number) + 1));
});

test('liquid decides from class 7 on, and a drop in dry air is never class 1 to 6', () => {
  const { class7_max, class8_max, class9_max } = expected('G14-13-liquid7_9') as Record<string, number>;
  expect([class7_max, class8_max, class9_max].map((g) => waterClassOf(30, g as number))).toEqual(['7', '8', '9']);
  expect(waterClassOf(30, (class9_max as number) + 0.01)).toBe('X');
  expect(waterClassOf(12, 0)).toBe('7');
  expect(waterClassOf(-45, 0.1)).toBe('7');
  expect(waterClassOf((38 - 32) / 1.8, 0)).toBe('5'); // boundary trap: 38 °F is over 3 °C
});

test('oil and particles by mass', () => {
  const oil = expected('G14-14-oil') as Record<string, number>;
  for (const [name, limit] of Object.entries(OIL_CLASS_MG_PER_M3)) expect(limit).toBe(oil[`class${name}_max`]);
  expect([0.01, 0.011, 5, 5.1].map(oilClassOf)).toEqual(['1', '2', '4', 'X']);
  const mass = expected('G14-06-particle6_7X') as Record<string, number>;
  expect(Object.values(PARTICLE_CLASS_MG_PER_M3)).toEqual([mass.class6_max, mass.class7_max]);
});

test('concentrations count a cubic metre at 20 °C, 1 bar, dry', () => {
  const reference = expected('G14-15-refcond') as Record<string, number>;
  expect([REFERENCE.temperatureC, REFERENCE.pressurePa / 1e5, REFERENCE.relativeHumidity * 100]).toEqual([
    reference.T_C,
    reference.p_bar_abs,
    reference.RH_percent,
  ]);
  expect(liquidGPerM3(1e-3, 1.1884)).toBeCloseTo(1, 3); // ideal gas: 1e5 / (287.042 · 293.15) kg/m³
});
