import { HEAT_OF_UPTAKE } from './uptake';

const CP_DRY_AIR = 1006; // J/(kg·K), ASHRAE Fundamentals ch. 1

/** A humidity ratio this close is found: far under any dew point that is measured. Water balances all the same. */
const NEAR = 1e-11;

/** A bed of beads, for each square metre of its cross section. */
export interface Bed {
  readonly lengthM: number;
  readonly bulkKgPerM3: number;
  /** Of the beads, J/(kg·K). */
  readonly heatCapacity: number;
  /** How fast a bead follows its balance, 1/s: linear driving force. */
  readonly ratePerS: number;
  /** Water in balance, kg per kg of dry beads. Never falls with humidity ratio. */
  readonly balance: (humidityRatio: number, temperatureC: number) => number;
  /** Set free by each kilogram taken up, J. 0 holds the bed at its temperature. */
  readonly heatOfUptake?: number;
}

/** The state of a bed, cell by cell from where the air enters. */
export interface BedState {
  readonly held: Float64Array;
  readonly temperatureC: Float64Array;
}

/** Air that enters, for each square metre of cross section. */
export interface BedAir {
  readonly dryAirKgPerS: number;
  readonly humidityRatio: number;
  readonly temperatureC: number;
}

export const freshBed = (cells: number, held: number, temperatureC: number): BedState => ({
  held: new Float64Array(cells).fill(held),
  temperatureC: new Float64Array(cells).fill(temperatureC),
});

/** Solves for what leaves a cell: between nothing and all that comes and is held; the balance decides. */
function leaves(bed: Bed, comes: number, held: number, temperatureC: number, perKg: number, follows: number): number {
  // f rises with w: what leaves the air, less what the beads take in this step.
  const f = (w: number): number => comes - w - perKg * follows * (bed.balance(w, temperatureC) - held);
  let low = 0;
  let high = comes + perKg * follows * held;
  if (f(low) <= 0) return 0;
  let w = Math.min(high, comes);
  for (let i = 0; i < 60; i++) {
    const value = f(w);
    if (value > 0) low = w;
    else high = w;
    const step = Math.max(1e-9, w * 1e-6);
    const slope = (f(w + step) - value) / step;
    const newton = w - value / slope;
    const next = newton > low && newton < high ? newton : (low + high) / 2;
    if (Math.abs(next - w) <= NEAR) return next;
    w = next;
  }
  return w;
}

/**
 * One step of a bed in time. The air passes cell by cell; each cell is in balance with itself by the linear driving force,
 * implicit, so that any step is stable, and its water and heat balance exactly. Water and heat in the air between the beads
 * are left out: they are a thousandth of what the beads hold.
 * @param state is changed
 * @param seconds of the step; a tenth of 1/rate keeps the front as steep as it is
 * @returns the air that leaves
 * @source G ∂w/∂z = −ρb ∂q/∂t, ∂q/∂t = k (q* − q), ρb c ∂T/∂t + G cp ∂T/∂z = ρb ΔH ∂q/∂t (Ruthven 1984, recalled)
 */
export function stepBed(bed: Bed, state: BedState, air: BedAir, seconds: number): BedAir {
  const cells = state.held.length;
  const beadsKg = (bed.bulkKgPerM3 * bed.lengthM) / cells;
  const airKg = air.dryAirKgPerS * seconds;
  const heat = bed.heatOfUptake ?? HEAT_OF_UPTAKE;
  const follows = (bed.ratePerS * seconds) / (1 + bed.ratePerS * seconds);
  let w = air.humidityRatio;
  let t = air.temperatureC;
  for (let i = 0; i < cells; i++) {
    const held = state.held[i] as number;
    const cellC = state.temperatureC[i] as number;
    const left = airKg > 0 ? leaves(bed, w, held, cellC, beadsKg / airKg, follows) : w;
    const taken = (airKg * (w - left)) / beadsKg;
    state.held[i] = held + taken;
    const inertia = beadsKg * bed.heatCapacity;
    t = (inertia * cellC + airKg * CP_DRY_AIR * t + heat * beadsKg * taken) / (inertia + airKg * CP_DRY_AIR);
    state.temperatureC[i] = t;
    w = left;
  }
  return { dryAirKgPerS: air.dryAirKgPerS, humidityRatio: w, temperatureC: t };
}
