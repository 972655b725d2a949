import { type DrainEntry, drainEntrySchema } from '../log/drain-entry';
import { type LogEntry, logEntrySchema } from '../log/log-entry';
import { type Fresh, newDrain, newEntry } from '../log/new-entry';
import type { ReadingName } from '../log/readings';
import type { Plan } from '../plan/plan';
import type { DueTask } from './due';

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
  /** Id of the picture that was taken. */
  readonly photoId: string | null;
  /** Of a drain: when it was drained the time before. */
  readonly since: string;
}

/** What goes into the log, in this order. A drain is one entry: the drain itself, and its picture beside it. */
export interface TaskLog {
  readonly drain?: DrainEntry;
  readonly entry?: LogEntry;
}

/**
 * What of a task is read, in order.
 * @example readingsOf(taskById('M01')) // ["amount"]
 */
export const readingsOf = (task: DueTask['task']): readonly ReadingName[] => (task.drains ? ['amount'] : task.records);

const NOBODY = 'Enter your name once: this phone remembers it.';

/** What still is missing before the answers at a point can be logged, in words. */
function missingOf({ task }: DueTask, a: TaskAnswers): string | undefined {
  if (a.couldNot && a.because.trim() === '') return 'Enter the reason.';
  if (a.who.trim() === '') return NOBODY;
  if (a.couldNot) return undefined;
  if (typeof a.number === 'string') return a.number;
  const none = a.number === undefined;
  if (task.drains) {
    if (none) return 'Enter the drained amount; 0 if none.';
    return a.looks || a.number === 0 ? undefined : 'Select its appearance.';
  }
  const asks = readingsOf(task)[a.readings.length] !== undefined;
  return asks && none && !a.wrong ? 'Enter the reading, or mark it as not possible.' : undefined;
}

/**
 * What goes into the log of a task on a round, or what is still missing, in words.
 * @param fresh an id and the time for each entry
 * @example taskLog(plan, dueTasks(facts, [], [], now)[0], { who: '', number: undefined, readings: [], looks: undefined, wrong: false, couldNot: false, because: '', photoId: null, since: '' }, () => ({ id: 'e', at: now })).problem // 'Enter your name once: this phone remembers it.'
 */
export function taskLog(
  plan: Plan,
  due: DueTask,
  a: TaskAnswers,
  fresh: () => Fresh,
): { readonly problem: string } | TaskLog {
  const problem = missingOf(due, a);
  if (problem !== undefined) return { problem };
  const { task, stage } = due;
  const who = a.who.trim();
  const said = { kind: 'done', stageId: stage.id, task: task.id, who } as const;
  if (a.couldNot) return { entry: newEntry(plan, fresh(), { ...said, result: 'could-not', what: a.because.trim() }) };
  if (task.drains) {
    const drain = newDrain(plan, fresh(), {
      stageId: stage.id,
      sinceAt: a.since,
      amountM3: a.number as number,
      appearance: a.looks ?? 'clear',
      who,
    });
    const checked = drainEntrySchema.safeParse(drain);
    if (!checked.success) return { problem: checked.error.issues[0]?.message ?? 'That cannot be.' };
    if (!a.photoId) return { drain };
    const picture = { kind: 'observation', stageId: stage.id, who, what: 'Photo of what was drained' } as const;
    return { drain, entry: newEntry(plan, fresh(), { ...picture, photoId: a.photoId }) };
  }
  const of = readingsOf(task)[a.readings.length];
  const entry = newEntry(plan, fresh(), {
    ...said,
    result: a.wrong ? 'not-ok' : 'ok',
    what: a.wrong ? a.because.trim() : '',
    readings: [...a.readings, ...(of && typeof a.number === 'number' ? [{ of, value: a.number }] : [])],
    instrument: 'fitted',
    photoId: a.photoId,
  });
  const checked = logEntrySchema.safeParse(entry);
  return checked.success ? { entry } : { problem: checked.error.issues[0]?.message ?? 'That cannot be.' };
}
