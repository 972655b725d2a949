import { type BedDuty, type BedFilm, Camera, columnOf, dewPointOf, inletRatio, stepS } from './bed-film';

const FRAMES = 120;
/** A cycle that takes in and gives out the same to within this repeats itself. */
const REPEATS = 1e-3;

/**
 * A cartridge through so much air.
 * @param duty inlet −20…60 °C, 1.1…41 bar absolute, humidity 0…1
 * @param hours of air, above 0
 * @param onProgress is told the share that is done; where it says false nothing is returned
 * @throws NoBed where there is no air, no beads or no bore; OutOfRange of the air’s equations
 * @example runCartridge({ layers: [{ medium: 'gel', massKg: 5 }], boreM: 0.12, dryAirKgPerS: 0.005, inletC: 25, inletPa: 8e5, relativeHumidity: 1, startC: 25 }, 4, { cells: 40 }).water.came // 0.182
 */
export function runCartridge(
  duty: BedDuty,
  hours: number,
  { cells = 200, onProgress }: { cells?: number; onProgress?: (share: number) => boolean } = {},
): BedFilm | undefined {
  const column = columnOf(duty, cells);
  const areaM2 = (Math.PI / 4) * duty.boreM ** 2;
  const air = {
    dryAirKgPerS: duty.dryAirKgPerS / areaM2,
    humidityRatio: inletRatio(duty),
    temperatureC: duty.inletC,
    pressurePa: duty.inletPa,
  };
  const steps = Math.max(1, Math.ceil((hours * 3600) / stepS(duty)));
  const dt = (hours * 3600) / steps;
  const camera = new Camera(column, duty);
  const before = column.waterKg();
  let left = 0;
  const every = Math.max(1, Math.floor(steps / FRAMES));
  for (let n = 0; n < steps; n++) {
    column.step(air, dt);
    left += air.dryAirKgPerS * dt * column.outRatio;
    if (n % every === 0 || n === steps - 1) {
      camera.take((n + 1) * dt, column.outRatio);
      if (onProgress && !onProgress((n + 1) / steps)) return undefined;
    }
  }
  return camera.film({
    came: air.dryAirKgPerS * dt * steps * air.humidityRatio * areaM2,
    stayed: (column.waterKg() - before) * areaM2,
    left: left * areaM2,
  });
}

/** Two towers that dry each other, without heat. */
export interface TwinDuty extends BedDuty {
  /** Both halves, s. */
  readonly cycleS: number;
  /** Of what enters. */
  readonly purgeShare: number;
  readonly atmosphericPa: number;
}

/** The cycle that repeats, and how many it took. */
export interface TwinFilm {
  /** One tower: it dries the air in the first half and is purged in the second. */
  readonly film: BedFilm;
  readonly cycles: number;
  readonly repeats: boolean;
  /** Dew point of the dried air, on average over its half, cycle after cycle. */
  readonly reachedC: Float32Array;
}

const MOST_CYCLES = 3000;

/**
 * Two heatless towers through cycle after cycle until one is as the one before. Both are alike, half a cycle apart, so that one is followed: the air that it
 * dried in its first half purges it, at the pressure of the room and from the dry end, as the other’s does.
 * @param duty as for {@link runCartridge}; cycle 20 s and more, purge 0…1 of what enters
 * @throws NoBed as {@link runCartridge}
 * @example runTwinTower({ layers: [{ medium: 'alumina', massKg: 10 }], boreM: 0.15, dryAirKgPerS: 0.01, inletC: 25, inletPa: 8e5, relativeHumidity: 1, startC: 25, cycleS: 300, purgeShare: 0.16, atmosphericPa: 101325 }, { cells: 20 }).cycles // 3001
 */
export function runTwinTower(
  duty: TwinDuty,
  { cells = 60, onProgress }: { cells?: number; onProgress?: (share: number) => boolean } = {},
): TwinFilm | undefined {
  const column = columnOf(duty, cells);
  const areaM2 = (Math.PI / 4) * duty.boreM ** 2;
  const steps = Math.max(10, Math.ceil(duty.cycleS / 2 / Math.min(stepS(duty), duty.cycleS / 40)));
  const dt = duty.cycleS / 2 / steps;
  const feed = {
    dryAirKgPerS: duty.dryAirKgPerS / areaM2,
    humidityRatio: inletRatio(duty),
    temperatureC: duty.inletC,
    pressurePa: duty.inletPa,
  };
  const dried = { ratio: new Float64Array(steps), c: new Float64Array(steps) };
  const reached: number[] = [];
  const cycle = (camera?: Camera): { came: number; product: number; purged: number } => {
    const sums = { came: feed.dryAirKgPerS * dt * steps * feed.humidityRatio, product: 0, purged: 0 };
    const every = Math.max(1, Math.floor((2 * steps) / FRAMES));
    let mean = 0;
    for (let n = 0; n < 2 * steps; n++) {
      const i = n % steps;
      if (n < steps) {
        column.step(feed, dt);
        dried.ratio[i] = column.outRatio;
        dried.c[i] = column.outC;
        mean += column.outRatio / steps;
        sums.product += feed.dryAirKgPerS * dt * column.outRatio;
      } else {
        const purge = {
          dryAirKgPerS: feed.dryAirKgPerS * duty.purgeShare,
          humidityRatio: dried.ratio[i] as number,
          temperatureC: dried.c[i] as number,
          pressurePa: duty.atmosphericPa,
        };
        column.step(purge, dt, true);
        sums.purged += purge.dryAirKgPerS * dt * (column.outRatio - purge.humidityRatio);
      }
      if (camera && n % every === 0)
        camera.take((n + 1) * dt, n < steps ? column.outRatio : (dried.ratio[i] as number));
    }
    reached.push(dewPointOf(mean, duty.inletPa));
    return sums;
  };
  let repeats = false;
  let last = reached.at(-1);
  while (!repeats && reached.length < MOST_CYCLES) {
    const before = column.waterKg();
    const { came } = cycle();
    const now = reached.at(-1) as number;
    repeats = Math.abs(column.waterKg() - before) / came < REPEATS && last !== undefined && Math.abs(now - last) < 0.02;
    last = now;
    if (onProgress && !onProgress(Math.min(0.99, reached.length / MOST_CYCLES))) return undefined;
  }
  const before = column.waterKg();
  const camera = new Camera(column, duty);
  const { came, product, purged } = cycle(camera);
  return {
    film: camera.film({
      came: came * areaM2,
      stayed: (column.waterKg() - before) * areaM2,
      left: (product + purged) * areaM2,
    }),
    cycles: reached.length,
    repeats,
    reachedC: Float32Array.from(reached),
  };
}
