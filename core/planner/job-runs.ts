import type { StageOf } from '../advice/line-facts';
import type { Stage } from '../plan/plan';
import { stageById } from '../plan/runs';
import { type Asked, IDS, stagesOfJob } from './base-line';
import { isTreatedEarly } from './positions';

const WIDEST = 2;

/** A pipe is given, wherever it stands. */
export const isNoPipe = ({ kind }: Stage): boolean => kind !== 'pipe';

/** What stands at each job besides what treats its air: made once for a question. */
export class JobRuns {
  private readonly made = new Map<string, readonly Stage[]>();

  constructor(private readonly asked: Asked) {}

  outlet = (job: number): StageOf<'outlet'>['parameters'] =>
    (stageById(this.asked.base, IDS.outlet(job)) as StageOf<'outlet'>).parameters;

  /** The pipe to a job, of the smallest size: a wider one loses less, and cools the air alike. */
  pipe = (job: number): readonly Stage[] => this.run(job, WIDEST).filter((s) => s.kind === 'pipe');

  /** What stands downstream of a job’s treatment: regulator, hose, outlet, and a pipe that gets cold. */
  end(job: number, steps: number): readonly Stage[] {
    return isTreatedEarly(this.asked, job) ? this.run(job, steps) : this.run(job, steps).filter(isNoPipe);
  }

  private run(job: number, steps: number): readonly Stage[] {
    const key = `${job} ${steps}`;
    let known = this.made.get(key);
    if (!known) {
      const stages = stagesOfJob(this.asked, job, steps);
      known = stages.map((s) => (s.kind === 'outlet' ? (stageById(this.asked.base, s.id) ?? s) : s));
      this.made.set(key, known);
    }
    return known;
  }
}
