import { judgeLine } from '../core/advice/judge-line';
import { walk } from '../core/line/walk';
import { allStages } from '../core/plan/runs';
import { dairyPlan } from '../db/dairy';
import { fortyStages } from './forty-stage-plan';

// All rules over a line that was just edited: a new plan each time, nothing kept from the last.
const BUDGET_MS = 5;
for (const [name, plan] of [
  ['forty stages', fortyStages()],
  ['the dairy', dairyPlan()],
] as const) {
  const times: number[] = [];
  for (let i = 0; i < 200; i++) {
    const edited = structuredClone(plan);
    const section = walk(edited);
    const start = performance.now();
    judgeLine(edited, section);
    times.push(performance.now() - start);
  }
  times.sort((a, b) => a - b);
  const middle = times[times.length >> 1] as number;
  console.log(
    `${name.padEnd(14)} ${allStages(plan).length} stages: within its budget of ${BUDGET_MS} ms ${(BUDGET_MS / middle).toFixed(1)} × (middle ${middle.toFixed(2)} ms)`,
  );
}
