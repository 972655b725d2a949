import type { DayCycle } from '@/core/day/simulate-day';
import { spell } from '@/core/quantity/spell';
import { clock, columnsOf } from './day-series';

test('columns keep the extremes of the pressure, the share loaded and the last heel, however few they are', () => {
  const n = 86400;
  const day = {
    pressurePa: Float32Array.from({ length: n }, (_, s) => (s === 40000 ? 2e5 : 8e5)),
    temperatureC: new Float32Array(n).fill(30),
    heelKg: Float32Array.from({ length: n }, (_, s) => s / n),
    demandM3PerS: new Float32Array(n).fill(0.01),
    loaded: Uint8Array.from({ length: n }, (_, s) => s % 2),
  } as unknown as DayCycle;
  const columns = columnsOf(day, { fromS: 0, toS: n }, 100);
  expect(Math.min(...columns.map((c) => c.lowPa))).toBe(2e5);
  expect(columns.every((c) => Math.abs(c.loaded - 0.5) < 0.01)).toBe(true);
  expect(columns.at(-1)?.heelKg).toBeCloseTo(1, 3);
  // More columns than seconds: none is empty.
  expect(columnsOf(day, { fromS: 10, toS: 15 }, 20).every((c) => c.highPa === 8e5)).toBe(true);
  expect([clock(9 * 3600 + 65), clock(86399, true)]).toEqual(['09:01', '23:59:59']);
  expect([4.42, 52, 420, 15000, Number.POSITIVE_INFINITY].map(spell)).toEqual([
    '4.4 s',
    '52 s',
    '7 min',
    '4 h 10 min',
    'without end',
  ]);
});
