import type { LogEntry } from '@/core/log/log-entry';
import { type Fresh, newEntry } from '@/core/log/new-entry';
import type { Plan } from '@/core/plan/plan';
import { nowOnTheWall } from '@/ui/units/when';

/** An id and the time, of this device. */
export const fresh = (): Fresh => ({ id: crypto.randomUUID(), at: nowOnTheWall() });

/** A new entry, made now on this device. */
export const entryOf = (plan: Plan, said: Parameters<typeof newEntry>[2]): LogEntry => newEntry(plan, fresh(), said);
