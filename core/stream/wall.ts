import { pressureDewPointC } from '../air/dew-point';
import {
  HEAT_OF_MELTING,
  iceEnthalpy,
  latentHeat,
  saturationSlope,
  sensibleCapacity,
  vapourEnthalpy,
} from '../air/enthalpy';
import { saturatedHumidityRatio, vapourFractionFromRatio } from '../air/humidity';
import { TRIPLE_POINT_C } from '../air/saturation';
import type { AirStream } from './air-stream';

const NEAR_K = 0.5; // so near to the room the heat for a kelvin is one number
/** Steps for a span of temperature: halved, they move the end by less than 0.02 K (held by a test). */
const stepsFor = (spanK: number): number => (spanK < 5 ? 2 : spanK < 20 ? 4 : 8);

/** Heat for each kelvin of a stream that stays saturated, W/K: vapour condenses as it cools, and evaporates as it warms. */
function saturatedCapacity(air: AirStream, water: number, temperatureC: number): number {
  const ratio = saturatedHumidityRatio(temperatureC, air.pressurePa, air.basis);
  const vapour = Math.min(water, air.dryAirKgPerS * ratio);
  const heat =
    temperatureC < TRIPLE_POINT_C ? vapourEnthalpy(temperatureC) - iceEnthalpy(temperatureC) : latentHeat(temperatureC);
  return (
    sensibleCapacity(air.dryAirKgPerS, vapour, water - vapour) +
    air.dryAirKgPerS * saturationSlope(ratio, temperatureC) * heat
  );
}

/** W/K that it takes to bring a saturated stream from one temperature to another: ∫ C dT / (T − room), by Simpson’s rule. */
function wallFor(air: AirStream, water: number, fromC: number, toC: number, roomC: number): number {
  const whole = Math.log((fromC - roomC) / (toC - roomC));
  const n = 2 * stepsFor(Math.abs(fromC - roomC));
  let sum = 0;
  for (let i = 0; i <= n; i++) {
    const t = roomC + (fromC - roomC) * Math.exp((-whole * i) / n);
    sum += (i === 0 || i === n ? 1 : i % 2 === 1 ? 4 : 2) * saturatedCapacity(air, water, t);
  }
  return (sum * whole) / (3 * n);
}

/** Where a saturated stream ends that stays on one side of the freezing point: du/da = −1/C with u = ln(T − room), Runge–Kutta. */
function saturatedEndC(air: AirStream, water: number, fromC: number, wallWPerK: number, roomC: number): number {
  const above = fromC - roomC;
  if (Math.abs(above) < NEAR_K) return roomC + above * Math.exp(-wallWPerK / saturatedCapacity(air, water, fromC));
  const steps = stepsFor(Math.abs(above));
  const step = wallWPerK / steps;
  let u = 0;
  for (let i = 0; i < steps; i++) {
    const a = 1 / saturatedCapacity(air, water, roomC + above * Math.exp(-u));
    const b = 1 / saturatedCapacity(air, water, roomC + above * Math.exp(-(u + (step * a) / 2)));
    const c = 1 / saturatedCapacity(air, water, roomC + above * Math.exp(-(u + (step * b) / 2)));
    const d = 1 / saturatedCapacity(air, water, roomC + above * Math.exp(-(u + step * c)));
    u += (step * (a + 2 * b + 2 * c + d)) / 6;
  }
  return roomC + above * Math.exp(-u);
}

/** Dew point of the stream with all its water as vapour. */
const dewPointOfAllC = (air: AirStream, water: number): number =>
  pressureDewPointC(vapourFractionFromRatio(water / air.dryAirKgPerS), air.pressurePa, air.basis);

/**
 * The temperature at which air leaves that passes along a wall with a room of one temperature downstream of it: a bare pipe, a
 * hose, a cooler in a wind. Vapour that condenses on the way warms the air, drops that evaporate cool it, and drops that
 * freeze hold it at the freezing point.
 *
 * @param air the stream that enters, left as it is; at its own pressure all along
 * @param wallWPerK heat transfer coefficient times surface, W/K
 * @param roomC °C
 * @returns °C; between the two temperatures, and nearer to the room for a larger wall
 * @throws OutOfRange
 * @source dT/dA = −U·(T − room) / C, C the heat for a kelvin by ASHRAE Fundamentals ch. 1; one exponential while nothing
 *   condenses
 * @example temperatureBehindWallC(new AirStream('real', 0.01, 0, 100, 8e5), 10, 20) // 49.6, as 20 + 80·exp(−10/10.06)
 */
export function temperatureBehindWallC(air: AirStream, wallWPerK: number, roomC: number): number {
  const { dryAirKgPerS, vapourKgPerS, liquidKgPerS, pressurePa, basis } = air;
  const water = vapourKgPerS + liquidKgPerS;
  let t = air.temperatureC;
  let wall = wallWPerK;
  if (!(wall > 0) || t === roomC || dryAirKgPerS <= 0) return dryAirKgPerS <= 0 && wall > 0 ? roomC : t;
  const dryCapacity = sensibleCapacity(dryAirKgPerS, water, 0);
  if (t < roomC) {
    if (liquidKgPerS > 0) {
      // Warmed: saturated until the last drop is gone.
      const allC = Math.min(roomC, dewPointOfAllC(air, water));
      if (allC > t) {
        const end = saturatedEndC(air, water, t, wall, roomC);
        if (end < allC) return end;
        if (allC >= roomC) return roomC;
        wall -= wallFor(air, water, t, allC, roomC);
        t = allC;
      }
    }
    return roomC + (t - roomC) * Math.exp(-wall / dryCapacity);
  }
  if (liquidKgPerS === 0) {
    const end = roomC + (t - roomC) * Math.exp(-wall / dryCapacity);
    if (water <= dryAirKgPerS * saturatedHumidityRatio(end, pressurePa, basis)) return end;
    const dew = Math.min(t, dewPointOfAllC(air, water));
    wall -= dryCapacity * Math.log((t - roomC) / (dew - roomC));
    t = dew;
  }
  if (t > TRIPLE_POINT_C && roomC < TRIPLE_POINT_C) {
    const end = saturatedEndC(air, water, t, wall, roomC);
    if (end > TRIPLE_POINT_C) return end;
    wall -= wallFor(air, water, t, TRIPLE_POINT_C, roomC);
    t = TRIPLE_POINT_C;
    const drops = water - Math.min(water, dryAirKgPerS * saturatedHumidityRatio(t, pressurePa, basis));
    wall -= (drops * HEAT_OF_MELTING) / (t - roomC);
    if (wall <= 0) return t;
    // What froze stays behind.
    return saturatedEndC(air, water - drops, t, wall, roomC);
  }
  return saturatedEndC(air, water, t, wall, roomC);
}
