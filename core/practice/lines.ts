import { insertStage, newStage } from '../plan/edit';
import type { Plan } from '../plan/plan';
import { startPlan } from '../plan/start-plan';
import type { Season } from './case';
import type { Draws } from './draws';
import { setPlaces } from './season';

/** Made-up shops. */
const SHOPS = [
  'Bramling Clockcases',
  'Oldmoor Harps',
  'Tessel Kites',
  'Ferrow Lens Works',
  'Quince Bookbinders',
] as const;

/** A shape of line. Sizes: typical of the trade (common practice, no source). */
const SHAPES = {
  shop: { type: 'piston2', litresPerS: [4, 12], tankL: 230, dryer: false },
  dry: { type: 'piston2', litresPerS: [6, 14], tankL: 300, dryer: true },
  plant: { type: 'screw', litresPerS: [40, 120], tankL: 1500, dryer: true },
} as const;
export type Shape = keyof typeof SHAPES;

/**
 * A line to practise on: cooler, separator and receiver, with a dryer where its shape has one, a pipe, and at the end of
 * a small one a hose.
 * @example practiceLine(drawsOf(1), 'shop', 'august').stages[0].kind // 'intake'
 */
export function practiceLine(draws: Draws, shape: Shape, season: Season): Plan {
  const { type, litresPerS, tankL, dryer } = SHAPES[shape];
  let ids = 0;
  const newId = (): string => `s${++ids}`;
  const cutInPa = draws.pick([7.5e5, 8e5, 9e5]);
  const plan = startPlan(
    {
      ...{ shop: draws.pick(SHOPS), lineName: 'Practice', intakeTemperatureC: 20, intakeRelativeHumidity: 0.6 },
      compressor: {
        type,
        freeAirDeliveryM3PerS: Math.round(draws.between(litresPerS[0], litresPerS[1])) / 1000,
        ...{ cutInPa, cutOutPa: cutInPa + 1.5e5 },
      },
      receiverVolumeM3: tankL / 1000,
      ...{ has: { aftercooler: true, refrigeratedDryer: dryer }, distanceM: Math.round(draws.between(8, 40)) },
    },
    newId,
  );
  // All that a plant delivers passes no hose.
  const ends = shape === 'plant' ? plan : insertStage(plan, newStage('hose', newId()), plan.stages.length - 1);
  return setPlaces(ends, season);
}
