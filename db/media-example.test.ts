import { readFileSync } from 'node:fs';
import path from 'node:path';
import { SEA_LEVEL_PA } from '../core/air/atmosphere';
import { saturatedHumidityRatio } from '../core/air/humidity';
import { saturationPressurePa } from '../core/air/saturation';
import { runCartridge } from '../core/desiccant/bed-runs';
import { lifeBand } from '../core/desiccant/charge-life';
import { dryBatch, dryingHours } from '../core/desiccant/dry-batch';
import { heldWater, ovenHumidity } from '../core/desiccant/isotherm';
import { sizeCartridge } from '../core/desiccant/size-cartridge';
import { walk } from '../core/line/walk';
import { siteTimeOf } from '../core/log/site-clock';
import { livesOf } from '../core/maintenance/charge-lives';
import { cheapestChangeH } from '../core/maintenance/element-life';
import { CFM } from '../core/quantity/constants';
import { dryAirKgPerS } from '../core/quantity/flow-basis';
import { sizeRefrigerated } from '../core/sizing/size-refrigerated';
import { sizeTowers } from '../core/sizing/size-towers';
import { expectWorkedTable } from '../core/test/worked-table';
import { demoPlan } from './demo';
import { BEADS, demoCharges } from './demo-charges';
import { SYNTHETIC, syntheticYear } from './demo-weather';

const NOW = Date.UTC(2026, 10, 23, 18);

test('the worked example of beads and dryers says what the program says, and what its formulas say', () => {
  // A cartridge of 2 lb at 10 scfm, 27 °C, 6.2 bar.
  const air = {
    dryAirKgPerS: dryAirKgPerS(10 * CFM, 'standard-14.5psia-68F', 1),
    inletC: 27,
    inletPa: SEA_LEVEL_PA + 6.2e5,
    relativeHumidity: 1,
  };
  const size = sizeCartridge({ ...air, medium: 'silica', massKg: 0.907, airHPerDay: 2 });
  const dryKgPerS = (10 * CFM * 14.5 * 6894.757) / (287.042 * 293.15);
  const [wetIn, dryOut] = [27, -40].map((c) => saturatedHumidityRatio(c, air.inletPa)) as [number, number];
  const load = dryKgPerS * (wetIn - dryOut);
  const cooler = sizeCartridge({ ...air, inletC: 17, medium: 'silica', massKg: 0.907, airHPerDay: 2 });
  const coolerLoad = dryKgPerS * (saturatedHumidityRatio(17, air.inletPa) - dryOut);

  // Its charge in an oven of 135 °F, and of 300 °F.
  const batch = { medium: 'silica', dyed: false, oily: false, dryKg: 0.907, loaded: 0.12, layerM: 0.02 } as const;
  const oven = (f: number): number => (f - 32) / 1.8;
  const humidity = (f: number): number => (0.5 * saturationPressurePa(21.1)) / saturationPressurePa(oven(f));
  const at135 = 0.035 + ((0.06 - 0.035) * (humidity(135) - 0.05)) / 0.05;
  const area = 0.907 / 735 / 0.02;
  const left300 = (0.009 * humidity(300)) / 0.01;
  const needs300 =
    (0.907 * ((0.12 - left300) * 2.6e6 + 900 * (oven(300) - 21.1))) / (20 * area * (oven(300) - 75)) / 3600;

  // A refrigerated dryer and two towers for 100 scfm.
  const duty = {
    ...air,
    dryAirKgPerS: 100 * CFM * 1.189,
    load: 0.6,
    inletC: 35,
    inletPa: SEA_LEVEL_PA + 7e5,
    atmosphericPa: SEA_LEVEL_PA,
    roomC: 25,
    hottestRoomC: 35,
    coldestRoomC: 10,
    coldestAfterC: 10,
    wantedC: 10 / 3,
    hoursPerYear: 2000,
    perKWh: 0.15,
    perHour: 40,
    hotOilFree: false,
  };
  const cold = sizeRefrigerated(duty);
  const psig = 7e5 / 6894.757;
  const byPressure = 1 + (0.07 * (psig - 100)) / 25;
  const today = byPressure * 1.1 * (1.12 - (0.02 * (77 - 70)) / 10);
  const hottest = byPressure * (0.82 - (0.08 * (113 - 110)) / 5) * 1.03;
  const towers = sizeTowers({ ...duty, medium: 'alumina', cycleS: 600 });

  // What the beads of the workshop have taught.
  const plan = demoPlan();
  const { file, name } = SYNTHETIC[0];
  const { hours } = syntheticYear(name, readFileSync(path.join(__dirname, '../weather', file), 'utf8'));
  const { charges, entries } = demoCharges(plan, hours, BEADS.workshop, NOW);
  const logged = entries.map((e) => ({ ...e, stageName: '', enteredAt: '', expected: [] }));
  const life = livesOf(plan, hours, charges, logged, siteTimeOf(NOW))?.[0];
  if (!life?.handbookKg) throw new Error('no life');
  const before = walk(plan).at('regulator');
  const rh = before
    ? before.vapourKgPerS / before.dryAirKgPerS / saturatedHumidityRatio(before.temperatureC, before.pressurePa)
    : 0;
  const book = (9 * 0.12 * heldWater('silica', rh)) / heldWater('silica', 0.6);
  const accounts = life.past.map((p) => {
    const spent = p.spent as number;
    return { ln: Math.log(p.loadKg / spent / book), variance: 0.12 ** 2 + (0.1 / spent) ** 2 };
  });
  const precision = accounts.reduce((sum, a) => sum + 1 / a.variance, 1 / 0.35 ** 2);
  const learned = Math.exp(accounts.reduce((sum, a) => sum + a.ln / a.variance, 0) / precision);

  // The same cartridge’s bed: full, by balance, of what comes; half through when that has come.
  const film = runCartridge({ ...air, layers: [{ medium: 'gel', massKg: 0.907 }], boreM: 0.08, startC: 27 }, 12, {
    cells: 200,
  });
  const halfC = film?.outC.findIndex((c) => c > 15.3) ?? 0; // dew point of half the vapour of 27 °C

  const first = life.past[0];
  const computed: Record<string, [paper: number, program: number]> = {
    'Water that reaches 2 lb of gel, g/h': [load * 3.6e6, size.waterKgPerS * 3.6e6],
    'It takes up, by practice, g': [0.12 * 907, size.holdsKg * 1000],
    'Spent after, h of air': [(0.12 * 0.907) / load / 3600, size.hours],
    'The same, air 10 K cooler': [(0.12 * 0.907) / coolerLoad / 3600, cooler.hours],
    'Air in an oven of 135 °F, % RH': [humidity(135) * 100, ovenHumidity(oven(135), 21.1, 0.5) * 100],
    'Gel keeps there, %': [at135 * 100, dryBatch(batch, oven(135), 100).leaves * 100],
    'Hours that 300 °F needs': [needs300, dryingHours(0.907, 0.12 - left300, area, oven(300))],
    'Refrigerated, does of its plate as a rule, %': [today * 100, cold.today * 100],
    'On the hottest day, %': [hottest * 100, cold.hottest * 100],
    'Plate to buy for 100 cfm, cfm': [100 / hottest, cold.ratedM3PerS / CFM],
    'Heatless purge, %': [(1.15 * SEA_LEVEL_PA * 100) / duty.inletPa, towers.purge * 100],
    'Of what passes at 60 % load, %': [(1.15 * SEA_LEVEL_PA * 100) / duty.inletPa / 0.6, towers.purgeFixed * 100],
    'Beads at the press, by the book, g': [book * 1000, (first?.handbookKg ?? 0) * 1000],
    'What its charges take up of that': [learned, lifeBand(life.factor).mid],
    'Element, cheapest after, h': [
      Math.sqrt(800 / (0.000625 * 0.005 * 180 * 0.12)),
      cheapestChangeH(400, 0.000625 * 6894.757, (0.005 / 6894.757) * 180 * 0.12),
    ],
    'An ideal bed of 2 lb, half through, h': [
      (0.907 * (0.4 - heldWater('silica', 0.003))) / load / 3600,
      (film?.at[halfC] ?? 0) / 3600,
    ],
  };
  expectWorkedTable('worked-example-media.md', computed);
});
