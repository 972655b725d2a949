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

/** A stream, and the ice that stays behind where the air was brought below freezing. */
export interface Brought {
  readonly stream: AirStream;
  readonly frozenKgPerS: number;
}

/**
 * The stream brought to another temperature and pressure, in equilibrium there: what the air cannot hold falls out as
 * drops, and drops evaporate as far as the air can take them up. Below 0.01 °C all that is not vapour freezes and stays.
 *
 * @param temperatureC °C, −100…+200
 * @param pressurePa absolute, 0.5…41 bar
 * @throws OutOfRange
 */
export function bringTo(stream: AirStream, temperatureC: number, pressurePa: number, basis: Basis): Brought {
  const water = stream.vapourKgPerS + stream.liquidKgPerS;
  const most = saturatedHumidityRatio(temperatureC, pressurePa, basis) * stream.dryAirKgPerS;
  const vapourKgPerS = Math.min(water, most);
  const rest = water - vapourKgPerS;
  const freezes = temperatureC < TRIPLE_POINT_C;
  return {
    stream: {
      dryAirKgPerS: stream.dryAirKgPerS,
      vapourKgPerS,
      liquidKgPerS: freezes ? 0 : rest,
      temperatureC,
      pressurePa,
    },
    frozenKgPerS: freezes ? rest : 0,
  };
}

/** What is left of the stream when a share of its liquid has been caught. */
export function withoutLiquid(stream: AirStream, caughtKgPerS: number): AirStream {
  return {
    dryAirKgPerS: stream.dryAirKgPerS,
    vapourKgPerS: stream.vapourKgPerS,
    liquidKgPerS: stream.liquidKgPerS - caughtKgPerS,
    temperatureC: stream.temperatureC,
    pressurePa: stream.pressurePa,
  };
}
