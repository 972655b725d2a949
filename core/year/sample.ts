import { saturationPressurePa } from '../air/saturation';
import { WEATHER_RANGE } from './weather';

/** One reading of the air outdoors, on the clock of the place. */
export interface Sample {
  readonly row: number;
  readonly year: number;
  /** From 0. */
  readonly month: number;
  readonly day: number;
  readonly hour: number;
  readonly minute: number;
  readonly temperatureC: number;
  readonly relativeHumidity: number;
  /** Whether a value had to be brought into range. */
  readonly corrected?: string;
}

/** What a row says of the air; what it does not say is not a number. */
export interface Readings {
  readonly temperatureC: number;
  /** 0…1. */
  readonly relativeHumidity: number;
  /** Over water. */
  readonly dewPointC: number;
}

const MOST_RH = 1.1; // a sensor in fog may read a little over 100 %; more is a mistake
const DEW_POINT_SLACK_K = 1; // of rounding: a dew point a little over the temperature is fog

/**
 * Temperature and relative humidity of a row. Temperature and dew point go before a humidity that was printed: that one is
 * rounded to whole per cents.
 * @returns what is wrong, in words, where it cannot be used
 * @source RH = e(dew point) / e(temperature), over liquid water
 */
export function airOfReadings({
  temperatureC,
  relativeHumidity,
  dewPointC,
}: Readings): { temperatureC: number; relativeHumidity: number; corrected?: string } | string {
  const { leastC, mostC, leastRh } = WEATHER_RANGE;
  if (!Number.isFinite(temperatureC)) return 'no temperature';
  if (temperatureC < -90 || temperatureC > 70) return `${temperatureC} °C is no temperature of the weather`;
  const c = Math.min(mostC, Math.max(leastC, temperatureC));
  const dewPoint = Number.isFinite(dewPointC) && dewPointC > -90 && dewPointC <= temperatureC + DEW_POINT_SLACK_K;
  if (!dewPoint && !Number.isFinite(relativeHumidity)) return 'no humidity';
  const rh = dewPoint
    ? saturationPressurePa(dewPointC, 'water') / saturationPressurePa(temperatureC, 'water')
    : relativeHumidity;
  if (rh < 0 || rh > MOST_RH) return `${Math.round(rh * 100)} % is no humidity`;
  const within = Math.min(1, Math.max(leastRh, rh));
  const corrected = [
    c !== temperatureC && `${temperatureC} °C taken as ${c} °C`,
    rh > 1 + 1e-9 && !dewPoint && `${Math.round(rh * 100)} % humidity taken as 100 %`,
  ]
    .filter(Boolean)
    .join('; ');
  return { temperatureC: c, relativeHumidity: within, ...(corrected && { corrected }) };
}
