import assert from 'node:assert/strict';
import { walk } from '../core/line/walk';
import { question, questionJob } from '../core/planner/question';
import { questionOf } from '../core/planner/question-of';
import { search } from '../core/planner/search';
import { CFM, PSI } from '../core/quantity/constants';
import { dairyPlan } from '../db/dairy';
import { bestMs } from './best-ms';

// The search of the planner: questions against the seconds that they may take, the lines that it settles in a second against
// a hundred thousand in ten, and what settling one costs beside walking one that is put together anew.
const SMALL_SHOP_S = 3;
const DAIRY_S = 45;
const LINES_PER_MS = 1e5 / 1e4;
const MOST_BYTES = 300e6;

const TWO_STAGES = {
  type: 'piston2',
  freeAirDeliveryM3PerS: 18 * CFM,
  cutInGaugePa: 135 * PSI,
  cutOutGaugePa: 175 * PSI,
} as const;
const questions = [
  ['spray gun, 5 hp of one stage', question({}), SMALL_SHOP_S],
  [
    'spray gun some evenings, 5 hp of two stages',
    question({
      compressor: TWO_STAGES,
      jobs: [questionJob('solvent-spray', { usedShare: 0.08 })],
      minutesPerWeek: 120,
    }),
    SMALL_SHOP_S,
  ],
  [
    'machining spindle, 5 hp of one stage',
    question({ jobs: [questionJob('spindle')], minutesPerWeek: 200 }),
    SMALL_SHOP_S,
  ],
  [
    'spray gun and wrench, 5 hp of two stages',
    question({
      compressor: TWO_STAGES,
      receiverM3: 0.3,
      jobs: [questionJob('solvent-spray', { usedShare: 0.3 }), questionJob('wrench')],
      minutesPerWeek: 120,
    }),
    SMALL_SHOP_S,
  ],
  ['the dairy', questionOf(dairyPlan()), DAIRY_S],
] as const;

for (const [name, q, withinS] of questions) {
  const began = performance.now();
  let next: ReturnType<ReturnType<typeof search>['next']>;
  const run = search(q);
  do next = run.next();
  while (!next.done);
  const ms = performance.now() - began;
  const { of, front } = next.value;
  const [first] = front;
  assert(first);
  const walked = bestMs(() => walk(first.plan));
  console.log(
    `${name}: ${Math.round(ms / withinS / 10)} % of the ${withinS} s that it may take; ${of} lines that can be put together, ${(of / ms / LINES_PER_MS).toFixed(1)} times 100,000 in 10 s; each in ${(ms / of / walked).toFixed(2)} of a walk; ${front.length} on the front.`,
  );
}
const { rss } = process.memoryUsage();
console.log(`Memory: ${Math.round((100 * rss) / MOST_BYTES)} % of the 300 MB that it may take.`);
assert(rss < MOST_BYTES);
