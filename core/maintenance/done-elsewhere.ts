import type { EntryKind, LifeEntry } from '../log/log-entry';
import { siteTimeMs } from '../log/site-clock';
import type { Plan, Stage } from '../plan/plan';
import { allStages } from '../plan/runs';
import type { Past } from '../plan/thing-fields';
import type { LastDone } from './logged';
import { RENEWING } from './tasks';

const pastOf = (plan: Plan): { stage: Stage; past: Past }[] =>
  allStages(plan).flatMap((stage) => (stage.thing?.past ?? []).map((past) => ({ stage, past })));
const isDone = ({ kind, result }: Past): boolean => kind !== 'put-off' && result !== 'could-not';

/**
 * What was done to the things of a line where they were before: a task of theirs is not due anew because they moved.
 * @returns each task of each stage once, the newest
 * @example doneElsewhere(plan) // []
 */
export function doneElsewhere(plan: Plan): LastDone[] {
  const newest = new Map<string, LastDone>();
  for (const { stage, past } of pastOf(plan)) {
    if (!isDone(past)) continue;
    const tasks = past.task !== null ? [past.task] : past.kind === 'change' ? RENEWING : [];
    for (const task of tasks) {
      const key = `${stage.id} ${task}`;
      const known = newest.get(key);
      if (!known || known.at < past.at) newest.set(key, { stageId: stage.id, task, at: past.at });
    }
  }
  return [...newest.values()];
}

/**
 * Changes of the elements of a line where they were before. Their hours count from then, those on the shelf too: an element
 * is rather changed early than late.
 * @example changedElsewhere(plan) // []
 */
export const changedElsewhere = (plan: Plan): LifeEntry[] =>
  pastOf(plan)
    .filter(({ past }) => isDone(past) && (past.kind === 'change' || RENEWING.includes(past.task ?? '')))
    .map(({ stage, past }, i) => ({
      id: `${stage.id} ${i}`,
      kind: past.kind as EntryKind,
      stageId: stage.id,
      task: past.task,
      measuredAt: past.at,
      enteredAt: new Date(siteTimeMs(past.at)).toISOString(),
      chargeId: null,
      readings: [],
      expected: [],
      amends: null,
      result: null,
    }));
