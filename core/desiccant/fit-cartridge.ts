import { BULK_KG_PER_M3, heldWater, type Medium, usableWater } from './isotherm';
import { type CartridgeDuty, waterLoadKgPerS } from './size-cartridge';

/** What a charge is put into, and how it stands in the line. */
export interface Housing {
  /** Stamped on it, absolute; 0 where nothing can be read, left out where nobody has looked. */
  readonly ratedPa?: number;
  readonly cutOutPa: number;
  /** A relief valve that protects it, absolute; left out where there is none. */
  readonly reliefPa?: number;
  /** Left out where it is not known. */
  readonly volumeM3?: number;
  /** Cartridges downstream of one another. */
  readonly inSeries: number;
  /** Leak downstream of it while nobody works, kg/s of dry air. */
  readonly leakKgPerS: number;
  readonly idleH: number;
}

export interface HousingNote {
  readonly grave: boolean;
  readonly says: string;
}

/** Under the lid stays half an inch, so that it closes without crushing beads: of a bowl about a twentieth (common practice, no source). */
const FILLED = 0.95;
const LEAST_FILLED = 0.7; // under it air runs round a bed that lies flat (estimate)
/** What beads of a cartridge that may be run until its own outlet is wet take up, of what they hold in balance: the next one catches the tail (estimate). */
const LEAD_SHARE = 0.6;

/**
 * Water that a kilogram of the first of several takes up, where the next one watches over it. Never less than one alone.
 * @param relativeHumidity of the air that enters, 0…1
 * @returns kg/kg
 */
export const leadUptake = (medium: Medium, relativeHumidity: number): number =>
  Math.max(usableWater(medium, relativeHumidity), LEAD_SHARE * heldWater(medium, Math.min(relativeHumidity, 0.9)));

/**
 * Whether a housing is fit for the line and the charge, what several in a row gain, and what leaks take while nobody works.
 * @param duty as for {@link sizeCartridge}
 * @returns what is wrong with it in words; hours that the first of the row lasts; kg that an idle night takes
 * @throws OutOfRange of the air’s equations
 * @example fitCartridge({ medium: 'silica', massKg: 2, dryAirKgPerS: 0.005, inletC: 25, inletPa: 8e5, relativeHumidity: 1, airHPerDay: 3 }, { cutOutPa: 9e5, inSeries: 1, leakKgPerS: 0, idleH: 15 }).leadHours // 5.28
 */
export function fitCartridge(duty: CartridgeDuty, housing: Housing) {
  const beadsM3 = duty.massKg / BULK_KG_PER_M3[duty.medium];
  const filled = housing.volumeM3 === undefined ? undefined : beadsM3 / housing.volumeM3;
  const load = waterLoadKgPerS(duty);
  const takes =
    housing.inSeries > 1
      ? leadUptake(duty.medium, duty.relativeHumidity)
      : usableWater(duty.medium, duty.relativeHumidity);
  const idleKg = waterLoadKgPerS({ ...duty, dryAirKgPerS: housing.leakKgPerS }) * housing.idleH * 3600;
  const grave = (says: string): HousingNote => ({ grave: true, says });
  const mind = (says: string): HousingNote => ({ grave: false, says });
  const findings: HousingNote[] = [
    ...(housing.ratedPa === undefined
      ? [mind('The pressure marked on it is not recorded: read it, and the relief valve upstream of it.')]
      : housing.ratedPa <= 0
        ? [grave('No pressure can be read on it: it is not fit for compressed air.')]
        : housing.ratedPa < housing.cutOutPa
          ? [grave('It is rated below the pressure at which the compressor stops. Do not use it here.')]
          : housing.reliefPa === undefined
            ? [mind('No relief valve is recorded set at or under its rating: find one, and read it.')]
            : housing.reliefPa > housing.ratedPa
              ? [grave('The relief valve opens above its rating: it would burst first.')]
              : []),
    ...(filled === undefined
      ? []
      : filled > 1
        ? [grave('The beads do not go in.')]
        : filled > FILLED
          ? [mind('Filled to the lid: leave {12 mm}, or closing it crushes beads.')]
          : filled < LEAST_FILLED
            ? [
                mind(
                  'Much free space: beads shift and grind, and air finds a way round them. Fill it, or hold them with a screen.',
                ),
              ]
            : []),
  ];
  return {
    filled,
    /** Room that the beads need, half an inch free. */
    needsM3: beadsM3 / FILLED,
    ...(housing.volumeM3 !== undefined && { mostKg: FILLED * housing.volumeM3 * BULK_KG_PER_M3[duty.medium] }),
    leadHours: load > 0 ? (duty.massKg * takes) / load / 3600 : Number.POSITIVE_INFINITY,
    idleKg,
    /** Of what the charge takes up. */
    idleShare: idleKg / (duty.massKg * takes),
    findings,
  };
}
