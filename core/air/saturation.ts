import { OutOfRange, requireRange } from './out-of-range';

export const ZERO_CELSIUS_K = 273.15;
/** Triple point of water, °C: below it the stable condensed phase is ice. IAPWS, exact by the definition of ITS-90. */
export const TRIPLE_POINT_C = 0.01;
/** Range of the two saturation equations, °C: ice from −100 °C, water to +200 °C. ASHRAE Fundamentals, ch. 1. */
export const LEAST_C = -100;
export const MOST_C = 200;

/** The condensed phase that a saturation value refers to. */
export type Phase = 'water' | 'ice';

/** The stable phase at a temperature. */
export function stablePhase(temperatureC: number): Phase {
  return temperatureC < TRIPLE_POINT_C ? 'ice' : 'water';
}

// ln(Pa) over water and over ice as functions of K: Hyland & Wexler 1983, as printed in ASHRAE Fundamentals ch. 1, eqs. 5 and 6.
export function lnSaturationWater(k: number): number {
  return (
    -5800.2206 / k + 1.3914993 + k * (-0.048640239 + k * (4.1764768e-5 - k * 1.4452093e-8)) + 6.5459673 * Math.log(k)
  );
}
export function lnSaturationIce(k: number): number {
  return (
    -5674.5359 / k +
    6.3925247 +
    k * (-0.009677843 + k * (6.2215701e-7 + k * (2.0747825e-9 - k * 9.484024e-13))) +
    4.1635019 * Math.log(k)
  );
}
/** d ln e / dT over water, 1/K. */
export function slopeLnWater(k: number): number {
  return 5800.2206 / (k * k) - 0.048640239 + k * (2 * 4.1764768e-5 - k * 3 * 1.4452093e-8) + 6.5459673 / k;
}
/** d ln e / dT over ice, 1/K. */
export function slopeLnIce(k: number): number {
  return (
    5674.5359 / (k * k) -
    0.009677843 +
    k * (2 * 6.2215701e-7 + k * (3 * 2.0747825e-9 - k * 4 * 9.484024e-13)) +
    4.1635019 / k
  );
}

/** Cubics through values and slopes of a saturation equation at even steps: within 2e-9 of it, and several times as fast. */
interface Curve {
  readonly least: number;
  readonly perKelvin: number;
  readonly cubics: Float64Array;
}

function curve(
  least: number,
  most: number,
  perKelvin: number,
  ln: (k: number) => number,
  slope: (k: number) => number,
): Curve {
  const count = Math.ceil((most - least) * perKelvin) + 1;
  const cubics = new Float64Array(4 * count);
  const at = (i: number) => {
    const k = least + i / perKelvin + ZERO_CELSIUS_K;
    const e = Math.exp(ln(k));
    return [e, (e * slope(k)) / perKelvin] as const;
  };
  for (let i = 0; i < count; i++) {
    const [e0, d0] = at(i);
    const [e1, d1] = at(i + 1);
    cubics.set([e0, d0, 3 * (e1 - e0) - 2 * d0 - d1, 2 * (e0 - e1) + d0 + d1], 4 * i);
  }
  return { least, perKelvin, cubics };
}

const WATER_CURVE = curve(LEAST_C, MOST_C, 8, lnSaturationWater, slopeLnWater);
const ICE_CURVE = curve(LEAST_C, 1, 8, lnSaturationIce, slopeLnIce);

function read({ least, perKelvin, cubics }: Curve, temperatureC: number): number {
  const x = (temperatureC - least) * perKelvin;
  const i = x | 0; // an integer index, which Math.trunc would not give the machine
  const u = x - i;
  const k = 4 * i;
  return (
    (((cubics[k + 3] as number) * u + (cubics[k + 2] as number)) * u + (cubics[k + 1] as number)) * u +
    (cubics[k] as number)
  );
}

/**
 * Saturation pressure of pure water vapour.
 *
 * @param temperatureC °C, −100…+200
 * @param phase over liquid water or over ice; left out, the stable one (ice below 0.01 °C). Over water below 0 °C the
 *   liquid is supercooled: an extrapolation of the equation, within about 1 % at −40 °C (Murphy & Koop 2005).
 * @returns Pa
 * @throws OutOfRange outside −100…+200 °C
 * @source Hyland & Wexler 1983 (ASHRAE Fundamentals ch. 1, eqs. 5 and 6)
 */
export function saturationPressurePa(temperatureC: number, phase: Phase = stablePhase(temperatureC)): number {
  requireRange('A temperature', temperatureC, LEAST_C, MOST_C, '°C');
  if (phase === 'water') return read(WATER_CURVE, temperatureC);
  if (temperatureC > 1) throw new OutOfRange('A temperature over ice', temperatureC, LEAST_C, 1, '°C');
  return read(ICE_CURVE, temperatureC);
}
