import { readFileSync } from 'node:fs';
import path from 'node:path';
import { allStages } from '../core/line/runs';
import { surveyAtmosphericPa } from '../core/line/survey';
import { walk } from '../core/line/walk';
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

  test('the worked example says what the walk says', () => {
    const page = readFileSync(path.join(__dirname, '../docs/worked-examples.md'), 'utf8');
    const section = walk(plan);
    const atmosphericPa = surveyAtmosphericPa(plan.survey);
    const rows = [...page.matchAll(/^\| ([^|]+) \| ([−\d. |]+) \|$/gm)];
    expect(rows).toHaveLength(10);
    for (const [, name, numbers] of rows) {
      const s = section.at(allStages(plan).find((stage) => stage.name === name)?.id);
      if (!s) throw new Error(name);
      const gramsPerHour = [s.vapourKgPerS, s.liquidKgPerS, s.caughtKgPerS].map((kgPerS) => kgPerS * 3.6e6);
      const computed = [s.temperatureC, (s.pressurePa - atmosphericPa) / 1e5, s.pressureDewPointC, ...gramsPerHour];
      const printed = (numbers as string).split('|').map((n) => Number(n.trim().replace('−', '-')));
      for (const [k, p] of printed.entries()) expect(Math.abs(p - (computed[k] as number))).toBeLessThan(0.051);
    }
  });
});
