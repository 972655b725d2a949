const KELVIN = 273.15;

/** A line that was shut in: what was read at the beginning and at the end. */
export interface ShutIn {
  /** Room for air of what was shut in, m³. */
  readonly volumeM3: number;
  /** Absolute, Pa. */
  readonly fromPa: number;
  readonly toPa: number;
  readonly seconds: number;
  /** Temperature of the air inside, °C; left out, it was the same at both readings. */
  readonly fromC?: number | undefined;
  readonly toC?: number | undefined;
  readonly atmosphericPa: number;
}

/**
 * Pressure at the end, as it would be read at the temperature of the beginning: a fall of 1 K looks like a leak of 0.34 %.
 * @returns Pa, absolute
 * @source ideal gas at constant volume: p/T
 * @example correctedPa({ fromPa: 8e5, toPa: 7.9e5, fromC: 25, toC: 20 }) // 803474.3
 */
export function correctedPa({ toPa, fromC, toC }: Pick<ShutIn, 'fromPa' | 'toPa' | 'fromC' | 'toC'>): number {
  if (fromC === undefined || toC === undefined) return toPa;
  return (toPa * (fromC + KELVIN)) / (toC + KELVIN);
}

/**
 * What leaks out of a line that is shut in.
 * @returns m³/s of free air at the barometer and the temperature of the beginning; below 0, the pressure rose
 * @source Q = V/t · (p₁/T₁ − p₂/T₂) · T₀/p₀, balance of mass; T₀ that of the beginning
 * @example leakM3PerS({ volumeM3: 0.227, fromPa: 8e5, toPa: 7e5, seconds: 600, atmosphericPa: 101325 }) // 0.000373
 */
export function leakM3PerS(test: ShutIn): number {
  return (test.volumeM3 * (test.fromPa - correctedPa(test))) / (test.atmosphericPa * test.seconds);
}
