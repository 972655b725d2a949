import { mostStartsPerHour } from '../day/cycle';
import { type Sized, smallestOf } from './next-size';

/** Volumes that receivers are sold in, m³: 20 to 3000 gal (common practice, no source). */
const RECEIVERS_M3 = [20, 30, 60, 80, 120, 240, 400, 660, 1060, 1550, 2200, 3000].map((gal) => gal * 3.785412e-3);

export interface ReceiverNeed {
  /** What the compressor delivers, m³/s of free air. */
  readonly deliversM3PerS: number;
  /** Between cut-in and cut-out, Pa. */
  readonly bandPa: number;
  /** Starts, or loads, in an hour, at most: 10 at 5 hp, 6 from 10 hp on (common practice). */
  readonly startsPerHour: number;
  /** The longest burst: what it takes over what the compressor gives, m³/s of free air, and how long it lasts. */
  readonly burstM3PerS: number;
  readonly burstLastsS: number;
  /** By how much the pressure may fall in it, Pa. */
  readonly burstFallsPa: number;
  readonly atmosphericPa: number;
}

export interface ReceiverAt {
  readonly volumeM3: number;
  /** At half load, where a compressor starts most often. */
  readonly startsPerHour: number;
  /** How long it gives the burst. */
  readonly burstLastsS: number;
}

/**
 * The smallest receiver that keeps the starts within the limit of the motor and lasts through the longest burst.
 * @param need flows in m³/s of free air; pressures in Pa, above 0
 * @source V = p_a·C/(4·f·Δp) at half load; V = p_a·Q·t/Δp, isothermal (reference group 7)
 * @example sizeReceiver({ deliversM3PerS: 0.0118, bandPa: 172369, startsPerHour: 13.75, burstM3PerS: 0, burstLastsS: 60, burstFallsPa: 1e5, atmosphericPa: 101325 }).volumeM3 // 0.454
 */
export function sizeReceiver(need: ReceiverNeed): ReceiverAt & {
  readonly byStartsM3: number;
  readonly byBurstM3: number;
  readonly beside: Omit<Sized<ReceiverAt>, 'size'>;
  readonly fits: boolean;
} {
  const { deliversM3PerS, bandPa, burstM3PerS, burstFallsPa, atmosphericPa } = need;
  const byStartsM3 = (atmosphericPa * deliversM3PerS) / (4 * (need.startsPerHour / 3600) * bandPa);
  const byBurstM3 = (atmosphericPa * burstM3PerS * need.burstLastsS) / burstFallsPa;
  const neededM3 = Math.max(byStartsM3, byBurstM3);
  const at = (volumeM3: number): ReceiverAt => ({
    volumeM3,
    startsPerHour: mostStartsPerHour(volumeM3, bandPa, deliversM3PerS, atmosphericPa),
    burstLastsS: burstM3PerS > 0 ? (volumeM3 * burstFallsPa) / (atmosphericPa * burstM3PerS) : Number.POSITIVE_INFINITY,
  });
  const { size, down, up } = smallestOf(RECEIVERS_M3.map(at), (r) => r.volumeM3 >= neededM3 * (1 - 1e-3));
  return { ...size, byStartsM3, byBurstM3, beside: { down, up }, fits: size.volumeM3 >= neededM3 * (1 - 1e-3) };
}
