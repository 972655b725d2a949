import type { Plan } from '@/core/plan/plan';

const KEPT = 100;
const known = new Map<string, Plan>();

/**
 * On the server each request brings a copy of its own of a plan: of the same plan the first copy is taken, with all that was
 * worked out of it then. A browser has one copy, and takes that.
 */
export function knownPlan(plan: Plan): Plan {
  if (typeof window !== 'undefined') return plan;
  const text = JSON.stringify(plan);
  const there = known.get(text) ?? plan;
  known.delete(text); // the one asked for last goes to the end
  known.set(text, there);
  if (known.size > KEPT) known.delete(known.keys().next().value as string);
  return there;
}
