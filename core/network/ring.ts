import { OutOfRange } from '../air/out-of-range';
import { kindOf } from '../equipment/index';
import { Refusal } from '../equipment/shared/kind';
import type { Branch, Plan, Stage } from '../plan/plan';
import { pathTo } from '../plan/runs';
import { aroundStage, surroundingsOf } from '../plan/surroundings';
import { dryAirDensityKgPerM3 } from '../quantity/flow-basis';
import { AirStream } from '../stream/air-stream';
import { type Asks, enteredEnds, type Flows, flowsThrough } from './shares';
import { askedM3PerS, type Topology, topologyOf, upstreamOf } from './topology';

/** A line in which every run is drawn the way its air goes, and what flows out of the end of each arm, m³/s free air. */
export interface Solved {
  readonly topology: Topology;
  readonly ends: ReadonlyMap<string, number> | undefined;
}

/** Chokes, or is shut: so much that the air goes another way. */
const SHUT = 1e30;
const SWEEPS = 40;
const STEPS = 60;
const CLOSE = 1e-7; // of all that is asked for

/** What holds a pressure of its own parts nothing: an arm with a regulator in it keeps the share that was entered. */
const holdsPressure = (kind: Stage['kind']): boolean => kind === 'regulator' || kind === 'flow-controller';

/**
 * By how much a stage lowers the square of the pressure, Pa², at a flow; of the other sign where the air goes the other way.
 * In squares the loss of isothermal friction does not depend on the pressure, so that a network of pipes is one of conductors.
 */
function squareLoss(plan: Plan): (stage: Stage, flowM3PerS: number) => number {
  const around = surroundingsOf(plan, 'ideal');
  const kgPerM3 = dryAirDensityKgPerM3(around.atmosphericPa, around.intakeTemperatureC, 0);
  const compressor = plan.stages.find((s) => s.kind === 'compressor');
  const p0 = compressor ? (compressor.parameters.cutInPa + compressor.parameters.cutOutPa) / 2 : 8e5;
  const passes = (kind: Stage['kind']): boolean =>
    kind !== 'intake' && kind !== 'compressor' && kind !== 'outlet' && !holdsPressure(kind);
  return (stage, flow) => {
    if (!passes(stage.kind) || flow === 0) return 0;
    const here = aroundStage(around, stage);
    const air = new AirStream('ideal', Math.abs(flow) * kgPerM3, 0, here.roomTemperatureC, p0);
    try {
      kindOf(stage.kind).pass(air, stage.parameters, here);
    } catch (error) {
      if (error instanceof Refusal || error instanceof OutOfRange) return Math.sign(flow) * SHUT * (1 + Math.abs(flow));
      throw error;
    }
    return Math.sign(flow) * (p0 ** 2 - air.pressurePa ** 2);
  };
}

/** The stages of a loop: of an arm, of what leads only to its take-off, and of what leads only to where it joins. */
interface Loop {
  readonly arm: Branch;
  readonly forth: readonly Stage[];
  readonly back: readonly Stage[];
}

function loopOf(topology: Topology, arm: Branch): Loop {
  const off = pathTo(topology.line, arm.from as string);
  const ahead = upstreamOf(topology, arm.into as string);
  const on = ahead === null ? [] : pathTo(topology.line, ahead);
  let common = 0;
  while (common < off.length && off[common] === on[common]) common++;
  return { arm, forth: [...off.slice(common), ...arm.stages], back: on.slice(common) };
}

/** The root of a falling function between two places, by regula falsi (Illinois), never leaving them. */
function rootOf(f: (x: number) => number, low: number, high: number, close: number): number {
  let [a, b] = [low, high];
  let [fa, fb] = [f(a), f(b)];
  if (fa <= 0) return a;
  if (fb >= 0) return b;
  let side = 0;
  for (let i = 0; i < STEPS && b - a > close; i++) {
    // Beside a shut valve the chord is useless: halve.
    const x = Math.max(fa, -fb) > SHUT / 2 || i % 8 === 7 ? (a + b) / 2 : (a * fb - b * fa) / (fb - fa);
    const fx = f(x);
    if (fx > 0) {
      [a, fa] = [x, fx];
      if (side === 1) fb /= 2;
      side = 1;
    } else {
      [b, fb] = [x, fx];
      if (side === -1) fa /= 2;
      side = -1;
    }
  }
  return (a + b) / 2;
}

/** A branch that comes back to the line, and whose share the pressure decides. */
const parts = (b: Branch): boolean =>
  b.split === 'pressure' && b.from !== null && b.into !== null && !b.stages.some((s) => holdsPressure(s.kind));

/**
 * Parts the air of rings, of dryers side by side and of other arms by pressure: so that it comes to the same pressure where
 * they meet, whichever way round it went. Where in a ring the air meets from both sides, its arm is turned round downstream of that
 * place.
 * Never throws. What cannot be reached, or is not a ring, is left for {@link prepare} to name.
 * @source loops balanced one after another until none moves (after Hardy Cross, 1936), each by a bracketed root
 * @example solveRings(topologyOf(standing(plan)), averageDemandM3PerS).ends === undefined // true
 */
export function solveRings(topology: Topology, asks: Asks): Solved {
  const { line } = topology;
  const arms = line.branches.filter(parts);
  const asked = arms.length === 0 ? 0 : askedM3PerS(topology, asks);
  if (asked <= 0) return { topology, ends: undefined };
  const loss = squareLoss(line);
  const ends = enteredEnds(topology, asks);
  const loops = arms.map((arm) => loopOf(topology, arm));
  for (let sweep = 0; sweep < SWEEPS; sweep++) {
    let moved = 0;
    for (const { arm, forth, back } of loops) {
      const before = ends.get(arm.id) ?? 0;
      const { through } = flowsThrough(topology, asks, ends);
      const along = (stages: readonly Stage[], more: number): number =>
        stages.reduce((sum, s) => sum + loss(s, (through.get(s.id) ?? 0) + more), 0);
      /** By how much the square of the pressure at the end of the arm is above that where it joins. */
      const over = (end: number): number => along(back, before - end) - along(forth, end - before);
      const found = rootOf(over, -asked, asked, CLOSE * asked);
      ends.set(arm.id, found);
      moved = Math.max(moved, Math.abs(found - before));
    }
    if (arms.length === 1 || moved < 3 * CLOSE * asked) break;
  }
  return turned(topology, arms, ends, flowsThrough(topology, asks, ends));
}

/** Where an arm brings air back from its far end, draws that part the other way round. */
function turned(topology: Topology, arms: readonly Branch[], ends: Map<string, number>, { through }: Flows): Solved {
  const { line } = topology;
  let branches = line.branches;
  for (const arm of arms) {
    const place = arm.stages.findIndex((s) => (through.get(s.id) ?? 0) < 0);
    if (place === -1 && (ends.get(arm.id) ?? 0) >= 0) continue;
    const cut = place === -1 ? arm.stages.length : place;
    const meets = arm.stages[cut - 1];
    const before = upstreamOf(topology, arm.into as string);
    if (!meets || before === null) continue;
    const back = -(through.get(arm.stages[cut]?.id ?? '') ?? ends.get(arm.id) ?? 0);
    const forth = arm.stages.slice(0, cut);
    const node: Stage | undefined = meets.kind === 'outlet' ? undefined : ({ ...NODE, id: `${arm.id}-meets` } as Stage);
    const turnedId = `${arm.id}-back`;
    branches = branches.flatMap((b) =>
      b.id !== arm.id
        ? [node && b.from === meets.id ? { ...b, from: node.id } : b]
        : [
            { ...b, into: null, stages: node ? [...forth, node] : forth },
            { ...b, id: turnedId, from: before, into: (node ?? meets).id, stages: arm.stages.slice(cut).toReversed() },
          ],
    );
    ends.delete(arm.id);
    ends.set(turnedId, back);
  }
  return { topology: branches === line.branches ? topology : topologyOf({ ...line, branches }), ends };
}

/** A place where air meets from both sides: it does nothing to it. */
const NODE = { kind: 'sight-glass', name: 'where it meets', parameters: kindOf('sight-glass').parameters.parse({}) };

/**
 * Whether a stage is such a place, and nothing that anybody fitted.
 * @example isMeeting(stage('outlet')) // false
 */
export const isMeeting = (stage: Stage): boolean => stage.parameters === NODE.parameters;
