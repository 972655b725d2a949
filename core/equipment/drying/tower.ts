import { leavingRatio, passingAtRating, passingShare, warmedByUptakeK } from '../../desiccant/uptake';
import { FREE_AIR_KG_PER_M3 } from '../../quantity/constants';
import type { AirStream } from '../../stream/air-stream';
import { numberField, Refusal, type Shown, type Surroundings } from '../shared/kind';
import { overloadShows } from '../shared/overload';

const RATED_INLET_C = 35; // ISO 7183 option A1: 35 °C, 7 bar, saturated (recalled)
export const RATED_PRESSURE_PA = 801325;
const DRIEST_RH = 2e-5; // best that such a bed reaches, near −75 °C (estimate)
const TOO_HOT_C = 60;
const BETTER_BELOW_C = 49; // 120 °F, the usual limit of towers (common practice)

/** What every pair of towers is bought by. */
export const towerFields = (flowM3PerS: number, dewPointC = -40) => ({
  ratedFlowM3PerS: numberField({
    label: 'Rated flow',
    help: 'Free air, at {35 °C} and {7 bar}.',
    quantity: 'volumeFlow',
    least: 1e-4,
    most: 2,
    default: flowM3PerS,
    source: 'typical of its kind, common practice',
  }),
  ratedDewPointC: numberField({
    label: 'Rated pressure dew point',
    quantity: 'temperature',
    least: -70,
    most: 5,
    default: dewPointC,
    source: 'usual rating, common practice',
    uncertainty: { abs: 5 },
  }),
});

export interface Rated {
  readonly ratedFlowM3PerS: number;
  readonly ratedDewPointC: number;
}

/** Capacity over rated capacity by inlet temperature, °C (common practice: 38 °C 1.0, 43 °C .75, 49 °C .57). */
function byInlet(inletC: number): number {
  return Math.exp(-0.05 * Math.max(0, inletC - RATED_INLET_C));
}

/** Duty of a pair of towers over what it can do at this inlet, pressure and room. */
export function towerLoad(air: AirStream, p: Rated, around: Surroundings): number {
  const flow = air.dryAirKgPerS / FREE_AIR_KG_PER_M3;
  // The cold tower regenerates worse in a hot room: a small share of the inlet's effect (estimate).
  const room = 1 + 0.004 * (around.roomTemperatureC - 25);
  return (flow * room) / (p.ratedFlowM3PerS * byInlet(air.temperatureC) * (air.pressurePa / RATED_PRESSURE_PA));
}

/**
 * Dries the air as a regenerated tower does: transfer units of the bed at its duty. What it takes up leaves with the
 * regenerating air in the other half of the cycle.
 * @param staysK how much warmer the air leaves, beside the heat of uptake
 * @throws Refusal for air too hot for the beads
 */
export function dryInTower(inlet: AirStream, p: Rated, around: Surroundings, staysK = 0): void {
  if (inlet.temperatureC > TOO_HOT_C)
    throw new Refusal('ratedDewPointC', 'Air over {60 °C} is too hot for the beads. Cool it to {38 °C} or less first.');
  const passing = passingShare(passingAtRating(p.ratedDewPointC, RATED_INLET_C), towerLoad(inlet, p, around));
  const ratio = leavingRatio(inlet, DRIEST_RH, inlet.temperatureC, passing);
  const warmer = staysK > 0 ? staysK + warmedByUptakeK(inlet, ratio) : 0;
  inlet.adsorbTo(ratio, 'purged');
  if (warmer > 0) inlet.bringTo(inlet.temperatureC + warmer, inlet.pressurePa);
}

/**
 * Purge of a nozzle that is set for the rated flow: a share of the *rated* flow, whatever passes; more at a higher line
 * pressure, for the nozzle chokes.
 * @returns kg/s of dry air
 */
export function nozzlePurgeKgPerS(rated: Rated, share: number, setPa: number, linePa: number): number {
  return share * rated.ratedFlowM3PerS * FREE_AIR_KG_PER_M3 * (linePa / setPa);
}

/**
 * Least purge of a heatless pair, as a share of what enters: its actual volume at the purge pressure must be that of the feed.
 * @param margin over the theory, 1.1–1.2 (common practice)
 * @source F = m · p_atm / p_line (trade handbook; reference group 11)
 */
export function leastPurgeShare(linePa: number, atmosphericPa: number, margin = 1): number {
  return (margin * atmosphericPa) / linePa;
}

/** Lets the purge out, or says at its field that nothing would be left. */
export function purge(inlet: AirStream, kgPerS: number, field: string): void {
  // A trickle in a branch that nobody uses feeds no purge: the dryer there stands still.
  if (inlet.dryAirKgPerS > 1e-7 && kgPerS >= inlet.dryAirKgPerS)
    throw new Refusal(field, 'The purge takes all the air that arrives here: nothing is left for the jobs.');
  if (kgPerS < inlet.dryAirKgPerS) inlet.vent(kgPerS);
}

/** What is told of every pair of towers where it stands. */
export function towerShows(inlet: AirStream, p: Rated, around: Surroundings, heated = false): Shown[] {
  return [
    {
      label: 'Desiccant lasts',
      text: `${heated ? '2–4' : '3–5'} years; half of that where drops or oil reach it (common practice)`,
    },
    ...overloadShows(towerLoad(inlet, p, around)),
    ...(inlet.temperatureC > BETTER_BELOW_C
      ? [{ label: 'Air too warm for it', quantity: 'temperature' as const, value: inlet.temperatureC, warns: true }]
      : []),
    ...(inlet.liquidKgPerS > 0
      ? [
          {
            label: 'Drops reach the beads',
            text: 'a fine coalescer with a working drain belongs before it',
            warns: true,
          },
        ]
      : []),
  ];
}

/** The dew point in the minutes after a hot tower has taken over, and how long that lasts (10–20 min, common practice). */
export function bumpShows(cooled: boolean, dewPointC: number): Shown[] {
  // Cooled before it takes over, a tower bumps by some kelvins; hot, it passes vapour until it has cooled (estimates).
  const bumpC = dewPointC + (cooled ? 5 : 25);
  return [
    {
      label: 'For 10–20 min after switching, dew point up to',
      quantity: 'temperature',
      value: bumpC,
      warns: !cooled,
    },
  ];
}

export const NEEDS = {
  before: 'a fine coalescer with a working drain; air without drops at {38 °C} or less',
  after: 'a dust filter: beads shed dust',
} as const;
