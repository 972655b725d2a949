import { airBalance } from '../core/line/balance';
import { shownBy } from '../core/line/explain';
import { judgeOutlets } from '../core/line/judge-outlet';
import { type WorstMoment, worstMoments } from '../core/line/peak-pressure';
import { imbalance, type Station } from '../core/line/section';
import { walk } from '../core/line/walk';
import { lossesTo } from '../core/line/waterfall';
import { allStages, stageById } from '../core/plan/runs';
import { expectWorkedTable } from '../core/test/worked-table';
import { dairyPlan } from './dairy';

const plan = dairyPlan();
const section = walk(plan);
const at = (id: string): Station => section.at(id) as Station;
const shown = (id: string, label: string): number =>
  shownBy(plan, section, stageById(plan, id) as never).find((s) => s.label === label)?.value ?? Number.NaN;

test('the dairy walks to all its outlets, balances, and has one outlet too weak', () => {
  expect(section.problems).toEqual([]);
  expect(imbalance(section.ledger)).toBeLessThan(1e-9);
  expect(allStages(plan).filter((s) => s.kind === 'outlet')).toHaveLength(16);
  const judged = judgeOutlets(plan, section);
  expect([...judged.values()].filter((j) => !j.pressure.enough).map((j) => j.stageId)).toEqual(['grinder']);
  expect(judged.get('sorter')?.verdict).toBe('meets'); // −30 °C asked, of towers rated at −40
  expect(airBalance(plan, section).leftM3PerS).toBeGreaterThan(0);
});

// On paper: written-out equations of docs/worked-example-dairy.md, apart from the program.
const PA = 101325 * (1 - 2.25577e-5 * 300) ** 5.2559;
const R = 287.042;
const es = (c: number): number => 611.2 * Math.exp((17.62 * c) / (243.12 + c)); // handbook short form, within 0.6 % to 60 °C
const ratio = (c: number, pa: number, f: number): number => (0.621945 * f * es(c)) / (pa - f * es(c));
const viscosity = (c: number): number => (1.716e-5 * ((c + 273.15) / 273.15) ** 1.5 * 383.55) / (c + 273.15 + 110.4);
const colebrook = (re: number, e: number): number => {
  let root = 7;
  for (let i = 0; i < 50; i++) root = -2 * Math.log10(e / 3.7 + (2.51 * root) / re);
  return root ** -2;
};
const area = (d: number): number => (Math.PI / 4) * d * d;
/** By how much p² falls: friction and fittings, n diameters of pipe for each by the fully rough factor. */
const squares = (kgPerS: number, d: number, l: number, rough: number, n: number, c: number): number => {
  const f = colebrook((4 * Math.abs(kgPerS)) / (Math.PI * d * viscosity(c)), rough / d);
  const fullyRough = (-2 * Math.log10(rough / d / 3.7)) ** -2;
  return Math.sign(kgPerS) * (kgPerS / area(d)) ** 2 * R * (c + 273.15) * ((f * l) / d + n * fullyRough);
};

/** What the jobs behind the header take on average, m³/min: all but those of the side-stream. */
const USED = 12.78 - 1.4 * 0.8 - 0.8 * 0.6;

test('the worked example says what the program says, and what its equations say', () => {
  const x = (0.72 * 1.0042 * es(24)) / PA;
  const dryKgPerS = (((PA - 500) * (1 - x)) / (R * 297.15)) * (28 / 60);
  const waterKgPerS = (dryKgPerS * 0.621945 * x) / (1 - x);
  const cyclonePa = at('cyclone-1').pressurePa;
  const dropsKgPerS = waterKgPerS - dryKgPerS * ratio(38, cyclonePa, 1.0244);
  // Correction by pressure, inlet and room between the rows of the tables of the handbook.
  const psig = (at('coarse').pressurePa - PA) / 6894.757;
  const inletF = at('coarse').temperatureC * 1.8 + 32;
  const capacity =
    (1 + ((psig - 100) / 25) * 0.07) * (1.1 - ((inletF - 95) / 5) * 0.1) * (1.1 - ((84.2 - 80) / 10) * 0.04);
  const scfm = dryKgPerS / ((0.0742 * 0.45359237) / 60);
  const rated = 34 / 60 / 4.719474e-4;
  const header = at('header');
  const bore = 0.108 - 2 * 0.002;
  const headerC = at('controller').temperatureC;
  const inHeader = header.dryAirKgPerS;
  const headerIn = at('controller').pressurePa;
  const headerOut = Math.sqrt(headerIn ** 2 - squares(inHeader, bore, 45, 1.5e-6, 5 * 30 + 2 * 8, headerC));
  // The ring: what goes west, so that both ways come to one pressure at the coating line; jobs by flow × time.
  const scale = inHeader / (USED * 1.2);
  const kg = (m3PerMin: number): number => (m3PerMin / 60) * 1.2 * scale * 60;
  const d3 = 0.08 - 2 * 0.0025;
  const pipes = (flows: [number, number, number][]): number =>
    flows.reduce((sum, [m3, l, elbows]) => sum + squares(kg(m3), d3, l, 1.5e-6, elbows * 30 + 40, 22), 0);
  const east = (west: number): number => {
    const into = USED - west;
    return pipes([
      [into, 22, 2],
      [into - 0.8 - 1.44, 26, 2],
      [into - 0.8 - 1.44 - 1.44 - 1.12 - 0.06, 30, 3],
    ]);
  };
  const round = (west: number): number =>
    pipes([
      [west, 18, 2],
      [west - 1.05 - 0.63, 34, 4],
      [west - 1.68 - 0.28 - 0.48, 28, 2],
      [west - 2.44 - 1.12 - 1.2, 24, 3],
    ]);
  let [low, high] = [0, USED];
  for (let i = 0; i < 60; i++) {
    const west = (low + high) / 2;
    if (round(west) < east(west)) low = west;
    else high = west;
  }
  // The grinder at its worst moment: 0.6 m³/min through the coupler and the hose, as they are reached.
  const moment = worstMoments(plan).get('grinder') as WorstMoment;
  const lost = (id: string): number =>
    (lossesTo(plan, 'grinder', moment).find((l) => l.stageId === id)?.lossPa ?? 0) / 1e5;
  const before = (id: string): number => moment.section.at(id)?.pressurePa ?? 0;
  const m = moment.section.at('grinder')?.dryAirKgPerS ?? 0;
  const share = m / (3.217e-8 * before('shop-regulator') * 1.185 * Math.sqrt(293.15 / 295.15));
  const couplerOut = before('shop-regulator') * (0.3 + 0.7 * Math.sqrt(1 - share ** 2));
  const hoseK = 2 * (0.5 + (1 - (6 / 8) ** 2) ** 2) * (8 / 6) ** 4;
  const f = colebrook((4 * m) / (Math.PI * 0.008 * viscosity(22)), 1.5e-6 / 0.008);
  let hoseOut = before('shop-coupler');
  for (let i = 0; i < 30; i++)
    hoseOut = Math.sqrt(
      before('shop-coupler') ** 2 -
        (m / area(0.008)) ** 2 *
          R *
          295.15 *
          ((f * 10) / 0.008 + hoseK + 2 * Math.log(before('shop-coupler') / hoseOut)),
    );
  const computed: Record<string, [paper: number, program: number]> = {
    'Dry air drawn by both, kg/h': [dryKgPerS * 3600, section.dryAirKgPerS * 3600],
    'Water drawn in, kg/h': [waterKgPerS * 3600, section.waterInKgPerS * 3600],
    'Caught by the two cyclones, kg/h': [
      dropsKgPerS * 0.95 * 3600,
      (at('cyclone-1').caughtKgPerS + at('cyclone-2').caughtKgPerS) * 3600,
    ],
    'Load of the cycling dryer, %': [
      (scfm / (rated * capacity)) * 100,
      shown('chiller', 'Load, of what it can do here') * 100,
    ],
    'Purge of the towers, m³/min': [
      (0.07 * 4.5 * at('towers').pressurePa) / 801325,
      (at('towers').ventedAirKgPerS / 1.189) * 60,
    ],
    'Velocity in the header, m/s': [
      (inHeader * R * (headerC + 273.15)) / (headerIn * area(bore)),
      shown('header', 'Velocity'),
    ],
    'Lost in the header, mbar': [(headerIn - headerOut) / 100, (headerIn - header.pressurePa) / 100],
    'Of the header’s air goes west, %': [((low + high) / 2 / USED) * 100, (at('west-1').dryAirKgPerS / inHeader) * 100],
    'Grinder at its worst: lost in the coupler, bar': [
      (before('shop-regulator') - couplerOut) / 1e5,
      lost('shop-coupler'),
    ],
    '… and in the hose, bar': [(before('shop-coupler') - hoseOut) / 1e5, lost('shop-hose')],
  };
  expectWorkedTable('worked-example-dairy.md', computed);
});
