import { expose, transfer } from 'comlink';
import { type DayRemark, judgeDay } from '../core/day/judge-day';
import { type DayCycle, simulateDay } from '../core/day/simulate-day';
import type { Plan } from '../core/plan/plan';

export interface DayAnswer {
  /** Left out where the line has no day: no receiver, or the walk does not reach it. */
  readonly day?: DayCycle;
  readonly remarks: readonly DayRemark[];
}

function dayOf(plan: Plan): DayAnswer {
  const day = simulateDay(plan);
  if (!day) return { remarks: [] };
  const { pressurePa, temperatureC, heelKg, demandM3PerS, loaded } = day;
  const series = [pressurePa, temperatureC, heelKg, demandM3PerS, loaded];
  return transfer(
    { day, remarks: judgeDay(plan, day) },
    series.map((s) => s.buffer as ArrayBuffer),
  );
}

expose(dayOf);
