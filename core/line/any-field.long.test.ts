import fc from 'fast-check';
import { dairyPlan } from '../../db/dairy';
import { demoPlan } from '../../db/demo';
import { judgeLine } from '../advice/judge-line';
import { collectingStages, dutyOf } from '../drains/duty';
import { judgeSetting } from '../drains/judge-setting';
import { waysToDrain } from '../drains/ways';
import { dueTasks } from '../maintenance/due';
import { maintenanceFacts } from '../maintenance/facts';
import { type Plan, planSchema } from '../plan/plan';
import { allStages } from '../plan/runs';
import { anyPlan, fieldsIn, STRANGE, withField } from '../test/any-plan';
import { airBalance } from './balance';
import { gradeLine } from './grade-line';
import { judgeOutlets } from './judge-outlet';
import { walk } from './walk';
import { waterfallTo } from './waterfall';

/** Everything that pages work out of a line; what is not a number anywhere in it. */
function shown(plan: Plan): string[] {
  const section = walk(plan);
  const judgement = judgeLine(plan, section);
  const reached = section.stations.flatMap((s) =>
    Object.entries(s).flatMap(([name, v]) =>
      typeof v === 'number' && !Number.isFinite(v) ? [`${s.stageId} ${name}`] : [],
    ),
  );
  gradeLine(plan, section);
  judgeOutlets(plan, section);
  airBalance(plan, section);
  for (const s of allStages(plan)) if (s.kind === 'outlet') waterfallTo(plan, s.id);
  for (const s of collectingStages(plan)) {
    const duty = dutyOf(plan, section, s);
    if (duty) [waysToDrain(duty), judgeSetting(duty)];
  }
  dueTasks(maintenanceFacts(plan, section), [], [], '2026-11-28T08:00');
  const told = JSON.stringify([section.problems.map((p) => p.message), judgement.broken]);
  return [...reached, ...(/\bNaN\b|Infinity/.test(told) || judgement.broken.length > 0 ? [told] : [])];
}

// What the schema accepts every page must be able to show: each field of both demos in turn gets values that nobody means.
test.each([
  ['workshop', demoPlan(), 1],
  ['dairy', dairyPlan(), 7],
] as const)('%s: whatever a field is given, it is refused, or can be walked, judged and drawn', (_, plan, every) => {
  const wrong: string[] = [];
  let accepted = 0;
  fieldsIn(plan)
    .filter((_path, i) => i % every === 0)
    .forEach((path) => {
      for (const value of STRANGE) {
        const read = planSchema.safeParse(withField(plan, path, value));
        if (!read.success) continue;
        accepted++;
        try {
          for (const what of shown(read.data)) wrong.push(`${path.join('.')} = ${String(value).slice(0, 20)}: ${what}`);
        } catch (error) {
          wrong.push(`${path.join('.')} = ${String(value).slice(0, 20)}: ${error}`);
        }
      }
    });
  expect(wrong).toEqual([]);
  expect(accepted).toBeGreaterThan(100);
});

test('any line that the schema accepts can be walked, judged and drawn (random)', () => {
  fc.assert(
    fc.property(anyPlan(demoPlan, dairyPlan), (plan) => {
      expect(shown(plan)).toEqual([]);
    }),
    { numRuns: Number(process.env.RANDOM_PLANS ?? 500) },
  );
});
