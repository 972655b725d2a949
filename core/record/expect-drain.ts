import type { Basis } from '../air/enhancement-factor';
import type { Plan } from '../line/plan';
import { type Driver, propagate } from '../line/propagate';
import type { DrainEntry } from './drain-entry';
import { workingHoursBetween } from './shop-clock';

/** Relative standard uncertainty of loaded hours read from an hour meter (estimate: rounding of the readings). */
const METERED_HOURS_REL = 0.02;
/** Of the amount caught and measured: ±5 % and some spray lost (common practice). */
export const MEASURED_REL = 0.07;

/** What the plan says should have come out of a drain. */
export interface DrainExpectation {
  readonly loadedHours: number;
  /** Whether the hours were metered or reckoned from the working pattern. */
  readonly metered: boolean;
  /** Per loaded hour. */
  readonly rateKgPerH: number;
  readonly expectedKg: number;
  readonly lowKg: number;
  readonly highKg: number;
  readonly drivers: readonly Driver[];
}

export type DrainConditions = Pick<
  DrainEntry,
  'stageId' | 'drainedAt' | 'sinceAt' | 'loadedHours' | 'intakeTemperatureC' | 'intakeRelativeHumidity'
>;

/** The plan with the intake air of the time in question. */
function inConditions(plan: Plan, entry: DrainConditions): Plan {
  const places = plan.survey.places.map((place) =>
    place.id === plan.survey.intakePlaceId
      ? { ...place, temperatureC: entry.intakeTemperatureC, relativeHumidity: entry.intakeRelativeHumidity }
      : place,
  );
  return { ...plan, survey: { ...plan.survey, places } };
}

/**
 * The water that a drain point should have collected between two drains, with the band that the stated uncertainties
 * of the inputs, of the hours and of the measuring give it.
 *
 * @returns `undefined` where the line has no such stage or the walk stops before it
 * @source rate from the walk at the intake air given; hours × loaded share; band by {@link propagate}
 */
export function expectDrain(plan: Plan, entry: DrainConditions, basis: Basis = 'real'): DrainExpectation | undefined {
  const { working } = plan.survey;
  const metered = entry.loadedHours !== null;
  const loadedHours =
    entry.loadedHours ?? workingHoursBetween(entry.sinceAt, entry.drainedAt, working) * working.loadedShare;
  const band = propagate(
    inConditions(plan, entry),
    (section) => section.stations.find((s) => s.stageId === entry.stageId)?.caughtKgPerS,
    basis,
    [
      { label: metered ? 'Hours from the meter' : 'Share of time loaded', rel: metered ? METERED_HOURS_REL : 0.1 },
      { label: 'Measuring the amount', rel: MEASURED_REL },
    ],
  );
  if (!band) return undefined;
  const perBand = 3600 * loadedHours;
  return {
    loadedHours,
    metered,
    rateKgPerH: band.value * 3600,
    expectedKg: band.value * perBand,
    lowKg: Math.max(0, band.low) * perBand,
    highKg: band.high * perBand,
    drivers: band.drivers.map((d) => ({ ...d, effect: d.effect * perBand })),
  };
}
