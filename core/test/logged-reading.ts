import { expectReadings } from '../log/expect-reading';
import { type LogEntry, type LoggedEntry, logEntrySchema } from '../log/log-entry';
import type { Plan } from '../plan/plan';

let n = 0;
/** A reading in the log, each of another day, with what the plan expects of it. */
export function loggedReading(plan: Plan, change: Partial<LogEntry>): LoggedEntry {
  const e = logEntrySchema.parse({
    id: `00000000-0000-4000-8000-${String(n++).padStart(12, '0')}`,
    kind: 'reading',
    stageId: 'coalescing-filter',
    measuredAt: `2026-11-${String(1 + (n % 27)).padStart(2, '0')}T08:00`,
    who: 'me',
    instrument: 'fitted',
    ...change,
  });
  return { ...e, stageName: 'x', enteredAt: '', expected: expectReadings(plan, e) };
}
