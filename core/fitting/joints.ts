import type { Section } from '../line/section';
import { walk } from '../line/walk';
import { boreOfEndM, type End, sizeInWords } from '../piping/ends';
import { measuresOf } from '../piping/legs';
import { mates } from '../piping/mates';
import type { Plan, Stage } from '../plan/plan';
import { allStages, type Run, runsOf, standing } from '../plan/runs';
import { placeOf, surveyAtmosphericPa } from '../plan/survey';
import { type Chain, type Chains, chainsBetween } from './chains';
import { PARTS } from './parts';
import { flowAtM3PerS, isApart, isConduit, isHung, portsOf, usualTube } from './ports';
import { closesUnturned, isStanding, withUnion } from './unions';

/** One of the two things that meet at a joint. */
export interface Side {
  readonly name: string;
  /** The stage; nothing for a tube or a tee. */
  readonly stageId?: string;
  readonly end: End;
  /** Whether a person said what is there; otherwise it is what is usual. */
  readonly said: boolean;
}

/** Where two things of a line meet. */
export interface Joint {
  /** The stage at whose inlet it is, and where: unique in a line. */
  readonly id: string;
  readonly stageId: string;
  /** At the stage’s own inlet, where the tube to it begins, or at its outlet where its run joins another. */
  readonly at: 'in' | 'tube' | 'out';
  readonly run: string;
  readonly sides: readonly [Side, Side];
  /** Whether one side is a tee that the joint needs. */
  readonly tee: boolean;
  /** The air there, °C, and the pressure at cut-out, gauge Pa. */
  readonly temperatureC: number;
  readonly gaugePa: number;
  /** No part of it may be narrower, m. */
  readonly leastBoreM: number;
  /** Why the two must not simply be screwed together, where they can be and leak. */
  readonly trap: string | undefined;
  readonly chains: Chains;
  /** What is built: the best, or the one that a person chose; with a union where it could not be closed otherwise. */
  readonly chosen: Chain | undefined;
  /** Whether a union was put in: both sides stand, and nothing between them comes apart. */
  readonly union: boolean;
}

/** A tube between two stages that are not screwed together. */
export interface Connection {
  /** The stage at its downstream end, and the one before it. */
  readonly stageId: string;
  readonly from: string;
  readonly size: string;
  readonly lengthM: number;
}

/** Length of a connecting tube that nobody measured (estimate). */
export const USUAL_TUBE_M = 1;

/**
 * A chain by its parts, as a plan keeps the choice.
 * @example keyOfChain(jointsOf(plan, section)[6].chosen).startsWith('nipple:') // true
 */
export const keyOfChain = ({ parts }: Chain): string => parts.map((p) => p.id).join('+');

/** The stages that a run leads its air through, and the jobs at its tees: those with other stages behind them. */
function parted(run: Run): { through: readonly Stage[]; jobs: readonly { job: Stage; at: Stage }[] } {
  const joined = run.stages.filter((s) => !isHung(s) && !isApart(s));
  const isTap = (s: Stage): boolean => s.kind === 'outlet' && s !== joined.at(-1);
  return {
    through: joined.filter((s) => !isTap(s)),
    jobs: joined.flatMap((job, i) => {
      const at = joined.slice(0, i).findLast((s) => !isTap(s));
      return isTap(job) && at ? [{ job, at }] : [];
    }),
  };
}

/** The tube between two stages; nothing where they are screwed together or one is pipe or hose. */
function tubeBetween(line: Plan, section: Section, run: Run, before: Stage, stage: Stage): Connection | undefined {
  if (isConduit(before) || isConduit(stage)) return undefined;
  // Between a compressor and its receiver the air is hot and pulses: tube is usual there.
  const receiver = run.stages.findIndex((s) => s.kind === 'receiver');
  const isDischarge = run.from === null && receiver >= run.stages.indexOf(stage);
  const usual = isDischarge ? usualTube(flowAtM3PerS(line, section, stage), line.fitting.thread) : undefined;
  const size = stage.fit?.tube ?? usual;
  if (size === undefined || size === 'close') return undefined;
  const legs = stage.fit?.legs;
  const lengthM = legs ? measuresOf(legs).lengthM : (stage.fit?.tubeM ?? USUAL_TUBE_M);
  return { stageId: stage.id, from: before.id, size, lengthM };
}

/**
 * The tubes that connect stages of a line.
 * @example connectionsOf(plan, section).map((c) => c.stageId) // ["aftercooler","separator","receiver"]
 */
export function connectionsOf(plan: Plan, section: Section = walk(plan)): Connection[] {
  const line = standing(plan);
  return runsOf(line).flatMap((run) => {
    const { through } = parted(run);
    return through.flatMap((s, i) => {
      const before = through[i - 1];
      return before ? (tubeBetween(line, section, run, before, s) ?? []) : [];
    });
  });
}

/** The branch of a tee: made for what goes on it, no wider than what it stands in. */
function teeEnd(out: End, branch: End, { fitting }: Plan): End {
  if (branch.family === 'flange') return branch;
  if (branch.family === out.family && boreOfEndM(branch) > boreOfEndM(out)) return { ...out, gender: 'female' };
  if (branch.family === 'npt' || branch.family === 'bspt') return { ...branch, gender: 'female' };
  return { family: fitting.thread, size: '1/2', gender: 'female' };
}

/**
 * Every joint of a line, in the order of flow: the two ends, and the best chains of parts between them that bear the
 * temperature and the cut-out pressure there and are no narrower than the narrower end, or than somebody wants them.
 * @param section the walked line: its temperatures and flows
 * @returns joints; of a branch, and of a job that others come behind, the first side is a tee
 * @example jointsOf(plan, section).length // 15
 */
export function jointsOf(plan: Plan, section: Section = walk(plan)): Joint[] {
  const line = standing(plan);
  const atmosphericPa = surveyAtmosphericPa(line.survey);
  const gaugePa = Math.max(
    ...allStages(line).map((s) => (s.kind === 'compressor' ? s.parameters.cutOutPa - atmosphericPa : 0)),
  );
  const roomC = placeOf(line.survey, line.survey.roomPlaceId).temperatureC;

  const joint = (
    run: Run,
    stage: Stage,
    at: Joint['at'],
    before: Stage,
    sides: Joint['sides'],
    tee: boolean,
  ): Joint => {
    const temperatureC = Math.max(roomC, section.at(before.id)?.temperatureC ?? roomC);
    const [a, b] = [sides[0].end, sides[1].end];
    const leastBoreM = stage.fit?.leastBoreM ?? Math.min(boreOfEndM(a), boreOfEndM(b));
    const limits = { temperatureC, gaugePa, leastBoreM };
    const chains = chainsBetween(a, b, PARTS, limits);
    const wanted = stage.fit?.chains?.[at];
    const direct = mates(a, b);
    // What has the fewest kinds for the whole line need not be among the best three of one joint.
    const isWanted = (c: Chain): boolean => keyOfChain(c) === wanted;
    const named =
      wanted === undefined
        ? undefined
        : chainNamed(isWanted, chains, () => chainsBetween(a, b, PARTS, limits, 'shortest'));
    const chosen = chains.ok ? (named ?? chains.best[0]) : undefined;
    const trap = direct.verdict === 'leaks' ? direct.why : undefined;
    const where = { id: `${stage.id}:${at}`, stageId: stage.id, at, run: run.name };
    return { ...where, sides, tee, temperatureC, gaugePa, leastBoreM, trap, chains, chosen, union: false };
  };

  /** The joints where a stage is put on what is before it. */
  const onto = (run: Run, stage: Stage, before: Stage, isTee: boolean): Joint[] => {
    const [from, own] = [portsOf(line, section, before), portsOf(line, section, stage)];
    const entering = { name: stage.name, stageId: stage.id, end: own.in, said: own.said.in };
    const leaving = isTee
      ? { name: `Tee at ${before.name}`, end: teeEnd(from.out, own.in, line), said: false }
      : { name: before.name, stageId: before.id, end: from.out, said: from.said.out };
    const tube = isTee ? undefined : tubeBetween(line, section, run, before, stage);
    if (!tube) return [joint(run, stage, 'in', before, [leaving, entering], isTee)];
    const end: End = { family: 'tube', size: tube.size, gender: 'male' };
    const middle = { name: `${sizeInWords(tube.size)} tube`, end, said: stage.fit?.tube !== undefined };
    return [
      joint(run, stage, 'tube', before, [leaving, middle], false),
      joint(run, stage, 'in', before, [middle, entering], false),
    ];
  };

  /** Where a run comes back to the line, or a further compressor joins it: a tee before what it joins. */
  const joinsInto = (run: Run, last: Stage, meets: Stage): Joint => {
    const { out, said } = portsOf(line, section, last);
    const { in: header } = portsOf(line, section, meets);
    const leaving = { name: last.name, stageId: last.id, end: out, said: said.out };
    const tee = { name: `Tee before ${meets.name}`, end: teeEnd(header, out, line), said: false };
    return joint(run, last, 'out', last, [leaving, tee], true);
  };

  const all = allStages(line);
  return runsOf(line).flatMap((run) => {
    const { through, jobs } = parted(run);
    const leaves = all.find((s) => s.id === run.from);
    // Between two things that stand, one joint must close without turning either.
    let closed = !leaves || !isStanding(leaves);
    const joints = through.flatMap((stage, i) => {
      const before = through[i - 1];
      let own = before ? onto(run, stage, before, false) : leaves ? onto(run, stage, leaves, true) : [];
      closed ||= own.some((j) => j.chosen && closesUnturned([j.sides[0].end, j.sides[1].end], j.chosen.parts));
      if (isStanding(stage)) {
        if (!closed && own.length > 0) own = [...own.slice(0, -1), joinedByUnion(own.at(-1) as Joint)];
        closed = false;
      }
      return [...own, ...jobs.filter((j) => j.at === stage).flatMap(({ job }) => onto(run, job, stage, true))];
    });
    const [last, meets] = [through.at(-1), all.find((s) => s.id === run.into)];
    if (!last || !meets) return joints;
    const end = joinsInto(run, last, meets);
    const opens = end.chosen && closesUnturned([end.sides[0].end, end.sides[1].end], end.chosen.parts);
    return [...joints, closed || opens ? end : joinedByUnion(end)];
  });
}

function chainNamed(is: (c: Chain) => boolean, best: Chains, shortest: () => Chains): Chain | undefined {
  const among = (chains: Chains): Chain | undefined => (chains.ok ? chains.best.find(is) : undefined);
  return among(best) ?? among(shortest());
}

function joinedByUnion(joint: Joint): Joint {
  if (!joint.chosen) return joint;
  const chosen = withUnion(joint.chosen, joint.sides[0].end);
  return { ...joint, chosen, union: chosen !== joint.chosen };
}
