import fc from 'fast-check';
import { say as inUnits } from '../quantity/format';
import {
  all,
  behind,
  branch,
  but,
  type Edit,
  goodDry,
  goodPlant,
  goodShop,
  named,
  place,
  site,
  standingIn,
  without,
} from '../test/good-lines';
import { stageOf } from '../test/plan-of';
import { changes } from './changes';
import { moveStage } from './edit';
import { merge } from './merge';
import type { Plan } from './plan';

const words = (a: Plan, b: Plan): string[] => changes(a, b).map((c) => c.says((si, q) => inUnits(si, q)));
const EDITS: readonly Edit[] = [
  (p) => p,
  but('regulator', { setPressurePa: 7e5 }),
  but('aftercooler', { approachK: 14 }),
  named('separator', 'Swirl'),
  place('in', 31),
  site({ gas: 'other' }),
  without('fine'),
  behind('receiver', stageOf('gauge', {}, 'new-gauge')),
  behind('separator', stageOf('drip-leg', {}, 'new-leg')),
  branch('new-branch', 'receiver', [stageOf('outlet', {}, 'new-outlet')]),
];

describe('what changed, in words', () => {
  test('nothing of the same; each edit is told, with values in the reader’s units', () => {
    const plan = goodShop();
    expect(words(plan, goodShop())).toEqual([]);
    const after = all(
      plan,
      but('regulator', { setPressurePa: 701_325 }),
      named('separator', 'Swirl'),
      without('fine'),
      behind('receiver', stageOf('gauge')),
    );
    expect(words(plan, after)).toEqual([
      'Removed Coalescing filter (downstream of Refrigerated dryer).',
      'Renamed Separator to Swirl.',
      'Added Pressure gauge, downstream of Receiver.',
      expect.stringMatching(/^Regulator, .*: 6\.50 bar → 6\.00 bar\.$/),
    ]);
  });

  test('places, units and the ends of branches are told by their names, not by their ids', () => {
    const arm = branch('arm', 'receiver', [stageOf('hose')], { into: 'regulator' });
    const trolley = { id: 'u-1', name: 'Trolley', form: 'portable', is: 'here', usedS: 0, countedAt: null } as const;
    const plan = all(goodShop(), place('cold', 5), named('receiver', 'Tank'), arm, (p) => ({ ...p, units: [trolley] }));
    const after = all(plan, standingIn('fine', 'room'), (p) => ({
      ...p,
      survey: { ...p.survey, places: p.survey.places.map((x) => (x.id === 'room' ? { ...x, name: 'Press room' } : x)) },
      stages: p.stages.map((s) => (s.id === 'fine' ? { ...s, unit: 'u-1', checkFilter: true as const } : s)),
      branches: p.branches.map((b) => ({ ...b, from: 'separator', into: null })),
    }));
    expect(words(plan, after)).toEqual(
      expect.arrayContaining([
        'Coalescing filter, check filter: not said → yes.',
        'Coalescing filter, stands in: not said → Press room.',
        'Coalescing filter, part of the unit: not said → Trolley.',
        'arm, starts at: Tank → Separator.',
        'arm, joins ahead of: Regulator → not said.',
      ]),
    );
  });

  test('a stage that is carried past others is told once, not every stage that it passed', () => {
    const plan = goodShop();
    const at = plan.stages.findIndex((s) => s.id === 'isolating-valve');
    expect(words(plan, moveStage(plan, 'aftercooler', at))).toEqual([
      'Moved Aftercooler: it stands downstream of Isolating valve now.',
    ]);
  });

  test('every edit of a kind is told by something (random pairs)', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: EDITS.length - 1 }), (i) => {
        const plan = goodShop();
        expect(words(plan, (EDITS[i] as Edit)(plan)).length).toBeGreaterThan(0);
        expect(words((EDITS[i] as Edit)(plan), plan).length).toBeGreaterThan(0);
      }),
    );
  });
});

describe('joining what two did', () => {
  test('edits in different places are both kept, whoever is called mine (random pairs)', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: EDITS.length - 1 }),
        fc.integer({ min: 0, max: EDITS.length - 1 }),
        (i, j) => {
          const base = goodShop();
          const [one, other] = [EDITS[i] as Edit, EDITS[j] as Edit];
          const merged = merge(base, one(base), other(base));
          expect(merged?.clashes).toEqual([]);
          expect(words(merged?.plan as Plan, i === j ? one(base) : all(base, one, other))).toEqual([]);
        },
      ),
    );
  });

  test('the same number changed in two ways is a clash: mine is taken, and it is said where', () => {
    const base = goodShop();
    const merged = merge(
      base,
      but('regulator', { setPressurePa: 7e5 })(base),
      but('regulator', { setPressurePa: 6e5, lock: 'locked' })(base),
    );
    expect(merged?.clashes).toEqual(['stages.regulator.parameters.setPressurePa']);
    expect(merged?.plan.stages.find((s) => s.id === 'regulator')?.parameters).toMatchObject({
      setPressurePa: 7e5,
      lock: 'locked',
    });
  });

  test('a stage that one took out and the other changed stays: nothing that was typed is lost', () => {
    const base = goodDry();
    const changed = but('twin-tower', { control: 'fixed' })(base);
    for (const merged of [
      merge(base, without('twin-tower')(base), changed),
      merge(base, changed, without('twin-tower')(base)),
    ]) {
      expect(merged?.clashes).toEqual(['stages.twin-tower']);
      expect(merged?.plan.stages.find((s) => s.id === 'twin-tower')?.parameters).toMatchObject({ control: 'fixed' });
    }
  });

  test('one moved, the other put something in: the order of who moved, with the new one downstream of its neighbour', () => {
    const base = goodPlant();
    const at = base.stages.findIndex((s) => s.id === 'isolating-valve');
    const merged = merge(base, moveStage(base, 'oil-water-separator', at), behind('main', stageOf('gauge'))(base));
    const ids = merged?.plan.stages.map((s) => s.id) ?? [];
    expect(merged?.clashes).toEqual([]);
    expect(ids.indexOf('gauge')).toBe(ids.indexOf('main') + 1);
    expect(ids.indexOf('oil-water-separator')).toBe(at);
  });

  test('one took out the stage downstream of which the other put a branch: it leaves downstream of the stage before', () => {
    const base = goodShop();
    const branched = branch('drop', 'fine', [stageOf('outlet', {}, 'other')])(base);
    for (const merged of [merge(base, without('fine')(base), branched), merge(base, branched, without('fine')(base))])
      expect(merged?.plan.branches[0]?.from).toBe('refrigerated-dryer');
  });
});
