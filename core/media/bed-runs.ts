import { pressureDewPointC } from '../air/dew-point';
import { saturatedHumidityRatio, vapourFractionFromRatio } from '../air/humidity';
import { type Bed, BedColumn } from './bed';
import { BED_MEDIA, type BedMediumName, balanceOf } from './bed-media';
import { BEADS_RH } from './isotherm';

const BEAD_HEAT = 920; // J/(kg·K), beads with their pores (bead handbooks, typical)
/** A step is this share of what a bead takes to follow. */
const STEP = 0.1;
const NEW_AT_C = 25;
const DRIEST_C = -90; // dew points under it are not told apart
const FRAMES = 120;
/** A cycle that takes in and gives out the same to within this repeats itself. */
const REPEATS = 1e-3;

/** A bed and the air through it. */
export interface BedDuty {
  /** In the order in which the air meets them. */
  readonly layers: readonly { readonly medium: BedMediumName; readonly massKg: number }[];
  readonly boreM: number;
  readonly dryAirKgPerS: number;
  readonly inletC: number;
  /** Absolute. */
  readonly inletPa: number;
  /** 0…1, in the line. */
  readonly relativeHumidity: number;
  /** The air in which the beads were dried before; left out, they are as their maker sealed them. */
  readonly dried?: { readonly relativeHumidity: number; readonly temperatureC: number };
  readonly startC: number;
}

/** A bed through time: pictures of it, and what left it. */
export interface BedFilm {
  readonly cells: number;
  /** Of each cell, m. */
  readonly cellM: number;
  /** When each picture was taken, s. */
  readonly at: Float32Array;
  /** Picture by picture, cell by cell from where the wet air enters: of what the cell can hold in this air, 0…1 and over. */
  readonly loading: Float32Array;
  readonly temperatureC: Float32Array;
  /** Pressure dew point of the air that left, at each picture, °C. */
  readonly outC: Float32Array;
  /** Beads of the layer that each cell belongs to, by its place in the duty. */
  readonly layer: Uint8Array;
  /** Water that came, stayed and left over the whole, kg. */
  readonly water: { readonly came: number; readonly stayed: number; readonly left: number };
}

/** Said instead of a run where there is nothing to run. */
export class NoBed extends Error {}

function columnOf(d: BedDuty, cells: number): BedColumn {
  if (!(d.dryAirKgPerS > 0)) throw new NoBed('No air passes: nothing happens in the bed.');
  if (d.layers.length === 0 || d.layers.some((l) => !(l.massKg > 0)))
    throw new NoBed('No beads: nothing to look into.');
  if (!(d.boreM > 0)) throw new NoBed('The bed needs a bore.');
  const areaM2 = (Math.PI / 4) * d.boreM ** 2;
  const bed: Bed = {
    heatCapacity: BEAD_HEAT,
    layers: d.layers.map(({ medium, massKg }) => {
      const m = BED_MEDIA[medium];
      return {
        isotherm: m,
        bulkKgPerM3: m.bulkKgPerM3,
        ratePerS: m.ratePerS,
        lengthM: massKg / m.bulkKgPerM3 / areaM2,
      };
    }),
  };
  const column = new BedColumn(bed, cells, 0, d.startC);
  for (let i = 0; i < cells; i++) {
    const medium = BED_MEDIA[(d.layers[column.layerIndexAt(i)] as BedDuty['layers'][0]).medium];
    column.held[i] = d.dried
      ? balanceOf(medium, d.dried.relativeHumidity, d.dried.temperatureC)
      : balanceOf(medium, BEADS_RH[medium.as], NEW_AT_C);
  }
  return column;
}

/** Takes pictures of a bed as it goes. */
class Camera {
  readonly at: number[] = [];
  readonly loading: number[] = [];
  readonly temperatureC: number[] = [];
  readonly outC: number[] = [];
  private readonly full: Float64Array;

  constructor(
    private readonly column: BedColumn,
    private readonly d: BedDuty,
  ) {
    this.full = Float64Array.from(column.held, (_, i) =>
      balanceOf(column.layerAt(i).isotherm, d.relativeHumidity, d.inletC),
    );
  }

  take(seconds: number, outRatio: number): void {
    this.at.push(seconds);
    for (const [i, q] of this.column.held.entries()) this.loading.push(q / (this.full[i] as number));
    this.temperatureC.push(...this.column.temperatureC);
    this.outC.push(dewPointOf(outRatio, this.d.inletPa));
  }

  film(water: BedFilm['water']): BedFilm {
    const { column } = this;
    const lengthM = column.bed.layers.reduce((sum, l) => sum + l.lengthM, 0);
    const cells = column.held.length;
    return {
      cells,
      cellM: lengthM / cells,
      at: Float32Array.from(this.at),
      loading: Float32Array.from(this.loading),
      temperatureC: Float32Array.from(this.temperatureC),
      outC: Float32Array.from(this.outC),
      layer: Uint8Array.from({ length: cells }, (_, i) => column.layerIndexAt(i)),
      water,
    };
  }
}

function dewPointOf(ratio: number, pressurePa: number): number {
  const driest = saturatedHumidityRatio(DRIEST_C, pressurePa);
  return ratio <= driest ? DRIEST_C : pressureDewPointC(vapourFractionFromRatio(ratio), pressurePa);
}

const inletRatio = (d: BedDuty): number => d.relativeHumidity * saturatedHumidityRatio(d.inletC, d.inletPa);
const stepS = (d: BedDuty): number => STEP / Math.max(...d.layers.map((l) => BED_MEDIA[l.medium].ratePerS));

/**
 * A cartridge through so much air.
 * @param duty inlet −20…60 °C, 1.1…41 bar absolute, humidity 0…1
 * @param hours of air, above 0
 * @param onProgress is told the share that is done; where it says false nothing is returned
 * @throws NoBed where there is no air, no beads or no bore; OutOfRange of the air’s equations
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
