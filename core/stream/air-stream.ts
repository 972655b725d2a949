import type { Basis } from '../air/enhancement-factor';
import { saturatedHumidityRatio } from '../air/humidity';
import { TRIPLE_POINT_C } from '../air/saturation';

/**
 * What flows in the pipe. Vapour and liquid are two numbers: air may be saturated and carry drops besides.
 * Dry air does not change along a line, so everything is per second of it.
 */
export interface AirStream {
  readonly dryAirKgPerS: number;
  readonly vapourKgPerS: number;
  readonly liquidKgPerS: number;
  readonly temperatureC: number;
  /** Absolute. */
  readonly pressurePa: number;
}

/** The stream that leaves a stage, and what the stage took out of it. */
export interface Outcome extends AirStream {
  /** Taken out through the drain. */
  readonly caughtKgPerS: number;
  /** Left behind as ice. */
  readonly frozenKgPerS: number;
}

/**
 * The stream brought to another temperature and pressure, in equilibrium there: what the air cannot hold falls out as
 * drops, and drops evaporate as far as the air can take them up. A share of the drops is caught. Below 0.01 °C all that
 * is not vapour freezes and stays.
 *
 * @param temperatureC °C, −100…+200
 * @param pressurePa absolute, 0.5…41 bar
 * @param share of the drops that the stage catches, 0…1
 * @throws OutOfRange
 */
export function bringTo(stream: AirStream, temperatureC: number, pressurePa: number, basis: Basis, share = 0): Outcome {
  let vapourKgPerS = stream.vapourKgPerS;
  let rest = 0;
  // Air without drops that is warmed or let down holds its vapour all the more: nothing to work out.
  const holds = stream.liquidKgPerS === 0 && temperatureC >= stream.temperatureC && pressurePa <= stream.pressurePa;
  if (!holds) {
    const water = stream.vapourKgPerS + stream.liquidKgPerS;
    vapourKgPerS = Math.min(water, saturatedHumidityRatio(temperatureC, pressurePa, basis) * stream.dryAirKgPerS);
    rest = water - vapourKgPerS;
  }
  const freezes = temperatureC < TRIPLE_POINT_C;
  const liquid = freezes ? 0 : rest;
  const caughtKgPerS = liquid * share;
  return {
    dryAirKgPerS: stream.dryAirKgPerS,
    vapourKgPerS,
    liquidKgPerS: liquid - caughtKgPerS,
    temperatureC,
    pressurePa,
    caughtKgPerS,
    frozenKgPerS: freezes ? rest : 0,
  };
}
