import psychrolib from 'psychrolib';
import { costOfLine } from '../cost/cost-of-line';
import { criteriaOf, type OutletStage } from '../line/outlet-criteria';
import { walk } from '../line/walk';
import { stageById } from '../plan/runs';
import { expectWorkedTable } from '../test/worked-table';
import { impliedBy } from './implied';
import { onColdDay, outletMarginAt, purchaseOf } from './judge-proposal';
import { question } from './question';
import { searched } from './search';

// docs/worked-example-plan.md on paper: saturation by psychrolib, water by Dalton’s law, flows by the ideal gas, prices by the
// placeholders; nothing of core/ but the answer.
psychrolib.SetUnitSystem(psychrolib.SI);
const R = 287.05;
const CFM = 4.719474e-4;
const pws = (c: number): number => psychrolib.GetSatVapPres(c);
const dryKgPerM3 = (c: number, rh: number, pa: number): number => (pa - rh * pws(c)) / (R * (c + 273.15));
const ratio = (vapourPa: number, pa: number): number => (0.62198 * vapourPa) / (pa - vapourPa);
const dewOf = (vapourPa: number): number => {
  let [low, high] = [-60, 100];
  for (let i = 0; i < 60; i++) {
    const middle = (low + high) / 2;
    if (pws(middle) < vapourPa) low = middle;
    else high = middle;
  }
  return low;
};

const { asked, front } = searched(question({}));
const [first] = front.toSorted((a, b) => a.merits.purchase - b.merits.purchase);

test('the first line for a spray gun, worked on paper', () => {
  if (!first) throw new Error('The planner found nothing.');
  const { plan } = first;
  const section = walk(plan);
  const outlet = stageById(plan, 'job-1') as OutletStage;
  const parameters = (id: string) => stageById(plan, id)?.parameters as Record<string, number>;
  const implied = impliedBy(asked.question);

  const intake = dryKgPerM3(30, 0.65, 101_325);
  const drawsM3PerS = (14 * CFM * dryKgPerM3(20, 0.65, 1e5)) / intake;
  const loaded = (0.45 * drawsM3PerS) / (16 * CFM);
  const drawnRatio = ratio(0.65 * pws(30), 101_325);
  const dayKg = 16 * CFM * intake * drawnRatio * loaded * 9 * 3600;
  // The middle of the band, 110 psig; behind the cooler 10 K over its room, less the 15 kPa that it loses there.
  const bandPa = 101_325 + 110 * 6894.757;
  const coolerPa = bandPa - 15_000 * (801_325 / bandPa);
  const cooledRatio = ratio(pws(43), coolerPa);
  // The dryer leaves 1.7 °C at its pressure; at the gun the vapour’s share is the same, at the atmosphere and 30 °C.
  const dryerPa = section.at('chiller')?.pressurePa ?? 0;
  const expanded = ((pws(1.7) / dryerPa) * 101_325) / pws(30);
  const atGunPa = section.at('job-1')?.pressurePa ?? 0;
  const limitPa = (0.1 * pws(30) * atGunPa) / 101_325;
  const scaled = (price: number, size: number): number => price * size ** 0.8;
  const [regulator, hose] = [parameters('regulator-1'), parameters('hose-1')];
  const bought =
    400 + // cooler for 16 cfm
    (120 + 40) + // separator with its float
    scaled(1100, 25 / 20) +
    (200 - 90) + // dryer for 25 cfm, level-sensing drain for a timer
    2 * scaled(140, 25 / 16) + // two coalescers for 25 cfm
    scaled(200, 25 / 16) + // carbon
    30 + // pipe
    scaled(60, (regulator?.conductance ?? 0) / 10) +
    scaled(30, (hose?.boreM ?? 0) / 0.0095);
  const [criterion] = criteriaOf(outlet, 'real');
  expectWorkedTable('worked-example-plan.md', {
    'The gun draws, L/s of free air': [drawsM3PerS * 1000, implied.peakM3PerS * 1000],
    'Compressor loaded, %': [loaded * 100, implied.loadedShare * 100],
    'Water drawn in on a day, L': [dayKg, implied.waterKgPerDay],
    'Vapour behind the cooler, g/kg': [
      cooledRatio * 1000,
      ((section.at('cooler')?.vapourKgPerS ?? 0) / section.dryAirKgPerS) * 1000,
    ],
    'Water that cooler and separator take, %': [
      100 * 0.95 * (1 - cooledRatio / drawnRatio),
      (100 * (section.at('separator')?.caughtKgPerS ?? 0)) / section.waterInKgPerS,
    ],
    'Humidity at the gun, expanded, %': [expanded * 100, 100 * (criterion?.pick(section, plan) ?? 0)],
    'Dew point that 10 % asks for at the gun, °C': [
      dewOf(limitPa),
      (outletMarginAt(plan, outlet, section) ?? 0) + (section.at('job-1')?.pressureDewPointC ?? 0),
    ],
    'To buy': [bought, purchaseOf(asked, plan)],
    'Energy of the dryer in a year, kWh': [
      (750 / (100 * CFM)) * 25 * CFM * (9 * 5 * 50) * 1e-3,
      costOfLine(plan, plan.money).kWh.refrigeration,
    ],
  });
  expect(outletMarginAt(plan, outlet, walk(onColdDay(asked, plan)))).toBeGreaterThan(0);
});
