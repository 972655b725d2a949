import { dewPointFromVapourPressureC } from '../air/dew-point';
import { saturationPressurePa } from '../air/saturation';
import type { WeatherYear } from './weather';

/** A warm day that brings water: what 2 % of the hours of a year exceed (as design tables have it; ASHRAE Fundamentals ch. 14, recalled). */
const EXCEEDED = 0.02;

const exceeded = (values: readonly number[]): number =>
  values.toSorted((a, b) => b - a)[Math.floor(EXCEEDED * values.length)] ?? 0;

const dewC = (temperatureC: number, relativeHumidity: number): number =>
  dewPointFromVapourPressureC(relativeHumidity * saturationPressurePa(temperatureC, 'water'), 'water');

/**
 * The year whose warm and humid hours are nearest to those of a warm day.
 * @param warm temperature and relative humidity of the air at the intake on a warm day, °C and 0…1
 * @returns `undefined` where there are no years
 * @example of years whose warmest hours are 20 and 30 °C, for a day of 27 °C: the second
 */
export function nearestYear<Y extends { readonly hours: WeatherYear['hours'] }>(
  years: readonly Y[],
  warm: { readonly temperatureC: number; readonly relativeHumidity: number },
): Y | undefined {
  const wantedDewC = dewC(warm.temperatureC, warm.relativeHumidity);
  const apartK = ({ hours }: Y): number => {
    const dew = hours.temperatureC.map((c, h) => dewC(c, hours.relativeHumidity[h] as number));
    return Math.abs(exceeded(hours.temperatureC) - warm.temperatureC) + Math.abs(exceeded(dew) - wantedDewC);
  };
  const apart = new Map(years.map((y) => [y, apartK(y)]));
  return years.toSorted((a, b) => (apart.get(a) as number) - (apart.get(b) as number))[0];
}
