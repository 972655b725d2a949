import { walk } from '../core/line/walk';
import { expectReadings } from '../core/log/expect-reading';
import { type LogEntry, logEntrySchema } from '../core/log/log-entry';
import { siteTimeOf } from '../core/log/site-clock';
import { maintenanceFacts } from '../core/maintenance/facts';
import { intervalOf } from '../core/maintenance/interval';
import { tasksOfStages } from '../core/maintenance/line-tasks';
import { DRAINING } from '../core/maintenance/tasks';
import type { Plan } from '../core/plan/plan';
import { DAY_MS, HOUR_MS } from '../core/quantity/constants';
import { demoId } from './demo-stage';

const PEOPLE = ['Ottilie', 'Bram', 'Yusra'] as const;
/** Of their interval, how long ago tasks were done: one in nine is late. */
const AGO = [0.3, 0.75, 0.12, 0.55, 0.9, 0.4, 1.4, 0.2, 0.65] as const;
/** A pressure drop read each week, over what the plan expects: steady, and then the element loads. */
const LOADING = [0.98, 1.03, 0.97, 1.01, 1.02, 0.96, 1.0, 1.03, 0.99, 1.21, 1.26, 1.24, 1.31] as const;

/** Tasks with a log of their own: the filter’s drop, and charges of beads. */
const OWN_LOG = ['M11', 'M22'];

/** What somebody has logged of a demo’s routine: tasks done, and the pressure drop of a filter that begins to load. */
export function demoEntries(plan: Plan, nowMs: number, coalescer: string | undefined, firstId: number): LogEntry[] {
  const facts = maintenanceFacts(plan, walk(plan));
  let n = 0;
  const entry = (change: Partial<LogEntry> & Pick<LogEntry, 'kind' | 'stageId'>, atMs: number): LogEntry =>
    logEntrySchema.parse({
      id: demoId(firstId + n),
      measuredAt: siteTimeOf(Math.floor(atMs / 60_000) * 60_000),
      who: PEOPLE[n++ % PEOPLE.length],
      ...change,
    });
  const at = (days: number): number =>
    Math.floor(nowMs / DAY_MS) * DAY_MS - Math.ceil(days) * DAY_MS + 8 * HOUR_MS + (n % 40) * 60_000;
  const done = tasksOfStages(plan)
    .filter(({ task }) => !DRAINING.includes(task.id) && !OWN_LOG.includes(task.id))
    .map(({ stage, task }, i) => {
      const { days } = intervalOf(facts, stage, task);
      return entry(
        { kind: 'done', stageId: stage.id, task: task.id, result: 'ok' },
        at(Math.max(1, days * (task.legal ? 0.5 : (AGO[i % AGO.length] as number)))),
      );
    });
  if (!coalescer) return done;
  const reading = (value: number, weeks: number): LogEntry =>
    entry(
      {
        kind: 'done',
        stageId: coalescer,
        task: 'M11',
        result: 'ok',
        instrument: 'fitted',
        readings: [{ of: 'pressure-drop', value }],
      },
      at(7 * weeks + 1),
    );
  const expected = expectReadings(plan, reading(0, 0))[0]?.value ?? 0;
  return [...done, ...LOADING.map((ratio, i) => reading(Math.round(expected * ratio), LOADING.length - 1 - i))];
}
