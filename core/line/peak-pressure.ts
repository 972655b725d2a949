import type { Basis } from '../air/enhancement-factor';
import { coincidentPeak } from '../network/demand';
import { topologyOf, ventedM3PerS } from '../network/topology';
import type { Plan, Stage } from '../plan/plan';
import { allStages, stageById, standing } from '../plan/runs';
import { freeAirKgPerM3, surroundingsOf } from '../plan/surroundings';
import { type Derivation, input } from '../quantity/derivation';
import { type PreparedLine, prepare, withParameters } from './prepare';
import type { Section } from './section';
import { walkPrepared } from './walk';

/** A line at the worst moment of one of its outlets. */
export interface WorstMoment {
  /** What blows then, m³/s of free air by outlet. */
  readonly peak: ReadonlyMap<string, number>;
  /** The line with its rings drawn the way the air goes. */
  readonly drawn: Plan;
  readonly section: Section;
  /** The same walk with the parameters of one stage changed; the air parts as before. */
  readonly with: (stageId: string, parameters: Stage['parameters']) => Section;
}

const ALWAYS_ON: Readonly<Partial<Record<Stage['kind'], string>>> = {
  'twin-tower': 'fixed',
  'heated-purge-tower': 'timer',
};

/**
 * A stage at the worst moment: the purge of a tower blows then, whatever switches it.
 * @example whilePurging(stage('receiver')).parameters === stage('receiver').parameters // true
 */
export function whilePurging(stage: Stage): Stage {
  const control = ALWAYS_ON[stage.kind];
  if (control === undefined || (stage.parameters as { control: string }).control === control) return stage;
  return { ...stage, parameters: { ...stage.parameters, control } } as Stage;
}

/** The line as it stands, while all its towers purge. */
function purging(plan: Plan): Plan {
  const line = standing(plan);
  if (allStages(line).every((s) => whilePurging(s) === s)) return line;
  const blow = <R extends { readonly stages: readonly Stage[] }>(run: R) => ({
    ...run,
    stages: run.stages.map(whilePurging),
  });
  return { ...blow(line), branches: line.branches.map(blow) };
}

/**
 * The line at the worst moment of each outlet: all blow that can blow at once, and the pressure switch is about to cut in.
 * Behind the first receiver of the main run flows what the outlets take then and what dryers purge, whatever the compressor
 * delivers; without a receiver no more flows than the compressor gives.
 *
 * @returns by stage id; an outlet that is never used is left out
 * @source the walk, with losses as each kind has them at that flow
 * @example worstMoments(plan).get('outlet').section.at('outlet').pressurePa // 751325
 */
export function worstMoments(plan: Plan, basis: Basis = 'real'): Map<string, WorstMoment> {
  const line = purging(plan);
  const around = surroundingsOf(line, basis);
  const kgPerM3 = freeAirKgPerM3(around);
  const store = line.stages.find((s) => s.kind === 'receiver')?.id;
  const vented = ventedM3PerS(topologyOf(line));
  const walked = new Map<string, WorstMoment>();
  const found = new Map<string, WorstMoment>();
  const stages = allStages(line);
  for (const { id, kind } of stages) {
    if (kind !== 'outlet') continue;
    const peak = coincidentPeak(stages, id);
    if (!peak.has(id)) continue;
    const key = [...peak.keys()].join(' ');
    let moment = walked.get(key);
    if (!moment) {
      const askedKgPerS = kgPerM3 * ([...peak.values()].reduce((sum, flow) => sum + flow, 0) + vented);
      const asks = (s: Stage): number => peak.get(s.id) ?? 0;
      const prepared = prepare(line, asks);
      const walkAt = (at: PreparedLine): Section =>
        walkPrepared(at, around, undefined, (i, air) => {
          // A stage downstream of the compressor: at the bottom of the band.
          const compressor = at.stages[i - 1];
          if (compressor?.kind === 'compressor') air.expandTo(compressor.parameters.cutInPa);
          // Only its size changes: what is in a kilogram of the air does not.
          if (at.stages[i]?.id === store) air.scale(askedKgPerS / air.dryAirKgPerS);
        });
      moment = {
        peak,
        drawn: prepared.drawn,
        section: walkAt(prepared),
        with: (stageId, parameters) => {
          const changed = { ...stageById(line, stageId), parameters } as Stage;
          return walkAt(withParameters(prepared, stageId, whilePurging(changed).parameters));
        },
      };
      walked.set(key, moment);
    }
    found.set(id, moment);
  }
  return found;
}

/**
 * “Why?” for the pressure at an outlet at its worst moment.
 * @example explainPeak(plan, 'outlet', 7e5).value // 700000
 */
export function explainPeak(plan: Plan, stageId: string, getsPa: number): Derivation {
  const line = standing(plan);
  const stages = allStages(line);
  const peak = coincidentPeak(stages, stageId);
  const others = stages.some((s) => s.kind === 'outlet' && s.parameters.usedShare > 0 && !peak.has(s.id));
  return {
    title: `Pressure at the worst moment · ${stageById(plan, stageId)?.name}`,
    quantity: 'pressure',
    value: getsPa,
    formula: 'the line at peak demand, the compressor about to cut in; losses at that flow',
    inputs: [...peak].map(([id, flow]) =>
      input(stageById(plan, id)?.name ?? id, 'volumeFlow', flow, 'flow while in use'),
    ),
    source: 'coincident peak at cut-in, common practice; losses as each kind has them',
    ...(others && { note: 'Of outlets that are never used together only one blows.' }),
  };
}
