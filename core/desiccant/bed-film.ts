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

export function columnOf(d: BedDuty, cells: number): BedColumn {
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
export class Camera {
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

export function dewPointOf(ratio: number, pressurePa: number): number {
  const driest = saturatedHumidityRatio(DRIEST_C, pressurePa);
  return ratio <= driest ? DRIEST_C : pressureDewPointC(vapourFractionFromRatio(ratio), pressurePa);
}

export const inletRatio = (d: BedDuty): number => d.relativeHumidity * saturatedHumidityRatio(d.inletC, d.inletPa);
export const stepS = (d: BedDuty): number => STEP / Math.max(...d.layers.map((l) => BED_MEDIA[l.medium].ratePerS));
