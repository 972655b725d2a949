import { atmosphericPressurePa } from '../air/atmosphere';
import { pressureDewPointC } from '../air/dew-point';
import { vapourFractionFromDewPoint } from '../air/moisture';
import { refrigeratedLoad } from '../equipment/drying/refrigerated-capacity';
import type { Stage } from '../plan/plan';
import { surroundingsOf } from '../plan/surroundings';
import { CFM } from '../quantity/constants';
import { AirStream } from '../stream/air-stream';
import { planOf, stageOf } from '../test/plan-of';
import { humidityAt, type Section } from './section';
import { walk } from './walk';

// Invented shops of the trade handbook, each computed there with the ideal basis: 3 % on water, 2 °F on dew points.
const c = (f: number): number => (f - 32) / 1.8;
const f = (celsius: number): number => celsius * 1.8 + 32;
const psi = (gauge: number, altitudeFt: number): number =>
  gauge * 6894.757 + atmosphericPressurePa(altitudeFt * 0.3048);
interface Shop {
  readonly cfm: number;
  readonly psig: number;
  readonly ft: number;
  readonly intakeF: number;
  readonly humidity: number;
  readonly roomF?: number;
}
function section(s: Shop, ...stages: Stage[]): Section {
  const weather = { temperatureC: c(s.intakeF), relativeHumidity: s.humidity, roomC: c(s.roomF ?? s.intakeF) };
  const air = { atmosphericPa: atmosphericPressurePa(s.ft * 0.3048), flowM3PerS: s.cfm * CFM };
  return walk(planOf({ ...weather, ...air, pressurePa: psi(s.psig, s.ft), dischargeC: 150 }, ...stages), 'ideal');
}
const cooler = (outF: number): Stage =>
  stageOf('aftercooler', { method: 'measured', outletTemperatureC: c(outF), pressureLossPa: 0 });
const cyclone = (efficiency: number): Stage => stageOf('separator', { efficiency, pressureLossPa: 0 });
const tank = (outF: number, settlingEfficiency: number): Stage =>
  stageOf('receiver', { method: 'measured', outletTemperatureC: c(outF), settlingEfficiency });
const dryer = (dewF: number, separatorEfficiency = 1): Stage =>
  stageOf('refrigerated-dryer', {
    method: 'evaporator',
    evaporatorTemperatureC: c(dewF) - 3,
    approachK: 3,
    separatorEfficiency,
    reheat: 'no',
    pressureLossPa: 0,
  });
const grams = (kgPerS: number | undefined): number => (kgPerS ?? Number.NaN) * 3.6e6;
const within3 = (got: number, want: number): void => expect(Math.abs(got / want - 1)).toBeLessThan(0.03);

test('a cabinet shop of 16 cfm: what falls where, and the two humidities at the gun', () => {
  const shop = { cfm: 16, psig: 150, ft: 300, intakeF: 82, humidity: 0.65 };
  const set = stageOf('regulator', { setPressurePa: psi(40, 300) });
  const s = section(shop, cooler(107), cyclone(0.95), tank(88, 0.95), dryer(40, 0.95), set);
  within3(grams(s.ledger.waterInKgPerS), 475);
  within3(grams(s.at('separator')?.caughtKgPerS), 321);
  within3(grams(s.at('receiver')?.caughtKgPerS), 73);
  within3(grams(s.at('refrigerated-dryer')?.caughtKgPerS), 64);
  // The humidities are of the dew point alone: no drop passes the dryer.
  const gun = section(shop, cooler(107), cyclone(0.95), tank(88, 0.95), dryer(40), set).at('regulator');
  if (!gun) throw new Error('not reached');
  expect(humidityAt(gun, c(75), psi(40, 300), 'ideal')).toBeCloseTo(0.094, 2);
  expect(humidityAt(gun, c(75), psi(0, 300), 'ideal')).toBeCloseTo(0.025, 2);
});

test('a sawmill at 5,200 ft: winter brings nothing to drain, summer does', () => {
  const winter = section({ cfm: 125, psig: 115, ft: 5200, intakeF: -20, humidity: 0.7 }, cooler(50));
  within3(grams(winter.ledger.waterInKgPerS), 75);
  expect(Math.abs(f(winter.at('aftercooler')?.pressureDewPointC ?? 0) - 23.7)).toBeLessThan(2);
  expect(winter.ledger.liquidOutKgPerS).toBe(0);
  const summer = section({ cfm: 125, psig: 115, ft: 5200, intakeF: 88, humidity: 0.45 }, cooler(103), cyclone(0.95));
  within3(grams(summer.ledger.waterInKgPerS), 3079);
  within3(grams(summer.at('separator')?.caughtKgPerS), 1960);
});

test('a tyre shop without a cooler: most falls in the tank', () => {
  const shop = { cfm: 34, psig: 150, ft: 30, intakeF: 88, humidity: 0.8 };
  const s = section(shop, tank(118, 1));
  within3(grams(s.ledger.waterInKgPerS), 1489);
  expect(s.ledger.caughtKgPerS / s.ledger.waterInKgPerS).toBeCloseTo(0.73, 1);
  within3(grams(section(shop, cooler(103), cyclone(0.95)).ledger.caughtKgPerS), 1172);
});

test('1,000 icfm: the separators, and a dryer at 127 % of what it can do there', () => {
  const s = section(
    { cfm: 1000, psig: 100, ft: 600, intakeF: 100, humidity: 0.5, roomF: 105 },
    cooler(118),
    cyclone(0.95),
    tank(115, 1),
  );
  within3(grams(s.ledger.waterInKgPerS), 38800);
  within3(grams(s.at('separator')?.caughtKgPerS), 21500);
  const around = { ...surroundingsOf(planOf({ atmosphericPa: atmosphericPressurePa(600 * 0.3048), roomC: c(105) })) };
  const air = new AirStream('ideal', s.dryAirKgPerS, 0, c(115), psi(100, 600));
  expect(refrigeratedLoad(air, 1000 * CFM, around)).toBeCloseTo(1.27, 1);
});

test('a bakery: the dew point at pressure is not the one that was quoted', () => {
  const s = section({ cfm: 120, psig: 110, ft: 400, intakeF: 85, humidity: 0.6 }, cooler(100), cyclone(1), dryer(38));
  within3(grams(s.ledger.waterInKgPerS), 3600);
  const x = vapourFractionFromDewPoint(c(38), psi(110, 400), 'frost', 'ideal');
  expect(Math.abs(f(pressureDewPointC(x, psi(0, 400), 'ideal')) + 6)).toBeLessThan(2);
});

test('a meter open to the room: −70 °F there is −39.6 °F at 100 psig', () => {
  const x = vapourFractionFromDewPoint(c(-70), psi(0, 0), 'frost', 'ideal');
  expect(Math.abs(f(pressureDewPointC(x, psi(100, 0), 'ideal')) + 39.6)).toBeLessThan(0.3);
});
