import fc from 'fast-check';
import { iceEnthalpy, moistEnthalpy, waterEnthalpy } from '../air/enthalpy';
import { receiverWallWPerK } from '../equipment/supply/receiver';
import type { Plan, Stage } from '../plan/plan';
import { planOfCheck } from '../test/condensate-check';
import { planOf, stageOf } from '../test/plan-of';
import { type Check, checksOf, expectCheck } from '../test/reference';
import { shownBy } from './explain';
import { humidityAt, imbalance, type Station } from './section';
import { walk } from './walk';
import { waterInPerDayKg } from './working-day';

describe('condensate along a line', () => {
  for (const basis of ['ideal', 'real'] as const)
    test.each(checksOf(6))(`$id, ${basis} ($provenance)`, (check) => {
      const section = walk(planOfCheck(check), basis);
      const suffix = basis === 'real' ? '_real_kg_h' : '_kg_h';
      const { ledger } = section;
      const found: Record<string, number> = {
        dry_air: section.dryAirKgPerS,
        water_in: ledger.waterInKgPerS,
        vapour_out: ledger.vapourOutKgPerS,
        liquid_out: ledger.liquidOutKgPerS,
        total_removed: ledger.caughtKgPerS,
        ...Object.fromEntries(section.stations.map((s) => [`${s.stageId}_removed`, s.caughtKgPerS])),
      };
      const keys = Object.keys(found).filter((k) => k + suffix in check.expected);
      expect(keys.length).toBeGreaterThanOrEqual(5);
      for (const key of keys) expectCheck((found[key] as number) * 3600, check, key + suffix);
    });

  // Pitfall 10, computed: unclamped, the formula gives −2.50 kg/h.
  test('condensate is never negative: 45 °C and 10 %, cooled to 50 °C at 7 bar g', () => {
    const plan = planOf(
      { temperatureC: 45, relativeHumidity: 0.1, flowM3PerS: 10 / 60, pressurePa: 801325, roomC: 20 },
      stageOf('aftercooler', { method: 'measured', outletTemperatureC: 50, drain: 'manual', pressureLossPa: 0 }),
    );
    expect(walk(plan).ledger.caughtKgPerS).toBe(0);
  });

  // Pitfall 3, computed with f = 1: 74.9 % of the water condenses at 7 bar g and 20 °C.
  test('intake humidity is not carried into the line', () => {
    const plan = planOf(
      { temperatureC: 20, relativeHumidity: 0.5, pressurePa: 801325 },
      stageOf('receiver', { method: 'measured', outletTemperatureC: 20, settlingEfficiency: 1 }),
    );
    const section = walk(plan, 'ideal');
    expect(section.ledger.caughtKgPerS / section.ledger.waterInKgPerS).toBeCloseTo(0.749, 3);
    expect(humidityAt(section.stations[2] as never, 20, 801325, 'ideal')).toBeCloseTo(1, 9);
  });

  // Pitfall 8, computed: at 1600 m a dryer at 3 °C and 7 bar g leaves 2.3 % more water per kg of air.
  test('gauge pressure counts from the local barometer', () => {
    const ratio = (atmosphericPa: number) => {
      const s = walk(
        planOf(
          { atmosphericPa, pressurePa: atmosphericPa + 7e5 },
          stageOf('refrigerated-dryer', { pressureDewPointC: 3, separatorEfficiency: 1, pressureLossPa: 0 }),
        ),
        'ideal',
      );
      return s.ledger.vapourOutKgPerS / s.dryAirKgPerS;
    };
    expect(ratio(83524) / ratio(101325)).toBeCloseTo(1.023, 3);
  });

  // Pitfall 16, computed: the 92.0 kg/day of case G06-01 are 4.06 US gal in an 8 h shift at half load.
  test('a day has the hours that are worked, loaded', () => {
    const plan = planOfCheck(checksOf(6)[0] as Check);
    const day = {
      ...plan,
      survey: {
        ...plan.survey,
        working: { ...plan.survey.working, days: [1], startsAtH: 8, endsAtH: 16, loadedShare: 0.5 },
      },
    };
    const section = walk(day, 'ideal');
    const caught = (waterInPerDayKg(section, day) * section.ledger.caughtKgPerS) / section.ledger.waterInKgPerS;
    expect(caught / 3.785412).toBeCloseTo(4.06, 1); // theirs counts water at 0.998 kg/L, ours 1 g as 1 mL
  });
});

describe('laws of every line', () => {
  const number = (min: number, max: number) => fc.double({ min, max, noNaN: true });
  const drain = fc.constantFrom('manual' as const, 'float' as const, 'none' as const);
  const loss = number(0, 3e4);
  const stage = fc.oneof(
    fc
      .record({ approachK: number(0, 40), pressureLossPa: loss, drain, catchEfficiency: number(0, 1) })
      .map((p) => stageOf('aftercooler', p)),
    fc.record({ efficiency: number(0, 1), pressureLossPa: loss, drain }).map((p) => stageOf('separator', p)),
    fc
      .record({ volumeM3: number(0.01, 5), settlingEfficiency: number(0, 1), drain })
      .map((p) => stageOf('receiver', p)),
    fc
      .record({ method: fc.constant('measured' as const), outletTemperatureC: number(-15, 60) })
      .map((p) => stageOf('receiver', p)),
    fc.record({ efficiency: number(0, 1), drain }).map((p) => stageOf('bowl-filter', p)),
    fc.record({ efficiency: number(0, 1), drain }).map((p) => stageOf('coalescing-filter', p)),
    fc
      .record({
        pressureDewPointC: number(0.5, 15),
        separatorEfficiency: number(0, 1),
        reheat: fc.constantFrom('yes' as const, 'no' as const),
        drain,
      })
      .map((p) => stageOf('refrigerated-dryer', p)),
    fc.record({ setPressurePa: number(2e5, 20e5) }).map((p) => stageOf('regulator', p)),
    fc.constant(stageOf('outlet')),
    number(0, 1).map((spentShare) => stageOf('bead-cartridge', { spentShare })),
    number(2, 30).map((suppressionK) => stageOf('pellet-tower', { suppressionK })),
    number(0, 1e-3).map((purgeM3PerS) => stageOf('twin-tower', { purgeM3PerS })),
    number(1, 60).map((lengthM) => stageOf('cooling-run', { lengthM })),
    number(0.5, 4).map((transferUnits) => stageOf('fluid-cooler', { transferUnits })),
  );
  const line = fc.record({
    stages: fc.array(stage, { maxLength: 14 }).map((all) => all.map((s, i) => ({ ...s, id: `s${i}` }))),
    weather: fc.record({
      temperatureC: number(-25, 45),
      relativeHumidity: number(0.05, 1),
      roomC: number(-10, 45),
      atmosphericPa: number(70000, 104000),
      pressurePa: number(6e5, 16e5),
    }),
    basis: fc.constantFrom('real' as const, 'ideal' as const),
  });

  test('the ledger balances to 1e-9, nothing is negative, and no dew point exceeds its air', () => {
    fc.assert(
      fc.property(line, ({ stages, weather, basis }) => {
        const cooled = stageOf('aftercooler', { approachK: 8 }, 'cooler');
        const section = walk(planOf(weather, cooled, ...stages), basis);
        if (section.problem) return; // a stage refused; what is downstream of it is not walked
        expect(imbalance(section.ledger)).toBeLessThan(1e-9);
        for (const s of section.stations.slice(1)) {
          for (const flow of [s.vapourKgPerS, s.liquidKgPerS, s.caughtKgPerS, s.frozenKgPerS])
            expect(flow).toBeGreaterThanOrEqual(0);
          expect(s.pressureDewPointC).toBeLessThan(s.temperatureC + 1e-3);
        }
      }),
      { numRuns: 200 },
    );
  });

  // What is left to the wall is held to very many small steps in core/stream/wall.test.ts.
  test('energy balances to 1e-9: what only loses pressure keeps it, and a vessel gives its wall what it loses', () => {
    const KEEP = ['separator', 'bowl-filter', 'coalescing-filter', 'regulator', 'outlet', 'check-valve'];
    fc.assert(
      fc.property(line, number(0.05, 1), ({ stages, weather, basis }, loadedShare) => {
        const plan = planOf(weather, stageOf('aftercooler', { approachK: 8 }, 'cooler'), ...stages);
        plan.survey.working.loadedShare = loadedShare;
        const { stations, problem } = walk(plan, basis);
        if (problem) return;
        stations.slice(1).forEach((out, i) => {
          const [comes, stage] = [stations[i] as Station, plan.stages[i + 1] as Stage];
          const heat = (s: Station): number =>
            moistEnthalpy(s.dryAirKgPerS, s.vapourKgPerS, s.liquidKgPerS, s.temperatureC);
          const share = out.dryAirKgPerS / comes.dryAirKgPerS; // a job between them takes its air along
          if (share < 1e-3) return; // what is left over the last job is rounding
          const left =
            share * heat(comes) -
            heat(out) -
            out.caughtKgPerS * waterEnthalpy(out.temperatureC) -
            out.frozenKgPerS * iceEnthalpy(out.temperatureC);
          const scale = share * heat(comes) + 1e5 * out.dryAirKgPerS;
          if (KEEP.includes(stage.kind)) expect(Math.abs(left) / scale).toBeLessThan(1e-9);
          if (stage.kind === 'receiver' && stage.parameters.method === 'estimated') {
            const wall = (receiverWallWPerK(stage.parameters) / loadedShare) * (out.temperatureC - weather.roomC);
            expect(Math.abs(left - wall) / scale).toBeLessThan(1e-9);
          }
        });
      }),
      { numRuns: 400 },
    );
  });

  test('pressure never rises downstream of the pump', () => {
    fc.assert(
      fc.property(line, ({ stages, weather, basis }) => {
        const { stations } = walk(planOf(weather, ...stages), basis);
        for (let i = 2; i < stations.length; i++)
          expect(stations[i]?.pressurePa).toBeLessThanOrEqual(stations[i - 1]?.pressurePa as number);
      }),
    );
  });

  test('wetter air brings more water in and catches no less of it', () => {
    fc.assert(
      fc.property(line, number(1.05, 1.5), ({ stages, weather, basis }, k) => {
        fc.pre(weather.relativeHumidity * k <= 1);
        const wetter = walk(planOf({ ...weather, relativeHumidity: weather.relativeHumidity * k }, ...stages), basis);
        const drier = walk(planOf(weather, ...stages), basis);
        expect(wetter.ledger.waterInKgPerS).toBeGreaterThan(drier.ledger.waterInKgPerS);
        expect(wetter.ledger.caughtKgPerS / wetter.dryAirKgPerS).toBeGreaterThanOrEqual(
          drier.ledger.caughtKgPerS / drier.dryAirKgPerS - 1e-12,
        );
      }),
    );
  });

  test('a line that a stage refuses is walked up to it and says why, and never throws', () => {
    const section = walk(
      planOf(
        {},
        stageOf('separator', { pressureLossPa: 3e5 }, 'a'),
        stageOf('separator', { pressureLossPa: 3e5 }, 'b'),
        stageOf('separator', { pressureLossPa: 3e5 }, 'c'),
      ),
    );
    expect(section.problem).toMatchObject({ stageId: 'c', field: 'pressureLossPa' });
    expect(section.stations).toHaveLength(4);
  });
});

describe('a stage stands in a place of its own', () => {
  const main = stageOf('pipe', { size: '2', lengthM: 120, legs: 2 }, 'main');
  const plan = planOf({ roomC: 25, relativeHumidity: 0.7, dischargeC: 25, flowM3PerS: 0.02 }, main);
  const cold = (temperatureC: number, stage: Stage): Plan => ({
    ...plan,
    survey: {
      ...plan.survey,
      places: [...plan.survey.places, { id: 'store', name: 'Cold store', temperatureC, relativeHumidity: 0.5 }],
    },
    stages: [...plan.stages.slice(0, -1), stage],
  });

  test('a pipe through a cold store drops water there; with the place gone it stands where the line does', () => {
    const there = { ...main, place: 'store' } as Stage;
    expect(walk(plan).at('main')?.temperatureC).toBeCloseTo(25, 1);
    const section = walk(cold(4, there));
    expect(section.at('main')?.temperatureC).toBeLessThan(12);
    expect(section.at('main')?.caughtKgPerS).toBeGreaterThan(0);
    expect(imbalance(section.ledger)).toBeLessThan(1e-9);
    expect(walk(cold(4, { ...main, place: 'gone' } as Stage)).at('main')?.temperatureC).toBeCloseTo(25, 1);
  });

  test('below freezing its water stays in it as ice, and the screen says so', () => {
    const frozen = cold(-20, { ...main, place: 'store' } as Stage);
    const section = walk(frozen);
    expect(section.ledger.frozenKgPerS).toBeGreaterThan(0);
    expect(shownBy(frozen, section, frozen.stages.at(-1) as Stage).find((s) => s.label === 'Freezes')?.warns).toBe(
      true,
    );
  });
});
