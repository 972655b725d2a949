import type { Plan } from '../core/plan/plan';

/** What is asked of a worker about a plan. Asked again before the answer is there, the last question counts: its number comes back. */
export interface PlanQuestion {
  readonly number: number;
  readonly plan: Plan;
}

/** What this thread has of a worker’s scope. */
interface Scope {
  onmessage: ((event: MessageEvent<PlanQuestion>) => void) | null;
  postMessage(answer: object, transfer?: Transferable[]): void;
}

/** Answers every question with what the function says of the plan, and the buffers that may go with it. */
export function answers(of: (plan: Plan) => readonly [answer: object, transfer?: Transferable[]]): void {
  const scope = globalThis as unknown as Scope;
  scope.onmessage = ({ data: { number, plan } }) => {
    const [answer, transfer] = of(plan);
    scope.postMessage({ ...answer, number }, transfer ?? []);
  };
}
