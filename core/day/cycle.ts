import { ZERO_CELSIUS_K } from '../air/saturation';

/**
 * Time for a receiver to go from one pressure to another, at constant temperature.
 *
 * @param volumeM3 receiver with the pipe that belongs to it
 * @param fromPa, toPa both gauge or both absolute
 * @param netFlowM3PerS free air in less free air out; negative while it is drawn down
 * @param atmosphericPa local barometer: what free air is counted at
 * @returns s; infinite where the flow cannot bring it there
 * @source t = V·(p2 − p1) / (p_a·Q), isothermal
 * @example receiverTimeS(0.302833, 0, 1206583, 0.00755116, 101325) // 477.6
 */
export function receiverTimeS(
  volumeM3: number,
  fromPa: number,
  toPa: number,
  netFlowM3PerS: number,
  atmosphericPa: number,
): number {
  const seconds = (volumeM3 * (toPa - fromPa)) / (atmosphericPa * netFlowM3PerS);
  return seconds >= 0 ? seconds : Number.POSITIVE_INFINITY;
}

/** How a compressor that starts and stops, or loads and unloads, keeps a receiver between two pressures. */
export interface CompressorCycle {
  readonly loadedS: number;
  readonly restS: number;
  readonly startsPerHour: number;
  /** 0…1; 1 where the compressor cannot keep up. */
  readonly loadedShare: number;
}

/**
 * The cycle of a compressor at constant demand.
 * @param deliveryM3PerS free air
 * @param demandM3PerS free air
 * @source s = V·Δp/p_a; t_load = s/(C − D); t_rest = s/D
 * @example compressorCycle(0.5, 8e5, 10e5, 0.01, 0.006, 101325).startsPerHour // 8.754
 */
export function compressorCycle(
  volumeM3: number,
  cutInPa: number,
  cutOutPa: number,
  deliveryM3PerS: number,
  demandM3PerS: number,
  atmosphericPa: number,
): CompressorCycle {
  if (demandM3PerS >= deliveryM3PerS)
    return { loadedS: Number.POSITIVE_INFINITY, restS: 0, startsPerHour: 0, loadedShare: 1 };
  const loadedS = receiverTimeS(volumeM3, cutInPa, cutOutPa, deliveryM3PerS - demandM3PerS, atmosphericPa);
  const restS =
    demandM3PerS === 0
      ? Number.POSITIVE_INFINITY
      : receiverTimeS(volumeM3, cutOutPa, cutInPa, -demandM3PerS, atmosphericPa);
  return { loadedS, restS, startsPerHour: 3600 / (loadedS + restS), loadedShare: demandM3PerS / deliveryM3PerS };
}

/**
 * Most starts in an hour that a compressor can make, at half its delivery.
 * @source 60·p_a·C/(4·V·Δp), from the cycle above at D = C/2
 * @example mostStartsPerHour(0.227, 1.4e5, 0.0076, 101325) // 21.8
 */
export function mostStartsPerHour(
  volumeM3: number,
  bandPa: number,
  deliveryM3PerS: number,
  atmosphericPa: number,
): number {
  return (3600 * atmosphericPa * deliveryM3PerS) / (4 * volumeM3 * bandPa);
}

/** A timed pump-up of a receiver that is shut off downstream of it. */
export interface PumpUpTest {
  readonly volumeM3: number;
  readonly fromPa: number;
  readonly toPa: number;
  readonly seconds: number;
  /** Of the air that the compressor draws. */
  readonly intakeC: number;
  /** Of the air in the receiver at the end; the tank’s wall is a fair guide. */
  readonly receiverC: number;
}

/** Relative standard uncertainty of a delivery from a pump-up test: ±7–10 % (trade handbook, typical). */
export const PUMP_UP_REL = 0.08;

/**
 * Free air delivery that a pump-up test implies. Tank air warms by 5–20 K in a quick pump-up and then reads 2–7 % too
 * much; the temperatures correct for it.
 *
 * @returns m³/s of free air
 * @throws RangeError where the pressure does not rise or no time passes
 * @source FAD = V·(p2 − p1)/(p_a·t)·(T_a/T_tank)
 * @example deliveryFromPumpUp({ volumeM3: 0.5, fromPa: 101325, toPa: 9e5, seconds: 400, intakeC: 20, receiverC: 30 }, 101325) // 0.00953
 */
export function deliveryFromPumpUp(test: PumpUpTest, atmosphericPa: number): number {
  const { volumeM3, fromPa, toPa, seconds, intakeC, receiverC } = test;
  if (!(toPa > fromPa)) throw new RangeError('The pressure must rise during the test.');
  if (!(seconds > 0)) throw new RangeError('The test must take some time.');
  const warm = (intakeC + ZERO_CELSIUS_K) / (receiverC + ZERO_CELSIUS_K);
  return ((volumeM3 * (toPa - fromPa)) / (atmosphericPa * seconds)) * warm;
}
