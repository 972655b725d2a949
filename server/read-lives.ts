import { and, desc, eq, inArray, type SQL, sql } from 'drizzle-orm';
import type { Charge } from '../core/log/charge';
import type { LifeEntry } from '../core/log/log-entry';
import { beadPlaces } from '../core/maintenance/charge-lives';
import { changedElsewhere } from '../core/maintenance/done-elsewhere';
import { ELEMENT_KINDS } from '../core/maintenance/element-lives';
import type { Signal } from '../core/maintenance/logged';
import { RENEWING } from '../core/maintenance/tasks';
import type { Plan } from '../core/plan/plan';
import { allStages } from '../core/plan/runs';
import { database } from '../db/client';
import { logEntries, readings } from '../db/schema';
import { CHANGES_KEPT, ENTRY, entryOf, newestFirst, READINGS_KEPT, together } from './entry-rows';
import type { Who } from './people/may';
import { readPlan } from './read-plan';
import { chargesOf } from './save-charge';

/** Entries that the lives of charges and elements rest on: changes and tasks at their stages, and readings of each kind. */
export async function entriesOfLives(plan: Plan, planId: string, elementsToo: boolean): Promise<LifeEntry[]> {
  const compressor = allStages(plan).find((s) => s.kind === 'compressor')?.id;
  const places = beadPlaces(plan).map((s) => s.id);
  const elements = elementsToo ? allStages(plan).filter((s) => ELEMENT_KINDS.has(s.kind)) : [];
  const stages = [...places, ...elements.map((s) => s.id)];
  const stand = and(eq(logEntries.planId, planId), eq(logEntries.stands, true));
  const ids = (which: SQL | undefined) =>
    database()
      .select({ id: logEntries.id })
      .from(logEntries)
      .where(and(stand, which))
      .orderBy(desc(logEntries.measuredAt))
      .limit(CHANGES_KEPT);
  const read = (stageId: string, of: Signal['of']) =>
    database()
      .select({ id: sql<string>`${readings.entryId}`.as('id') })
      .from(readings)
      .where(
        and(eq(readings.planId, planId), eq(readings.stands, true), eq(readings.stageId, stageId), eq(readings.of, of)),
      )
      .orderBy(desc(readings.measuredAt))
      .limit(READINGS_KEPT);
  const found = await together<{ id: string }>([
    ids(inArray(logEntries.kind, ['regeneration', 'discard'])),
    ...stages.map((id) => ids(and(eq(logEntries.stageId, id), eq(logEntries.kind, 'change')))),
    ...stages.flatMap((id) =>
      RENEWING.map((task) =>
        ids(and(eq(logEntries.counts, true), eq(logEntries.stageId, id), eq(logEntries.task, task))),
      ),
    ),
    ...places.flatMap((id) => (['spent', 'weight', 'dew-point'] as const).map((of) => read(id, of))),
    ...elements.map((s) => read(s.id, 'pressure-drop')),
    ...(compressor === undefined ? [] : [read(compressor, 'hours')]),
  ]);
  const unique = [...new Set(found.map((f) => f.id))];
  if (unique.length === 0) return [];
  const rows = await database()
    .select(ENTRY)
    .from(logEntries)
    .where(inArray(logEntries.id, unique))
    .orderBy(...newestFirst);
  return rows.map((row) => {
    const { id, kind, stageId, task, measuredAt, enteredAt, chargeId, readings, expected, amends, result } =
      entryOf(row);
    return { id, kind, stageId, task, measuredAt, enteredAt, chargeId, readings, expected, amends, result };
  });
}

/** The charges of beads of a line, and what their lives and those of elements rest on. */
export async function readChargeLog(who: Who, planId: string): Promise<{ charges: Charge[]; entries: LifeEntry[] }> {
  const { plan } = await readPlan(who, planId);
  const [charges, entries] = await Promise.all([chargesOf(planId), entriesOfLives(plan, planId, true)]);
  return { charges, entries: [...entries, ...changedElsewhere(plan)] };
}
