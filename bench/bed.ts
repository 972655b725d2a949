import assert from 'node:assert/strict';
import type { BedDuty } from '../core/desiccant/bed-film';
import { runCartridge, runTwinTower } from '../core/desiccant/bed-runs';
import { bestMs } from './best-ms';

// The inside of a bed: an eight-hour day on a cartridge of 200 cells, and two heatless towers to the cycle that repeats. Each against its limit,
// and against the same bed cut into half as many cells: twice the cells may cost at most three times the time.
const WITHIN = { day: 300, towers: 5000 } as const;

const duty: BedDuty = {
  layers: [{ medium: 'gel', massKg: 5 }],
  boreM: 0.15,
  dryAirKgPerS: 0.0056,
  inletC: 27,
  inletPa: 8e5,
  relativeHumidity: 1,
  startC: 25,
};
const day = bestMs(() => runCartridge(duty, 8, { cells: 200 }));
const half = bestMs(() => runCartridge(duty, 8, { cells: 100 }));
const twin = {
  ...duty,
  layers: [{ medium: 'alumina', massKg: 30 }],
  boreM: 0.3,
  dryAirKgPerS: 0.056,
  inletC: 35,
  cycleS: 600,
  purgeShare: 0.15,
  atmosphericPa: 101325,
} as const;
const towers = bestMs(() => assert(runTwinTower(twin)?.repeats));
const of = (ms: number, most: number): string =>
  `${Math.round((100 * ms) / most)} % of the ${most} ms that it may take`;
console.log(
  `A day of a cartridge, 200 cells: ${of(day, WITHIN.day)}; ${(day / half).toFixed(1)} times that of 100 cells.`,
);
console.log(`Two towers to the cycle that repeats: ${of(towers, WITHIN.towers)}.`);
assert(day < WITHIN.day && towers < WITHIN.towers && day / half < 3);
