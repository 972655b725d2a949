import { walk } from '../line/walk';
import type { Plan } from '../plan/plan';
import { say } from '../quantity/format';
import {
  all,
  bar,
  behind,
  branch,
  but,
  type Edit,
  goodDry,
  goodShop,
  goodSpray,
  place,
  site,
  standingIn,
  without,
} from '../test/good-lines';
import { stageOf } from '../test/plan-of';
import { speaks } from '../test/rule-cases';
import { applyFixes } from './apply-fixes';
import { dismiss, judgeLine, restore } from './judge-line';
import { LineFacts } from './line-facts';
import { sayIn } from './rule';

// Rules on other lines than the smallest: where a near neighbour of the fault is none, and where it is one in another way.
type Row = readonly [what: string, rule: string, speaks: boolean, line: () => Plan, edits: readonly Edit[]];
const pipe = stageOf('pipe', { material: 'copper' });

test.each<Row>([
  [
    'pipe on a compressor whose joint nobody looked at',
    'O45',
    true,
    goodShop,
    [but('compressor', { joint: 'not-said' }), behind('compressor', pipe)],
  ],
  [
    'a cooling run on it',
    'O45',
    true,
    goodShop,
    [but('compressor', { joint: 'not-said' }), behind('compressor', stageOf('cooling-run'))],
  ],
  ['a cooler on it, not looked at', 'O45', false, goodShop, [but('compressor', { joint: 'not-said' })]],
  ['pipe behind a flexible joint', 'O45', false, goodShop, [behind('compressor', pipe)]],
  [
    'a hose on a rigid joint',
    'O45',
    false,
    goodShop,
    [but('compressor', { joint: 'rigid' }), behind('compressor', stageOf('hose'))],
  ],
  [
    'a filter of dry air in the frost',
    'A35',
    false,
    goodDry,
    [behind('particulate-filter', stageOf('bowl-filter', {}, 'bowl')), place('cold', -5), standingIn('bowl', 'cold')],
  ],
  ['a filter of chilled air in the frost', 'A35', true, goodShop, [place('cold', -5), standingIn('fine', 'cold')]],
  [
    'a filter of wet air where it is 3 °C',
    'A35',
    false,
    goodShop,
    [place('cold', 3), standingIn('coalescing-filter', 'cold')],
  ],
  ['a narrow drain line', 'O41', true, goodShop, [site({ drainLineBoreM: 0.004 })]],
  ['a drain line in the frost', 'O41', true, goodShop, [site({ drainLineCold: 'yes' })]],
  [
    'slugs at a filter upstream of the tank',
    'O05',
    true,
    goodShop,
    [
      without('separator', 'coalescing-filter'),
      behind('aftercooler', stageOf('coalescing-filter', { indicator: 'fitted' })),
    ],
  ],
])('%s: %s speaks %p', (_, rule, spoken, line, edits) => {
  expect(speaks(all(line(), ...edits), rule).length > 0).toBe(spoken);
});

const said = (plan: Plan, rule: string): string => {
  const finding = speaks(plan, rule)[0]?.finding;
  return finding ? `${sayIn(finding.what, say)} ${sayIn(finding.why, say)}` : '';
};
const fixes = (plan: Plan, rule: string): string[] => (speaks(plan, rule)[0]?.finding.fixes ?? []).map((f) => f.does);

test('a drain line says what is wrong with it, and nothing else', () => {
  expect(said(site({ drainLineBoreM: 0.004 })(goodShop()), 'O41')).toBe(
    'A drain line may not clear itself. Its bore is 4.00 mm.',
  );
  expect(said(site({ drainLineCold: 'yes', drainLiftM: 2 })(goodShop()), 'O41')).toBe(
    'A drain line may not clear itself. It rises 2.00 m. It passes where it freezes.',
  );
});

test('hot air in a light pipe asks for copper, in a soft-soldered one for brazing', () => {
  const hot = (p: object) => all(goodShop(), behind('compressor', stageOf('pipe', p)));
  expect(fixes(hot({ material: 'aluminium' }), 'O43')).toEqual(['Lay brazed copper']);
  expect(fixes(hot({ material: 'copper', joints: 'soft' }), 'O43')).toEqual(['Braze the joints']);
  expect(fixes(hot({ material: 'copper', joints: 'metal' }), 'O43')).toEqual([]);
});

test('a tank in the same run is where a flooded filter goes; one on another run is not', () => {
  const filter = stageOf('coalescing-filter', { indicator: 'fitted' }, 'first');
  const before = all(goodShop(), without('separator'), behind('aftercooler', filter));
  expect(fixes(before, 'O05')).toEqual(['Move it downstream of Receiver']);
  const arm = branch('arm', 'first', [stageOf('receiver', {}, 'other-tank'), stageOf('outlet', {}, 'other')]);
  expect(fixes(all(before, without('receiver'), arm), 'O05')).toEqual(['Add a separator upstream of it']);
});

test('a regulator is set up by what is missing, as far as the tool bears it', () => {
  const low = (mostGaugePa: number) =>
    all(
      goodShop(),
      but('regulator', { setPressurePa: bar(6.05), droopPa: 5e4, droopAtM3PerS: 0.006 }),
      but('outlet', { leastPressurePa: bar(6), mostGaugePa }),
    );
  const up = 'Set Regulator up by its droop in flow';
  expect(fixes(low(0), 'O31')).toContain(up);
  expect(fixes(low(7e5), 'O31')).toContain(up);
  expect(fixes(low(5.9e5), 'O31')).not.toContain(up);
});

test('a day tells of a stage what has the name that is asked for, and of no stage that is gone', () => {
  const plan = goodShop();
  const what = (name: string) => ({ name }) as never;
  const day = [
    { stageId: 'receiver', what: what('a'), says: '' },
    { stageId: 'fine', what: what('b'), says: '' },
    { stageId: 'gone', what: what('a'), says: '' },
  ];
  const line = new LineFacts(plan, walk(plan), day as never);
  expect(line.seen('a' as never).map((x) => x.stage.id)).toEqual(['receiver']);
});

test('what is set aside at one stage still stands at another', () => {
  const noDrains = all(
    goodShop(),
    but('coalescing-filter', { drain: 'none' }),
    but('fine', { drain: 'none' }),
    but('separator', { drain: 'none' }),
  );
  const of = (plan: Plan) => judgeLine(plan).advice.filter((a) => a.rule.id === 'O04');
  const [first, ...others] = of(noDrains);
  if (!first) throw new Error('O04 is silent');
  const told = dismiss(noDrains, first, 'later');
  expect(of(told).filter((a) => a.dismissed !== undefined)).toHaveLength(1);
  expect(of(told)).toHaveLength(others.length + 1);
  const both = dismiss(told, others[0] as never, 'later too');
  expect(restore(both, first).dismissed).toHaveLength(1);
});

test('fixes that were applied one after another leave no stage that two of them brought for the same', () => {
  let n = 0;
  const bare = all(
    goodSpray(),
    without('coalescing-filter', 'fine', 'particulate-filter'),
    but('outlet', { oilClass: '1' }),
  );
  const { plan } = applyFixes(bare, () => `new-${++n}`);
  const grades = plan.stages.flatMap((s) => (s.kind === 'coalescing-filter' ? [s.parameters.grade] : []));
  expect(grades.filter((g) => g === 'general')).toHaveLength(1);
});

test('a bypass that is shut leaves every other branch as it is', () => {
  const round = branch('round', 'coalescing-filter', [stageOf('isolating-valve', {}, 'valve')], {
    into: 'fine',
    share: 0.2,
  });
  const arm = branch('arm', 'fine', [stageOf('outlet', {}, 'other')], { share: 0.4 });
  const plan = all(goodShop(), round, arm);
  expect(said(plan, 'O42')).toBe(
    'round is open. 20 % of the air goes round Refrigerated dryer: all downstream of it gets wet.',
  );
  const shut = speaks(plan, 'O42')[0]?.finding.fixes?.[0]?.edit(plan, () => 'new');
  expect(shut?.branches.map((b) => [b.id, b.share])).toEqual([
    ['round', 0],
    ['arm', 0.4],
  ]);
  expect(speaks(shut as Plan, 'O42')).toEqual([]);
});

test('the cold is named once, where the air comes into it, and again where it is colder', () => {
  const run = (...places: ('in' | 'cold')[]) =>
    all(
      goodShop(),
      place('cold', -8),
      place('in', -4),
      branch('yard', 'fine', [
        stageOf('pipe', {}, 'first'),
        stageOf('pipe', {}, 'second'),
        stageOf('outlet', {}, 'tool'),
      ]),
      standingIn('first', places[0] as 'in'),
      standingIn('second', places[1] as 'in'),
    );
  const named = (plan: Plan) =>
    speaks(plan, 'O17').flatMap((a) => a.finding.stageIds.filter((id) => /first|second/.test(id)));
  expect(named(run('cold', 'cold'))).toEqual(['first']);
  expect(named(run('in', 'cold'))).toEqual(['first', 'second']);
  expect(named(run('cold', 'in'))).toEqual(['first']);
});

test('cold air is not cooled once more for beads that are exhausted too fast; warm air is', () => {
  const beads = (outletTemperatureC: number) =>
    all(
      goodShop(),
      without('refrigerated-dryer'),
      but('aftercooler', { method: 'measured', outletTemperatureC }),
      but('receiver', { method: 'measured', outletTemperatureC }),
      behind('fine', stageOf('bead-cartridge', { massKg: 0.5 })),
    );
  const cooler = 'Add a cooler and a separator downstream of the compressor';
  expect(fixes(beads(31), 'O54')).not.toContain(cooler);
  expect(fixes(beads(33), 'O54')).toContain(cooler);
});

test('a cooler that is too small by its approach is enlarged; one of which only the outlet is known gets another behind it', () => {
  expect(fixes(but('aftercooler', { approachK: 25 })(goodShop()), 'A36')).toEqual(['Use a larger one']);
  const measured = but('aftercooler', { method: 'measured', outletTemperatureC: 60 })(goodShop());
  expect(fixes(measured, 'A36')).toEqual(['Add an aftercooler and a separator downstream of it']);
});

test('a regulator upstream of a filter is named where it takes off half a bar and more', () => {
  const after = (setGauge: number) =>
    all(
      goodShop(),
      without('regulator'),
      behind('receiver', stageOf('regulator', { setPressurePa: bar(setGauge), droopPa: 0 })),
    );
  const arrives = (walk(after(5)).at('receiver')?.pressurePa ?? 0) - 101_325;
  expect(speaks(after(arrives / 1e5 - 0.49), 'O27')).toEqual([]);
  expect(speaks(after(arrives / 1e5 - 0.51), 'O27')).toHaveLength(1);
});

test('an outlet at the tank’s pressure is named beside a regulated one on the same tee, not beside one elsewhere', () => {
  const arm = (id: string, from: string, ...stages: Parameters<typeof behind>[1][]) =>
    branch(id, from, [...stages, stageOf('outlet', {}, `${id}-outlet`)]);
  const bare = arm('bare', 'receiver');
  const regulated = (from: string) => arm('held', from, stageOf('regulator', { setPressurePa: bar(6.5) }, 'second'));
  expect(speaks(all(goodShop(), bare, regulated('fine')), 'A22')).toEqual([]);
  expect(said(all(goodShop(), bare, regulated('receiver')), 'A22')).toMatch(
    /^Outlet has the tank’s pressure, Outlet beside/,
  );
});
