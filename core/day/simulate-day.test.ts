import fc from 'fast-check';
import { shownBy } from '../line/explain';
import { walk } from '../line/walk';
import { newStage, setParameter } from '../plan/edit';
import type { Plan, Stage } from '../plan/plan';
import { allStages } from '../plan/runs';
import { planOf } from '../test/plan-of';
import { compressorCycle, receiverTimeS } from './cycle';
import { judgeDay, longBlast } from './judge-day';
import { simulateDay } from './simulate-day';
import { busyness, isInUse, usesOf } from './uses';

type Changes = Record<string, number | string>;
const of = <K extends Stage['kind']>(kind: K, id: string, changes: Changes = {}): Stage => {
  const fresh = newStage(kind, id);
  return { ...fresh, parameters: { ...fresh.parameters, ...changes } } as Stage;
};
const BAND = { cutInPa: 8e5, cutOutPa: 10e5, freeAirDeliveryM3PerS: 0.01 };
const VOLUME = 0.3;
const HOURS = 8;
/** The last second of work. */
const END = HOURS * 3600 - 1;

/** A compressor, a cooler, a trap, a tank and one job that blows all the time at a share of what the compressor gives. */
function shop(share: number, { compressor = {}, trap = {}, tank = {}, job = {} }: Record<string, Changes> = {}): Plan {
  const plan = planOf(
    { flowM3PerS: 0.01, relativeHumidity: 0.6, temperatureC: 27 },
    of('aftercooler', 'cooler'),
    of('separator', 'trap', trap),
    of('receiver', 'tank', { volumeM3: VOLUME, ...tank }),
    of('outlet', 'job', { flowM3PerS: 0.01 * share, usedShare: 1, useLastsS: 3600, leastPressurePa: 5e5, ...job }),
  );
  const [, second] = plan.stages as [Stage, Stage];
  const changed = Object.entries({ ...BAND, ...compressor }).reduce(
    (p, [f, v]) => setParameter(p, second.id, f, v),
    plan,
  );
  return {
    ...changed,
    survey: {
      ...changed.survey,
      working: { ...changed.survey.working, startsAtH: 0, endsAtH: HOURS, loadedShare: share },
    },
  };
}
const dayOf = (plan: Plan) => {
  const day = simulateDay(plan);
  if (!day) throw new Error('no day');
  return day;
};
const names = (plan: Plan): string[] => judgeDay(plan, dayOf(plan)).map((r) => `${r.stageId}: ${r.what.name}`);

describe('a day at constant demand', () => {
  // Compared with the closed formulas of the isothermal cycle (reference group 7), which know no vapour, no warm tank.
  test.each([0.2, 0.5, 0.8])('cycles as the formulas say at %d of the delivery', (share) => {
    const plan = shop(share, {
      compressor: { dischargeSpaceM3: 0 },
      tank: { method: 'measured', outletTemperatureC: 27 },
    });
    const dry = allStages(plan).reduce(
      (p, s) => ('airSpaceM3' in s.parameters ? setParameter(p, s.id, 'airSpaceM3', 0) : p),
      plan,
    );
    const [compressor] = dayOf(dry).compressors;
    const formula = compressorCycle(VOLUME, 8e5, 10e5, 0.01, 0.01 * share, 101325);
    expect((compressor?.loads ?? 0) / HOURS / formula.startsPerHour).toBeCloseTo(1, 1);
    expect((compressor?.loadedS ?? 0) / END).toBeCloseTo(share, 1);
  });

  test('air and water balance over the day, whatever the line', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.05, max: 1.4, noNaN: true }), fc.boolean(), (share, depressurised) => {
        const plan = shop(share);
        const working = {
          ...plan.survey.working,
          overnight: depressurised ? 'depressurised' : 'charged',
          startsAtH: 8,
          endsAtH: 16,
        } as const;
        const day = dayOf({ ...plan, survey: { ...plan.survey, working } });
        const tank = day.points.find((p) => p.stageId === 'tank');
        const { airInKg, airOutKg, airHeldKg, waterInKg, waterOutKg, waterHeldKg } = day.totals;
        expect(airHeldKg.atDawn + airInKg - airOutKg - airHeldKg.atDusk).toBeCloseTo(0, 9);
        const fell = tank?.caughtKg ?? 0;
        expect(waterHeldKg.atDawn + waterInKg - waterOutKg - fell - waterHeldKg.atDusk).toBeCloseTo(0, 9);
        expect(tank?.caughtKg).toBeCloseTo((tank?.drainedKg ?? 0) + (tank?.heelKg ?? 0), 9);
      }),
      { numRuns: 6 },
    );
  });

  test('water of the day agrees with the steady walk × loaded hours', () => {
    const plan = shop(0.5, { trap: { drain: 'float' }, tank: { method: 'measured', outletTemperatureC: 30 } });
    const day = dayOf(plan);
    const hours = (day.compressors[0]?.loadedS ?? 0) / 3600;
    const steady = (walk(plan).at('trap')?.caughtKgPerS ?? 0) * 3600;
    const caught = day.points.find((p) => p.stageId === 'trap')?.caughtKg ?? 0;
    expect(caught / (steady * hours)).toBeCloseTo(1, 1);
    // The tank settles where it was measured.
    expect(day.temperatureC[END]).toBeCloseTo(30, 0);
  });
});

test('the tank warms as the compressor works harder, and takes some half an hour to do so (common practice: 10–30 min)', () => {
  const at = (share: number) => dayOf(shop(share)).temperatureC;
  const [light, hard] = [at(0.2), at(0.8)];
  expect(hard[END]).toBeGreaterThan((light[END] as number) + 1);
  const end = hard[END] as number;
  const reached = hard.findIndex((t) => t > 27 + 0.632 * (end - 27));
  expect(reached / 60).toBeGreaterThan(8);
  expect(reached / 60).toBeLessThan(50);
});

describe('how a compressor is controlled', () => {
  const compressorOf = (control: string, share = 0.5) => dayOf(shop(share, { compressor: { control } })).compressors[0];
  test('start and stop, run on unloaded, unload and stop, variable speed', () => {
    const [stop, on, runOn, speed] = ['start-stop', 'unload', 'run-on', 'speed'].map((c) => compressorOf(c));
    expect(stop?.starts).toBe(stop?.loads);
    expect(on?.starts).toBe(1);
    expect(on?.loads).toBeGreaterThan(30);
    expect((on?.loadedS ?? 0) + (on?.unloadedS ?? 0)).toBeGreaterThanOrEqual(END);
    expect(runOn?.starts).toBeLessThan(stop?.starts ?? 0); // each rest is shorter than what it runs on
    expect(speed?.loads).toBeLessThan(5); // follows the demand without a rest
    expect(compressorOf('speed', 0.1)?.loads).toBeGreaterThan(8); // below its slowest speed it has to stop
  });

  test('variable speed holds the middle of the band', () => {
    const { pressurePa } = dayOf(shop(0.6, { compressor: { control: 'speed' } }));
    for (const h of [2, 5, 7]) expect((pressurePa[h * 3600] as number) / 9e5).toBeCloseTo(1, 2);
  });
});

describe('drains open by what opens them', () => {
  const trap = (changes: Changes, compressor: Changes = {}) =>
    dayOf(shop(0.5, { trap: changes, compressor })).points.find((p) => p.stageId === 'trap');
  test('the unloader blows out a trap upstream of the check valve at each stop, and never if the compressor never rests', () => {
    const blown = trap({ drain: 'unloader' });
    expect(blown?.openings).toBeGreaterThan(30);
    expect(blown?.heelKg).toBeLessThan(0.05);
    const never = shop(1.2, { trap: { drain: 'unloader' } });
    expect(names(never)).toContain('trap: never-rests');
  });

  test('a pulse that is too small lets the sump fill, and the tank gets the water', () => {
    const plan = shop(0.5, { tank: { drain: 'unloader', drainPulseM3: 1e-6, sumpM3: 2e-4 } });
    expect(names(plan)).toContain('tank: pulse-too-small');
    const enough = shop(0.5, { tank: { drain: 'unloader', drainPulseM3: 1e-4 } });
    expect(names(enough).filter((n) => n.startsWith('tank'))).toEqual([]);
  });

  test('a catch pan has a capacity too: it runs over once as much has been let out as it holds', () => {
    const plan = shop(0.5, { trap: { drain: 'float', panM3: 2e-4 } });
    expect(names(plan)).toContain('trap: pan-over');
    const [point] = dayOf(plan).points;
    const steadyKgPerS = (walk(plan).at('trap')?.caughtKgPerS ?? 0) * 0.5; // loaded half of the time
    expect((point?.panOverAtS ?? 0) / (0.2 / steadyKgPerS)).toBeCloseTo(1, 0);
    const shown = shownBy(plan, walk(plan), allStages(plan).find((s) => s.id === 'trap') as Stage);
    expect(shown[0]?.value).toBeCloseTo(0.2 / (2 * steadyKgPerS), 6);
    expect(names(shop(0.5, { trap: { drain: 'float', panM3: 0.05 } }))).not.toContain('trap: pan-over');
  });

  test('a full trap carries its water on to the tank', () => {
    const full = dayOf(shop(0.5, { trap: { drain: 'manual', sumpM3: 1e-5 } }));
    const kept = dayOf(shop(0.5, { trap: { drain: 'float' } }));
    const tank = (d: typeof full) => d.points.find((p) => p.stageId === 'tank')?.caughtKg ?? 0;
    expect(full.points[0]?.fullAtS).toBeGreaterThan(0);
    expect(tank(full)).toBeGreaterThan(3 * tank(kept));
  });

  test('one that opens only on loss of pressure stays shut in a line that stays charged, and its stage catches nothing', () => {
    const plan = shop(0.5, { trap: { drain: 'pressure-loss' } });
    expect(names(plan)).toContain('trap: never-depressurised');
    expect(walk(plan).at('trap')?.caughtKgPerS).toBe(0);
    const working = { ...plan.survey.working, overnight: 'depressurised' } as const;
    expect(walk({ ...plan, survey: { ...plan.survey, working } }).at('trap')?.caughtKgPerS).toBeGreaterThan(0);
  });
});

describe('what is said of a day', () => {
  const CASES: [string, Plan, string][] = [
    ['a motor that starts too often', shop(0.5, { tank: { volumeM3: 0.03 } }), 'compressor: too-many-starts'],
    ['a compressor beyond its duty', shop(0.8), 'compressor: over-duty'],
    ['demand beyond delivery for ever', shop(1.5), 'compressor: cannot-keep-up'],
    ['a tank too small', shop(0.5, { tank: { volumeM3: 0.004 } }), 'tank: small-receiver'],
    [
      'a tank of a lake',
      shop(0.5, { tank: { volumeM3: 20 }, compressor: { freeAirDeliveryM3PerS: 0.001 } }),
      'tank: lake',
    ],
    [
      'an unloader with too much to blow off',
      shop(0.5, { compressor: { dischargeSpaceM3: 0.05 } }),
      'compressor: long-hiss',
    ],
    ['a job that gets too little pressure', shop(0.5, { job: { leastPressurePa: 9e5 } }), 'job: too-low'],
  ];
  test.each(CASES)('%s', (_, plan, name) => {
    const [stage, what] = name.split(': ');
    const kind = stage === 'compressor' ? plan.stages[1]?.id : stage;
    expect(names(plan)).toContain(`${kind}: ${what}`);
  });
  test('nothing of a day that is well', () => {
    expect(
      names(shop(0.5, { trap: { drain: 'float' }, tank: { volumeM3: 1 }, compressor: { dutyLimit: 0.6 } })),
    ).toEqual([]);
  });
  test('a line without a receiver has no day', () => {
    const plan = shop(0.5);
    expect(simulateDay({ ...plan, stages: plan.stages.filter((s) => s.kind !== 'receiver') })).toBeUndefined();
  });
});

test('uses fill their share of each working hour, more in a busy one; those that take turns never meet', () => {
  const base = shop(0.5);
  const stages = [
    ...base.stages.slice(0, -1),
    of('outlet', 'a', { usedShare: 0.3, useLastsS: 90, turns: 'a' }),
    of('outlet', 'b', { usedShare: 0.4, useLastsS: 200, turns: 'a' }),
    of('outlet', 'c', { usedShare: 0.2 }),
  ];
  const busyByHour = Array.from({ length: 24 }, (_, h) => (h === 10 ? 2 : 1));
  const working = { ...base.survey.working, startsAtH: 8, endsAtH: 16, busyByHour };
  const plan = { ...base, stages, survey: { ...base.survey, working } };
  const uses = usesOf(plan);
  const [a, b, c] = uses as [(typeof uses)[0], (typeof uses)[0], (typeof uses)[0]];
  const share = (use: typeof a, from: number, to: number) => {
    let on = 0;
    for (let s = from * 3600; s < to * 3600; s++) if (isInUse(use, s)) on++;
    return on / ((to - from) * 3600);
  };
  expect(share(c, 8, 16)).toBeCloseTo(0.2, 1);
  expect(share(c, 10, 11)).toBeGreaterThan(1.5 * share(c, 9, 10));
  expect(share(c, 17, 20)).toBe(0);
  const even = {
    ...plan,
    survey: { ...plan.survey, working: { ...working, busyByHour: undefined } },
  } as unknown as Plan;
  const [x, y] = usesOf(even) as [typeof a, typeof a];
  const seconds = Array.from({ length: 8 * 3600 }, (_, s) => 8 * 3600 + s);
  expect(seconds.filter((s) => isInUse(x, s) && isInUse(y, s))).toEqual([]);
  expect(busyness(working).reduce((sum, v) => sum + v, 0)).toBeCloseTo(8, 9);
  expect([a.stageId, b.stageId]).toEqual(['a', 'b']);
});

test('a long blast lasts as long as the receiver carries it', () => {
  // 300 L from 10 to 8 bar alone at 20 L/s, then to 5 with the compressor’s 10 L/s: formulas of reference group 7.
  const blast = longBlast(BAND, VOLUME, 0.02, 5e5, 101325);
  expect(blast.holdsS).toBeCloseTo((VOLUME * 2e5) / (101325 * 0.02) + (VOLUME * 3e5) / (101325 * 0.01), 6);
  expect(blast.recoversS).toBeCloseTo(receiverTimeS(VOLUME, 5e5, 10e5, 0.01, 101325), 6);
  expect(longBlast(BAND, VOLUME, 0.005, 5e5, 101325).holdsS).toBe(Number.POSITIVE_INFINITY);
});

test('an unloader may hiss for 20 s, as common practice has it: a fifth of a second decides', () => {
  const hiss = (dischargeSpaceM3: number) => {
    const plan = shop(0.5, { compressor: { dischargeSpaceM3 } });
    const seconds = dayOf(plan).compressors[0]?.blowOff?.seconds ?? 0;
    return { seconds, said: names(plan).includes('compressor: long-hiss') };
  };
  // The time is in proportion to all the space upstream of the check valve.
  const [a, b] = [hiss(0.01).seconds, hiss(0.05).seconds];
  const spaceFor = (seconds: number): number => 0.01 + (0.04 * (seconds - a)) / (b - a);
  expect([hiss(spaceFor(19.8)).said, hiss(spaceFor(20.2)).said]).toEqual([false, true]);
});

test('fallen behind are compressors that run for ten minutes 1 % under their cut-in, and nothing shorter or nearer', () => {
  const plan = shop(1.5);
  const day = dayOf(plan);
  const compressor = plan.stages[1] as Extract<Stage, { kind: 'compressor' }>;
  const behind = (seconds: number, ofCutIn: number) => {
    const within = (_: number, s: number) => s >= 36_000 && s < 36_000 + seconds;
    const loaded = day.loaded.map((_, s) => (within(_, s) ? 1 : 0));
    const pressurePa = day.pressurePa.map((_, s) => compressor.parameters.cutInPa * (within(_, s) ? ofCutIn : 1.1));
    const demandM3PerS = day.demandM3PerS.map(() => 2 * compressor.parameters.freeAirDeliveryM3PerS);
    return judgeDay(plan, { ...day, loaded, pressurePa, demandM3PerS }).some((r) => r.what.name === 'cannot-keep-up');
  };
  expect([behind(595, 0.9), behind(605, 0.9)]).toEqual([false, true]);
  expect([behind(3600, 0.991), behind(3600, 0.989)]).toEqual([false, true]);
});
