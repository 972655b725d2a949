import { CP_DRY_AIR } from '../air/enthalpy';
import { WATER_TO_AIR_MASS } from '../air/humidity';
import { saturationPressurePa } from '../air/saturation';
import { type Isotherm, warmthFactor } from './bed-media';

/** A layer of one kind of beads, in the order in which the air meets them while it is dried. */
export interface Layer {
  readonly isotherm: Isotherm;
  readonly lengthM: number;
  readonly bulkKgPerM3: number;
  /** How fast a bead follows its balance, 1/s: linear driving force. */
  readonly ratePerS: number;
}

/** A bed of beads, for each square metre of its cross section. */
export interface Bed {
  readonly layers: readonly Layer[];
  /** Of the beads, J/(kg·K). */
  readonly heatCapacity: number;
  /** Holds the bed at its temperature: no heat is set free. */
  readonly isothermal?: boolean;
}

/** Air that enters, for each square metre of cross section. */
export interface BedAir {
  readonly dryAirKgPerS: number;
  readonly humidityRatio: number;
  readonly temperatureC: number;
  readonly pressurePa: number;
}

const COLDEST_C = -60;
const HOTTEST_C = 200;
const SPAN_K = HOTTEST_C - COLDEST_C;
const PER_K = 4; // entries of the table for each kelvin
const MOST_FRACTION = 0.9; // of vapour in air in balance with hot beads: beyond it no air is left

/** Vapour pressure over beads at a humidity of 1, as the isotherm reads it: saturation over the factor of warmth; by temperature. */
function pressureTable(isotherm: Isotherm): Float64Array {
  return Float64Array.from({ length: SPAN_K * PER_K + 2 }, (_, i) => {
    const c = Math.min(HOTTEST_C, COLDEST_C + i / PER_K);
    return saturationPressurePa(c) / warmthFactor(isotherm, c);
  });
}

/**
 * What leaves a cell: w where comes − w = takes · (q*(w) − held); the right side rises along straight pieces.
 * @param full vapour at a humidity of 1 over its beads, of the whole pressure
 * @param rh, points of the isotherm
 * @returns kg of water per kg of dry air
 */
function leaves(
  comes: number,
  held: number,
  takes: number,
  full: number,
  rh: readonly number[],
  points: readonly number[],
): number {
  const wanted = comes + takes * held;
  let [w0, q0] = [0, points[0] as number];
  if (wanted <= takes * q0) return 0;
  for (let k = 1; k < rh.length; k++) {
    let x = (rh[k] as number) * full;
    if (x > MOST_FRACTION) x = MOST_FRACTION;
    const w1 = (WATER_TO_AIR_MASS * x) / (1 - x);
    const q1 = points[k] as number;
    if (w1 + takes * q1 >= wanted) {
      const gains = w1 - w0 + takes * (q1 - q0);
      return gains > 0 ? w0 + ((wanted - w0 - takes * q0) * (w1 - w0)) / gains : w0;
    }
    w0 = w1;
    q0 = q1;
  }
  return wanted - takes * q0; // beyond saturation the beads are full
}

/**
 * A bed cut into cells, with its state. The air passes cell by cell; each cell follows its balance by the linear driving force, implicit, so that
 * any step is stable; its water and heat balance exactly. Between its points the isotherm is straight, so a cell is solved
 * without trying. Water and heat in the air between the beads are left out: they are a thousandth of what beads hold.
 * @source G ∂w/∂z = −ρb ∂q/∂t, ∂q/∂t = k (q* − q), ρb c ∂T/∂t + G cp ∂T/∂z = ρb ΔH ∂q/∂t (Ruthven 1984, recalled)
 */
export class BedColumn {
  /** kg per kg of dry beads, cell by cell from where the air enters while it is dried. */
  readonly held: Float64Array;
  readonly temperatureC: Float64Array;
  /** Beads in each cell, kg/m². */
  readonly beadsKg: Float64Array;
  /** The air that left last. */
  outRatio = 0;
  outC = 0;
  private readonly layerOf: Uint8Array;
  private readonly tables: readonly Float64Array[];

  /**
   * @param cells in all, shared out by length
   * @param held kg per kg of dry beads, at first
   */
  constructor(
    readonly bed: Bed,
    cells: number,
    held: number,
    temperatureC: number,
  ) {
    const lengthM = bed.layers.reduce((sum, l) => sum + l.lengthM, 0);
    this.held = new Float64Array(cells).fill(held);
    this.temperatureC = new Float64Array(cells).fill(temperatureC);
    this.beadsKg = new Float64Array(cells);
    this.layerOf = new Uint8Array(cells);
    this.tables = bed.layers.map((l) => pressureTable(l.isotherm));
    for (let i = 0; i < cells; i++) {
      const at = ((i + 0.5) / cells) * lengthM;
      let [layer, end] = [0, bed.layers[0]?.lengthM ?? 0];
      while (at > end && layer < bed.layers.length - 1) end += bed.layers[++layer]?.lengthM ?? 0;
      this.layerOf[i] = layer;
      this.beadsKg[i] = ((bed.layers[layer] as Layer).bulkKgPerM3 * lengthM) / cells;
    }
  }

  layerIndexAt(cell: number): number {
    return this.layerOf[cell] as number;
  }

  layerAt(cell: number): Layer {
    return this.bed.layers[this.layerIndexAt(cell)] as Layer;
  }

  /** Water in the bed, kg/m². */
  waterKg(): number {
    return this.held.reduce((sum, q, i) => sum + q * (this.beadsKg[i] as number), 0);
  }

  /**
   * One step in time.
   * @param seconds a tenth of 1/rate keeps the front as steep as it is
   * @param backwards from the dry end to the wet one, as a purge goes
   */
  step(air: BedAir, seconds: number, backwards = false): void {
    const cells = this.held.length;
    const airKg = air.dryAirKgPerS * seconds;
    this.outRatio = air.humidityRatio;
    this.outC = air.temperatureC;
    if (!(airKg > 0)) return;
    let layer = -1;
    let rh: readonly number[] = [];
    let points: readonly number[] = [];
    let table = this.tables[0] as Float64Array;
    let [follows, heat] = [0, 0];
    const { heatCapacity, isothermal } = this.bed;
    const airHeat = airKg * CP_DRY_AIR;
    let w = air.humidityRatio;
    let t = air.temperatureC;
    for (let n = 0; n < cells; n++) {
      const i = backwards ? cells - 1 - n : n;
      if (this.layerOf[i] !== layer) {
        layer = this.layerOf[i] as number;
        const { isotherm, ratePerS } = this.bed.layers[layer] as Layer;
        ({ rh, held: points } = isotherm);
        table = this.tables[layer] as Float64Array;
        follows = (ratePerS * seconds) / (1 + ratePerS * seconds);
        heat = isothermal ? 0 : isotherm.heatJPerKg;
      }
      const held = this.held[i] as number;
      const cellC = this.temperatureC[i] as number;
      const beads = this.beadsKg[i] as number;
      // Vapour at a humidity of 1 over these beads, of the whole pressure.
      const above = cellC - COLDEST_C;
      const place = above < 0 ? 0 : above > SPAN_K ? SPAN_K * PER_K : above * PER_K;
      const row = place | 0;
      const low = table[row] as number;
      const full = (low + ((table[row + 1] as number) - low) * (place - row)) / air.pressurePa;
      const left = leaves(w, held, (beads / airKg) * follows, full, rh, points);
      const taken = (airKg * (w - left)) / beads;
      this.held[i] = held + taken;
      const inertia = beads * heatCapacity;
      t = (inertia * cellC + airHeat * t + heat * beads * taken) / (inertia + airHeat);
      if (isothermal) t = cellC;
      this.temperatureC[i] = t;
      w = left;
    }
    this.outRatio = w;
    this.outC = t;
  }
}
