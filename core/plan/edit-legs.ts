import { isUpright, type Leg, MOST_FALL } from '../piping/legs';
import { isDrawn, withDrawn } from './drawn';
import type { Plan, Stage } from './plan';
import { withStage } from './runs';

/**
 * The plan with a stage’s run as it is drawn; `undefined` takes the drawing away and leaves its numbers.
 * @example setLegs(plan, 'gauge', undefined).stages.length // 12
 */
export function setLegs(plan: Plan, stageId: string, legs: readonly Leg[] | undefined): Plan {
  return withStage(plan, stageId, (s) => {
    const { legs: _, ...fit } = s.fit ?? {};
    return withDrawn({ ...s, fit: legs ? { ...fit, legs: [...legs] } : fit } as Stage);
  });
}

/**
 * A stage with a parameter of its own, where it has a drawn run that says otherwise: another fall goes into every level leg;
 * another length or count of bends is not what is drawn, and the drawing goes.
 * @example redrawn({ ...newStage('pipe', 'p'), fit: { legs: [{ to: 'east', lengthM: 3, fall: 0 }] } }, 'fall', 0.02).fit.legs[0].fall // 0.02
 */
export function redrawn(stage: Stage, field: string, value: number | string): Stage {
  const legs = stage.fit?.legs;
  if (!legs || !isDrawn(stage, field)) return stage;
  const { legs: _, ...fit } = stage.fit ?? {};
  if (field !== 'fall' || typeof value !== 'number') return { ...stage, fit } as Stage;
  const fallen = legs.map((l) => (isUpright(l.to) ? l : { ...l, fall: Math.min(MOST_FALL, value) }));
  return { ...stage, fit: { ...fit, legs: fallen } } as Stage;
}

/**
 * Legs of which those whose place is gone pass through the place of their stage.
 * @example inOwnPlace([{ to: 'up', lengthM: 2, fall: 0, place: 'yard' }], () => false) // [{"to":"up","lengthM":2,"fall":0}]
 */
export const inOwnPlace = (legs: readonly Leg[], isThere: (place: string | undefined) => boolean): Leg[] =>
  legs.map((leg) => {
    const { place: _, ...rest } = leg;
    return isThere(leg.place) ? leg : rest;
  });
