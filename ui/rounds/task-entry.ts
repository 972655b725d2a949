import { type DrainEntry, drainEntrySchema } from '@/core/log/drain-entry';
import { type LogEntry, logEntrySchema } from '@/core/log/log-entry';
import type { ReadingName } from '@/core/log/readings';
import type { DueTask } from '@/core/maintenance/due';
import { DRAINING } from '@/core/maintenance/last-done';
import type { Plan } from '@/core/plan/plan';
import { placeOf } from '@/core/plan/survey';
import { nowOnTheWall } from '@/ui/units/when';
import { entryOf } from '../outbox/entry-of';
import type { Outgoing } from '../outbox/outbox';

/** What somebody answered at a point of a round. */
export interface TaskAnswers {
  readonly who: string;
  /** SI; words where what was typed is no number; nothing where nothing was typed. */
  readonly number: number | string | undefined;
  /** What was read before it at the same point. */
  readonly readings: LogEntry['readings'];
  readonly looks: DrainEntry['appearance'] | undefined;
  readonly wrong: boolean;
  readonly couldNot: boolean;
  readonly because: string;
  /** A small picture, as a data address. */
  readonly photo: string | undefined;
  /** Of a drain: when it was drained the time before. */
  readonly since: string;
}

/** What of a task is read, in order. */
export const readOf = (task: DueTask['task']): readonly ReadingName[] =>
  DRAINING.includes(task.id) ? ['amount'] : task.records;

const NOBODY = 'Enter your name once: this phone remembers it.';

/** What goes into the log of a task, or what is still missing, in words. A drain is one entry: the drain itself. */
export function taskEntry(
  plan: Plan,
  { task, stage }: DueTask,
  a: TaskAnswers,
): { problem: string } | { outgoing: Outgoing[] } {
  const who = a.who.trim();
  const because = a.because.trim();
  if (a.couldNot) {
    if (because === '') return { problem: 'Enter the reason.' };
    if (who === '') return { problem: NOBODY };
    const body = entryOf(plan, {
      kind: 'done',
      stageId: stage.id,
      task: task.id,
      who,
      result: 'could-not',
      what: because,
    });
    return { outgoing: [{ to: 'entries', body }] };
  }
  if (who === '') return { problem: NOBODY };
  if (typeof a.number === 'string') return { problem: a.number };
  const drains = DRAINING.includes(task.id);
  const of = readOf(task)[a.readings.length];
  if (drains && a.number === undefined) return { problem: 'Enter the drained amount; 0 if none.' };
  if (of && a.number === undefined && !a.wrong) return { problem: 'Enter the reading, or mark it as not possible.' };
  if (drains && !a.looks && a.number !== 0) return { problem: 'Select its appearance.' };
  const photoId = a.photo ? crypto.randomUUID() : null;
  const outgoing: Outgoing[] = a.photo && photoId ? [{ to: `photos/${photoId}`, body: a.photo }] : [];
  if (drains) {
    const intake = placeOf(plan.survey, plan.survey.intakePlaceId);
    const body = {
      id: crypto.randomUUID(),
      stageId: stage.id,
      drainedAt: nowOnTheWall(),
      sinceAt: a.since,
      amountM3: a.number as number,
      appearance: a.looks ?? 'clear',
      who,
      note: '',
      loadedHours: null,
      intakeTemperatureC: intake.temperatureC,
      intakeRelativeHumidity: intake.relativeHumidity,
    };
    const checked = drainEntrySchema.safeParse(body);
    if (!checked.success) return { problem: checked.error.issues[0]?.message ?? 'That cannot be.' };
    outgoing.push({ to: 'drains', body });
    if (photoId)
      outgoing.push({
        to: 'entries',
        body: entryOf(plan, {
          kind: 'observation',
          stageId: stage.id,
          who,
          what: 'Photo of what was drained',
          photoId,
        }),
      });
    return { outgoing };
  }
  const body = entryOf(plan, {
    kind: 'done',
    stageId: stage.id,
    task: task.id,
    who,
    result: a.wrong ? 'not-ok' : 'ok',
    what: a.wrong ? because : '',
    readings: [...a.readings, ...(of && a.number !== undefined ? [{ of, value: a.number }] : [])],
    instrument: 'fitted',
    photoId,
  });
  const checked = logEntrySchema.safeParse(body);
  if (!checked.success) return { problem: checked.error.issues[0]?.message ?? 'That cannot be.' };
  return { outgoing: [...outgoing, { to: 'entries', body }] };
}
