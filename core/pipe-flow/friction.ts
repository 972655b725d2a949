import { R_DRY_AIR } from '../air/humidity';
import { ZERO_CELSIUS_K } from '../air/saturation';

const LAMINAR_RE = 2300; // any text on fluid mechanics
const TURBULENT_RE = 4000;

/**
 * Dynamic viscosity of air, Pa·s; hardly changed by pressure up to 40 bar.
 * @param temperatureC °C, −50…200
 * @returns Pa·s
 * @source Sutherland’s formula with 1.716·10⁻⁵ Pa·s at 0 °C and S = 110.4 K (texts on fluid mechanics)
 */
export function airViscosity(temperatureC: number): number {
  const t = temperatureC + ZERO_CELSIUS_K;
  return (1.716e-5 * (t / ZERO_CELSIUS_K) ** 1.5 * (ZERO_CELSIUS_K + 110.4)) / (t + 110.4);
}

/** Colebrook–White as Serghides (1984) solved it: within 0.003 % of the implicit form for turbulent flow. */
function turbulent(reynolds: number, relativeRoughness: number): number {
  const e = relativeRoughness / 3.7;
  const a = -2 * Math.log10(e + 12 / reynolds);
  const b = -2 * Math.log10(e + (2.51 * a) / reynolds);
  const c = -2 * Math.log10(e + (2.51 * b) / reynolds);
  const bend = c - 2 * b + a;
  return bend === 0 ? c ** -2 : (a - (b - a) ** 2 / bend) ** -2;
}

/**
 * Darcy friction factor of a round pipe.
 * @param reynolds above 0
 * @param relativeRoughness roughness / bore, 0…0.05
 * @returns Darcy’s, four times Fanning’s
 * @source 64/Re; Colebrook–White in Serghides’ explicit form from Re 4000 on; in between a straight line from one to the other
 */
export function frictionFactor(reynolds: number, relativeRoughness: number): number {
  if (reynolds <= LAMINAR_RE) return 64 / reynolds;
  if (reynolds >= TURBULENT_RE) return turbulent(reynolds, relativeRoughness);
  const share = (reynolds - LAMINAR_RE) / (TURBULENT_RE - LAMINAR_RE);
  return (64 / LAMINAR_RE) * (1 - share) + turbulent(TURBULENT_RE, relativeRoughness) * share;
}

/**
 * Friction factor of flow so fast that only the roughness counts: K of a fitting = n · f_T uses it.
 * @param relativeRoughness roughness / bore
 * @returns Darcy’s
 * @source Kármán’s law of rough pipes
 */
export function fullyRoughFactor(relativeRoughness: number): number {
  return (-2 * Math.log10(relativeRoughness / 3.7)) ** -2;
}

/** A straight pipe, or a hose. */
export interface Conduit {
  readonly boreM: number;
  readonly lengthM: number;
  readonly roughnessM: number;
  /** Sum of the loss coefficients of its fittings, in velocity heads at its bore. */
  readonly k: number;
}

/** Air that flows through it. */
export interface Flowing {
  /** All that flows, kg/s. */
  readonly kgPerS: number;
  readonly temperatureC: number;
  /** Absolute, where it enters. */
  readonly pressurePa: number;
}

const areaM2 = (boreM: number): number => (Math.PI / 4) * boreM ** 2;

/**
 * Velocity of the air as it is in the pipe, compressed, m/s: not that of its free air.
 * @param boreM m
 * @returns m/s
 * @example velocityMPerS({ kgPerS: 0.01, temperatureC: 20, pressurePa: 8e5 }, 0.0127) // 8.30
 */
export function velocityMPerS({ kgPerS, temperatureC, pressurePa }: Flowing, boreM: number): number {
  return (kgPerS * R_DRY_AIR * (temperatureC + ZERO_CELSIUS_K)) / (pressurePa * areaM2(boreM));
}

/**
 * Reynolds number in a pipe.
 * @param boreM m
 * @source 4 ṁ / (π d μ)
 */
export function reynoldsNumber({ kgPerS, temperatureC }: Flowing, boreM: number): number {
  return (4 * kgPerS) / (Math.PI * boreM * airViscosity(temperatureC));
}

const ROUNDS = 12;

/**
 * Absolute pressure at the end of a pipe, Pa, at one temperature along it.
 * @param air mass flow, pressure and temperature where the pipe begins
 * @returns `undefined` where the pipe chokes: no pressure at its end would pull so much through it
 * @source isothermal compressible flow, p₁² − p₂² = (m/A)²·R·T·(f·L/D + ΣK + 2·ln(p₁/p₂)), ideal gas; f by
 *   {@link frictionFactor}; at the end of the pipe it can go no faster than √(R·T)
 * @example pressureBehindPa({ kgPerS: 0.01, temperatureC: 20, pressurePa: 8e5 }, { boreM: 0.0127, lengthM: 30, roughnessM: 4.6e-5, k: 0 }) // 776717
 */
export function pressureBehindPa(air: Flowing, pipe: Conduit): number | undefined {
  const { kgPerS, temperatureC, pressurePa } = air;
  if (kgPerS <= 0) return pressurePa;
  const rt = R_DRY_AIR * (temperatureC + ZERO_CELSIUS_K);
  const massFlux = kgPerS / areaM2(pipe.boreM);
  const f = frictionFactor(reynoldsNumber(air, pipe.boreM), pipe.roughnessM / pipe.boreM);
  const heads = (f * pipe.lengthM) / pipe.boreM + pipe.k;
  const least = massFlux * Math.sqrt(rt);
  let end = pressurePa;
  for (let i = 0; i < ROUNDS; i++) {
    const square = pressurePa ** 2 - massFlux ** 2 * rt * (heads + 2 * Math.log(pressurePa / end));
    if (square <= least ** 2) return undefined;
    const next = Math.sqrt(square);
    if (Math.abs(next - end) < 1e-6 * pressurePa) return next;
    end = next;
  }
  return end;
}
