import { R_DRY_AIR } from '../../air/humidity';
import { ZERO_CELSIUS_K } from '../../air/saturation';
import type { AirStream } from '../../stream/air-stream';
import type { Surroundings } from './kind';

/**
 * Free air of a stream, m³/s, at the barometer and the intake’s temperature.
 * @example freeAirM3PerS(air, around) // 0.008418
 */
export function freeAirM3PerS(air: Pick<AirStream, 'dryAirKgPerS'>, around: Surroundings): number {
  return (air.dryAirKgPerS * R_DRY_AIR * (around.intakeTemperatureC + ZERO_CELSIUS_K)) / around.atmosphericPa;
}
