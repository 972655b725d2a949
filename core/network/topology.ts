import { kindOf } from '../equipment/index';
import { workingPressurePa } from '../equipment/supply/compressor';
import type { Plan, Stage } from '../plan/plan';
import { MAIN, type Run, runsOf } from '../plan/runs';

/** Where a stage stands. */
export interface StagePlace {
  readonly run: Run;
  readonly index: number;
}

/** How the runs of a line hang together: built once for a line, and handed down. */
export interface Topology {
  /** The line, as it stands. */
  readonly line: Plan;
  readonly runs: readonly Run[];
  readonly places: ReadonlyMap<string, StagePlace>;
  /** The runs that take their air downstream of a stage, in the order in which they are drawn. */
  readonly hanging: ReadonlyMap<string, readonly Run[]>;
  /** The runs that join upstream of a stage. */
  readonly joining: ReadonlyMap<string, readonly Run[]>;
  /** What stages blow away themselves, at the working pressure: it has to come to them besides, m³/s of free air. */
  readonly vents: ReadonlyMap<string, number>;
}

const NONE: readonly never[] = [];
const KNOWN = new WeakMap<Plan, Topology>();

/**
 * The topology of a line; the same object for the same line.
 * @param line as it stands: without what is planned or away, flows in free air ({@link standing})
 * @example topologyOf(standing(plan)).runs.length // 2
 */
export function topologyOf(line: Plan): Topology {
  let topology = KNOWN.get(line);
  if (!topology) {
    topology = build(line);
    KNOWN.set(line, topology);
  }
  return topology;
}

function build(line: Plan): Topology {
  const runs = runsOf(line);
  const by = (key: (r: Run) => string | null): Map<string, Run[]> => {
    const found = new Map<string, Run[]>();
    for (const run of runs) {
      const at = run.id === MAIN ? null : key(run);
      if (at !== null) found.set(at, [...(found.get(at) ?? NONE), run]);
    }
    return found;
  };
  const places = new Map<string, StagePlace>();
  for (const run of runs) for (const [index, stage] of run.stages.entries()) places.set(stage.id, { run, index });
  const compressor = runs.flatMap((r) => r.stages).find((s) => s.kind === 'compressor');
  const linePa = compressor ? workingPressurePa(compressor.parameters) : 0;
  const vents = new Map<string, number>();
  for (const { stages } of runs)
    for (const { id, kind, parameters, planned } of stages) {
      const vented = planned ? 0 : (kindOf(kind).ventsM3PerS?.(parameters, linePa) ?? 0);
      if (vented > 0) vents.set(id, vented);
    }
  return { line, runs, places, vents, hanging: by((r) => r.from), joining: by((r) => r.into) };
}

/** The stage downstream of which the air is that comes upstream of another: before it in its run, or where the run starts. */
export function upstreamOf({ places }: Topology, stageId: string): string | null {
  const place = places.get(stageId);
  if (!place) return null;
  const { run, index } = place;
  return run.stages[index - 1]?.id ?? (run.id === MAIN ? null : run.from);
}

/**
 * What all stages vent at the working pressure, m³/s of free air.
 * @example ventedM3PerS(topologyOf(standing(plan))) // 0
 */
export const ventedM3PerS = ({ vents }: Topology): number => [...vents.values()].reduce((sum, q) => sum + q, 0);

/**
 * What all outlets together ask for, m³/s of free air.
 * @example askedM3PerS(topologyOf(standing(plan)), averageDemandM3PerS) // 0.0042
 */
export const askedM3PerS = ({ runs }: Topology, asks: (stage: Stage) => number): number =>
  runs.reduce((sum, run) => run.stages.reduce((own, s) => own + asks(s), sum), 0);
