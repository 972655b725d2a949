import type { Plan } from '@/core/plan/plan';

/** The line that a question was begun from. */
export interface FromLine {
  readonly id: string;
  readonly plan: Plan;
}
