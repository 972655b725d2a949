import type { Section } from '../../line/section';
import type { Plan } from '../../plan/plan';
import { allStages, standing } from '../../plan/runs';
import { placeOf } from '../../plan/survey';
import type { Check } from './checks';

/** What two thermometers or a dew-point meter may be off by, K (trade handbook: ±2–3 °F each). */
export const OFF_K = 2;
/** What a gauge may be off by, Pa (trade handbook: 2 % of 10 bar). */
export const OFF_PA = 2e4;
/** A compressor delivers no more than its rating by this factor (estimate; pump-up is ±10 %). */
const MOST_OF_RATING = 1.2;

const METAL =
  'Usual causes: an infrared gun on bare metal (tape or matt paint, and wait 5 min), a wet probe, sun on the thermometer.';

/**
 * Why a reading cannot be true on this line, with the usual causes; nothing where it can.
 * @param section the walk of the line
 * @param value SI
 * @example cannotBe(plan, section, { id: '', stageId: 'fine', of: 'drop' }, 5e3) === undefined // true
 */
export function cannotBe(plan: Plan, section: Section, { of, stageId }: Check, value: number): string | undefined {
  const { survey } = plan;
  const coldest = Math.min(...survey.places.map((p) => p.temperatureC));
  const at = section.at(stageId);
  const stages = allStages(standing(plan));
  switch (of) {
    case 'temperature':
      return value < coldest - OFF_K
        ? `Air in the line cannot be colder than all the air round it, {${coldest} °C}. ${METAL}`
        : undefined;
    case 'dew-point': {
      const air = Math.max(at?.temperatureC ?? Infinity, placeOf(survey, survey.roomPlaceId).temperatureC);
      return value > air + OFF_K
        ? `A dew point is never above the temperature of the air, about {${Math.round(air)} °C}: water would stand in the meter. Usual causes: a wet probe or sample line, the meter set to another pressure.`
        : undefined;
    }
    case 'pressure': {
      const most = Math.max(...stages.map((s) => (s.kind === 'compressor' ? s.parameters.cutOutPa : 0)));
      return value > most + OFF_PA
        ? 'That is above the cut-out of the compressor. Usual causes: a gauge off zero, or read in another unit.'
        : undefined;
    }
    case 'drop':
      return value < -OFF_PA
        ? 'Pressure does not rise over a filter, a dryer or a hose. Usual causes: the two gauges exchanged, or one off zero.'
        : undefined;
    case 'leak-down':
      return value < -OFF_PA
        ? 'A tank at rest gains no pressure. Usual causes: it warms up, or the compressor ran.'
        : undefined;
    case 'intake-loss':
      return value < 0 ? 'Air does not gain pressure over a filter. Usual causes: a gauge off zero.' : undefined;
    case 'cooling-air':
    case 'hiss':
    case 'fan':
    case 'switches':
    case 'colour':
    case 'below':
    case 'cloth':
    case 'more-use':
      return undefined;
    case 'held':
    case 'catch':
      return value < 0 ? 'Less than nothing cannot come out of a drain.' : undefined;
    case 'delivery': {
      const rated = stages.reduce(
        (sum, s) => sum + (s.kind === 'compressor' ? s.parameters.freeAirDeliveryM3PerS : 0),
        0,
      );
      return value > rated * MOST_OF_RATING
        ? 'That is more than the compressor can give. Usual causes: the volume of the tank, air that is still warm, water in the tank.'
        : undefined;
    }
  }
}
