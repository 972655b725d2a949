import type { Basis } from '../air/enhancement-factor';
import { humidityRatioFromFraction, saturatedHumidityRatio, vapourFractionFromRelativeHumidity } from '../air/humidity';
import { dryAirDensityKgPerM3 } from '../quantity/flow-basis';
import { BULK_KG_PER_M3, type Medium, usableWater } from './isotherm';

/** What a cartridge is asked to do. */
export interface CartridgeDuty {
  readonly medium: Medium;
  readonly massKg: number;
  readonly dryAirKgPerS: number;
  readonly inletC: number;
  /** Absolute. */
  readonly inletPa: number;
  /** In the line, 0…1: 1 behind anything that only cools and drains. */
  readonly relativeHumidity: number;
  /** Hours a day in which air flows. */
  readonly airHPerDay: number;
}

/** Air that enters over this is too hot for beads to be of use; over the second they hold next to nothing (trade handbook). */
export const WARM_INLET_C = 49;
export const HOT_INLET_C = 66;
/** Contact for −40 °C is 4–6 s (common practice, estimate); under a second the air goes through half dried (estimate). */
export const CONTACT_FOR_DEEP_S = 5;
const CONTACT_LEAST_S = 1;
/** What leaves fresh beads, for the load: −40 (reference group 13). */
const LEAVES_C = -40;
/** A charge should outlast a week of work; one that does not see a day out is not worth having (estimate). */
const GOOD_DAYS = 5;
/** Air downstream of a refrigerated dryer, for the change upstream (ISO 7183 class of 3 °C). */
const REFRIGERATED_DEW_POINT_C = 3;

/**
 * Water that beads take out of a stream, kg/s.
 * @param leavesC dew point that leaves them at line pressure, °C
 * @returns kg/s
 * @source m · (W in − W out), reference group 13
 * @example waterLoadKgPerS({ dryAirKgPerS: 0.01, inletC: 25, inletPa: 8e5, relativeHumidity: 1 }) // 0.0000252
 */
export function waterLoadKgPerS(
  duty: Pick<CartridgeDuty, 'dryAirKgPerS' | 'inletC' | 'inletPa' | 'relativeHumidity'>,
  leavesC = LEAVES_C,
  basis: Basis = 'real',
): number {
  const enters = humidityRatioFromFraction(
    vapourFractionFromRelativeHumidity(duty.relativeHumidity, duty.inletC, duty.inletPa, basis),
  );
  return Math.max(0, duty.dryAirKgPerS * (enters - saturatedHumidityRatio(leavesC, duty.inletPa, basis)));
}

export type Worth = 'good' | 'dear' | 'hopeless';

/** A change upstream, and the hours of air that the same charge then lasts. */
export interface Upstream {
  readonly says: string;
  readonly hours: number;
}

export interface CartridgeSize {
  readonly waterKgPerS: number;
  readonly holdsKg: number;
  /** Of air flowing; infinite where the air is as dry as the beads leave it. */
  readonly hours: number;
  readonly days: number;
  readonly contactS: number;
  readonly worth: Worth;
  readonly because: string;
  /** Beads that last a week of work. */
  readonly weekKg: number;
  readonly upstream: readonly Upstream[];
  readonly warnings: readonly string[];
}

const hoursOf = (d: CartridgeDuty): number => {
  const load = waterLoadKgPerS(d);
  return load > 0 ? (d.massKg * usableWater(d.medium, d.relativeHumidity)) / load / 3600 : Number.POSITIVE_INFINITY;
};

/** The same air cooled, its drops caught on the way. */
function cooledTo(d: CartridgeDuty, inletC: number): CartridgeDuty {
  const pv = (c: number): number => vapourFractionFromRelativeHumidity(1, c, d.inletPa);
  return { ...d, inletC, relativeHumidity: Math.min(1, (d.relativeHumidity * pv(d.inletC)) / pv(inletC)) };
}

/** The same air downstream of a refrigerated dryer, warm again. */
function refrigerated(d: CartridgeDuty): CartridgeDuty {
  const pv = (c: number): number => vapourFractionFromRelativeHumidity(1, c, d.inletPa);
  return { ...d, relativeHumidity: Math.min(d.relativeHumidity, pv(REFRIGERATED_DEW_POINT_C) / pv(d.inletC)) };
}

/**
 * How long a charge of beads lasts at a duty, whether that is worth having, and what upstream would make it so.
 * @param duty inlet 0…100 °C, 1…41 bar absolute; masses, flow and hours above 0
 * @throws OutOfRange of the air’s equations
 * @source hours = mass · usable uptake / (dry air · (W in − W out)), reference group 13
 * @example sizeCartridge({ medium: 'silica', massKg: 5, dryAirKgPerS: 0.005, inletC: 25, inletPa: 8e5, relativeHumidity: 1, airHPerDay: 3 }).hours // 13.2
 */
export function sizeCartridge(duty: CartridgeDuty): CartridgeSize {
  const hours = hoursOf(duty);
  const days = hours / duty.airHPerDay;
  const actualM3PerS = duty.dryAirKgPerS / dryAirDensityKgPerM3(duty.inletPa, duty.inletC, 0);
  const contactS = duty.massKg / BULK_KG_PER_M3[duty.medium] / actualM3PerS;
  const hot = duty.inletC > HOT_INLET_C;
  const worth: Worth = hot || days < 1 || contactS < CONTACT_LEAST_S ? 'hopeless' : days < GOOD_DAYS ? 'dear' : 'good';
  const changes: [string, CartridgeDuty][] = [
    ['Cool the air {10 K} first, and drain it', cooledTo(duty, duty.inletC - 10)],
    ['A refrigerated dryer before it', refrigerated(duty)],
    ['Both', refrigerated(cooledTo(duty, duty.inletC - 10))],
  ];
  return {
    waterKgPerS: waterLoadKgPerS(duty),
    holdsKg: duty.massKg * usableWater(duty.medium, duty.relativeHumidity),
    hours,
    days,
    contactS,
    worth,
    because: hot
      ? 'Air this hot dries nothing: beads release water there. Cool it first.'
      : contactS < CONTACT_LEAST_S
        ? 'The contact time is below one second: much of the air leaves undried.'
        : days < 1
          ? 'It is exhausted within a working day. Beads do not suit this load: take water out upstream of them.'
          : days < GOOD_DAYS
            ? 'It works, with more than one change of beads a week.'
            : 'It lasts more than a working week: suitable for beads.',
    weekKg: Number.isFinite(hours) ? (duty.massKg * GOOD_DAYS) / days : duty.massKg,
    // Only what helps by a tenth at least.
    upstream: changes
      .filter(([, d]) => d.inletC > 1)
      .map(([says, d]) => ({ says, hours: hoursOf(d) }))
      .filter((u) => u.hours > hours * 1.1),
    warnings: [
      ...(duty.inletC > WARM_INLET_C && !hot
        ? ['Warmer than cartridges are rated for: cool the air upstream of it.']
        : []),
      ...(contactS >= CONTACT_LEAST_S && contactS < CONTACT_FOR_DEEP_S
        ? [
            `Air stays ${contactS.toFixed(1)} s in the beads. A dew point of −40 takes about ${CONTACT_FOR_DEEP_S} s: expect less dry air.`,
          ]
        : []),
      ...(duty.relativeHumidity >= 1
        ? ['Air this wet brings drops with it, and drops burst gel: catch them upstream of it.']
        : []),
    ],
  };
}
