import type { Section } from '../line/section';
import { walk } from '../line/walk';
import type { Plan } from '../plan/plan';
import type { Placed } from './fault';
import { withFault } from './faults';

/** A line with its faults in it, walked. */
export interface Walked {
  /** With the faults. */
  readonly plan: Plan;
  readonly section: Section;
  readonly faults: readonly Placed[];
}

/**
 * Puts faults into a line, and walks it.
 * @example walkedWith(plan).faults.length // 0
 */
export function walkedWith(plan: Plan, faults: readonly Placed[] = []): Walked {
  const faulty = faults.reduce((p, { fault, ...at }) => withFault(p, { faultId: fault.id, ...at }), plan);
  return { plan: faulty, section: walk(faulty), faults };
}
