import { FILTERS, is } from '../equipment/groups';
import { kindOf } from '../equipment/index';
import type { Section } from '../line/section';
import { walk } from '../line/walk';
import { type End, endInWords } from '../piping/ends';
import { mates } from '../piping/mates';
import type { Plan, Stage } from '../plan/plan';
import { allStages, runOfStage, standing } from '../plan/runs';
import { drawingOf, itemNumbers } from './drawing';
import { methodOf } from './joint-methods';
import { type Joint, jointsOf } from './joints';
import { mountingOf } from './mounting';
import type { Part } from './parts';
import { gaugePortsOf, isConduit } from './ports';
import { isStanding } from './unions';

/** Parts of the work, in the order in which they are done. */
export const PHASES = {
  bench: 'On the bench',
  mount: 'Supports and mounting',
  join: 'Along the line, from the tank outwards',
  hose: 'Hoses last',
} as const;

/** A step of the assembly. */
export interface AssemblyStep {
  /** Unique in a list, and the same as long as the step is the same. */
  readonly id: string;
  readonly phase: keyof typeof PHASES;
  readonly does: string;
  /** How, joint by joint. */
  readonly how: readonly string[];
  readonly tools: readonly string[];
  readonly cautions: readonly string[];
  readonly stageIds: readonly string[];
  /** Joints that are made in it. */
  readonly makes: readonly string[];
}

/** Left under a bowl besides its length, mm (common practice, no source). */
const DROP_OUT_MM = 50;

/** Kinds with an arrow on them, that work one way round only. */
const HAS_ARROW = [...FILTERS, 'regulator', 'separator', 'lubricator', 'check-valve', 'flow-controller'] as const;

/** Matings of a joint in order: what is put on what. */
function matings({
  sides,
  chosen,
}: Joint): readonly { readonly onto: End; readonly what: string; readonly end: End }[] {
  let free = sides[0].end;
  const out = (chosen?.parts ?? []).map((part: Part) => {
    const [enters, leaves] = mates(free, part.ends[0]).verdict === 'yes' ? part.ends : [part.ends[1], part.ends[0]];
    const step = { onto: free, what: part.label, end: enters };
    free = leaves;
    return step;
  });
  return [...out, { onto: free, what: sides[1].name, end: sides[1].end }];
}

/** The end whose kind says how the joint is made: a tube by what takes it. */
const decides = (a: End, b: End): End => (['tube', 'hose'].includes(a.family) ? b : a);

const unique = <T>(list: readonly T[]): T[] => [...new Set(list)];

function joinStep(
  joint: Joint,
  phase: AssemblyStep['phase'],
  numbers: ReadonlyMap<string, number>,
  test: boolean,
): AssemblyStep {
  const steps = matings(joint);
  const of = decides(joint.sides[1].end, joint.sides[0].end);
  const methods = steps.map((m) => methodOf(decides(m.onto, m.end)));
  const number = numbers.get(joint.stageId);
  return {
    id: `join ${joint.id}`,
    phase,
    does: `${joint.tee ? 'Set the tee and join' : 'Join'} ${joint.sides[0].name} to ${joint.sides[1].name}${number ? ` (${number})` : ''}.`,
    how: [
      ...(test ? ['First a valve of full port, shut, straight in the tank: it is the test valve.'] : []),
      ...(joint.union ? ['Both sides stand: close it with the union, last.'] : []),
      ...steps.map((m, i) => `${m.what}: ${methods[i]?.short}.`),
    ],
    tools: unique(methods.flatMap((m) => m.tools)),
    cautions: of.family === 'solder' ? ['C09'] : [],
    stageIds: [joint.stageId],
    makes: [joint.id],
  };
}

/** What is made on the bench before a thing is mounted: gauge, plugs, arrow and bracket. */
function benchStep(stage: Stage, next: Stage | undefined, number: number | undefined): AssemblyStep | undefined {
  const arrow = is(HAS_ARROW, stage.kind);
  const ports = gaugePortsOf(stage);
  if (!arrow && ports === 0) return undefined;
  const gauge = next?.kind === 'gauge';
  const taper = methodOf({ family: 'npt', size: '1/8', gender: 'male' });
  return {
    id: `bench ${stage.id}`,
    phase: 'bench',
    does: `Make up ${stage.name}${number ? ` (${number})` : ''}.`,
    how: [
      ...(arrow ? ['Set its arrow the way the air goes, then turn bracket and gauge to the free face.'] : []),
      ...(gauge && ports > 0 ? [`Gauge into the port that will be seen: ${taper.does}.`] : []),
      ...(ports > (gauge ? 1 : 0) ? ['Plug each gauge port that stays free.'] : []),
    ],
    tools: unique(['vice', ...taper.tools]),
    cautions: [],
    stageIds: [stage.id],
    makes: [],
  };
}

function mountStep(stage: Stage, number: number | undefined, facts: readonly string[]): AssemblyStep {
  const bowl = is(FILTERS, stage.kind) || stage.kind === 'separator';
  const name = `${stage.name}${number ? ` (${number})` : ''}`;
  return {
    id: `mount ${stage.id}`,
    phase: 'mount',
    does: isStanding(stage) ? `Stand ${name} in its place and level it.` : `Mount ${name}.`,
    how: [
      ...(bowl ? [`Upright; leave the length of its bowl and {${DROP_OUT_MM} mm} under it, to drop the bowl.`] : []),
      ...(isStanding(stage) ? ['Room beside it as its plate asks; pads under what shakes.'] : []),
      ...facts,
    ],
    tools: ['drill', 'level'],
    cautions: [],
    stageIds: [stage.id],
    makes: [],
  };
}

function runStep(stage: Stage, number: number | undefined): AssemblyStep {
  const drains = (stage.parameters as { legs?: number }).legs ?? 0;
  const fall = (stage.parameters as { fall?: number }).fall ?? 0;
  return {
    id: `run ${stage.id}`,
    phase: stage.kind === 'hose' || stage.kind === 'hose-reel' ? 'hose' : 'mount',
    does: `Cut and lay ${stage.name}${number ? ` (${number})` : ''}.`,
    how: [
      ...(drains > 0 ? ['First its drip legs with their valves shut, then the run that they drain.'] : []),
      ...(fall > 0 ? [`Let it fall ${(fall * 100).toFixed(1)} % with the air.`] : []),
      'Blow each piece out before it goes in.',
    ],
    tools: stage.kind === 'hose' ? ['hose knife'] : ['tape measure', 'cutter', 'deburrer', 'level'],
    cautions: kindOf(stage.kind).cautions.filter((c) => c === 'C05' || c === 'C06'),
    stageIds: [stage.id],
    makes: [],
  };
}

/**
 * The order in which a line is put together: what must be turned is made up on the bench, then mounting, drains before the
 * runs that they drain, joints from the tank outwards, hoses last. Each joint is made once.
 * @returns steps; before them stand lock-out and zero pressure, after them the leak test
 * @example assemblyOf(plan, section)[0].phase // 'bench'
 */
export function assemblyOf(plan: Plan, section: Section = walk(plan)): AssemblyStep[] {
  const line = standing(plan);
  const numbers = itemNumbers(plan);
  const stages = allStages(line).filter((s) => s.kind !== 'intake' && s.kind !== 'outlet');
  const things = stages.filter((s) => !isConduit(s) && s.kind !== 'gauge' && s.kind !== 'coupler');
  const joints = jointsOf(plan, section);
  const marks = new Map(drawingOf(plan, section).marks.map((m) => [m.stageId, m]));
  const facts = (s: Stage): string[] => {
    const run = runOfStage(line, s.id)?.stages ?? [];
    return mountingOf(section, s, run[run.indexOf(s) - 1], marks.get(s.id)?.along ?? 'east');
  };
  const tank = stages.find((s) => s.kind === 'receiver');
  const ahead = joints.findIndex((j) => j.stageId === tank?.id && j.at === 'in');
  // From the tank outwards: what is behind it, then back from it towards the compressor.
  const ordered = [...joints.slice(ahead + 1), ...joints.slice(0, ahead + 1).toReversed()];
  const isHose = (j: Joint): boolean => j.sides.some((s) => s.end.family === 'hose');
  const first = ordered.find((j) => !isHose(j));
  const steps: (AssemblyStep | undefined)[] = [
    ...stages.map((s) => benchStep(s, stages[stages.indexOf(s) + 1], numbers.get(s.id))),
    ...things.map((s) => mountStep(s, numbers.get(s.id), facts(s))),
    ...stages.filter(isConduit).map((s) => runStep(s, numbers.get(s.id))),
    ...ordered.map((j) => joinStep(j, isHose(j) ? 'hose' : 'join', numbers, tank !== undefined && j === first)),
  ];
  const order = Object.keys(PHASES);
  return steps
    .filter((s): s is AssemblyStep => s !== undefined)
    .sort((a, b) => order.indexOf(a.phase) - order.indexOf(b.phase));
}

/**
 * How each kind of joint of a line is made, in full, each once.
 * @example methodsOf(jointsOf(plan, section)).length // 4
 */
export function methodsOf(joints: readonly Joint[]): { readonly of: string; readonly does: string }[] {
  const ends = joints.flatMap((j) => matings(j).map((m) => decides(m.onto, m.end)));
  const made = new Map(ends.map((e) => [endWithoutHalf(e), methodOf(e).does]));
  return [...made].map(([of, does]) => ({ of, does }));
}
const endWithoutHalf = (end: End): string => endInWords(end).replace(/,.*/, '');
