import { type AftercoolerAt, type AftercoolerNeed, coolerAt } from './size-aftercooler';

/** The data of a cooler that somebody has: what its maker says it gives off, and at which difference. */
export interface CoolerPlate {
  readonly heatW: number;
  /** Between what enters it and the air that cools it, K. */
  readonly differenceK: number;
  /** What the data are for. */
  readonly madeFor: 'air' | 'oil';
}

/** Air passes its heat to a fin worse than oil or water does: of the plate so much is left (estimate). */
const OF_OIL = 0.5;
const STEPS = 60;

/**
 * What a cooler passes for each kelvin by its plate, W/K. The difference along the cooler is nowhere larger than at its inlet: at
 * least so much.
 * @param plate heat above 0 W, difference above 0 K
 * @source Q = U·A·ΔT; half of it for air in a cooler made for oil (estimate)
 * @example coolerUa({ heatW: 3000, differenceK: 50, madeFor: 'oil' }) // 30
 */
export const coolerUa = ({ heatW, differenceK, madeFor }: CoolerPlate): number =>
  ((madeFor === 'oil' ? OF_OIL : 1) * heatW) / differenceK;

/**
 * What a cooler that passes so much for each kelvin makes of the air: the inverse of {@link sizeAftercooler}.
 * @param uaWPerK above 0 W/K
 * @source heat balance of moist air, logarithmic mean to cooling air of constant temperature
 * @example coolerByUa({ dryAirKgPerS: 0.009, humidityRatio: 0.0174, inletC: 160, pressurePa: 8.5e5, coolingC: 33, hottestOutC: 49 }, 30).approachK // 9.12
 */
export function coolerByUa(need: AftercoolerNeed, uaWPerK: number): AftercoolerAt {
  let [low, high] = [1e-6, Math.max(1e-6, need.inletC - need.coolingC)];
  for (let i = 0; i < STEPS; i++) {
    const middle = (low + high) / 2;
    // The closer it comes, the more it must pass.
    if (coolerAt(need, middle).uaWPerK > uaWPerK) low = middle;
    else high = middle;
  }
  return coolerAt(need, (low + high) / 2);
}
