import { ZERO_CELSIUS_K } from '../air/saturation';

const REFERENCE_KG_PER_M3 = 1.185; // ANR: 20 °C, 100 kPa, 65 % RH (ISO 8778, recalled)
const REFERENCE_K = 293.15;

/** A coupler, a valve or a regulator by the two numbers of ISO 6358. */
export interface Conductance {
  /** Sonic conductance C, m³/(s·Pa); makers print dm³/(s·bar), which is 10⁻⁸ of it. */
  readonly c: number;
  /** Critical pressure ratio b, 0…1: below it nothing more goes through. */
  readonly b: number;
}

/**
 * What goes through while it chokes, kg/s.
 * @param upstreamPa Pa absolute
 * @param temperatureC °C
 * @source ISO 6358: C · p₁ · ρ₀ · √(T₀/T₁)
 * @example chokedKgPerS({ c: 1e-7, b: 0.3 }, 8e5, 20) // 0.0948
 */
export function chokedKgPerS({ c }: Conductance, upstreamPa: number, temperatureC: number): number {
  return c * upstreamPa * REFERENCE_KG_PER_M3 * Math.sqrt(REFERENCE_K / (temperatureC + ZERO_CELSIUS_K));
}

/**
 * Absolute pressure downstream of it, Pa.
 * @param kgPerS of dry air
 * @param upstreamPa Pa absolute
 * @param temperatureC °C
 * @returns `undefined` where it chokes: it cannot pass so much, whatever the pressure downstream of it
 * @source ISO 6358-1 (recalled): m = C·p₁·ρ₀·√(T₀/T₁)·√(1 − ((p₂/p₁ − b)/(1 − b))²)
 * @example pressureBehindValvePa({ c: 3e-8, b: 0.3 }, 0.01, 8e5, 20) // 764241
 */
export function pressureBehindValvePa(
  valve: Conductance,
  kgPerS: number,
  upstreamPa: number,
  temperatureC: number,
): number | undefined {
  const share = kgPerS / chokedKgPerS(valve, upstreamPa, temperatureC);
  if (share >= 1) return undefined;
  return upstreamPa * (valve.b + (1 - valve.b) * Math.sqrt(1 - share ** 2));
}

/**
 * Conductance of what loses a known pressure at a known flow.
 * @param lossPa at the flow and pressure of `at`
 * @param b critical pressure ratio
 * @returns m³/(s·Pa)
 * @example conductanceFromLoss(2e4, { kgPerS: 0.01, upstreamPa: 8e5, temperatureC: 20 }, 0.3) // 3.98e-8
 */
export function conductanceFromLoss(
  lossPa: number,
  at: { kgPerS: number; upstreamPa: number; temperatureC: number },
  b: number,
): number {
  const ratio = 1 - lossPa / at.upstreamPa;
  const share = Math.sqrt(1 - ((ratio - b) / (1 - b)) ** 2);
  return at.kgPerS / share / chokedKgPerS({ c: 1, b }, at.upstreamPa, at.temperatureC);
}
