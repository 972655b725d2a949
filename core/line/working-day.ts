import type { Plan } from '../plan/plan';
import { hoursOfWeek } from '../plan/working-time';
import type { Section } from './section';

/**
 * Hours of a working day (the longest of the week) in which the compressor runs loaded.
 * @returns h, 0…24
 * @example loadedHoursPerDay(plan) // 3.6
 */
export function loadedHoursPerDay(plan: Plan): number {
  const { working } = plan.survey;
  return Math.max(...hoursOfWeek(working)) * working.loadedShare;
}

/**
 * Water drawn in on a working day, kg.
 * @example waterInPerDayKg(section, plan) // 1.56
 */
export function waterInPerDayKg(section: Section, plan: Plan): number {
  return section.ledger.waterInKgPerS * 3600 * loadedHoursPerDay(plan);
}

/**
 * What it would cost in water to draw in at a place instead: drawn in while loaded, kg/s.
 * @example withIntakeAt(plan, 'room').survey.intakePlaceId // 'room'
 */
export function withIntakeAt(plan: Plan, placeId: string): Plan {
  return { ...plan, survey: { ...plan.survey, intakePlaceId: placeId } };
}
