import type { Basis } from '../air/enhancement-factor';
import type { Asks } from '../network/shares';
import { askedM3PerS, topologyOf, ventedM3PerS } from '../network/topology';
import type { Plan, Stage } from '../plan/plan';
import { allStages, pathTo, standing } from '../plan/runs';
import { freeAirKgPerM3, surroundingsOf } from '../plan/surroundings';
import { worstMoments } from './peak-pressure';
import { type PreparedLine, prepare } from './prepare';
import type { Section } from './section';
import { walkPrepared } from './walk';

/**
 * A pressure belongs to a moment: nothing flows; the usual flow, with the compressor in the middle of its band; or the peak,
 * with all in use that can be used at once and the compressor about to cut in.
 */
export type Moment = 'rest' | 'usual' | 'peak';
export const MOMENTS: Record<Moment, string> = {
  rest: 'at rest',
  usual: 'at usual flow',
  peak: 'all in use, at cut-in',
};

type CompressorStage = Extract<Stage, { kind: 'compressor' }>;
const isCompressor = (s: Stage): s is CompressorStage => s.kind === 'compressor';

/**
 * What the jobs take on average while any of them is in use, m³/s of free air.
 * @param line as it stands, with flows in free air
 * @source mean of independent uses, given that one is on: q·s / (1 − Π(1 − s))
 * @example usualAsks(standing(plan))(stage('outlet')) // 0.00529
 */
export function usualAsks(line: Plan): Asks {
  const outlets = allStages(line).flatMap((s) => (s.kind === 'outlet' && s.parameters.flowM3PerS > 0 ? [s] : []));
  const any = 1 - outlets.reduce((none, s) => none * (1 - s.parameters.usedShare), 1);
  return (s) => (s.kind === 'outlet' && any > 0 ? (s.parameters.flowM3PerS * s.parameters.usedShare) / any : 0);
}

/**
 * Walks a line at the flow that is asked for: from the first receiver of the main run on flows what the jobs take and what
 * stages vent, whatever the compressor delivers.
 * @param at made ready for what is asked
 * @example walkAsked(plan, prepare(standing(plan)), usualAsks(standing(plan))).at('outlet').pressurePa // 751325
 */
export function walkAsked(plan: Plan, at: PreparedLine, asks: Asks, basis: Basis = 'real'): Section {
  const line = standing(plan);
  const around = surroundingsOf(plan, basis);
  const store = line.stages.find((s) => s.kind === 'receiver')?.id;
  const topology = topologyOf(line);
  const asked = freeAirKgPerM3(around) * (askedM3PerS(topology, asks) + ventedM3PerS(topology));
  return walkPrepared(at, around, undefined, (i, air) => {
    if (at.stages[i]?.id === store && asked > 0) air.scale(asked / air.dryAirKgPerS);
  });
}

/** The line at its usual flow. */
export function usualSection(plan: Plan, basis: Basis = 'real'): Section {
  const asks = usualAsks(standing(plan));
  return walkAsked(plan, prepare(plan, asks), asks, basis);
}

export interface PressureThen {
  readonly pressurePa: number;
  /** As the compressor goes through its band. */
  readonly lowPa: number;
  readonly highPa: number;
}

/** Pressure at a stage with nothing flowing: that of the compressor's band, or the least setting on the way. */
function atRest(line: Plan, stageId: string): PressureThen | undefined {
  const compressors = allStages(line).filter(isCompressor);
  const path = pathTo(line, stageId);
  if (compressors.length === 0 || !path.some(isCompressor)) return undefined;
  const setPa = Math.min(
    ...path.map((s) =>
      s.kind === 'regulator' || s.kind === 'flow-controller' ? s.parameters.setPressurePa : Number.POSITIVE_INFINITY,
    ),
  );
  const lowPa = Math.min(setPa, ...compressors.map((p) => p.parameters.cutInPa));
  const highPa = Math.min(setPa, Math.max(...compressors.map((p) => p.parameters.cutOutPa)));
  return { pressurePa: Math.min(setPa, (lowPa + highPa) / 2), lowPa, highPa };
}

/**
 * The pressure at a stage at a moment.
 * @returns `undefined` where no compressor comes upstream of it, or the walk does not come there
 * @example pressureAt(plan, 'outlet', 'peak').pressurePa // 751325
 */
export function pressureAt(
  plan: Plan,
  stageId: string,
  moment: Moment,
  basis: Basis = 'real',
): PressureThen | undefined {
  const line = standing(plan);
  if (moment === 'rest') return atRest(line, stageId);
  const downstream = allStages(line).find(
    (s) => s.kind === 'outlet' && pathTo(line, s.id).some((p) => p.id === stageId),
  );
  const worst = downstream && worstMoments(plan, basis).get(downstream.id)?.section.at(stageId)?.pressurePa;
  const usual = usualSection(plan, basis).at(stageId)?.pressurePa;
  const rest = atRest(line, stageId);
  if (usual === undefined || !rest) return undefined;
  const lowPa = Math.min(usual, worst ?? usual);
  return moment === 'peak' && worst !== undefined
    ? { pressurePa: worst, lowPa: worst, highPa: worst }
    : { pressurePa: usual, lowPa, highPa: Math.max(usual, rest.highPa) };
}
