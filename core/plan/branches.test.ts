import fc from 'fast-check';
import { imbalance, type Station } from '../line/section';
import { walk } from '../line/walk';
import { planOf, stageOf } from '../test/plan-of';
import { drainPoints, moveStage, removeStage } from './edit';
import { addBranch, removeBranch } from './edit-branches';
import { type Branch, type Plan, planSchema, type Stage } from './plan';
import { allStages, pathTo, runOfStage, runsOf } from './runs';

const hang = (plan: Plan, ...branches: (Partial<Branch> & Pick<Branch, 'id' | 'stages'>)[]): Plan =>
  planSchema.parse({ ...plan, branches: branches.map((b) => ({ name: b.id, from: null, ...b })) });
const job = (id: string, flowM3PerS: number, usedShare = 1): Stage => stageOf('outlet', { flowM3PerS, usedShare }, id);
const at = (plan: Plan, id: string): Station => walk(plan, 'ideal').at(id) as Station;
const ratio = (s: Station): number => (s.vapourKgPerS + s.liquidKgPerS) / s.dryAirKgPerS;
const cooled = stageOf('aftercooler', { method: 'measured', outletTemperatureC: 35, pressureLossPa: 0 }, 'cooler');
const trap = stageOf('separator', { efficiency: 0.9, pressureLossPa: 0 }, 'trap');

describe('air is shared by what the jobs use', () => {
  const plan = hang(planOf({}, cooled, trap, job('near', 0.001, 0.5), job('far', 0.002, 0.5)), {
    id: 'drop',
    from: 'trap',
    stages: [job('booth', 0.01, 0.1), job('bench', 0.0005, 1)],
  });

  test('in proportion to flow × time, and all of it', () => {
    const drawn = walk(plan, 'ideal').dryAirKgPerS;
    const takes = { near: 0.0005, far: 0.001, booth: 0.001, bench: 0.0005 };
    const gets = (id: string, after?: string) => at(plan, id).dryAirKgPerS - (after ? at(plan, after).dryAirKgPerS : 0);
    expect(gets('near', 'far') / drawn).toBeCloseTo(takes.near / 0.003, 8);
    expect(gets('far') / drawn).toBeCloseTo(takes.far / 0.003, 8);
    expect(gets('booth', 'bench') / drawn).toBeCloseTo(takes.booth / 0.003, 8);
    expect(gets('bench') / drawn).toBeCloseTo(takes.bench / 0.003, 8);
  });

  test('a branch to which no job belongs still has its air: a dead leg as wet as the main', () => {
    const dead = hang(plan, { id: 'leg', from: 'trap', stages: [stageOf('bowl-filter', {}, 'leg-filter')] });
    expect(at(dead, 'leg-filter').pressureDewPointC).toBeCloseTo(35, 0); // a little water evaporates as it loses pressure
    expect(at(dead, 'leg-filter').dryAirKgPerS).toBeLessThan(1e-9);
    expect(at(dead, 'far').dryAirKgPerS).toBeCloseTo(walk(dead, 'ideal').dryAirKgPerS * (2 / 3), 8); // the drop’s jobs are gone
  });
});

describe('pipes that join', () => {
  const dryer = stageOf(
    'refrigerated-dryer',
    { pressureDewPointC: 3, separatorEfficiency: 1, pressureLossPa: 0 },
    'dryer',
  );
  const around = (share: number): Plan =>
    hang(planOf({}, cooled, trap, dryer, job('tool', 0.001)), {
      id: 'bypass',
      from: 'trap',
      into: 'tool',
      share,
      stages: [],
    });

  test('a bypass: shut it changes nothing, leaking it spoils the air by what it lets through', () => {
    const through = at(around(0), 'dryer');
    expect(at(around(0), 'tool').pressureDewPointC).toBeCloseTo(through.pressureDewPointC, 5);
    const leak = 0.1;
    const mixed = (1 - leak) * ratio(through) + leak * ratio(at(around(leak), 'trap'));
    expect(ratio(at(around(leak), 'tool'))).toBeCloseTo(mixed, 9); // water balance of the mixture
    expect(at(around(leak), 'tool').pressureDewPointC).toBeGreaterThan(through.pressureDewPointC + 3);
  });

  test('a ring of two like arms is the pipe unparted', () => {
    const one = planOf({}, cooled, trap, dryer, job('tool', 0.001));
    const arms = hang(planOf({}, cooled, trap, dryer, job('tool', 0.001)), {
      id: 'arm',
      from: 'trap',
      into: 'tool',
      share: 0.5,
      stages: [{ ...dryer, id: 'dryer-2' } as Stage],
    });
    for (const figure of ['temperatureC', 'pressureDewPointC', 'vapourKgPerS', 'dryAirKgPerS'] as const)
      expect(at(arms, 'tool')[figure]).toBeCloseTo(at(one, 'tool')[figure], 6);
  });

  test('two compressors into one header: air and water of both', () => {
    const second = (flow: number) => [
      stageOf('intake', {}, 'intake-2'),
      stageOf(
        'compressor',
        { freeAirDeliveryM3PerS: flow, dischargeTemperatureC: 60, dischargeTemperatureFrom: 'measured' },
        'pump-2',
      ),
    ];
    const plan = hang(planOf({ flowM3PerS: 0.01 }, cooled, trap), { id: 'pump', into: 'trap', stages: second(0.005) });
    const alone = walk(planOf({ flowM3PerS: 0.01 }, cooled, trap));
    expect(walk(plan).ledger.waterInKgPerS / alone.ledger.waterInKgPerS).toBeCloseTo(1.5, 2);
    expect(at(plan, 'trap').temperatureC).toBeCloseTo((2 * 35 + 60) / 3, 0); // by the air alone; its vapour has heat too
  });
});

test('the ledger balances to 1e-9 on random lines with branches, arms and second pumps', () => {
  const share = fc.double({ min: 0, max: 1, noNaN: true });
  const some = (prefix: string) =>
    fc
      .array(
        fc.oneof(
          share.map((efficiency) => stageOf('separator', { efficiency, pressureLossPa: 1000 })),
          share.map((x) => stageOf('receiver', { method: 'measured', outletTemperatureC: 5 + 40 * x })),
          share.map((x) => stageOf('refrigerated-dryer', { pressureDewPointC: 1 + 9 * x, pressureLossPa: 1000 })),
          share.map((usedShare) => stageOf('outlet', { usedShare })),
          share.map((x) => stageOf('pipe', { size: '1', lengthM: 1 + 80 * x, elbows: 3 })),
        ),
        { minLength: 1, maxLength: 4 },
      )
      .map((stages) => stages.map((s, i) => ({ ...s, id: `${prefix}${i}` })));
  const pick = fc.nat({ max: 3 });
  fc.assert(
    fc.property(some('m'), some('a'), some('b'), share, pick, pick, fc.boolean(), (main, a, b, x, i, j, second) => {
      const mains = main.map((s) => s.id);
      const from = mains[i % mains.length] as string;
      const into = mains.slice(mains.indexOf(from) + 1)[j % 4] ?? null;
      const source = [stageOf('intake', {}, 'i2'), stageOf('compressor', {}, 'c2')];
      const plan = hang(
        planOf({ relativeHumidity: 0.2 + 0.8 * x }, cooled, ...main),
        { id: 'A', from, into, share: x, split: x * 8 - Math.floor(x * 8) > 0.5 ? 'pressure' : 'entered', stages: a },
        second ? { id: 'B', into: from, stages: [...source, ...b] } : { id: 'B', from: a[0]?.id ?? from, stages: b },
      );
      const section = walk(plan);
      expect(section.problems).toEqual([]);
      for (const { id } of allStages(plan)) expect(section.at(id)).toBeDefined();
      expect(imbalance(section.ledger)).toBeLessThan(1e-9);
    }),
    { numRuns: 120 },
  );
});

describe('what cannot be is named, and the rest of the line still computes', () => {
  const base = planOf({}, cooled, trap, job('tool', 0.001));

  test('a loop that is not a ring', () => {
    const plan = hang(base, { id: 'back', from: 'trap', into: 'cooler', stages: [stageOf('separator', {}, 's2')] });
    const section = walk(plan);
    expect(section.problem?.message).toMatch(/a loop that is not a ring/);
    expect(section.at('compressor')).toBeDefined();
  });

  test('an outlet with nothing upstream of it', () => {
    const hung = hang(base, { id: 'stray', from: 'trap', stages: [job('lost', 0.001)] });
    const plan = { ...hung, branches: hung.branches.map((b) => ({ ...b, from: 'gone' })) }; // no plan file may say that
    const section = walk(plan);
    expect(section.problem).toMatchObject({
      stageId: 'lost',
      message: expect.stringMatching(/nothing is upstream of it/),
    });
    expect(section.at('tool')).toBeDefined();
    expect(section.at('lost')).toBeUndefined();
  });

  test('a stage that refuses stops its own branch only', () => {
    const plan = hang(base, {
      id: 'drop',
      from: 'trap',
      stages: [
        stageOf('separator', { pressureLossPa: 3e5 }, 'x1'),
        stageOf('separator', { pressureLossPa: 3e5 }, 'x2'),
        stageOf('separator', { pressureLossPa: 3e5 }, 'x3'),
      ],
    });
    const section = walk(plan);
    expect(section.problems.map((p) => p.stageId)).toEqual(['x3']);
    expect(section.at('tool')).toBeDefined();
  });

  test('a compressor after a dryer is named at the stage; the other branches are walked', () => {
    const booster = stageOf('compressor', {}, 'booster');
    const plan = hang(base, { id: 'drop', from: 'trap', stages: [stageOf('refrigerated-dryer'), booster] });
    const section = walk(plan);
    expect(section.problems).toMatchObject([
      { stageId: 'booster', message: expect.stringMatching(/downstream of its intake/) },
    ]);
    expect(section.at('tool')).toBeDefined();
    expect(section.at('refrigerated-dryer')).toBeDefined();
    expect(section.at('booster')).toBeUndefined();
  });
});

test('a planned stage is left out of the walk, and its branches start at the stage upstream', () => {
  const dryer: Stage = { ...stageOf('refrigerated-dryer', {}, 'dryer'), planned: { trigger: 'dew point over 10 °C' } };
  const plan = hang(planOf({}, cooled, trap, dryer, job('tool', 0.001)), {
    id: 'drop',
    from: 'dryer',
    stages: [job('wet', 0.001)],
  });
  const section = walk(plan);
  expect(section.at('dryer')).toBeUndefined();
  expect(section.at('wet')?.pressureDewPointC).toBeCloseTo(section.at('trap')?.pressureDewPointC ?? 0, 9);
  expect(drainPoints(plan).map((s) => s.id)).not.toContain('dryer');
});

test('the way to a stage leads through the tees', () => {
  const plan = addBranch(addBranch(planOf({}, cooled, trap, job('tool', 0.001)), 'trap', 'b1', 'o1'), 'o1', 'b2', 'o2');
  expect(pathTo(plan, 'o2').map((s) => s.id)).toEqual(['intake', 'compressor', 'cooler', 'trap', 'o1', 'o2']);
  expect(pathTo(plan, 'tool').map((s) => s.id)).toEqual(['intake', 'compressor', 'cooler', 'trap', 'tool']);
  expect(pathTo(plan, 'gone')).toEqual([]);
});

describe('edits of branches', () => {
  const plan = addBranch(planOf({}, cooled, trap, job('tool', 0.001)), 'trap', 'b1', 'o1');

  test('a stage moves into a branch and back', () => {
    const there = moveStage(plan, 'cooler', 0, 'b1');
    expect(runOfStage(there, 'cooler')?.id).toBe('b1');
    expect(runOfStage(moveStage(there, 'cooler', 2, 'main'), 'cooler')?.stages[2]?.id).toBe('cooler');
  });

  test('taking out the stage at which a branch starts moves the branch upstream; a branch goes with its own branches', () => {
    expect(runsOf(removeStage(plan, 'trap'))[1]?.from).toBe('cooler');
    const nested = addBranch(plan, 'o1', 'b2', 'o2');
    expect(removeBranch(nested, 'b1').branches).toEqual([]);
    expect(removeBranch(nested, 'b2').branches.map((b) => b.id)).toEqual(['b1']);
  });

  test('a stage never moves into a branch of its own and leaves it with nothing before', () => {
    const moved = moveStage(plan, 'trap', 0, 'b1');
    expect(walk(moved).problems).toEqual([]);
    expect(runsOf(moved)[1]?.from).toBe('cooler');
  });
});
