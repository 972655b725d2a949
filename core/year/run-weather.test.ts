import psychrolib from 'psychrolib';
import { imbalance, type Section, type Station } from '../line/section';
import { walk } from '../line/walk';
import type { Plan } from '../plan/plan';
import { all, behind, but, goodDry, goodShop, outdoors, place, standingIn, working } from '../test/good-lines';
import { planOf, stageOf } from '../test/plan-of';
import { rawYear, steady } from '../test/synthetic-year';
import { planAtHour, throughYear } from './at-hour';
import { hourAt, hourIndex, YEAR_HOURS } from './calendar';
import { intakeYears } from './intake-worth';
import { yearOfMonths } from './month-means';
import { runWeather, type WeatherRun } from './run-weather';
import { caughtAt, caughtInAll, outletExcess, seriesIds, seriesOf } from './series';
import { dailyKg, designHour, durationCurve, hoursWhen, monthlyKg, totalKg, worstWeek } from './sums';

psychrolib.SetUnitSystem(psychrolib.SI);

const run = (plan: Plan, weather = steady(25, 0.6), basis: 'ideal' | 'real' = 'real'): WeatherRun =>
  runWeather(plan, weather, { year: 2026 }, basis) as WeatherRun;

const APPROACH = 8;
const DRYER_C = 3;
const LINE_PA = 8e5;
const FLOW = 0.01;
const plain = (): Plan =>
  outdoors(
    planOf(
      { flowM3PerS: FLOW, pressurePa: LINE_PA },
      stageOf('aftercooler', { approachK: APPROACH, pressureLossPa: 0 }),
      stageOf('separator', { efficiency: 1, drain: 'level', pressureLossPa: 0 }),
      stageOf('refrigerated-dryer', {
        pressureDewPointC: DRYER_C,
        separatorEfficiency: 1,
        drain: 'level',
        pressureLossPa: 0,
      }),
    ),
  );

describe('the year against psychrolib, hour by hour', () => {
  // Humidity ratios of psychrolib, ideal (no enhancement factor): what cooler and dryer let fall in every hour.
  const raw = rawYear('merrow-delta-humid');
  const rh = raw.dryC.map((c, h) => psychrolib.GetRelHumFromTDewPoint(c, Math.min(c, raw.dewC[h] as number)));
  const year = run(plain(), { temperatureC: raw.dryC, relativeHumidity: rh }, 'ideal');
  const atm = 101325;
  const theirs = raw.dryC.map((c, h) => {
    const w = psychrolib.GetHumRatioFromRelHum(c, rh[h] as number, atm);
    const dry = ((atm - psychrolib.GetVapPresFromHumRatio(w, atm)) * FLOW) / (287.042 * (c + 273.15));
    const cooled = Math.min(w, psychrolib.GetSatHumRatio(c + APPROACH, LINE_PA));
    const dried = Math.min(cooled, psychrolib.GetSatHumRatio(DRYER_C, LINE_PA));
    return { separator: dry * (w - cooled), dryer: dry * (cooled - dried) };
  });

  test.each(['separator', 'refrigerated-dryer'] as const)('%s: every hour, the peak and the year', (id) => {
    const own = caughtAt(year, id);
    const other = theirs.map((t) => (id === 'separator' ? t.separator : t.dryer));
    const most = Math.max(...other);
    // Below freezing psychrolib saturates over ice at the intake, this over water: such hours are held more loosely.
    const worst = (cold: boolean): number =>
      Math.max(
        ...other.map((kg, h) => ((raw.dryC[h] as number) < 0 === cold ? Math.abs((own[h] as number) - kg) / most : 0)),
      );
    expect(worst(false)).toBeLessThan(0.002);
    expect(worst(true)).toBeLessThan(0.01);
    const sum = other.reduce((a, b) => a + b, 0);
    expect(caughtAt(year, id).reduce((a, b) => a + b, 0) / sum).toBeCloseTo(1, 2);
  });

  test('the hours of work are counted by the calendar: nine hours a day, five days a week, 40 % loaded', () => {
    const loaded = year.load.reduce((a, b) => a + b, 0);
    // 2026 begins on a Thursday and has 261 days from Monday to Friday.
    expect(loaded).toBeCloseTo(261 * 9 * 0.4, 3);
    expect(year.load[hourIndex({ month: 0, day: 1, hour: 8 }) as number]).toBeCloseTo(0.4, 6);
    expect(year.load[hourIndex({ month: 0, day: 3, hour: 8 }) as number]).toBe(0); // a Saturday
  });
});

describe('the year and the Line', () => {
  test('an hour of the year is the Line in the air of that hour', () => {
    const plan = outdoors(goodShop());
    const months = Array.from({ length: 12 }, (_, m) => ({
      temperatureC: 10 - 9 * Math.cos((m / 6) * Math.PI),
      swingK: 8,
      relativeHumidity: 0.7,
    }));
    const weather = yearOfMonths(months, 101325);
    const year = run(plan, weather);
    for (const hour of [200, 4300, 8000]) {
      const section = walk(planAtHour(plan, weather, hour));
      expect(imbalance(section.ledger)).toBeLessThan(1e-9);
      for (const s of section.stations) {
        const own = caughtAt(year, s.stageId)[hour] as number;
        expect(own).toBeCloseTo(s.caughtKgPerS, 9);
      }
    }
  });

  test('what was measured downstream of cooler and tank stays what it implies: the same today, cooler in the cold', () => {
    const plan = outdoors(
      planOf(
        { temperatureC: 27, roomC: 27, dischargeC: 120 },
        stageOf('aftercooler', { method: 'measured', outletTemperatureC: 40 }),
        stageOf('receiver', { method: 'measured', outletTemperatureC: 33 }),
      ),
    );
    const [today, then] = [walk(plan), walk(throughYear(plan))];
    for (const id of ['aftercooler', 'receiver'])
      expect(then.at(id)?.temperatureC).toBeCloseTo(today.at(id)?.temperatureC as number, 6);
    const cold = walk(planAtHour(plan, steady(0, 0.8), 100));
    // ε = (120 − 40)/(120 − 27) by hand. The tank’s wall is the same: it loses so much for each kelvin over its room as the
    // air brings, by psychrolib’s enthalpies.
    const cooled = 120 - (80 / 93) * 120;
    expect(cold.at('aftercooler')?.temperatureC).toBeCloseTo(cooled, 6);
    const wall = (section: Section, roomC: number): number => {
      const [comes, goes] = [section.at('aftercooler'), section.at('receiver')] as [Station, Station];
      const heat = (s: Station): number =>
        s.dryAirKgPerS * psychrolib.GetMoistAirEnthalpy(s.temperatureC, s.vapourKgPerS / s.dryAirKgPerS) +
        4186 * s.temperatureC * (s.liquidKgPerS + s.caughtKgPerS);
      return (heat(comes) - heat(goes)) / (goes.temperatureC - roomC);
    };
    expect(wall(cold, 0) / wall(today, 27)).toBeCloseTo(1, 3);
  });

  test('a stage in a place of its own goes with that place; a sheltered one lags, is warmer and heated', () => {
    const weather = {
      temperatureC: Float64Array.from({ length: YEAR_HOURS }, (_, h) => (h < 4000 ? -10 : 20)),
      relativeHumidity: new Float64Array(YEAR_HOURS).fill(0.5),
    };
    const plan = all(outdoors(goodShop()), place('cold', 4), standingIn('fine', 'cold'));
    const sheltered: Plan = {
      ...plan,
      survey: {
        ...plan.survey,
        places: plan.survey.places.map((p) =>
          p.id === 'cold'
            ? { ...p, year: { follows: 'sheltered', lagS: 5 * 3600, warmerK: 5, heatedToC: 8 } as const }
            : p,
        ),
      },
    };
    const year = run(sheltered, weather);
    const i = year.stages.findIndex((s) => s.id === 'fine');
    const room = (h: number): number => year.roomC[h * year.stages.length + i] as number;
    expect(room(3000)).toBe(8); // heated
    expect(room(4000 + 5 - 1)).toBeCloseTo(25 - 30 * Math.exp(-1), 1); // two thirds of the change after its lag
    expect(room(5000)).toBeCloseTo(25, 2);
  });
});

describe('shifts and holidays', () => {
  const at = (month: number, day: number, hour: number): number => hourIndex({ month, day, hour }) as number;

  test('a night shift goes on after midnight, a holiday has none, and nothing counts twice', () => {
    const plan = working({
      days: [1, 2, 3, 4, 5],
      startsAtH: 6,
      endsAtH: 14,
      loadedShare: 0.5,
      shifts: [
        { days: [5], startsAtH: 22, endsAtH: 6 },
        { days: [1], startsAtH: 12, endsAtH: 16 },
      ],
      holidays: [{ from: '12-24', to: '01-02' }],
    })(goodShop());
    const { load } = run(plan, steady(20, 0.5));
    expect(load[at(1, 13, 23)]).toBeCloseTo(0.5, 6); // Friday 13 February 2026, night
    expect(load[at(1, 14, 5)]).toBeCloseTo(0.5, 6); // …and into Saturday
    expect(load[at(1, 14, 6)]).toBe(0);
    expect(load[at(1, 16, 13)]).toBeCloseTo(0.5, 6); // both shifts of a Monday are there: once
    expect(load[at(11, 28, 9)]).toBe(0);
    expect(load[at(0, 2, 9)]).toBe(0);
  });

  test('busy hours load the compressor more, the week as much as before', () => {
    const busyByHour = Array.from({ length: 24 }, (_, h) => (h === 9 ? 2 : 1));
    const sum = (p: Plan): number => run(p, steady(20, 0.5)).load.reduce((a, b) => a + b, 0);
    const plan = working({ loadedShare: 0.3 })(goodShop());
    expect(sum(working({ busyByHour })(plan))).toBeCloseTo(sum(plan), 2);
  });
});

describe('sums', () => {
  const year = run(
    outdoors(goodShop()),
    yearOfMonths(
      Array.from({ length: 12 }, (_, m) => ({
        temperatureC: 12 - 10 * Math.cos((m / 6) * Math.PI),
        swingK: 6,
        relativeHumidity: 0.75,
      })),
      101325,
    ),
  );
  const all = caughtInAll(year);

  test('months and days make the year; the drains make all drains', () => {
    const total = totalKg(all, year.load);
    expect(monthlyKg(all, year.load).reduce((a, b) => a + b, 0)).toBeCloseTo(total, 6);
    expect(dailyKg(all, year.load).reduce((a, b) => a + b, 0)).toBeCloseTo(total, 6);
    const parts = year.stages.reduce((sum, s) => sum + totalKg(caughtAt(year, s.id), year.load), 0);
    expect(parts / total).toBeCloseTo(1, 6);
    expect(hourAt(designHour(all, year.load, 0)?.hour as number).month).toBeGreaterThan(4); // a summer hour
  });

  test('a design hour is exceeded in as many hours as it says, and lies on the duration curve', () => {
    for (const hours of [0, 18, 35, 88]) {
      const d = designHour(all, year.load, hours);
      const over = hoursWhen(year.load, year.hours, (h) => (all[h] as number) > (d?.value as number));
      expect(over.hours).toBe(d?.exceededHours);
      expect(over.hours).toBeLessThanOrEqual(hours);
      expect(durationCurve(all, year.load)[hours]).toBe(d?.value);
    }
  });

  test('the worst week may go round the turn of the year', () => {
    const daily = new Float64Array(365).fill(1);
    for (const d of [363, 364, 0, 1]) daily[d] = 9;
    const { firstDay, sum } = worstWeek(daily);
    expect(sum).toBe(9 * 4 + 3);
    expect((firstDay + 365 - 360) % 365).toBeLessThan(4);
  });

  test('monthly means come back as means, and the swing of a day is as entered', () => {
    const months = Array.from({ length: 12 }, () => ({ temperatureC: 15, swingK: 12, relativeHumidity: 0.6 }));
    const { temperatureC } = yearOfMonths(months, 101325);
    const day = Array.from(temperatureC).slice(24 * 100, 24 * 101);
    expect(Math.max(...day) - Math.min(...day)).toBeCloseTo(12, 6);
    expect(day.reduce((a, b) => a + b, 0) / 24).toBeCloseTo(15, 6);
  });
});

describe('outlets and what may be looked at', () => {
  test('an outlet is out in the hours in which its dew point is above its limit, and only then', () => {
    const weather = {
      temperatureC: Float64Array.from({ length: YEAR_HOURS }, (_, h) => (h < 2000 ? 2 : 30)),
      relativeHumidity: new Float64Array(YEAR_HOURS).fill(0.6),
    };
    const plan = all(outdoors(goodShop()), but('refrigerated-dryer', { method: 'evaporator', coldestC: 2 }));
    const year = run(plan, weather);
    const outlet = plan.stages.find((s) => s.kind === 'outlet');
    if (outlet?.kind !== 'outlet') throw new Error('no outlet');
    const excess = outletExcess(plan, year, outlet);
    const dew = seriesOf(plan, year, { of: 'dew-point', stageId: outlet.id })?.values as Float32Array;
    for (const h of [100, 3000]) expect(excess[h]).toBeCloseTo((dew[h] as number) - outlet.parameters.dewPointC, 4);
  });

  test('every quantity on offer has a number for each hour', () => {
    const plan = outdoors(goodDry());
    const year = run(plan, steady(22, 0.6));
    const ids = seriesIds(plan, year);
    expect(ids.length).toBeGreaterThan(8);
    for (const id of ids) {
      const s = seriesOf(plan, year, id);
      expect(s?.values).toHaveLength(YEAR_HOURS);
      expect(s?.values.some(Number.isNaN)).toBe(false);
    }
    expect(seriesOf(plan, year, { of: 'caught', stageId: 'gone' })).toBeUndefined();
  });

  test('hours in which the line refuses are counted with their reason; the others stand', () => {
    const hot = {
      temperatureC: Float64Array.from({ length: YEAR_HOURS }, (_, h) => (h % 100 === 0 ? 55 : 20)),
      relativeHumidity: new Float64Array(YEAR_HOURS).fill(0.3),
    };
    const plan = outdoors(all(goodShop(), behind('separator', stageOf('pellet-tower'))));
    const year = run(plan, hot);
    expect(year.stopped).toMatchObject({ hours: 88, stageId: 'pellet-tower' });
    expect(Number.isNaN(caughtAt(year, 'receiver')[100])).toBe(true);
    expect(caughtAt(year, 'receiver')[101]).toBeGreaterThanOrEqual(0);
  });

  test('a run can be stopped', () => {
    expect(runWeather(goodShop(), steady(20, 0.5), { year: 2026 }, 'real', (done) => done < 480)).toBeUndefined();
  });
});

test('where the compressor draws in: outdoor moisture indoors is the same water, held air is what it holds (psychrolib)', () => {
  const plan: Plan = {
    ...plain(),
    survey: {
      ...plain().survey,
      places: [
        {
          id: 'in',
          name: 'in',
          temperatureC: 20,
          relativeHumidity: 0.4,
          year: { follows: 'held', lagS: 0, warmerK: 0, heatedToC: 0 },
        },
        {
          id: 'room',
          name: 'room',
          temperatureC: 26,
          relativeHumidity: 0.4,
          year: { follows: 'warm', lagS: 0, warmerK: 0, heatedToC: 0 },
        },
      ],
    },
  };
  const [held, warm] = intakeYears(plan, steady(30, 0.7), 2026);
  const loadedS = 261 * 9 * 0.4 * 3600;
  const kg = (c: number, w: number): number => {
    const dry = ((101325 - psychrolib.GetVapPresFromHumRatio(w, 101325)) * FLOW) / (287.042 * (c + 273.15));
    return dry * w * loadedS;
  };
  expect((held?.waterKg as number) / kg(20, psychrolib.GetHumRatioFromRelHum(20, 0.4, 101325))).toBeCloseTo(1, 2);
  // At 26 °C the outdoor moisture would be fog: it is saturated.
  expect((warm?.waterKg as number) / kg(26, psychrolib.GetHumRatioFromRelHum(26, 0.888, 101325))).toBeCloseTo(1, 2);
  expect(warm?.meanC).toBeCloseTo(26, 6);
});
