import type { Stage } from '../plan/plan';
import { MAIN, type Run } from '../plan/runs';
import { averageDemandM3PerS } from './demand';
import { askedM3PerS, type Topology, ventedM3PerS } from './topology';

/** What goes down a run to which no outlet belongs: enough for the equations to hold, too little to count. */
const TRICKLE = 1e-9;

/** Where air leaves a run: downstream of a stage, to an outlet's job or into a branch, with its share of what arrives there. */
export interface TakeOff {
  readonly share: number;
  /** The branch that it feeds; left out, it leaves the line here. */
  readonly runId?: string;
}

/** What an outlet asks for, m³/s of free air. */
export type Asks = (stage: Stage) => number;

/** What flows where, m³/s of free air. Against the way in which a run is drawn it is negative. */
export interface Flows {
  /** Through each stage. */
  readonly through: ReadonlyMap<string, number>;
  /** Into each run at its beginning. */
  readonly into: ReadonlyMap<string, number>;
}

const NONE: readonly never[] = [];

/**
 * What flows through every stage, by what the outlets ask for.
 * @param ends what flows out of the end of each run that joins another
 * @source conservation of mass at every tee
 */
export function flowsThrough(
  { runs, hanging, joining, vents }: Topology,
  asks: Asks,
  ends: ReadonlyMap<string, number>,
): Flows {
  const through = new Map<string, number>();
  const into = new Map<string, number>();
  const busy = new Set<string>();
  const intoRun = (run: Run): number => {
    const known = into.get(run.id);
    if (known !== undefined || busy.has(run.id)) return known ?? 0;
    busy.add(run.id);
    let flow = run.into === null ? 0 : (ends.get(run.id) ?? 0);
    for (let i = run.stages.length - 1; i >= 0; i--) {
      const stage = run.stages[i] as Stage;
      flow += asks(stage) + (vents.get(stage.id) ?? 0);
      for (const r of hanging.get(stage.id) ?? NONE) flow += intoRun(r);
      through.set(stage.id, flow);
      for (const r of joining.get(stage.id) ?? NONE) flow -= ends.get(r.id) ?? 0;
    }
    busy.delete(run.id);
    into.set(run.id, flow);
    return flow;
  };
  for (const run of runs) intoRun(run);
  return { through, into };
}

/** What flows on downstream of a stage once its own job and the branches before a given one have had theirs. */
function leftFor(branch: Run, { places, hanging, vents }: Topology, asks: Asks, flows: Flows): number {
  const place = places.get(branch.from as string);
  const from = place?.run.stages[place.index];
  if (!from) return 0;
  let left = (flows.through.get(from.id) ?? 0) - asks(from) - (vents.get(from.id) ?? 0);
  for (const other of hanging.get(from.id) ?? NONE) {
    if (other.id === branch.id) break;
    left -= flows.into.get(other.id) ?? 0;
  }
  return left;
}

/** What second compressors bring of all that is asked for: by what each delivers. */
function fromCompressors(topology: Topology, asks: Asks): Map<string, number> {
  const { runs } = topology;
  const delivers = (run: Run): number => {
    const second = run.stages[1];
    return run.from === null && second?.kind === 'compressor' ? second.parameters.freeAirDeliveryM3PerS : 0;
  };
  const more = runs.filter((r) => r.id !== MAIN && r.from === null);
  if (more.length === 0) return new Map();
  const all = runs.reduce((sum, r) => sum + delivers(r), 0);
  const asked = askedM3PerS(topology, asks) + ventedM3PerS(topology);
  return new Map(more.map((r) => [r.id, (asked * delivers(r)) / all]));
}

const ROUNDS = 4; // arms within arms; each round settles one layer

/** What flows out of the end of each run that joins another, where the shares of its arms were entered. */
export function enteredEnds(topology: Topology, asks: Asks): Map<string, number> {
  const ends = fromCompressors(topology, asks);
  const arms = topology.runs.filter((r) => r.from !== null && r.into !== null);
  for (let round = 0; round < ROUNDS && arms.length > 0; round++) {
    const flows = flowsThrough(topology, asks, ends);
    let settled = true;
    for (const arm of arms) {
      const before = ends.get(arm.id) ?? 0;
      const own = (flows.into.get(arm.id) ?? 0) - before;
      const end = arm.share * leftFor(arm, topology, asks, flows) - own;
      settled &&= end === before;
      ends.set(arm.id, end);
    }
    if (settled) break;
  }
  return ends;
}

/**
 * Shares the air of each run among its outlets and the branches that hang on it, by what each outlet asks for: on average,
 * which is right for the water, for that does not care for minutes; or at a moment, which the pressure depends on. Purge and
 * sweep of what stands on the way come to it besides.
 * Where nothing asks for air, or all of it has been taken already, a trickle goes on.
 *
 * @param ends what flows out of the end of each arm; left out, by the share that was entered for it
 * @returns for each stage downstream of which air leaves its run, the take-offs in order
 * @example shareDemand(topologyOf(standing(plan))).get('regulator').length // 1
 */
export function shareDemand(
  topology: Topology,
  asks: Asks = averageDemandM3PerS,
  ends?: ReadonlyMap<string, number>,
): Map<string, TakeOff[]> {
  const solved = ends ?? enteredEnds(topology, asks);
  const flows = flowsThrough(topology, asks, solved);
  const offs = new Map<string, TakeOff[]>();
  for (const run of topology.runs) {
    run.stages.forEach((stage, i) => {
      const here: TakeOff[] = [];
      const branches = topology.hanging.get(stage.id) ?? NONE;
      const closes = i === run.stages.length - 1 && branches.length === 0 && run.into === null;
      let left = (flows.through.get(stage.id) ?? 0) - (topology.vents.get(stage.id) ?? 0);
      const take = (flow: number, runId?: string): void => {
        // Nothing remains downstream of the last job of a run but a trickle through whatever stands there.
        const all = left > 0 ? flow / left : 0;
        const share = Math.max(runId ? TRICKLE : 0, Math.min(all, closes ? 1 : 1 - TRICKLE));
        left = Math.max(0, left - flow);
        if (share > 0) here.push({ share, ...(runId && { runId }) });
      };
      const own = asks(stage);
      if (own > 0) take(own);
      for (const branch of branches) {
        const flow = flows.into.get(branch.id) ?? 0;
        if (branch.into === null || solved === ends) take(Math.max(0, flow), branch.id);
        else {
          // As entered, also where nobody asks for air.
          here.push({ share: Math.min(1 - TRICKLE, Math.max(TRICKLE, branch.share)), runId: branch.id });
          left = Math.max(0, left - flow);
        }
      }
      if (here.length > 0) offs.set(stage.id, here);
    });
  }
  return offs;
}
