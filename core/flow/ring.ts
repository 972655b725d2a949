import { kindOf } from '../equipment/index';
import { Refusal } from '../equipment/kind';
import type { Branch, Plan, Stage } from '../line/plan';
import { MAIN, type Run, runsOf } from '../line/runs';
import { inPlace, surroundingsOf } from '../line/surroundings';
import { dryAirDensityKgPerM3 } from '../quantity/flow-basis';
import { AirStream } from '../stream/air-stream';
import { type Asks, enteredEnds, type Flows, flowsThrough, type Net, netOf } from './shares';

/** A plan in which every run is drawn the way its air goes, and what flows out of the end of each arm, m³/s free air. */
export interface Solved {
  readonly plan: Plan;
  readonly ends: ReadonlyMap<string, number> | undefined;
}

/** Chokes, or is shut: so much that the air goes another way. */
const SHUT = 1e30;
const SWEEPS = 40;
const STEPS = 60;
const CLOSE = 1e-7; // of all that is asked for

/**
 * By how much a stage lowers the square of the pressure, Pa², at a flow; of the other sign where the air goes the other way.
 * In squares the loss of isothermal friction does not depend on the pressure, so that a network of pipes is one of conductors.
 */
function squareLoss(plan: Plan): (stage: Stage, flowM3PerS: number) => number {
  const around = surroundingsOf(plan, 'ideal');
  const kgPerM3 = dryAirDensityKgPerM3(around.atmosphericPa, around.intakeTemperatureC, 0);
  const pump = plan.stages.find((s) => s.kind === 'compressor');
  const p0 = pump ? (pump.parameters.cutInPa + pump.parameters.cutOutPa) / 2 : 8e5;
  const passes = (kind: Stage['kind']): boolean =>
    // What holds a pressure of its own parts nothing: an arm with a regulator in it keeps the share that was entered.
    kind !== 'intake' && kind !== 'compressor' && kind !== 'outlet' && kind !== 'regulator';
  const known = new Map<string, { flow: number; loss: number }>();
  /** Of all stages only those of the loop at hand have another flow than before. */
  return (stage, flow) => {
    const before = known.get(stage.id);
    if (before?.flow === flow) return before.loss;
    const loss = lossOf(stage, flow);
    known.set(stage.id, { flow, loss });
    return loss;
  };
  function lossOf(stage: Stage, flow: number): number {
    if (!passes(stage.kind) || flow === 0) return 0;
    const here = inPlace(around, stage.place);
    const air = new AirStream('ideal', Math.abs(flow) * kgPerM3, 0, here.roomTemperatureC, p0);
    try {
      kindOf(stage.kind).pass(air, stage.parameters, here);
    } catch (error) {
      if (error instanceof Refusal) return Math.sign(flow) * SHUT * (1 + Math.abs(flow));
      throw error;
    }
    return Math.sign(flow) * (p0 ** 2 - air.pressurePa ** 2);
  }
}

/** Square of the pressure ahead of each stage and at the end of each run, beside that at the source. */
function squares(
  { runs }: Net,
  feeders: ReadonlyMap<string, Run>,
  flows: Flows,
  loss: (stage: Stage, flow: number) => number,
) {
  const behind = new Map<string, number>();
  const ahead = new Map<string, number>();
  const end = new Map<string, number>();
  const seen = new Set<string>();
  const walk = (run: Run): void => {
    if (seen.has(run.id)) return;
    seen.add(run.id);
    const feeder = run.from === null ? undefined : feeders.get(run.from);
    if (feeder) walk(feeder);
    let at = run.from === null ? 0 : (behind.get(run.from) ?? 0);
    for (const stage of run.stages) {
      ahead.set(stage.id, at);
      at -= loss(stage, flows.through.get(stage.id) ?? 0);
      behind.set(stage.id, at);
    }
    end.set(run.id, at);
  };
  for (const run of runs) walk(run);
  return { ahead, end };
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
  b.split === 'pressure' && b.from !== null && b.into !== null && !b.stages.some((s) => s.kind === 'regulator');

/**
 * Parts the air of rings, of dryers side by side and of other arms by pressure: so that it comes to the same pressure where
 * they meet, whichever way round it went. Where in a ring the air meets from both sides, its arm is turned round behind that
 * place.
 * Never throws. What cannot be reached, or is not a ring, is left for {@link prepare} to name.
 * @source loops balanced one after another until none moves (after Hardy Cross, 1936), each by a bracketed root
 */
export function solveRings(plan: Plan, asks: Asks): Solved {
  const arms = plan.branches.filter(parts);
  if (arms.length === 0) return { plan, ends: undefined };
  const net = netOf(runsOf(plan));
  const { runs } = net;
  const feeders = new Map(runs.flatMap((r) => r.stages.map((s) => [s.id, r] as const)));
  const asked = runs.flatMap((r) => r.stages).reduce((sum, s) => sum + asks(s), 0);
  if (asked <= 0) return { plan, ends: undefined };
  const loss = squareLoss(plan);
  const ends = enteredEnds(net, asks);
  /** By how much the pressure at the end of an arm is above that where it joins. */
  const over = (arm: Branch, end: number): number => {
    ends.set(arm.id, end);
    const { ahead, end: atEnd } = squares(net, feeders, flowsThrough(net, asks, ends), loss);
    return (atEnd.get(arm.id) ?? 0) - (ahead.get(arm.into ?? '') ?? 0);
  };
  for (let sweep = 0; sweep < SWEEPS; sweep++) {
    let moved = 0;
    for (const arm of arms) {
      const before = ends.get(arm.id) ?? 0;
      const found = rootOf((end) => over(arm, end), -asked, asked, CLOSE * asked);
      ends.set(arm.id, found);
      moved = Math.max(moved, Math.abs(found - before));
    }
    if (arms.length === 1 || moved < 3 * CLOSE * asked) break;
  }
  return turned(plan, arms, ends, flowsThrough(net, asks, ends));
}

/** Where an arm brings air back from its far end, draws that part the other way round. */
function turned(plan: Plan, arms: readonly Branch[], ends: Map<string, number>, { through }: Flows): Solved {
  let branches = plan.branches;
  for (const arm of arms) {
    const place = arm.stages.findIndex((s) => (through.get(s.id) ?? 0) < 0);
    if (place === -1 && (ends.get(arm.id) ?? 0) >= 0) continue;
    const cut = place === -1 ? arm.stages.length : place;
    const meets = arm.stages[cut - 1];
    const before = aheadOf(plan, arm.into as string);
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
  return { plan: { ...plan, branches }, ends };
}

/** A place where air meets from both sides: it does nothing to it. */
const NODE = { kind: 'sight-glass', name: 'where it meets', parameters: kindOf('sight-glass').parameters.parse({}) };

/** The stage behind which the air is that comes ahead of another. */
function aheadOf(plan: Plan, stageId: string): string | null {
  const run = runsOf(plan).find((r) => r.stages.some((s) => s.id === stageId));
  const place = run?.stages.findIndex((s) => s.id === stageId) ?? -1;
  if (!run || place < 0) return null;
  return run.stages[place - 1]?.id ?? (run.id === MAIN ? null : run.from);
}
