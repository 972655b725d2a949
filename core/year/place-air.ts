import { vapourFractionFromRelativeHumidity } from '../air/humidity';
import { type Place, type Survey, surveyAtmosphericPa, USUAL_YEAR } from '../plan/survey';
import { inRange } from './air-in-range';
import { YEAR_HOURS } from './calendar';
import type { WeatherHours } from './weather';

/** Air of one place, hour by hour. */
export interface PlaceAir {
  readonly temperatureC: ArrayLike<number>;
  readonly relativeHumidity: ArrayLike<number>;
}

const WARM_UP_TIMES = 5; // of its lag a place is run in, so that the first hours do not begin from nothing

/**
 * The air of a place of the survey through weather outdoors.
 * - outdoors: the same;
 * - sheltered: temperature and moisture follow with a lag of the first order, warmer by so much, heated to at least so much;
 * - warm: its own temperature, the moisture of the outdoors;
 * - held: its own temperature and humidity.
 * Where it would be foggy it is saturated.
 *
 * @source a well-mixed room: y += (x − y)·(1 − e^(−1 h/lag))
 */
export function placeAir(place: Place, survey: Survey, weather: WeatherHours): PlaceAir {
  const { follows, lagS, warmerK, heatedToC } = place.year ?? USUAL_YEAR;
  if (follows === 'outdoors') return weather;
  const hours = weather.temperatureC.length;
  const temperatureC = new Float64Array(hours);
  const relativeHumidity = new Float64Array(hours);
  if (follows === 'held') {
    temperatureC.fill(place.temperatureC);
    relativeHumidity.fill(place.relativeHumidity);
    return { temperatureC, relativeHumidity };
  }
  const atmosphericPa = surveyAtmosphericPa(survey);
  const share = follows === 'warm' || lagS === 0 ? 1 : 1 - Math.exp(-3600 / lagS);
  const runIn = hours !== YEAR_HOURS ? 0 : Math.min(hours, Math.ceil((WARM_UP_TIMES * lagS) / 3600));
  let c = Number.NaN;
  let x = Number.NaN;
  for (let i = -runIn; i < hours; i++) {
    const h = (i + hours) % hours;
    const outC = weather.temperatureC[h] as number;
    const outX = vapourFractionFromRelativeHumidity(weather.relativeHumidity[h] as number, outC, atmosphericPa);
    c = Number.isNaN(c) ? outC : c + (outC - c) * share;
    x = Number.isNaN(x) ? outX : x + (outX - x) * share;
    if (i < 0) continue;
    const air = inRange(follows === 'warm' ? place.temperatureC : Math.max(heatedToC, c + warmerK), x, atmosphericPa);
    temperatureC[h] = air.temperatureC;
    relativeHumidity[h] = air.relativeHumidity;
  }
  return { temperatureC, relativeHumidity };
}
