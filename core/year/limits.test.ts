import { winterList } from '../drains/winter';
import { DEW_POINT, KEPT } from '../line/section';
import { all, behind, but, goodShop, without } from '../test/good-lines';
import { stageOf } from '../test/plan-of';
import { steady } from '../test/synthetic-year';
import { throughYear } from './at-hour';
import { nearestYear, warmHoursOf } from './nearest-year';
import { EpwReader } from './read-epw';
import { runWeather, type WeatherRun } from './run-weather';
import { airOfReadings, type Sample } from './sample';
import { forecastOf } from './week-of-samples';
import { YearCollector } from './year-of-samples';

// Limits of the winter list from both sides, in the units of the trade handbook (winterising), °F there.
const F = (f: number): number => (f - 32) / 1.8;
const HOURS = 24;

const plan = all(
  goodShop(),
  without('receiver'),
  behind(
    'fine',
    stageOf('bowl-filter', {}, 'bowl'),
    stageOf('pellet-tower', {}, 'tower'),
    stageOf('pipe', {}, 'pipe'),
    stageOf('water-cooler', {}, 'water-cooler'),
  ),
);
const ran = runWeather(plan, steady(20, 0.6, HOURS), { startMs: Date.UTC(2026, 0, 5) }) as WeatherRun;
const TEMPERATURE = 0;

/** What a day says of a stage that stands at one temperature, with its outlet and dew point as given. */
function says(id: string, roomC: number, outC = 30, dewC = 20): string[] {
  const figures = ran.figures.slice();
  for (let i = 0; i < figures.length; i += KEPT) {
    figures[i + TEMPERATURE] = outC;
    figures[i + DEW_POINT] = dewC;
  }
  const run = { ...ran, figures, roomC: new Float32Array(ran.roomC.length).fill(roomC) };
  return winterList(plan, run)
    .filter((item) => item.stage.id === id)
    .map((item) => `${item.does}, ${item.hours} h`);
}

test.each([
  ['bowl', 'drain down', 32, 'plastic is brittle'],
  ['refrigerated-dryer', 'move', 40, 'the least room of a refrigerated dryer'],
  ['water-cooler', 'drain down', 35, 'its water'],
  ['tower', 'trace', -5.98, 'brine of rock salt'],
])('%s: %s under %s °F (%s)', (id, does, limitF) => {
  const said = `${does}, ${HOURS} h`;
  expect(says(id, F(limitF) - 0.1)).toContain(said);
  expect(says(id, F(limitF) + 0.1)).not.toContain(said);
});

test('a cooler is watched under 20 °F in its room and 40 °F downstream of it, not under one of them alone', () => {
  expect(says('aftercooler', F(20) - 0.1, F(40) - 0.1)).toEqual([`watch, ${HOURS} h`]);
  expect(says('aftercooler', F(20) + 0.1, F(40) - 0.1)).toEqual([]);
  expect(says('aftercooler', F(20) - 0.1, F(40) + 0.1)).toEqual([]);
});

test('a pipe in frost wants a dew point 18 °F (10 K) below it (ISA-7.0.01, recalled)', () => {
  expect(says('pipe', -5, 0, -5 - 18 / 1.8 + 0.1)).toEqual([`drain down, ${HOURS} h`]);
  expect(says('pipe', -5, 0, -5 - 18 / 1.8 - 0.1)).toEqual([]);
  expect(says('pipe', -0.1, 0, 5)).toEqual([`drain down, ${HOURS} h`]);
  expect(says('pipe', 0.1, 0, 5)).toEqual([]);
});

describe('what is read of the weather', () => {
  const START = Date.UTC(2026, 0, 5);
  const NONE = Number.NaN;
  /** Hours after the start, 10 °C warmer at noon than at midnight. */
  const sampleAt = (hour: number): Sample => {
    const t = new Date(START + hour * 3_600_000);
    const clock = t.getUTCHours();
    return {
      row: hour + 1,
      year: t.getUTCFullYear(),
      month: t.getUTCMonth(),
      day: t.getUTCDate(),
      hour: clock,
      minute: t.getUTCMinutes(),
      temperatureC: 10 - 5 * Math.cos((clock * Math.PI) / 12),
      relativeHumidity: 0.6,
    };
  };
  const says = (what: () => unknown): string => {
    try {
      what();
      return 'taken';
    } catch (e) {
      return (e as Error).message;
    }
  };

  test('a humidity up to 110 % is fog, and so is a dew point up to 1 K over the temperature', () => {
    const air = (relativeHumidity: number, dewPointC = NONE) =>
      airOfReadings({ temperatureC: 10, relativeHumidity, dewPointC });
    expect([air(1.1), air(1.11)]).toEqual([
      { temperatureC: 10, relativeHumidity: 1, corrected: expect.any(String) },
      '111 % is no humidity',
    ]);
    expect([air(NONE, 10.99), air(NONE, 11.01)]).toEqual([{ temperatureC: 10, relativeHumidity: 1 }, 'no humidity']);
  });

  test('a row of a weather file has nine fields at least: up to the humidity', () => {
    const row = '2001,1,1,1,60,synthetic,6.9,0.9,66'.split(',');
    expect(new EpwReader().row(row, 9)).toMatchObject({ temperatureC: 6.9 });
    expect(new EpwReader().row(row.slice(0, 8), 9)).toBe('only 8 fields');
  });

  test('a forecast is of a day at least, with steps of at most twelve hours', () => {
    const forecast = (hours: readonly number[]) => says(() => forecastOf(hours.map(sampleAt), START));
    const day = Array.from({ length: 24 }, (_, h) => h);
    expect([forecast(day), forecast(day.slice(1))]).toEqual(['taken', expect.stringContaining('It covers 23 h')]);
    expect(forecast([...day, 35])).toBe('taken');
    expect(forecast([...day, 35.1])).toContain('12 h without a forecast');
  });

  test('of a year a tenth may be missing; of what is told of its rows, forty notes are kept', () => {
    const year = (left: number, noted = 0) => {
      const collector = new YearCollector();
      const first = Math.ceil((8760 - left) / 2);
      for (let h = 0; h < 8760; h++) {
        const t = new Date(Date.UTC(2026, 0, 1) + h * 3_600_000);
        if (h < first || h >= first + left) collector.add(sampleAt((t.getTime() - START) / 3_600_000));
      }
      for (let i = 0; i < noted; i++) collector.note(i, 'said');
      return collector.finish();
    };
    expect([says(() => year(876)), says(() => year(877))]).toEqual([
      'taken',
      expect.stringContaining('877 of the 8760'),
    ]);
    expect([39, 40, 41].map((n) => year(0, n).notes.notes.length)).toEqual([39, 40, 40]);
  });

  test('up to six hours are filled along a straight line, more by the same hours of the days round them', () => {
    const noon = (gap: number) => {
      const collector = new YearCollector();
      for (let h = 0; h < 8760; h++) {
        const at = h - 96 - 4; // hours from 9:00 on the fifth day on
        if (at < 5 || at >= 5 + gap) collector.add(sampleAt(h - 96));
      }
      return collector.finish().hours.temperatureC[96 + 12] as number;
    };
    // From 8:00 to 15:00 the straight line never comes to the warmth of noon.
    expect([noon(6) < 14.9, noon(7)]).toEqual([true, 15]);
  });

  test('a warm day is what 2 % of the hours exceed: of 1000 hours the 21st warmest', () => {
    const hot = (hours: number) => ({
      warm: warmHoursOf({
        temperatureC: Array.from({ length: 1000 }, (_, h) => (h < hours ? 27 : 10)),
        relativeHumidity: Array(1000).fill(0.5),
      }),
    });
    const [twenty, twentyOne] = [hot(20), hot(21)];
    expect(nearestYear([twenty, twentyOne], { temperatureC: 27, relativeHumidity: 0.5 })).toBe(twentyOne);
  });

  test('a temperature read downstream of a tank counts as its heat loss, up to 50 W/(m²·K) of it', () => {
    const loss = (outletTemperatureC: number) => {
      const read = all(
        goodShop(),
        without('aftercooler'),
        but('receiver', { method: 'measured', outletTemperatureC, volumeM3: 0.1 }),
      );
      const tank = throughYear(read).stages.find((s) => s.id === 'receiver');
      return tank?.kind === 'receiver' ? tank.parameters.heatLossWPerM2K : Number.NaN;
    };
    let [kept, left] = [100, 24.01];
    for (let i = 0; i < 40; i++) {
      const middle = (kept + left) / 2;
      if (loss(middle) === loss(24.01)) left = middle;
      else kept = middle;
    }
    expect(loss(kept)).toBeCloseTo(50, 1);
  });
});
