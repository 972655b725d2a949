import { setParameter } from '../plan/edit';
import type { Plan, Stage } from '../plan/plan';
import { planOf, stageOf } from '../test/plan-of';
import { stretchesTo } from './gauge-readings';
import { type WorstMoment, worstMoments } from './peak-pressure';

const gauge = (id: string): Stage => stageOf('gauge', { read: 'yes', classShare: 0.01, rangePa: 16e5 }, id);
const line = (between: Stage): Plan =>
  planOf(
    { pressurePa: 8e5, flowM3PerS: 0.01, temperatureC: 20 },
    stageOf('receiver', { method: 'measured', outletTemperatureC: 20 }),
    gauge('one'),
    between,
    gauge('two'),
    stageOf('outlet', { flowM3PerS: 0.01, usedShare: 0.5 }),
  );
const pipe = stageOf('pipe', { size: '1/2', lengthM: 40 }, 'pipe');

/** The readings of a line as a person takes them: as it computes, with more lost in between, and gauges that are off. */
function read(plan: Plan, more: number, off: { one: number; two: number } = { one: 0, two: 0 }): Plan {
  const { section } = worstMoments(plan).get('outlet') as WorstMoment;
  const rest = 8e5;
  const flowing = { one: section.at('one')?.pressurePa ?? 0, two: (section.at('two')?.pressurePa ?? 0) - more };
  return (['one', 'two'] as const).reduce(
    (p, id) =>
      setParameter(
        setParameter(p, id, 'readStaticPa', rest + off[id]),
        id,
        'readFlowingPa',
        flowing[id] + rest - (section.at('one')?.pressurePa ?? 0) + off[id],
      ),
    plan,
  );
}

test('readings as computed agree, also with a gauge that is off by as much in both states', () => {
  expect(stretchesTo(read(line(pipe), 0), 'outlet')).toMatchObject([{ from: expect.any(String), verdict: 'agrees' }]);
  expect(stretchesTo(read(line(pipe), 0, { one: 0, two: -3e4 }), 'outlet')[0]?.verdict).toBe('agrees');
});

test('a half-shut valve in between shows as more than the numbers, and where to look', () => {
  const [stretch] = stretchesTo(read(line(pipe), 5e4), 'outlet');
  expect(stretch).toMatchObject({ verdict: 'more', largest: expect.any(String) });
  expect((stretch?.measuredPa ?? 0) - (stretch?.computedPa ?? 0)).toBeCloseTo(5e4, 0);
});

test('less than computed is named too; over a regulator nothing is said; one gauge says nothing', () => {
  expect(stretchesTo(read(line(pipe), -3e4), 'outlet')[0]?.verdict).toBe('less');
  expect(stretchesTo(read(line(stageOf('regulator', { setPressurePa: 6e5 })), 0), 'outlet')).toEqual([]);
  expect(stretchesTo(setParameter(line(pipe), 'two', 'read', 'no'), 'outlet')).toEqual([]);
});
