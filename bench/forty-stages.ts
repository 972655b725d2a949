import { judgeOutlets } from '../core/line/judge-outlet';
import { packed, prepare } from '../core/line/prepare';
import { walk, walkPrepared } from '../core/line/walk';
import { allStages } from '../core/plan/runs';
import { surroundingsOf } from '../core/plan/surroundings';
import { bestMs } from './best-ms';
import { fortyStages } from './forty-stage-plan';

// A line of some forty stages and twelve branches: how often it is walked in a second, what preparing it once saves, and
// what judging all outlets costs in walks. One thread; times are the best of several.
const plan = fortyStages();
const line = packed(prepare(plan));
const around = surroundingsOf(plan);
const figures = walk(plan).figures;
const section = walk(plan);
const once = bestMs(() => walkPrepared(line, around, figures), 10, 200);
const anew = bestMs(() => walk(plan), 10, 50);
const judging = bestMs(() => judgeOutlets(plan, section), 10, 2);
const outlets = allStages(plan).filter((s) => s.kind === 'outlet').length;

console.log(`${allStages(plan).length} stages, ${plan.branches.length} branches, ${outlets} outlets`);
console.log(`walks in a second, prepared once     ${(1000 / once).toFixed(0).padStart(8)}`);
console.log(`preparing it each time costs         ${(anew / once).toFixed(1).padStart(8)} × a walk`);
console.log(`judging all outlets costs            ${(judging / once).toFixed(0).padStart(8)} × a walk`);
