import { judgeOutlets, type Verdicts } from '../core/line/judge-outlet';
import { walk } from '../core/line/walk';
import { answers } from './plan-worker';

export interface JudgeAnswer {
  readonly number: number;
  readonly judgements: Verdicts;
}

// The bands take a walk for each uncertain number, up and down: too many for the thread that paints.
answers((plan) => [{ judgements: judgeOutlets(plan, walk(plan)) }]);
