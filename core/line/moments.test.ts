import { expectReadings } from '../log/expect-reading';
import { pressureBehindPa } from '../pipe-flow/friction';
import { stageById } from '../plan/runs';
import { planOf, stageOf } from '../test/plan-of';
import { shownBy } from './explain';
import { judgeOutlets } from './judge-outlet';
import { pressureAt, usualAsks } from './moments';
import { walk } from './walk';

const hose = stageOf('hose', { lengthM: 15, boreM: 0.0095, insertBoreM: 0.0095 }, 'hose');
/** A large compressor, and one small tool downstream of a long hose. */
const plan = planOf(
  { flowM3PerS: 0.012, pressurePa: 8e5, temperatureC: 20, dischargeC: 20, relativeHumidity: 0.2 },
  stageOf('receiver', { method: 'measured', outletTemperatureC: 20 }),
  stageOf('gauge', {}, 'tank-gauge'),
  hose,
  stageOf('gauge', {}, 'gauge'),
  stageOf('outlet', { flowM3PerS: 0.005, usedShare: 0.3 }),
);
const then = (id: string, moment: 'rest' | 'usual' | 'peak') => pressureAt(plan, id, moment)?.pressurePa as number;

test('a gauge downstream of one hose follows the tool’s flow, not the compressor’s whole flow (Darcy–Weisbach by hand)', () => {
  const kgPerS = (0.005 * 101325 * (1 - 0.2 * 0.0231)) / (287.04 * 293.15);
  const by = pressureBehindPa(
    { kgPerS, temperatureC: 20, pressurePa: 8e5 },
    { boreM: 0.0095, lengthM: 15, roughnessM: 1.5e-6, k: 0 },
  ) as number;
  expect((8e5 - then('gauge', 'usual')) / (8e5 - by)).toBeCloseTo(1, 2);
  expect(then('gauge', 'rest')).toBe(8e5);
  expect(then('gauge', 'peak')).toBeLessThan(then('gauge', 'usual'));
  expect(then('tank-gauge', 'peak')).toBeCloseTo(7.7e5, 0); // at cut-in
});

test('logbook, gauge, outlet card: one pressure for one moment', () => {
  const judged = judgeOutlets(plan, walk(plan)).get('outlet');
  expect(then('outlet', 'peak')).toBeCloseTo(judged?.pressure.getsPa as number, 6);
  const entry = (of: 'pressure-static' | 'pressure-flowing') =>
    expectReadings(plan, {
      stageId: 'gauge',
      readings: [{ of, value: 7e5 }],
      instrument: 'good',
      intakeTemperatureC: null,
      intakeRelativeHumidity: null,
    })[0];
  expect(entry('pressure-static')?.value).toBe(then('gauge', 'rest'));
  const flowing = entry('pressure-flowing');
  expect(flowing?.value).toBeCloseTo(then('gauge', 'usual'), 3);
  expect(flowing?.low).toBeLessThan(then('gauge', 'peak'));
  expect(flowing?.high).toBeGreaterThan(8.3e5 - 1);
  const shown = shownBy(plan, walk(plan), stageById(plan, 'gauge') as never);
  expect(shown.slice(0, 3).map((s) => s.value)).toEqual([
    then('gauge', 'rest'),
    then('gauge', 'usual'),
    then('gauge', 'peak'),
  ]);
});

test('the usual flow of two jobs is the mean while any of them is in use (by hand: q·s over 1 − ½·½)', () => {
  const two = planOf(
    {},
    stageOf('outlet', { flowM3PerS: 0.01, usedShare: 0.5 }, 'a'),
    stageOf('outlet', { flowM3PerS: 0.02, usedShare: 0.5 }, 'b'),
  );
  const asks = usualAsks(two);
  expect(two.stages.map(asks).slice(2)).toEqual([0.005 / 0.75, 0.01 / 0.75]);
});

test('downstream of a regulator nothing at rest is over its setting', () => {
  const set = planOf(
    { pressurePa: 8e5 },
    stageOf('receiver'),
    stageOf('regulator', { setPressurePa: 6e5 }),
    stageOf('outlet'),
  );
  expect(pressureAt(set, 'outlet', 'rest')).toMatchObject({ pressurePa: 6e5, highPa: 6e5 });
});
