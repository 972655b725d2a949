import { addBranch, insertStage, newStage, startPlan } from '../core/line/edit';
import { judgeOutlets } from '../core/line/judge-outlet';
import type { Plan, Stage } from '../core/line/plan';
import { prepare } from '../core/line/prepare';
import { allStages } from '../core/line/runs';
import { surroundingsOf, walk, walkPrepared } from '../core/line/walk';

// A line of some forty stages and twelve branches: how often it is walked in a second, what preparing it once saves, and
// what judging all outlets costs in walks. One thread; times are the best of several.
const KINDS = ['separator', 'receiver', 'bowl-filter', 'coalescing-filter', 'drip-leg', 'regulator'] as const;
let n = 0;
let plan: Plan = startPlan(
  {
    shop: 'bench',
    lineName: 'forty stages',
    intakeTemperatureC: 27,
    intakeRelativeHumidity: 0.6,
    compressor: { type: 'screw', freeAirDeliveryM3PerS: 0.05, cutInPa: 8e5, cutOutPa: 10e5 },
    receiverVolumeM3: 1,
    has: { aftercooler: true, refrigeratedDryer: true },
  },
  () => `s${n++}`,
);
for (let b = 0; b < 12; b++) {
  plan = addBranch(plan, plan.stages[2 + (b % (plan.stages.length - 2))]?.id ?? '', `b${b}`, `o${b}`);
  plan = insertStage(plan, newStage(KINDS[b % KINDS.length] as Stage['kind'], `k${b}`), 0, `b${b}`);
}
for (let i = 0; allStages(plan).length < 40; i++) plan = insertStage(plan, newStage('drip-leg', `d${i}`), 5);

function bestMs(job: () => void, times: number): number {
  let best = Number.POSITIVE_INFINITY;
  for (let round = 0; round < 10; round++) {
    const start = performance.now();
    for (let i = 0; i < times; i++) job();
    best = Math.min(best, (performance.now() - start) / times);
  }
  return best;
}
const line = prepare(plan);
const around = surroundingsOf(plan);
const figures = walk(plan).figures;
const section = walk(plan);
const once = bestMs(() => walkPrepared(line, around, figures), 200);
const anew = bestMs(() => walk(plan), 50);
const judging = bestMs(() => judgeOutlets(plan, section), 2);
const outlets = allStages(plan).filter((s) => s.kind === 'outlet').length;

console.log(`${allStages(plan).length} stages, ${plan.branches.length} branches, ${outlets} outlets`);
console.log(`walks in a second, prepared once     ${(1000 / once).toFixed(0).padStart(8)}`);
console.log(`preparing it each time costs         ${(anew / once).toFixed(1).padStart(8)} × a walk`);
console.log(`judging all outlets costs            ${(judging / once).toFixed(0).padStart(8)} × a walk`);
