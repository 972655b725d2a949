import type { AirStream } from '../../stream/air-stream';
import { freeAirM3PerS } from './free-air';
import { numberField, type Surroundings } from './kind';

/** Of the air that passes, no more than so much goes through a leak. */
const MOST_SHARE = 0.9;

/**
 * The free air that a stage loses through its joints at working pressure.
 * @example leakField('Leaks').parse(undefined) // 0
 */
export const leakField = (label: string, help?: string) =>
  numberField({
    label,
    ...(help !== undefined && { help }),
    quantity: 'volumeFlow',
    least: 0,
    most: 0.05,
    default: 0,
    source: 'assumed tight',
  });

/**
 * The same for what hangs at the end of a line: how much it leaks is seen by soap.
 * @example soapedLeakField().parse(undefined) // 0
 */
export const soapedLeakField = () =>
  leakField('Leaks, free air', 'Soap it: a steady row of bubbles is some {0.003 m³/min}.');

/**
 * Lets free air out of a stream that passes a leak.
 * @example loseAir(air, 0.001, around).dryAirKgPerS // 0.00881
 */
export function loseAir(air: AirStream, leakM3PerS: number, around: Surroundings): AirStream {
  if (leakM3PerS === 0) return air;
  return air.vent(air.dryAirKgPerS * Math.min(MOST_SHARE, leakM3PerS / freeAirM3PerS(air, around)));
}
