import type { Plan } from '@/core/plan/plan';
import type { Climate } from '@/core/plan/survey';

/** A new line in the climate of its site, where that is said. */
export const inClimate = (plan: Plan, climate: Climate | null): Plan =>
  climate && climate.from !== 'none' ? { ...plan, survey: { ...plan.survey, climate } } : plan;
