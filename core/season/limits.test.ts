import { DEW_POINT, KEPT } from '../line/section';
import { all, behind, goodShop, without } from '../test/good-lines';
import { stageOf } from '../test/reference';
import { steady } from '../test/synthetic-year';
import { runWeather, type WeatherRun } from './run-weather';
import { winterList } from './winter';

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

test('a cooler is watched under 20 °F in its room and 40 °F behind it, not under one of them alone', () => {
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
