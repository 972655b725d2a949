import { walk } from '../line/walk';
import { averageDemandM3PerS } from '../network/demand';
import type { Plan, Stage } from '../plan/plan';
import { allStages } from '../plan/runs';
import {
  all,
  bar,
  behind,
  branch,
  but,
  damp,
  GOOD,
  goodPlant,
  goodShop,
  place,
  standingIn,
  without,
  yard,
} from '../test/good-lines';
import { stageOf } from '../test/plan-of';
import { askedBehind } from './dryers';
import { LineFacts } from './line-facts';

const bypassed = (): Plan =>
  all(
    goodShop(),
    branch('drop', 'receiver', [stageOf('bowl-filter', {}, 'bowl'), stageOf('outlet', {}, 'drop-outlet')]),
    branch('bypass', 'coalescing-filter', [stageOf('isolating-valve', {}, 'round')], { into: 'fine', share: 0.1 }),
  );
const factsOf = (plan: Plan): LineFacts => new LineFacts(plan, walk(plan));
const stage = (line: LineFacts, id: string): Stage => line.stage(id) as Stage;
const ids = (stages: readonly Stage[]): string[] => stages.map((s) => s.id);

test('what the air has met, and what it may meet: through a tee, down its branch, and back where an arm joins', () => {
  const line = factsOf(
    all(
      goodShop(),
      branch('drop', 'receiver', [stageOf('bowl-filter', {}, 'bowl'), stageOf('outlet', {}, 'drop-outlet')]),
      branch('bypass', 'coalescing-filter', [stageOf('isolating-valve', {}, 'round')], { into: 'fine', share: 0.1 }),
    ),
  );
  expect(ids(line.upstream(stage(line, 'drop-outlet')))).toEqual([
    'bowl',
    'receiver',
    'separator',
    'aftercooler',
    'compressor',
    'intake',
  ]);
  expect(ids(line.downstream(stage(line, 'round')))).toEqual(['fine', 'regulator', 'outlet']);
  const behindTank = ids(line.downstream(stage(line, 'receiver')));
  expect(behindTank).toEqual(expect.arrayContaining(['bowl', 'drop-outlet', 'isolating-valve', 'round', 'outlet']));
  expect(new Set(behindTank).size).toBe(behindTank.length);
  expect(behindTank).not.toContain('separator');
});

test.each(Object.entries({ ...GOOD, yard, damp, bypassed }))(
  'up and down are each other’s mirror, both ways, for every pair of stages: %s',
  (_, plan) => {
    const line = factsOf(plan());
    // What the air may have met: the way that it came, and what joins it there from the last stage of an arm.
    const met = (s: Stage, known = new Set<Stage>()): Set<Stage> => {
      const arms = line.plan.branches.filter((arm) => arm.into === s.id).map((arm) => arm.stages.at(-1));
      for (const before of [line.before(s), ...arms]) if (before && !known.has(before)) met(before, known.add(before));
      return known;
    };
    for (const b of line.stages) {
      const up = met(b);
      const down = line.stages.filter((a) => a !== b && line.downstream(a).includes(b));
      expect([b.id, ids(down).toSorted()]).toEqual([b.id, ids([...up]).toSorted()]);
      expect(ids([...up])).toEqual(expect.arrayContaining(ids(line.upstream(b))));
      if (line.plan.branches.every((arm) => arm.into === null)) expect(line.upstream(b)).toHaveLength(up.size);
    }
  },
);

test('a branch gets its share of what reaches its tee, not all of it', () => {
  const line = factsOf(goodPlant());
  const [main, drop] = [stage(line, 'main'), stage(line, 'drop-pipe')];
  const asks = (id: string): number => averageDemandM3PerS(allStages(line.plan).find((s) => s.id === id) as Stage);
  const flows = [line.inlet(drop), line.at(drop)].map((s) => s?.dryAirKgPerS ?? 0);
  expect(flows[0]).toBeCloseTo(flows[1] as number, 12);
  expect((flows[0] as number) / (line.at(main)?.dryAirKgPerS ?? 1)).toBeCloseTo(
    asks('drop-outlet') / asks('outlet'),
    6,
  );
});

describe('the greatest pressure that a part can see', () => {
  const most = (plan: Plan, id: string): number => {
    const line = factsOf(plan);
    return Math.round(line.mostGaugePa(stage(line, id)) / 1e3);
  };
  test('is where the relief valve before it opens, also downstream of a regulator: it can fail open', () => {
    expect(most(goodShop(), 'outlet')).toBe(1300);
  });
  test('is where a relief valve downstream of the regulator opens, where there is one', () => {
    const saved = behind('regulator', stageOf('relief-valve', { setPressurePa: bar(7.5) }))(goodShop());
    expect(most(saved, 'outlet')).toBe(750);
  });
  test('upstream of the tank it is what the tank’s valve holds, unless a check valve stands between', () => {
    expect(most(goodShop(), 'separator')).toBe(1300);
    const checked = all(
      goodShop(),
      behind('separator', stageOf('check-valve')),
      but('compressor', { cutOutPa: bar(10.5) }),
    );
    expect(most(checked, 'separator')).toBe(1050);
  });
  test('without any relief valve it is what the compressor cuts out at', () => {
    expect(most(but('receiver', { relief: 'none' })(goodShop()), 'fine')).toBe(1050);
    expect(most(without('receiver')(goodShop()), 'fine')).toBe(1050);
  });
});

test('what is asked of a dryer: the driest job downstream of it, the coldest place on the way, its own room', () => {
  const line = (edit: (plan: Plan) => Plan) => {
    const plan = edit(goodShop());
    return new LineFacts(plan, walk(plan));
  };
  const of = (l: LineFacts) => askedBehind(l, l.stage('refrigerated-dryer') as Stage);
  expect(of(line((p) => p))).toEqual({ wantedC: 7, coldestRoomC: 24, coldestAfterC: 24 });
  const cold = line((p) =>
    all(p, place('cold', -5), standingIn('outlet', 'cold'), but('outlet', { need: 'no-liquid' })),
  );
  expect(of(cold)).toEqual({ wantedC: -8, coldestRoomC: 24, coldestAfterC: -5 });
});

test('a stage of the main run behind a tee gets what the branch leaves; with nothing taken off, all of it', () => {
  const plan = all(
    goodShop(),
    branch('drop', 'isolating-valve', [stageOf('outlet', { flowM3PerS: 0.006, usedShare: 0.6 }, 'drop-outlet')], {
      split: 'pressure',
    }),
  );
  const [whole, shared] = [factsOf(goodShop()), factsOf(plan)];
  const comes = (line: LineFacts, id: string): number => line.inlet(line.stage(id) as Stage)?.dryAirKgPerS ?? 0;
  const { dryAirKgPerS } = shared.section;
  expect(comes(whole, 'coalescing-filter')).toBe(dryAirKgPerS);
  expect(comes(shared, 'coalescing-filter')).toBeCloseTo(dryAirKgPerS / 2, 9); // two jobs that draw alike
  expect(comes(shared, 'isolating-valve')).toBe(dryAirKgPerS);
});
