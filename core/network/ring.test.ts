import { R_DRY_AIR } from '../air/humidity';
import { judgeOutlets } from '../line/judge-outlet';
import { imbalance } from '../line/section';
import { walk } from '../line/walk';
import { airViscosity } from '../pipe-flow/friction';
import { boreOf, type Nominal } from '../pipe-flow/pipes';
import { type Branch, type Plan, planSchema, type Stage } from '../plan/plan';
import { pathTo } from '../plan/runs';
import { planOf, stageOf } from '../test/plan-of';
import { solveRings } from './ring';
import { flowsThrough } from './shares';
import { topologyOf } from './topology';

const KG_PER_M3 = 101325 / (R_DRY_AIR * 293.15); // as dry free air at 20 °C
const asks = (s: Stage): number => (s.kind === 'outlet' ? s.parameters.flowM3PerS : 0);
const pipe = (id: string, lengthM: number, size: Nominal = '1/2'): Stage => stageOf('pipe', { size, lengthM }, id);
const job = (id: string, flowM3PerS: number): Stage => stageOf('outlet', { flowM3PerS, usedShare: 1 }, id);
const arm = (id: string, from: string, into: string, ...stages: Stage[]): Branch => ({
  ...({ name: id, share: 0.5 } as Branch),
  id,
  from,
  into,
  split: 'pressure',
  stages,
});
const ringed = (main: Stage[], ...branches: Branch[]): Plan =>
  planSchema.parse({
    ...planOf(
      { temperatureC: 20, roomC: 20, flowM3PerS: 0.05, relativeHumidity: 0.3 },
      stageOf('receiver', { method: 'measured', outletTemperatureC: 20 }, 'tank'),
      ...main,
    ),
    branches,
  });

/** Independent of the program: drop of p², incompressible in squares, friction by Colebrook–White solved by repetition. */
function dropOfSquares(lengthM: number, size: Nominal, flowM3PerS: number): number {
  const d = boreOf('black', size)?.boreM as number;
  const m = Math.abs(flowM3PerS) * KG_PER_M3;
  if (m === 0) return 0;
  const re = (4 * m) / (Math.PI * d * airViscosity(20));
  let root = 7;
  for (let i = 0; i < 60; i++) root = -2 * Math.log10(46e-6 / d / 3.7 + (2.51 * root) / re);
  const f = re < 2300 ? 64 / re : root ** -2;
  return Math.sign(flowM3PerS) * (m / ((Math.PI / 4) * d * d)) ** 2 * R_DRY_AIR * 293.15 * ((f * lengthM) / d);
}

/** What flows through a stage of the solved plan, m³/s of free air; turned runs count as they are drawn there. */
function flowsOf(plan: Plan): (id: string) => number {
  const { topology, ends } = solveRings(topologyOf(plan), asks);
  const { through } = flowsThrough(topology, asks, ends ?? new Map());
  return (id) => through.get(id) ?? Number.NaN;
}

test('two pipes side by side carry what brings both to one pressure: found by halving, apart from the program', () => {
  const plan = ringed([pipe('near', 20), job('end', 0.02)], arm('round', 'tank', 'end', pipe('far', 80, '3/4')));
  let [low, high] = [0, 0.02];
  for (let i = 0; i < 60; i++) {
    const x = (low + high) / 2;
    if (dropOfSquares(20, '1/2', x) < dropOfSquares(80, '3/4', 0.02 - x)) low = x;
    else high = x;
  }
  const flow = flowsOf(plan);
  expect(flow('near') / low).toBeCloseTo(1, 3);
  expect(flow('near') + flow('far')).toBeCloseTo(0.02, 9);
  const section = walk(plan);
  expect(imbalance(section.ledger)).toBeLessThan(1e-9);
});

describe('a ring with jobs all round', () => {
  // From the tank right: a, b, c; left: pipe z and jobs x, y. Closed between c and y.
  const plan = ringed(
    [pipe('p1', 10), job('a', 0.002), pipe('p2', 10), job('b', 0.002), pipe('p3', 10), job('c', 0.002)],
    arm('left', 'tank', 'c', pipe('q1', 30), job('x', 0.006), pipe('q2', 30), job('y', 0.006), pipe('q3', 5)),
  );

  test('meets where the pressures agree; downstream of that place the arm is turned round (Hardy Cross, apart from the program)', () => {
    // Unknown: what flows from c’s side into y, s. Loop: right side down to c, then q3 backwards = left side down to y.
    const mismatch = (s: number): number =>
      dropOfSquares(10, '1/2', 0.006 + s) +
      dropOfSquares(10, '1/2', 0.004 + s) +
      dropOfSquares(10, '1/2', 0.002 + s) +
      dropOfSquares(5, '1/2', s) -
      dropOfSquares(30, '1/2', 0.012 - s) -
      dropOfSquares(30, '1/2', 0.006 - s);
    let [low, high] = [-0.006, 0.012];
    for (let i = 0; i < 80; i++) {
      const s = (low + high) / 2;
      if (mismatch(s) < 0) low = s;
      else high = s;
    }
    expect(low).toBeGreaterThan(0); // it does come from the other side
    const flow = flowsOf(plan);
    expect(flow('q3') / low).toBeCloseTo(1, 2);
    expect(flow('p1') / (0.006 + low)).toBeCloseTo(1, 2);
  });

  test('every job gets its air, and the walk comes everywhere', () => {
    const section = walk(plan, 'ideal');
    expect(section.problems).toEqual([]);
    expect(imbalance(section.ledger)).toBeLessThan(1e-9);
    for (const stage of plan.stages.concat(plan.branches[0]?.stages ?? [])) expect(section.at(stage.id)).toBeDefined();
    expect(pathTo(plan, 'y').length).toBeGreaterThan(0);
    // Alike from both sides: neighbours across the place where the air meets have nearly one pressure.
    const [y, c] = [section.at('y')?.pressurePa ?? 0, section.at('c')?.pressurePa ?? 0];
    expect(Math.abs(y - c)).toBeLessThan(0.2 * (8e5 - Math.min(y, c)) + 2000);
  });

  test('is the same ring drawn the other way round', () => {
    const other = ringed(
      [pipe('q1', 30), job('x', 0.006), pipe('q2', 30), job('y', 0.006)],
      arm(
        'right',
        'tank',
        'y',
        pipe('p1', 10),
        job('a', 0.002),
        pipe('p2', 10),
        job('b', 0.002),
        pipe('p3', 10),
        job('c', 0.002),
        pipe('q3', 5),
      ),
    );
    const [one, two] = [flowsOf(plan), flowsOf(other)];
    for (const id of ['p1', 'p2', 'p3', 'q1', 'q2']) expect(one(id) / two(id)).toBeCloseTo(1, 4);
  });
});

test('two loops that share a pipe: balanced nodes by Newton’s method, apart from the program', () => {
  // tank –p1– A –p2– B –p3– C(job); arms tank→B by u and A→C by v.
  const plan = ringed(
    [pipe('p1', 20), job('A', 0.003), pipe('p2', 25), job('B', 0.004), pipe('p3', 30), job('C', 0.005)],
    arm('u', 'tank', 'B', pipe('u1', 40, '3/4')),
    arm('v', 'A', 'C', pipe('v1', 60)),
  );
  // Unknown squares at A, B, C below the tank’s; the flow of a pipe from its drop by halving.
  const flowFor = (l: number, size: Nominal, drop: number): number => {
    let [low, high] = [0, 0.1];
    for (let i = 0; i < 60; i++) {
      const x = (low + high) / 2;
      if (dropOfSquares(l, size, x) < Math.abs(drop)) low = x;
      else high = x;
    }
    return Math.sign(drop) * low;
  };
  const rest = ([a, b, c]: number[]): number[] => [
    flowFor(20, '1/2', a as number) -
      flowFor(25, '1/2', (b as number) - (a as number)) -
      flowFor(60, '1/2', (c as number) - (a as number)) -
      0.003,
    flowFor(25, '1/2', (b as number) - (a as number)) +
      flowFor(40, '3/4', b as number) -
      flowFor(30, '1/2', (c as number) - (b as number)) -
      0.004,
    flowFor(30, '1/2', (c as number) - (b as number)) + flowFor(60, '1/2', (c as number) - (a as number)) - 0.005,
  ];
  let at = [2e10, 3e10, 5e10];
  for (let n = 0; n < 60; n++) {
    const r = rest(at);
    const j = at.map((x, k) => rest(at.with(k, x * 1.0001)).map((v, i) => (v - (r[i] as number)) / (x * 1e-4)));
    // Cramer’s rule on the three unknowns; j[k][i] is the change of rest i with unknown k.
    const det = (m: number[][]): number =>
      (m[0]?.[0] as number) *
        ((m[1]?.[1] as number) * (m[2]?.[2] as number) - (m[1]?.[2] as number) * (m[2]?.[1] as number)) -
      (m[0]?.[1] as number) *
        ((m[1]?.[0] as number) * (m[2]?.[2] as number) - (m[1]?.[2] as number) * (m[2]?.[0] as number)) +
      (m[0]?.[2] as number) *
        ((m[1]?.[0] as number) * (m[2]?.[1] as number) - (m[1]?.[1] as number) * (m[2]?.[0] as number));
    const whole = det(j);
    at = at.map((x, k) => x - 0.5 * (det(j.map((row, i) => (i === k ? r : row))) / whole));
  }
  expect(Math.max(...rest(at).map(Math.abs))).toBeLessThan(1e-6);
  const flow = flowsOf(plan);
  const [a, b, c] = at as [number, number, number];
  expect(flow('p1') / flowFor(20, '1/2', a)).toBeCloseTo(1, 2);
  expect(flow('u1') / flowFor(40, '3/4', b)).toBeCloseTo(1, 2);
  expect(flow('v1') / flowFor(60, '1/2', c - a)).toBeCloseTo(1, 2);
});

test('a shut valve in an arm sends all the air the other way; a regulator keeps the share that was entered', () => {
  const valve = stageOf('isolating-valve', { is: 'shut' }, 'valve');
  const shut = ringed([pipe('near', 20), job('end', 0.01)], arm('round', 'tank', 'end', pipe('far', 20), valve));
  expect(flowsOf(shut)('near')).toBeCloseTo(0.01, 5);
  const regulated = ringed(
    [pipe('near', 20), job('end', 0.01)],
    arm('round', 'tank', 'end', stageOf('regulator', {}, 'r')),
  );
  expect(solveRings(topologyOf(regulated), asks).ends).toBeUndefined();
});

test('two dryers side by side part the air by what they lose: at 1 to 2 of one flow as 1 to 2^(1/1.85) the other way', () => {
  const dryer = (id: string, pressureLossPa: number): Stage =>
    stageOf('cycling-dryer', { pressureLossPa, lossAtM3PerS: 0.02, ratedFlowM3PerS: 0.05 }, id);
  const plan = ringed([dryer('one', 1e4), job('end', 0.04)], arm('beside', 'tank', 'end', dryer('two', 2e4)));
  const flow = flowsOf(plan);
  // Δp ∝ Q^1.85 in both (trade handbook): Q₁/Q₂ = 2^(1/1.85).
  expect(flow('one') / flow('two')).toBeCloseTo(2 ** (1 / 1.85), 2);
  const section = walk(plan);
  expect(section.problems).toEqual([]);
  expect(section.at('one')?.pressurePa).toBeCloseTo(section.at('two')?.pressurePa ?? 0, -2);
});

test('where the air meets between two pipes, the drop there gets it from both sides, and the line is judged like any other', () => {
  const plan = ringed(
    [pipe('p1', 10), job('a', 0.002), pipe('p2', 10), job('b', 0.002)],
    arm('left', 'tank', 'b', pipe('q1', 60), pipe('q2', 4)),
    { ...arm('drop', 'q1', 'b', job('c', 0.008)), into: null },
  );
  const { topology } = solveRings(topologyOf(plan), asks);
  expect(topology.line.branches.map((b) => b.id)).toContain('left-back');
  const section = walk(plan, 'ideal');
  expect(section.problems).toEqual([]);
  expect(imbalance(section.ledger)).toBeLessThan(1e-9);
  const judged = judgeOutlets(plan, walk(plan));
  expect([...judged.keys()].sort()).toEqual(['a', 'b', 'c']);
  // The air that c gets is what came both ways.
  const flow = flowsOf(plan);
  expect(flow('q1') + flow('q2')).toBeCloseTo(0.008, 9);
});
