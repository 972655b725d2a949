import { atmosphericPressurePa } from '../air/atmosphere';
import { pressureDewPointC } from '../air/dew-point';
import { vapourFractionFromDewPoint } from '../air/moisture';
import { judgeOutlets } from '../line/judge-outlet';
import { walk } from '../line/walk';
import { setJob } from '../plan/jobs';
import type { Plan, Stage } from '../plan/plan';
import { waterClassOf } from '../purity/iso-8573';
import { CFM } from '../quantity/constants';
import {
  all,
  behind,
  branch,
  but,
  type Edit,
  goodDry,
  goodShop,
  place,
  site,
  standingIn,
  without,
  working,
} from '../test/good-lines';
import { bandAround, planOf, stageOf } from '../test/plan-of';
import { applyFixes } from './apply-fixes';
import { isReady, judgeLine } from './judge-line';
import { sayIn } from './rule';

// Invented shops of the trade handbook, with the judgement that is written there beside each.
const c = (f: number): number => (f - 32) / 1.8;
const feet = (ft: number): number => atmosphericPressurePa(ft * 0.3048);
const psi = (gauge: number, ft = 0): number => gauge * 6894.757 + feet(ft);

interface Shop {
  readonly cfm: number;
  readonly psig: number;
  readonly ft: number;
  readonly f: number;
  readonly rh: number;
  readonly roomF?: number;
  readonly dischargeC?: number;
}
const shop = (s: Shop, stages: Stage[], ...edits: Edit[]): Plan =>
  all(
    planOf(
      {
        atmosphericPa: feet(s.ft),
        temperatureC: c(s.f),
        relativeHumidity: s.rh,
        roomC: c(s.roomF ?? s.f),
        flowM3PerS: s.cfm * CFM,
        pressurePa: psi(s.psig, s.ft),
        dischargeC: s.dischargeC ?? 150,
      },
      ...stages,
    ),
    but('compressor', bandAround(psi(s.psig, s.ft))),
    ...edits,
  );
const measured = (kind: 'aftercooler' | 'receiver', f: number, more: object = {}): Stage =>
  stageOf(kind, { method: 'measured', outletTemperatureC: c(f), ...more });
const said = (plan: Plan): string[] => judgeLine(plan).advice.map((a) => a.rule.id);
const ready = (plan: Plan): boolean => isReady(judgeLine(plan), walk(plan), judgeOutlets(plan, walk(plan)));
const cyclone = stageOf('separator', { drain: 'float' });

test('a cabinet shop that asks for “<3 %” and does not say where: not ready until it is asked', () => {
  const plan = shop(
    { cfm: 16, psig: 150, ft: 300, f: 82, rh: 0.65 },
    [
      measured('aftercooler', 107),
      cyclone,
      measured('receiver', 88, { drain: 'level' }),
      stageOf('coalescing-filter'),
      stageOf('refrigerated-dryer', { pressureDewPointC: c(40) }),
      stageOf('coalescing-filter', { grade: 'fine' }, 'fine'),
      stageOf('regulator', { setPressurePa: psi(40, 300) }),
      stageOf('outlet', {
        need: 'humidity-unknown',
        relativeHumidity: 0.03,
        flowM3PerS: 14 * CFM,
        usedShare: 0.5,
        leastPressurePa: psi(35, 300),
      }),
    ],
    but('compressor', { type: 'piston2' }),
  );
  expect(said(plan)).toContain('O16');
  expect(ready(plan)).toBe(false);
  expect(judgeOutlets(plan, walk(plan)).get('outlet')?.note).toContain('ask who asks for it');
});

test('a sawmill in the cold: the refrigerated dryer is wrong in its shed, and for gates at −20 °F', () => {
  const plan = shop(
    { cfm: 125, psig: 115, ft: 5200, f: -20, rh: 0.7, dischargeC: 80 },
    [
      measured('aftercooler', 50),
      cyclone,
      stageOf('refrigerated-dryer'),
      stageOf('coalescing-filter'),
      stageOf('outlet', { need: 'dew-point', dewPointC: c(-38) }),
    ],
    place('cold', c(20)),
    standingIn('refrigerated-dryer', 'cold'),
    but('compressor', { type: 'screw' }),
  );
  expect(said(plan)).toEqual(expect.arrayContaining(['O16', 'O17', 'O18']));
  expect(ready(plan)).toBe(false);
});

test('a tyre shop with one petcock drained on Saturdays: the drain first, then a cooler', () => {
  const plan = shop(
    { cfm: 34, psig: 150, ft: 30, f: 88, rh: 0.8 },
    [measured('receiver', 118, { drain: 'manual', settlingEfficiency: 0.8 }), stageOf('outlet', { use: 'tyres' })],
    but('compressor', { type: 'piston2' }),
    working({ startsAtH: 8, endsAtH: 17, loadedShare: 0.45 }),
  );
  const { advice } = judgeLine(plan);
  expect(advice.find((a) => a.rule.id === 'O35')?.rule.grade).toBe('must');
  expect(advice.find((a) => a.rule.id === 'O01')?.rule.grade).toBe('should');
});

test('a packaging plant whose dryer is overloaded by warm air: cooled to 100 °F it passes, at 105 °F it does not', () => {
  const dried = (coolerF: number): Plan =>
    shop(
      { cfm: 1000, psig: 100, ft: 600, f: 100, rh: 0.5, roomF: 105, dischargeC: 85 },
      [
        stageOf('measured-stage', { temperature: 'measured', outletTemperatureC: c(coolerF) }),
        cyclone,
        stageOf('refrigerated-dryer', { method: 'rated', ratedFlowM3PerS: 1000 * CFM, pressureDewPointC: c(38) }),
        stageOf('outlet'),
      ],
      but('compressor', { type: 'screw' }),
    );
  expect(said(dried(115))).toContain('O15');
  expect(said(dried(105))).toContain('O15');
  expect(said(dried(100))).not.toContain('O15');
});

test('a bakery’s branch through a freezer: a small dryer on that branch only', () => {
  const plan = shop(
    { cfm: 120, psig: 110, ft: 400, f: 85, rh: 0.6, dischargeC: 85 },
    [
      measured('aftercooler', 100),
      cyclone,
      stageOf('coalescing-filter'),
      stageOf('refrigerated-dryer', { pressureDewPointC: c(38) }),
      stageOf('coalescing-filter', { grade: 'fine' }, 'fine'),
      stageOf('outlet'),
    ],
    but('compressor', { type: 'screw' }),
    place('cold', c(-10)),
    branch('freezer', 'fine', [
      stageOf('pipe', { material: 'stainless', size: '1/2', use: 'branch' }),
      stageOf('outlet', { flowM3PerS: 12 * CFM }, 'trays'),
    ]),
    standingIn('pipe', 'cold'),
  );
  expect(said(plan)).toEqual(expect.arrayContaining(['O17', 'O52']));
});

test('a claim of class 1 on −70 °F read at the atmosphere: class 2 is within the ± 4 °F of the meter, class 1 is not', () => {
  const inTheLine = pressureDewPointC(vapourFractionFromDewPoint(c(-70), feet(0), 'frost'), psi(100));
  expect(Math.abs(inTheLine - c(-39.6))).toBeLessThan(2 / 1.8); // 2 °F, as the handbook allows
  expect([4, -4].map((off) => waterClassOf(inTheLine + off / 1.8, 0))).toEqual(['3', '2']);
});

test('blasting with hoods on the header, pellets on warm air: stop for the hoods, and the tower cannot do it at night', () => {
  const plan = shop(
    { cfm: 375, psig: 110, ft: 20, f: 95, rh: 0.6, dischargeC: 90 },
    [
      measured('aftercooler', 113),
      cyclone,
      stageOf('pellet-tower', { suppressionK: 20 / 1.8, ratedFlowM3PerS: 0.05 }),
      stageOf('outlet', { use: 'breathing' }),
    ],
    place('cold', c(70)),
    standingIn('outlet', 'cold'),
    but('compressor', { type: 'screw' }),
  );
  expect(said(plan)).toEqual(expect.arrayContaining(['S07', 'O19', 'O21']));
  const cooler = but('aftercooler', { outletTemperatureC: c(98) })(plan);
  expect(said(cooler)).toContain('O21');
  expect(said(cooler)).not.toContain('O19');
});

test('a stage workshop with PVC, nine years and never a leak: stop', () => {
  const plan = shop({ cfm: 24, psig: 120, ft: 0, f: 75, rh: 0.5 }, [
    stageOf('receiver'),
    stageOf('pipe', { material: 'pvc', size: '1', lengthM: 40 }),
    stageOf('outlet'),
  ]);
  expect(judgeLine(plan).advice[0]?.rule).toMatchObject({ id: 'S01', stop: true });
  expect(ready(plan)).toBe(false);
});

test('a boat club that would fill bottles: stop, and no filter makes it right', () => {
  const plan = shop(
    { cfm: 6, psig: 120, ft: 0, f: 75, rh: 0.5 },
    [stageOf('coalescing-filter', { grade: 'fine' }), stageOf('carbon-filter'), stageOf('outlet')],
    site({ breathed: 'yes' }),
  );
  expect(judgeLine(plan).advice[0]?.rule).toMatchObject({ id: 'S07', stop: true });
  expect(judgeLine(plan).advice.find((a) => a.rule.id === 'S07')?.finding.fixes).toEqual([]);
});

test.each(['water-spray', 'laser', 'instruments', 'plasma'] as const)(
  'the classes of a usual job can be met: %s',
  (job) => {
    const plan = all(goodDry(), but('outlet', { use: 'tools' }));
    const { left } = applyFixes(setJob(plan, 'outlet', job), () => crypto.randomUUID());
    expect(left.filter((a) => a.rule.id === 'A32')).toEqual([]);
  },
);

test('what was judged too hard: a leg directly downstream of a pipe, a drain opened daily, beads downstream of a membrane', () => {
  const wet = all(goodShop(), behind('separator', stageOf('pipe', { material: 'copper', legs: 0, lengthM: 10 })));
  expect(said(wet)).toContain('O33');
  expect(said(behind('pipe', stageOf('drip-leg', { drain: 'manual' }))(wet))).not.toContain('O33');

  const byHand = all(
    goodShop(),
    but('separator', { efficiency: 0.3 }),
    but('receiver', { drain: 'manual', sumpM3: 0.01 }),
  );
  expect(said(byHand)).toContain('O35');
  expect(said(site({ remembers: 'daily' })(byHand))).not.toContain('O35');
  expect(said(all(byHand, site({ remembers: 'daily' }), but('receiver', { sumpM3: 2e-4 })))).toContain('O35');

  const beads = stageOf('bead-cartridge', { massKg: 20, spentShare: 0.1, ratedFlowM3PerS: 0.02 });
  const membrane = all(goodShop(), behind('fine', stageOf('membrane', { ratedFlowM3PerS: 0.01 }), beads));
  expect(said(membrane)).not.toContain('O07');
  expect(said(without('fine')(membrane))).toContain('O07');
});

test('a short compressor says how much is still short without the dryer that takes air', () => {
  const plan = all(
    goodDry(),
    but('outlet', { flowM3PerS: 0.012, usedShare: 1 }),
    but('twin-tower', { control: 'fixed', ratedFlowM3PerS: 0.02, purgeM3PerS: 0.003 }),
  );
  const short = judgeLine(plan).advice.find((a) => a.rule.id === 'O24')?.finding;
  expect(sayIn(short?.why ?? '', (si) => `${(si * 1000).toFixed(1)} L/s`)).toMatch(
    /Without Twin tower.* it is still 2\.\d L\/s short/,
  );
});

test('a dryer in a room too cold comes first, and no other dryer is offered for it', () => {
  const plan = all(
    goodShop(),
    place('cold', -8),
    standingIn('refrigerated-dryer', 'cold'),
    standingIn('outlet', 'cold'),
  );
  const { advice } = judgeLine(plan);
  const at = (id: string): number => advice.findIndex((a) => a.rule.id === id);
  expect(at('O18')).toBeGreaterThanOrEqual(0);
  expect(at('O18')).toBeLessThan(at('O17'));
  expect(advice[at('O17')]?.finding.fixes).toEqual([]);
});

test('beads cooked at 450 °F: retire and replace', () => {
  const plan = shop({ cfm: 16, psig: 100, ft: 0, f: 75, rh: 0.5 }, [
    measured('aftercooler', 90),
    cyclone,
    stageOf('coalescing-filter'),
    stageOf('bead-cartridge', { medium: 'silica', charge: 'oven', ovenC: c(450) }),
    stageOf('outlet'),
  ]);
  expect(judgeLine(plan).advice.find((a) => a.rule.id === 'A24')?.rule.fix).toMatch(
    /^Retire that charge and replace it/,
  );
});
