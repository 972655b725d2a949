import type { Section } from '@/core/line/section';
import { walk } from '@/core/line/walk';
import type { Plan } from '@/core/plan/plan';

const walked = new WeakMap<Plan, Section>();

/** The section of a plan, walked once: a form asks whether an edit is refused, and then the screen shows that very edit. */
export function sectionOf(plan: Plan): Section {
  const known = walked.get(plan);
  if (known) return known;
  const section = walk(plan);
  walked.set(plan, section);
  return section;
}
