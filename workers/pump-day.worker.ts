import type { Plan } from '../core/line/plan';
import { type PumpDay, simulateDay } from '../core/pump/day';
import { type DayRemark, judgeDay } from '../core/pump/judge-day';

/** Asked again before the answer is there, the last question counts: its number comes back with the answer. */
export interface DayQuestion {
  readonly number: number;
  readonly plan: Plan;
}
export interface DayAnswer {
  readonly number: number;
  /** Left out where the line has no day: no receiver, or the walk does not reach it. */
  readonly day?: PumpDay;
  readonly remarks: readonly DayRemark[];
}

/** What this thread has of a worker’s scope. */
interface Scope {
  onmessage: ((event: MessageEvent<DayQuestion>) => void) | null;
  postMessage(answer: DayAnswer, transfer: Transferable[]): void;
}
const scope = globalThis as unknown as Scope;

scope.onmessage = ({ data: { number, plan } }) => {
  const day = simulateDay(plan);
  if (!day) return scope.postMessage({ number, remarks: [] }, []);
  const { pressurePa, temperatureC, heelKg, demandM3PerS, loaded } = day;
  const remarks = judgeDay(plan, day);
  scope.postMessage(
    { number, day, remarks },
    [pressurePa, temperatureC, heelKg, demandM3PerS, loaded].map((series) => series.buffer as ArrayBuffer),
  );
};
