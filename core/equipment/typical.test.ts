import { judgeOutlets } from '../line/judge-outlet';
import { walk } from '../line/walk';
import { maintenanceFacts } from '../maintenance/facts';
import { intervalOf } from '../maintenance/interval';
import { tasksOfStages } from '../maintenance/line-tasks';
import { taskById } from '../maintenance/tasks';
import { fittingK } from '../pipe-flow/pipes';
import { newStage } from '../plan/edit';
import type { Plan, Stage } from '../plan/plan';
import { CFM } from '../quantity/constants';
import { planOf, stageOf } from '../test/plan-of';

const celsius = (fahrenheit: number): number => (fahrenheit - 32) / 1.8;

describe('no stage leaves less than the atmosphere', () => {
  const weak = { pressurePa: 1.6e5, flowM3PerS: 0.012, dischargeC: 20 };
  /** What a row of ever wider ones does: refuses by name, or leaves the atmosphere; both happen. */
  const refusals = (what: string, made: (size: number) => Stage): void => {
    const said = new Set<string>();
    for (let i = 1; i < 200; i++) {
      const { problem, stations } = walk(planOf(weak, made(i)));
      if (!problem) expect(stations.at(-1)?.pressurePa).toBeGreaterThanOrEqual(101325);
      else
        expect(problem.message).toContain(
          `this ${what}`.replace('this', problem.message.startsWith('This') ? 'This' : 'this'),
        );
      said.add(problem?.message ?? 'passes');
    }
    expect([...said].some((m) => m.startsWith(`More pressure is lost in this ${what}`))).toBe(true);
    expect(said).toContain('passes');
  };
  test('hose, reel, coupler, valve: each by its name', () => {
    refusals('hose', (i) => stageOf('hose', { lengthM: 30, boreM: 0.005 + i * 1e-4, insertBoreM: 0.1 }));
    refusals('hose', (i) => stageOf('hose-reel', { lengthM: 30, boreM: 0.005 + i * 1e-4, insertBoreM: 0.1 }));
    refusals('coupler', (i) => stageOf('coupler', { type: 'sheet', conductance: 5 + i * 0.05 }));
    refusals('valve', (i) => stageOf('isolating-valve', { passes: 'sheet', conductance: 5 + i * 0.05 }));
  });
  test('a filter at its pressure loss', () => {
    const plan = planOf(weak, stageOf('coalescing-filter', { pressureLossPa: 9e4 }));
    expect(walk(plan).problem).toMatchObject({
      field: 'pressureLossPa',
      message: expect.stringMatching(/pressure loss/),
    });
  });
});

describe('the room counts at the outlet', () => {
  const verdict = (roomC: number, need: 'no-liquid' | 'dew-point', dewC: number) => {
    const plan = planOf(
      { roomC, temperatureC: 32, relativeHumidity: 0.6, dischargeC: 45 },
      stageOf('measured-stage', { temperature: 'measured', outletTemperatureC: dewC }),
      stageOf('measured-stage', { temperature: 'measured', outletTemperatureC: 45, caughtKgPerS: 0 }, 'warm'),
      stageOf('outlet', { need, dewPointC: 39 }),
    );
    // Drops are gone, and the air is warm again: only the room can bring them back.
    const caught = {
      ...plan,
      stages: plan.stages.map((s) =>
        s.id === 'measured-stage' ? ({ ...s, parameters: { ...s.parameters, caughtKgPerS: 0.1 } } as Stage) : s,
      ),
    };
    return judgeOutlets(caught, walk(caught)).get('outlet');
  };
  test('a dew point of 101 °F in a shop of 92 °F is wet, whatever the job asks', () => {
    expect(verdict(celsius(92), 'no-liquid', celsius(101))?.verdict).toBe('fails');
    expect(verdict(celsius(92), 'dew-point', celsius(101))).toMatchObject({
      verdict: 'fails',
      note: expect.stringMatching(/above the room/),
    });
    expect(verdict(celsius(115), 'dew-point', celsius(101))?.verdict).not.toBe('fails');
  });
  test('just at the room it is open, and below it by more than anybody can tell it meets the need', () => {
    expect(verdict(35, 'no-liquid', 35)?.verdict).toBe('open');
    expect(verdict(35, 'no-liquid', 20)?.verdict).toBe('meets');
  });
});

test('a new regulator falls by the typical 10 psi at 15 cfm, so that a second one at the tool holds it steadier', () => {
  const regulator = (id: string, setPressurePa: number): Stage => {
    const fresh = newStage('regulator', id);
    return { ...fresh, parameters: { ...fresh.parameters, setPressurePa } };
  };
  const swing = (...stages: Stage[]): number => {
    const at = (cfm: number) =>
      walk(planOf({ flowM3PerS: cfm * CFM, dischargeC: 20, pressurePa: 9e5 }, ...stages)).stations.at(-1)
        ?.pressurePa as number;
    return at(2) - at(12);
  };
  const hose = stageOf('hose', { lengthM: 15 });
  const far = swing(regulator('wall', 5e5), hose);
  const two = swing(regulator('wall', 7e5), hose, regulator('tool', 4e5));
  expect(swing(regulator('wall', 5e5)) / ((69e3 * 10) / 15)).toBeCloseTo(1, 1); // in proportion to the flow
  expect(two).toBeLessThan(0.8 * far);
});

describe('what holds water or wears out brings its task', () => {
  const tasks = (stage: Stage): string[] =>
    tasksOfStages(planOf({}, stageOf('aftercooler'), stage)).flatMap((c) =>
      c.stage.id === stage.id ? [c.task.id] : [],
    );
  test('drip legs of a pipe, low loops of a hose, of a cooling run without a drain; none without them', () => {
    expect(tasks(stageOf('pipe', { legs: 2 }))).toContain('M02');
    expect(tasks(stageOf('pipe', { legs: 0 }))).toEqual([]);
    expect(tasks(stageOf('hose', { hangs: 'loops' }))).toContain('M41');
    expect(tasks(stageOf('hose', { hangs: 'falls' }))).not.toContain('M41');
    expect(tasks(stageOf('cooling-run', { drain: 'none', legs: 3 }))).toContain('M41');
    expect(tasks(stageOf('cooling-run', { drain: 'manual', legs: 3 }))).not.toContain('M41');
  });

  const days = (plan: Plan, stageId: string, task: string): number => {
    const stage = plan.stages.find((s) => s.id === stageId) as Stage;
    return intervalOf(maintenanceFacts(plan, walk(plan)), stage, taskById(task) as never).days;
  };
  const wet = { temperatureC: 30, relativeHumidity: 0.7, dischargeC: 45 };
  test('gel in a home-made housing that takes hundreds of grams an hour is no yearly task', () => {
    const plan = planOf(
      { ...wet, pressurePa: 8e5 },
      stageOf('aftercooler', { drain: 'float', catchEfficiency: 1 }),
      stageOf('home-made-housing', { spentShare: 0 }),
    );
    const kgPerH = (walk(plan).at('home-made-housing')?.adsorbedKgPerS as number) * 3600;
    expect(kgPerH).toBeGreaterThan(0.1);
    expect(days(plan, 'home-made-housing', 'M22')).toBeLessThan(2);
  });
  test('pellets by the salt that the water dissolves, 0.65 kg a kilogram (trade handbook); less water, longer', () => {
    const plan = (kg: number) =>
      planOf(
        wet,
        stageOf('aftercooler', { drain: 'float', catchEfficiency: 1 }),
        stageOf('pellet-tower', { pelletsKg: kg }),
      );
    expect(days(plan(2), 'pellet-tower', 'M23')).toBeLessThan(30);
    expect(days(plan(4), 'pellet-tower', 'M23')).toBeCloseTo(2 * days(plan(2), 'pellet-tower', 'M23'), 6);
  });
  test('desiccant of towers lasts half where drops reach it', () => {
    const plan = (catchEfficiency: number) =>
      planOf(
        { ...wet, dischargeC: 60 },
        stageOf('aftercooler', { drain: 'float', catchEfficiency }),
        stageOf('coalescing-filter', { efficiency: catchEfficiency, drain: 'float' }),
        stageOf('twin-tower', { ratedFlowM3PerS: 0.02 }),
      );
    expect(days(plan(0), 'twin-tower', 'M20') / days(plan(1), 'twin-tower', 'M20')).toBeCloseTo(0.5, 6);
  });
});

test('fittings that were missing: long-radius elbow 14, ball valve 3, globe valve 340 bores (texts on flow through fittings, recalled)', () => {
  const per = (fitting: Parameters<typeof fittingK>[0]): number =>
    fittingK(fitting, 46e-6, 0.0266) / fittingK('gateValves', 46e-6, 0.0266);
  expect(per('longElbows')).toBeCloseTo(14 / 8, 9);
  expect(per('ballValves')).toBeCloseTo(3 / 8, 9);
  expect(per('globeValves')).toBeCloseTo(340 / 8, 9);
  expect(newStage('pipe', 'p').parameters).toMatchObject({ longElbows: 0, ballValves: 0, globeValves: 0 });
});
