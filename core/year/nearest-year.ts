import { dewPointFromVapourPressureC } from '../air/dew-point';
import { saturationPressurePa } from '../air/saturation';
import type { WeatherYear } from './weather';

/** A warm day that brings water: what 2 % of the hours of a year exceed (as design tables have it; ASHRAE Fundamentals ch. 14, recalled). */
const EXCEEDED = 0.02;

const exceeded = (values: readonly number[]): number =>
  values.toSorted((a, b) => b - a)[Math.floor(EXCEEDED * values.length)] ?? 0;

const dewC = (temperatureC: number, relativeHumidity: number): number =>
  dewPointFromVapourPressureC(relativeHumidity * saturationPressurePa(temperatureC, 'water'), 'water');

/** What a year exceeds in its warm and humid hours, °C. */
export interface WarmHours {
  readonly temperatureC: number;
  readonly dewPointC: number;
}

/**
 * What 2 % of the hours of a year exceed: in temperature, and in dew point, each by itself.
 * @returns °C
 * @example warmHoursOf({ temperatureC: Array.from({ length: 1000 }, (_, h) => (h < 21 ? 27 : 10)), relativeHumidity: new Array(1000).fill(0.5) }).temperatureC // 27
 */
export const warmHoursOf = ({ temperatureC, relativeHumidity }: WeatherYear['hours']): WarmHours => ({
  temperatureC: exceeded(temperatureC),
  dewPointC: exceeded(temperatureC.map((c, h) => dewC(c, relativeHumidity[h] as number))),
});

/**
 * The year whose warm and humid hours are nearest to those of a warm day.
 * @param warm temperature and relative humidity of the air at the intake on a warm day, °C and 0…1
 * @returns `undefined` where there are no years
 * @example nearestYear([20, 30].map((temperatureC) => ({ warm: { temperatureC, dewPointC: 10 } })), { temperatureC: 27, relativeHumidity: 0.5 }).warm.temperatureC // 30
 */
export function nearestYear<Y extends { readonly warm: WarmHours }>(
  years: readonly Y[],
  warm: { readonly temperatureC: number; readonly relativeHumidity: number },
): Y | undefined {
  const wantedDewC = dewC(warm.temperatureC, warm.relativeHumidity);
  const apartK = ({ warm: own }: Y): number =>
    Math.abs(own.temperatureC - warm.temperatureC) + Math.abs(own.dewPointC - wantedDewC);
  return years.toSorted((a, b) => apartK(a) - apartK(b))[0];
}
