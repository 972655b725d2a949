import { relativeHumidity, vapourFractionFromRelativeHumidity } from '../air/humidity';
import { DESIGN_EXCEEDED_HOURS, designHour } from './sums';
import type { WeatherHours } from './weather';

/** The air of a year that a line is designed for. */
export interface WarmDay {
  /** As humid as it is on 35 hours of the year, as warm as it is in such hours. */
  readonly intakeC: number;
  readonly intakeHumidity: number;
  /** As hot as it is on 35 hours of the year: what coolers stand in. */
  readonly hottestC: number;
  /** Of all hours. */
  readonly coldestC: number;
}

/**
 * The warm, humid day and the coldest hour of a year of weather. The hot hour and the humid one need not be the same: to
 * design for both is on the safe side.
 * @param weather a year of hours
 * @param atmosphericPa where it is, 55…108 kPa
 * @source dew point exceeded on 0.4 % of the hours with its mean coincident temperature, and dry bulb on 0.4 % (ASHRAE’s
 *   design conditions, recalled)
 * @example warmDayOf(yearOfMonths(new Array(12).fill({ temperatureC: 20, relativeHumidity: 0.5, swingK: 8 }), 101325), 101325).hottestC // 24.0
 */
export function warmDayOf({ temperatureC, relativeHumidity: rh }: WeatherHours, atmosphericPa: number): WarmDay {
  const hours = temperatureC.length;
  const all = new Float64Array(hours).fill(1);
  const vapour = Float64Array.from({ length: hours }, (_, h) =>
    vapourFractionFromRelativeHumidity(rh[h] as number, temperatureC[h] as number, atmosphericPa),
  );
  const value = (values: ArrayLike<number>): number =>
    designHour(values, all, DESIGN_EXCEEDED_HOURS)?.value ?? Number.NaN;
  // Coincident: of as many hours below the design hour as lie above it.
  const humid = Array.from({ length: hours }, (_, h) => h)
    .sort((a, b) => (vapour[b] as number) - (vapour[a] as number))
    .slice(0, 2 * DESIGN_EXCEEDED_HOURS + 1);
  const intakeC = humid.reduce((sum, h) => sum + (temperatureC[h] as number), 0) / humid.length;
  return {
    intakeC,
    intakeHumidity: Math.min(1, relativeHumidity(value(vapour), intakeC, atmosphericPa)),
    hottestC: value(temperatureC),
    coldestC: Math.min(...Array.from(temperatureC)),
  };
}
