import { CP_DRY_AIR, moistEnthalpy } from '../air/enthalpy';
import { saturatedHumidityRatio } from '../air/humidity';
import { type Sized, smallestOf } from './next-size';

/** Approaches that coolers are sold for at their rated flow, K: 25, 20, 15, 10 and 5 °F, the smallest cooler first (trade handbook). */
const APPROACHES_K = [25, 20, 15, 10, 5].map((f) => f / 1.8);
/** The air of a fan that passes the fins warms by so much, K (estimate). */
const WIND_WARMS_K = 10;
const WIND_KG_PER_M3 = 1.13; // at 35 °C

export interface AftercoolerNeed {
  readonly dryAirKgPerS: number;
  readonly humidityRatio: number;
  readonly inletC: number;
  /** Absolute. */
  readonly pressurePa: number;
  /** Of what cools it, on the hottest day. */
  readonly coolingC: number;
  /** The hottest that what follows bears: 49 °C of a refrigerated dryer, 38 of desiccant (trade handbook). */
  readonly hottestOutC: number;
}

export interface AftercoolerAt {
  readonly approachK: number;
  readonly outletC: number;
  /** Water that falls out of the air in it, kg/s. */
  readonly condensesKgPerS: number;
  /** Heat that it gives off, W, and what it must pass for each kelvin, W/K. */
  readonly heatW: number;
  readonly uaWPerK: number;
  /** Cooling air, m³/s. */
  readonly windM3PerS: number;
}

/** What a cooler of an approach makes of the air. */
export function coolerAt(n: AftercoolerNeed, approachK: number): AftercoolerAt {
  const outletC = Math.min(n.inletC, n.coolingC + approachK);
  const holds = Math.min(n.humidityRatio, saturatedHumidityRatio(outletC, n.pressurePa));
  const falls = n.dryAirKgPerS * (n.humidityRatio - holds);
  const enters = moistEnthalpy(n.dryAirKgPerS, n.dryAirKgPerS * n.humidityRatio, 0, n.inletC);
  const heatW = enters - moistEnthalpy(n.dryAirKgPerS, n.dryAirKgPerS * holds, falls, outletC);
  const [hot, cold] = [n.inletC - n.coolingC, outletC - n.coolingC];
  const meanK = hot === cold ? hot : (hot - cold) / Math.log(hot / cold);
  return {
    approachK,
    outletC,
    condensesKgPerS: falls,
    heatW,
    uaWPerK: meanK > 0 ? heatW / meanK : 0,
    windM3PerS: heatW / (CP_DRY_AIR * WIND_WARMS_K * WIND_KG_PER_M3),
  };
}

/**
 * The smallest aftercooler that keeps the air cool enough for what follows on the hottest day, with the ones beside it.
 * @param need inlet 20…200 °C, pressure 1.5…41 bar absolute, cooling air −20…55 °C
 * @throws OutOfRange of the air’s equations
 * @source heat balance of moist air (ASHRAE Fundamentals ch. 1); UA by the logarithmic mean to cooling air of constant
 *   temperature; approaches of the trade handbook
 * @example sizeAftercooler({ dryAirKgPerS: 0.009, humidityRatio: 0.0174, inletC: 160, pressurePa: 8.5e5, coolingC: 33, hottestOutC: 49 }).approachK // 13.9
 */
export function sizeAftercooler(
  need: AftercoolerNeed,
): AftercoolerAt & { readonly beside: Omit<Sized<AftercoolerAt>, 'size'>; readonly fits: boolean } {
  const willDo = (c: AftercoolerAt): boolean => c.outletC <= need.hottestOutC;
  const { size, down, up } = smallestOf(
    APPROACHES_K.map((approachK) => coolerAt(need, approachK)),
    willDo,
  );
  return { ...size, beside: { down, up }, fits: willDo(size) };
}
