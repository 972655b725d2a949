import { addBranch, insertStage, setParameter } from '../line/edit';
import { judgeOutlets } from '../line/judge-outlet';
import type { Plan, Stage } from '../line/plan';
import { walk } from '../line/walk';
import { planOf, stageOf } from '../test/reference';
import { coincidentPeak, demandM3PerS } from './demand';
import { explainPeak, peakPressures } from './peak-pressure';

const CFM = 4.719474e-4;
const PSI = 6894.757;
const outlet = (id: string, cfm: number, more: object = {}): Stage =>
  stageOf('outlet', { flowM3PerS: cfm * CFM, usedShare: 0.2, leastPressurePa: 5e5, ...more }, id);
/** A tank at 7.2 bar, a standard quarter-inch coupler, and jobs behind it. */
const line = (...jobs: Stage[]): Plan =>
  planOf(
    { pressurePa: 7.2e5, flowM3PerS: 10 * CFM, temperatureC: 20 },
    stageOf('receiver', { method: 'measured', outletTemperatureC: 20 }),
    stageOf('coupler', {}),
    ...jobs,
  );
const lost = (plan: Plan, id: string): number => (7.2e5 - (peakPressures(plan).get(id) as number)) / PSI;

test('one 15 cfm tool loses 2–5 psi in a standard quarter-inch coupler (handbook of practice, estimate), however seldom it blows', () => {
  expect(lost(line(outlet('a', 15)), 'a')).toBeCloseTo(3.5, 0);
  expect(lost(line(outlet('a', 15, { usedShare: 0.01 })), 'a')).toBeCloseTo(3.5, 0);
});

test('two at once lose four times as much (turbulent flow); two that are never used together do not', () => {
  const both = line(outlet('a', 7.5), outlet('b', 7.5));
  const turns = line(outlet('a', 7.5, { turns: 'a' }), outlet('b', 7.5, { turns: 'a' }));
  expect(lost(both, 'a') / lost(turns, 'a')).toBeCloseTo(4, 1);
  expect(demandM3PerS(both)).toBeCloseTo(demandM3PerS(turns), 12); // the water does not care
  expect(walk(both).figures).toEqual(walk(turns).figures);
});

test('at its own worst moment an outlet blows itself; beside it the thirstiest of each other group', () => {
  const plan = line(
    outlet('small', 2, { turns: 'a' }),
    outlet('large', 9, { turns: 'a' }),
    outlet('b1', 3, { turns: 'b' }),
    outlet('b2', 4, { turns: 'b' }),
    outlet('never', 50, { usedShare: 0 }),
    outlet('alone', 1),
  );
  const blows = (id: string) => [...coincidentPeak(plan, id).keys()].sort();
  expect(blows('small')).toEqual(['alone', 'b2', 'small']);
  expect(blows('alone')).toEqual(['alone', 'b2', 'large']);
  expect(peakPressures(plan).has('never')).toBe(false);
  expect(explainPeak(plan, 'small', 7e5)).toMatchObject({ note: expect.stringMatching(/only one blows/) });
  const flows = explainPeak(plan, 'small', 7e5).inputs.map((i) => Math.round(i.value / CFM));
  expect(flows.sort()).toEqual([1, 2, 4]);
});

test('a branch loses by its own flow, the main by what both take', () => {
  const base = line(outlet('main-job', 15));
  const plan = insertStage(
    setParameter(
      setParameter(addBranch(base, 'receiver', 'drop', 'bench'), 'bench', 'flowM3PerS', 7.5 * CFM),
      'bench',
      'usedShare',
      0.1,
    ),
    stageOf('coupler', {}, 'drop-coupler'),
    0,
    'drop',
  );
  expect(lost(plan, 'main-job')).toBeCloseTo(3.5, 0);
  expect(lost(plan, 'bench')).toBeCloseTo(3.5 / 4, 1);
});

test('a line that cannot pass so much says so, and the pressure judged is that of the worst moment', () => {
  const hungry = line(outlet('a', 200));
  expect(peakPressures(hungry).get('a')).toBe(0);
  const judged = judgeOutlets(hungry, walk(hungry)).get('a');
  expect(judged?.pressure).toMatchObject({ getsPa: 0, enough: false });
  expect(judgeOutlets(line(outlet('a', 5)), walk(line(outlet('a', 5)))).get('a')?.pressure.enough).toBe(true);
});

test('without a receiver no more flows than the pump gives', () => {
  const bare = planOf(
    { pressurePa: 7.2e5, flowM3PerS: 15 * CFM, temperatureC: 20 },
    stageOf('coupler', {}),
    outlet('a', 60),
  );
  expect(lost(bare, 'a')).toBeCloseTo(3.5, 0);
});
