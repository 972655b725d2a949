import { DISCHARGE, orificeKgPerS } from '../../pipe-flow/orifice';
import { WATER_KG_PER_M3 } from '../../quantity/constants';
import type { AirStream } from '../../stream/air-stream';
import type { Surroundings } from './kind';

/** Cooling water above the atmosphere where nobody says it, Pa (3 bar: mains or a pump; common practice, no source). */
const USUAL_WATER_PA = 3e5;
/** Of the air that passes, no more than so much goes through a leak. */
const MOST_SHARE = 0.9;

/**
 * Lets what a leaking tube lets through out of a stream, or into it: water where the water is at the higher pressure, air where
 * the air is.
 * @param p the water that comes in while the air is let off, kg/s, and the pressure of the water above the atmosphere, Pa; 0 is not said
 * @source one hole for both: ṁ = C·A·√(2·ρ·Δp) for water, the choked nozzle for air
 * @example leakThroughTube(air, { tubeLeakKgPerS: 0, waterGaugePa: 3e5 }, around).liquidKgPerS // 0
 */
export function leakThroughTube(
  air: AirStream,
  { tubeLeakKgPerS, waterGaugePa }: { readonly tubeLeakKgPerS: number; readonly waterGaugePa: number },
  { atmosphericPa }: Surroundings,
): AirStream {
  if (tubeLeakKgPerS === 0) return air;
  const gaugePa = waterGaugePa || USUAL_WATER_PA;
  const overPa = gaugePa + atmosphericPa - air.pressurePa;
  if (overPa > 0) return air.letIn(tubeLeakKgPerS * Math.sqrt(overPa / gaugePa));
  const areaM2 = tubeLeakKgPerS / (DISCHARGE.sharp * Math.sqrt(2 * WATER_KG_PER_M3 * gaugePa));
  const boreM = Math.sqrt((4 / Math.PI) * areaM2);
  const lostKgPerS = orificeKgPerS(boreM, air.pressurePa, gaugePa + atmosphericPa, air.temperatureC);
  return air.vent(Math.min(MOST_SHARE * air.dryAirKgPerS, lostKgPerS));
}
