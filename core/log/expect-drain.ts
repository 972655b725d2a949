import type { Basis } from '../air/enhancement-factor';
import { propagate } from '../line/propagate';
import type { Plan } from '../plan/plan';
import { stageById } from '../plan/runs';
import { WATER_KG_PER_M3 } from '../quantity/constants';
import { type Derivation, type Driver, input } from '../quantity/derivation';
import type { DrainEntry } from './drain-entry';
import { workingHoursBetween } from './site-clock';

/** Relative standard uncertainty of loaded hours read from an hour meter (estimate: rounding of the readings). */
const METERED_HOURS_REL = 0.02;
/** Of the amount caught and measured: ±5 % and some spray lost (common practice). */
export const MEASURED_REL = 0.07;

/** What the plan says should have come out of a drain. */
export interface DrainExpectation {
  readonly loadedHours: number;
  /** Whether the hours were metered or estimated from the working pattern. */
  readonly metered: boolean;
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
 * @example expectDrain(plan, drain).expectedKg // 0.170
 */
export function expectDrain(plan: Plan, entry: DrainConditions, basis: Basis = 'real'): DrainExpectation | undefined {
  const metered = entry.loadedHours !== null;
  const worked = workingHoursBetween(entry.sinceAt, entry.drainedAt, plan.survey.working);
  const hoursIn = (p: Plan): number => entry.loadedHours ?? worked * p.survey.working.loadedShare;
  const loadedHours = hoursIn(plan);
  const band = propagate(
    inConditions(plan, entry),
    (section, p) => {
      const station = section.at(entry.stageId);
      return station && station.caughtKgPerS * 3600 * hoursIn(p);
    },
    basis,
    [
      ...(metered ? [{ label: 'Hours from the meter', rel: METERED_HOURS_REL }] : []),
      { label: 'Measuring the amount', rel: MEASURED_REL },
    ],
  );
  if (!band) return undefined;
  return {
    loadedHours,
    metered,
    expectedKg: band.value,
    lowKg: Math.max(0, band.low),
    highKg: band.high,
    drivers: band.drivers,
  };
}

/**
 * “Why?” for an expected amount.
 * @example explainDrain(plan, drain).value // 0.000170
 */
export function explainDrain(plan: Plan, entry: DrainConditions, basis: Basis = 'real'): Derivation | undefined {
  const x = expectDrain(plan, entry, basis);
  const stage = stageById(plan, entry.stageId);
  if (!x || !stage) return undefined;
  const { working } = plan.survey;
  const worked = workingHoursBetween(entry.sinceAt, entry.drainedAt, working);
  const rate = x.loadedHours > 0 ? x.expectedKg / x.loadedHours / 3600 : 0;
  return {
    title: `Expected · ${stage.name}`,
    quantity: 'drained',
    value: x.expectedKg / WATER_KG_PER_M3,
    formula: x.metered ? 'caught while loaded · loaded hours' : 'caught while loaded · working hours · share loaded',
    inputs: [
      input('caught while loaded', 'waterFlow', rate, 'the line, at this intake air'),
      input('intake air', 'temperature', entry.intakeTemperatureC, 'this entry'),
      input('its humidity', 'share', entry.intakeRelativeHumidity, 'this entry'),
      ...(x.metered
        ? [input('loaded hours', 'time', x.loadedHours * 3600, 'hour meter')]
        : [
            input('working hours since', 'time', worked * 3600, 'Survey'),
            input('share loaded', 'share', working.loadedShare, 'Survey'),
          ]),
    ],
    source: 'walk of the line; bands from the stated uncertainties, two standard uncertainties either way',
    band: {
      value: x.expectedKg / WATER_KG_PER_M3,
      low: x.lowKg / WATER_KG_PER_M3,
      high: x.highKg / WATER_KG_PER_M3,
      drivers: x.drivers.map((d) => ({ ...d, effect: d.effect / WATER_KG_PER_M3 })),
    },
  };
}
