/** A day of an eight-stage line in steps of a second, against the 300 ms that it may take, and against the walks alone. */

import { simulateDay } from '../core/day/simulate-day';
import { prepare } from '../core/line/prepare';
import { walkPrepared } from '../core/line/walk';
import { newStage } from '../core/plan/edit';
import type { Plan, Stage } from '../core/plan/plan';
import { surroundingsOf } from '../core/plan/surroundings';
import { demoPlan } from '../db/demo';
import { bestMs } from './best-ms';

const BUDGET_MS = 300;
const KINDS = [
  'intake',
  'compressor',
  'aftercooler',
  'separator',
  'receiver',
  'coalescing-filter',
  'refrigerated-dryer',
  'outlet',
] as const;
const stages = KINDS.map((kind, i) => newStage(kind, `s${i}`)) as Stage[];
const plan: Plan = { ...demoPlan(), stages, branches: [] };

const dayMs = bestMs(() => simulateDay(plan), 8);
const day = simulateDay(plan);
const seconds = day?.demandM3PerS.reduce((n, q, s) => n + (q > 0 || (day.loaded[s] as number) > 0 ? 1 : 0), 0) ?? 0;
const line = prepare(plan);
const around = surroundingsOf(plan);
const walksMs = bestMs(() => {
  for (let i = 0; i < seconds; i++) walkPrepared(line, around, null);
}, 8);
console.log(`a day of ${stages.length} stages, ${seconds} seconds in which air moves`);
console.log(`within its budget of ${BUDGET_MS} ms   ${(BUDGET_MS / dayMs).toFixed(1)} ×  (${dayMs.toFixed(0)} ms)`);
console.log(`as long as its walks alone   ${(dayMs / walksMs).toFixed(1)} ×`);
