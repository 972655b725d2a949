import { humidityRatioFromFraction, vapourFractionFromRelativeHumidity } from '../air/humidity';
import type { ParametersOf } from '../equipment/index';
import type { Plan } from '../plan/plan';
import { surveyAtmosphericPa } from '../plan/survey';
import { dryAirDensityKgPerM3, dryAirKgPerS } from '../quantity/flow-basis';
import { midnightMs } from './calendar';
import { placeAir } from './place-air';
import { loadThrough } from './run-weather';
import type { WeatherHours } from './weather';

/** What breathing at a place would bring in a year. */
export interface IntakeYear {
  readonly placeId: string;
  /** Water drawn in, kg. */
  readonly waterKg: number;
  /** Mean temperature of the air while the compressor works, °C: each 3 K cooler saves a hundredth of the power (common practice). */
  readonly meanC: number;
}

/**
 * Water that the first compressor draws in at each place of the survey through a year; the rest of the line stays out of it.
 * @example intakeYears(plan, weather, 2026)[0].waterKg // 460.7
 */
export function intakeYears(plan: Plan, weather: WeatherHours, year: number): IntakeYear[] {
  const { survey } = plan;
  const atmosphericPa = surveyAtmosphericPa(survey);
  const intake = plan.stages[0]?.parameters as ParametersOf<'intake'>;
  const compressor = plan.stages[1]?.parameters as ParametersOf<'compressor'>;
  const load = loadThrough(plan, weather.temperatureC.length, (day) => midnightMs(day, year));
  return survey.places.map((place) => {
    const air = placeAir(place, survey, weather);
    let [waterKg, degrees, hours] = [0, 0, 0];
    for (let h = 0; h < load.length; h++) {
      const share = load[h] as number;
      if (share === 0) continue;
      const c = air.temperatureC[h] as number;
      const x = vapourFractionFromRelativeHumidity(air.relativeHumidity[h] as number, c, atmosphericPa);
      const dry = dryAirKgPerS(
        compressor.freeAirDeliveryM3PerS,
        compressor.flowBasis,
        dryAirDensityKgPerM3(atmosphericPa - intake.filterLossPa, c, x),
      );
      waterKg += dry * humidityRatioFromFraction(x) * 3600 * share;
      degrees += c * share;
      hours += share;
    }
    return { placeId: place.id, waterKg, meanC: degrees / hours };
  });
}

/** Of the power for each kelvin: 2 % for each 10 °F cooler (trade handbook). */
export const POWER_PER_K = 0.02 / (10 / 1.8);
