import { drainEntrySchema } from '../core/record/drain-entry';
import { expectDrain } from '../core/record/expect-drain';
import { judgeLogged, type LoggedDrain } from '../core/record/judge-log';
import { DEMO_STAGES, demoDrains, demoPlan } from './demo';

const NOW = Date.UTC(2026, 10, 23, 18);

describe('the demo', () => {
  const plan = demoPlan();
  const log: LoggedDrain[] = demoDrains(NOW).map((e) => {
    const x = expectDrain(plan, e);
    if (!x) throw new Error(e.id);
    return { ...e, ...x, countedHours: x.loadedHours, loadedHours: e.loadedHours, stageName: e.stageId, struck: false };
  });

  test('covers six weeks with valid entries, none ahead of now', () => {
    for (const e of demoDrains(NOW)) drainEntrySchema.parse(e);
    expect(Date.parse(log.at(-1)?.drainedAt as string)).toBeLessThan(NOW);
    expect(NOW - Date.parse(log[0]?.drainedAt as string)).toBeGreaterThan(32 * 86_400_000);
  });

  test('the judgement finds the stuck float, and nothing else', () => {
    const odd = log.map((e) => ({ e, j: judgeLogged(plan, log, e) })).filter(({ j }) => j.verdict !== 'as expected');
    const float = odd.filter(({ e }) => e.stageId === DEMO_STAGES.separator);
    expect(float.length).toBeGreaterThanOrEqual(2);
    for (const { j } of float) expect(j.causes[0]?.id).toBe('drain-stuck');
    const passedOn = odd.filter(({ e }) => e.stageId !== DEMO_STAGES.separator);
    for (const { e, j } of passedOn) {
      expect(e.stageId).toBe(DEMO_STAGES.receiver);
      expect(j.causes[0]?.id).toBe('upstream-lets-through');
    }
  });
});
