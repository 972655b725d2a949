import { expose } from 'comlink';
import { judgeOutlets } from '../core/line/judge-outlet';
import { walk } from '../core/line/walk';
import type { Plan } from '../core/plan/plan';

// The bands take a walk for each uncertain number, up and down: too many for the thread that paints.
expose((plan: Plan) => judgeOutlets(plan, walk(plan)));
