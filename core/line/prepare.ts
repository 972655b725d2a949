import { kindOf } from '../equipment/index';
import type { Kind } from '../equipment/shared/kind';
import { averageDemandM3PerS } from '../network/demand';
import { solveRings } from '../network/ring';
import { shareDemand } from '../network/shares';
import { type Topology, topologyOf } from '../network/topology';
import type { Plan, Stage } from '../plan/plan';
import { type Run, standing } from '../plan/runs';
import { isElsewhere } from '../plan/surroundings';

/** Where air leaves a stretch: its share, and the stretch that it begins; left out, it leaves the line. */
export interface Departure {
  readonly share: number;
  readonly to?: number;
}

/** Part of a run between two places where pipes join, made ready to be walked. */
export interface Stretch {
  /** Whether it begins with an intake and a compressor; else it goes on with what arrives. */
  readonly draws: boolean;
  /** The stretches whose air it gets at their ends, the one that it continues first. */
  readonly after: readonly number[];
  /** Place of its first stage among all stations. */
  readonly first: number;
  readonly passes: readonly Kind['pass'][];
  readonly parameters: readonly Stage['parameters'][];
  /** Behind each stage; nothing at all where no air leaves the stretch. */
  readonly departures: readonly (readonly Departure[] | undefined)[] | undefined;
  /** Its stages where one stands elsewhere than the line; nothing at all where all stand where the line does. */
  readonly placed: readonly Stage[] | undefined;
  /** Whether what is left at its end leaves the line. */
  readonly ends: boolean;
}

/** Why a walk stopped: the stage that refused or cannot be reached, and the field that the message belongs to. */
export interface WalkProblem {
  readonly stageId: string;
  readonly field: string;
  readonly message: string;
}

/** A line made ready to be walked many times: the order of flow, the shares, and what each stage does are looked up once. */
export interface PreparedLine {
  /** The line with its rings drawn the way the air goes. */
  readonly drawn: Plan;
  /** The stages that stand in the line now, in the order of their stations. */
  readonly stages: readonly Stage[];
  /** In the order of flow: what a stretch needs comes upstream of it. */
  readonly stretches: readonly Stretch[];
  readonly unreached: readonly WalkProblem[];
}

const NONE: readonly never[] = [];

interface Piece {
  readonly run: Run;
  readonly stages: readonly Stage[];
  readonly first: number;
  /** Runs that join at its beginning. */
  readonly joining: readonly Run[];
  /** Piece that it goes on from, in the same run. */
  readonly before: Piece | undefined;
}

/** Cuts every run where another joins it. */
function piecesOf({ runs, joining: all }: Topology): Piece[] {
  const pieces: Piece[] = [];
  let first = 0;
  for (const run of runs) {
    let before: Piece | undefined;
    let own: Stage[] = [];
    let joining: readonly Run[] = NONE;
    const close = (): void => {
      before = { run, stages: own, first, joining, before };
      pieces.push(before);
      first += own.length;
      own = [];
    };
    for (const stage of run.stages) {
      const here = all.get(stage.id);
      if (here) {
        close();
        joining = here;
      }
      own.push(stage);
    }
    close();
  }
  return pieces;
}

const LOOP = 'a loop that is not a ring: its air would have to come from where it goes to. Let it join further down.';
const NOTHING = 'nothing is upstream of it: the stage at which it started is removed. Start it at another stage.';

/**
 * Works out the order of flow of a line, with the share of air that goes each way.
 * Never throws: what cannot be reached is named, and the rest is ready to be walked.
 * @param asks what an outlet asks for, m³/s of free air; left out, what it takes on average
 * @example prepare(standing(plan)).stages.length // 15
 */
export function prepare(plan: Plan, asks?: (stage: Stage) => number): PreparedLine {
  const { topology, ends } = solveRings(topologyOf(standing(plan)), asks ?? averageDemandM3PerS);
  const { line } = topology;
  const pieces = piecesOf(topology);
  const offs = shareDemand(topology, asks, ends);
  const unreached: WalkProblem[] = [];
  const order: Piece[] = [];
  const state = new Map<Piece, 'busy' | 'ready' | 'lost'>();
  const pieceOf = (stageId: string): Piece | undefined => pieces.find((p) => p.stages.some((s) => s.id === stageId));
  const lastOf = (run: Run): Piece => pieces.findLast((p) => p.run === run) as Piece;
  const lose = (piece: Piece, message: string): 'lost' => {
    const stageId = piece.stages[0]?.id ?? piece.run.stages[0]?.id ?? piece.run.into ?? '';
    unreached.push({ stageId, field: '', message: `${piece.run.name}: ${message}` });
    return 'lost';
  };
  const visit = (piece: Piece): 'ready' | 'lost' | 'busy' => {
    const known = state.get(piece);
    if (known) return known;
    state.set(piece, 'busy');
    let found: 'ready' | 'lost' = 'ready';
    const needs: Piece[] = piece.before ? [piece.before] : [];
    if (!piece.before && piece.run.from !== null) {
      const tee = pieceOf(piece.run.from);
      if (tee) needs.push(tee);
      else found = lose(piece, NOTHING);
    }
    for (const need of [...needs, ...piece.joining.map(lastOf)]) {
      const reached = visit(need);
      if (reached === 'busy') found = lose(need.run === piece.run ? piece : need, LOOP);
      // A run goes on without a branch that cannot be reached; it cannot without itself.
      else if (reached === 'lost' && needs.includes(need)) found = 'lost';
    }
    state.set(piece, found);
    if (found === 'ready') order.push(piece);
    return found;
  };
  for (const piece of pieces) visit(piece);
  const stretchOf = new Map(order.map((piece, i) => [piece, i]));
  const firstOf = (runId: string): number | undefined => stretchOf.get(pieces.find((p) => p.run.id === runId) as Piece);
  const stretches = order.map((piece): Stretch => {
    const after = [piece.before, ...piece.joining.map(lastOf)].flatMap((p) => {
      const i = p && stretchOf.get(p);
      return i === undefined ? [] : [i];
    });
    const departures = piece.stages.map((s) => {
      const here = offs.get(s.id)?.flatMap(({ share, runId }): Departure[] => {
        if (runId === undefined) return [{ share }];
        const to = firstOf(runId);
        return to === undefined ? [] : [{ share, to }];
      });
      return here?.length ? here : undefined;
    });
    const isLast = lastOf(piece.run) === piece;
    // Kept small and side by side: a walk spends much of its time fetching these.
    return {
      draws: piece.run.from === null && !piece.before,
      after: after.length > 0 ? after : NONE,
      first: piece.first,
      passes: piece.stages.map((s) => kindOf(s.kind).pass),
      parameters: piece.stages.map((s) => s.parameters),
      departures: departures.some((d) => d) ? departures : undefined,
      placed: piece.stages.some(isElsewhere) ? piece.stages : undefined,
      ends: isLast && (piece.run.into === null || !pieceOf(piece.run.into)),
    };
  });
  const stages = pieces.length === 1 ? line.stages : pieces.flatMap((p) => p.stages);
  return { drawn: line, stages, stretches, unreached: unreached.length > 0 ? unreached : NONE };
}

/**
 * The same line for very many walks: its parameters are read anew, one after another, so that the engine keeps those of a
 * stage in one piece of memory and those of a line side by side. It pays from some hundred walks on.
 * @example packed(prepare(standing(plan))).stages.length // 15
 */
export function packed(line: PreparedLine): PreparedLine {
  const stretches = line.stretches.map((stretch) => ({
    ...stretch,
    parameters: stretch.parameters.map((p) => JSON.parse(JSON.stringify(p)) as Stage['parameters']),
  }));
  return { ...line, stretches };
}

/** The same line with the parameters of one stage changed, for the flow of air does not depend on them. */
export function withParameters(line: PreparedLine, stageId: string, parameters: Stage['parameters']): PreparedLine {
  const place = line.stages.findIndex((s) => s.id === stageId);
  return {
    ...line,
    stretches: line.stretches.map((stretch) => {
      const i = place - stretch.first;
      if (i < 0 || i >= stretch.parameters.length) return stretch;
      return { ...stretch, parameters: stretch.parameters.with(i, parameters) };
    }),
  };
}
