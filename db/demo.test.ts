import { readFileSync } from 'node:fs';
import path from 'node:path';
import { compressorCycle, mostStartsPerHour } from '../core/day/cycle';
import { judgeDay } from '../core/day/judge-day';
import { simulateDay } from '../core/day/simulate-day';
import { walk } from '../core/line/walk';
import { drainEntrySchema } from '../core/log/drain-entry';
import { expectDrain } from '../core/log/expect-drain';
import { judgeLogged, type LoggedDrain } from '../core/log/judge-log';
import { allStages } from '../core/plan/runs';
import { surveyAtmosphericPa } from '../core/plan/survey';
import { expectWorkedTable } from '../core/test/worked-table';
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

  test('the worked example of the compressor cycle says what the day says, and what its formulas say', () => {
    const day = simulateDay(plan);
    const [compressor] = day?.compressors ?? [];
    if (!day || !compressor?.blowOff) throw new Error('no day');
    const point = (id: string) => day.points.find((p) => p.stageId === id) as (typeof day.points)[0];
    const grams = (id: string) => (walk(plan).at(id)?.caughtKgPerS ?? 0) * 3.6e6;
    const pa = surveyAtmosphericPa(plan.survey);
    const [volume, band, gives, takes] = [0.27, 1.6e5, 0.62 / 60, 0.28 / 60];
    const cycle = compressorCycle(volume, 0, band, gives, takes, pa);
    const blownOffM3 = compressor.starts * compressor.blowOff.freeAirM3;
    const { airHeldKg } = day.totals;
    const storedM3 = (airHeldKg.atDusk - airHeldKg.atDawn) / 1.138;
    const loadedH = (takes * 9 * 3600 + blownOffM3 + storedM3) / gives / 3600;
    const end = 16.5 * 3600 - 1;
    const orifice = 0.61 * (Math.PI / 4) * 0.0032 ** 2 * 0.6847 * Math.sqrt(287.042 * 300.15);
    const hiss = (0.0018 / orifice) * Math.log((10.4e5 + pa) / (1.893 * pa)) + 1.1;
    const starts = day.compressors.map((p) => p.mostStartsInAnHour)[0] as number;
    const computed: Record<string, [paper: number, day: number]> = {
      'Free air taken by the jobs, m³': [takes * 9 * 3600, day.demandM3PerS.reduce((sum, q) => sum + q, 0)],
      'Blown off at each stop, L of free air': [(1.8 * 10.4e5) / pa, compressor.blowOff.freeAirM3 * 1000],
      'The hiss, s': [hiss, compressor.blowOff.seconds],
      'Most starts in an hour': [cycle.startsPerHour, starts],
      'Receiver for 10 starts an hour, L': [
        (volume * 1000 * mostStartsPerHour(volume, band, gives, pa)) / 10,
        judgeDay(plan, day).flatMap((r) => (r.what.name === 'too-many-starts' ? r.what.enoughM3 * 1000 : []))[0] ?? 0,
      ],
      'Loaded, h': [loadedH, compressor.loadedS / 3600],
      'Caught by the Cyclone, g': [
        (loadedH - blownOffM3 / gives / 3600) * grams('separator'),
        point('separator').caughtKg * 1000,
      ],
      'Each opening of its float, mL': [50, (point('separator').drainedKg / point('separator').openings) * 1000],
      'Openings of the dryer’s timer': [6, point('dryer').openings],
      'Tank air at the end of work, °C': [31, day.temperatureC[end] as number],
      'In the receiver at the end of work, mL': [loadedH * grams('receiver'), (day.heelKg[end - 1] as number) * 1000],
    };
    expectWorkedTable('worked-examples.md', computed);
  });

  test('the worked example says what the walk says', () => {
    const page = readFileSync(path.join(__dirname, '../docs/worked-examples.md'), 'utf8');
    const section = walk(plan);
    const atmosphericPa = surveyAtmosphericPa(plan.survey);
    const rows = [...page.matchAll(/^\| ([^|]+)((?: \| −?[\d.]+){6}) \|$/gm)];
    expect(rows).toHaveLength(10);
    for (const [, name, numbers] of rows) {
      const s = section.at(allStages(plan).find((stage) => stage.name === name)?.id);
      if (!s) throw new Error(name);
      const gramsPerHour = [s.vapourKgPerS, s.liquidKgPerS, s.caughtKgPerS].map((kgPerS) => kgPerS * 3.6e6);
      const computed = [s.temperatureC, (s.pressurePa - atmosphericPa) / 1e5, s.pressureDewPointC, ...gramsPerHour];
      const printed = (numbers as string)
        .split('|')
        .slice(1)
        .map((n) => Number(n.trim().replace('−', '-')));
      for (const [k, p] of printed.entries()) expect(Math.abs(p - (computed[k] as number))).toBeLessThan(0.051);
    }
  });
});
