import { type AirAt, type MoistureReading, moistureAt, vapourFractionOf } from '../air/moisture';
import { bandOf } from '../quantity/derivation';
import { explainMoisture, type MoistureFigure } from './explain-moisture';

const line: AirAt = { temperatureC: 21, pressurePa: 446000 };
const READINGS: MoistureReading[] = [
  { kind: 'relativeHumidity', relativeHumidity: 0.3, at: line },
  { kind: 'pressureDewPoint', dewPointC: 3, convention: 'frost', at: line },
  { kind: 'atmosphericDewPoint', dewPointC: -20, convention: 'water', atmosphericPa: 101325 },
  { kind: 'density', kgPerM3: 5e-3, at: line },
  { kind: 'ppm', ppmByVolume: 800 },
];
const FIGURES: MoistureFigure[] = [
  'frostOrDewPointC',
  'dewPointOverWaterC',
  'relativeHumidity',
  'kgPerM3',
  'humidityRatio',
  'ppmByVolume',
];

test('effects add in quadrature: 80 ± 1 °F and 60 ± 3 % give vapour ± 6 % (trade handbook, worked)', () => {
  const one = bandOf(1, [
    ['temperature', [1.033, 0.967]],
    ['humidity', [1.05, 0.95]],
  ]);
  expect((one.high - one.low) / 4).toBeCloseTo(0.06, 3);
  expect(one.drivers.map((d) => d.label)).toEqual(['humidity', 'temperature']);
});

test.each(READINGS)('a reading of $kind: each answer explains the figure that is shown', (reading) => {
  const at = { temperatureC: 25, pressurePa: 825000 };
  const shown = moistureAt(vapourFractionOf(reading), at);
  for (const figure of FIGURES) {
    const why = explainMoisture(figure, reading, at);
    expect(why?.value).toBeCloseTo((shown[figure] as number) * (figure === 'ppmByVolume' ? 1e-6 : 1), 12);
    expect(why?.band?.low).toBeLessThan(why?.value as number);
    expect(why?.band?.high).toBeGreaterThan(why?.value as number);
    expect(why?.inputs.some((i) => i.from === 'the reading')).toBe(true);
  }
});

test('a sensor of ± 2 K read at the same pressure is ± 4 K, 95 %; outside the equations nothing is said', () => {
  const reading: MoistureReading = { kind: 'pressureDewPoint', dewPointC: 3, convention: 'frost', at: line };
  const why = explainMoisture('frostOrDewPointC', reading, line);
  const dew = why?.band?.drivers.find((d) => d.label === 'dew or frost point');
  expect(dew?.effect).toBeCloseTo(2, 2);
  expect(explainMoisture('relativeHumidity', reading, { ...line, temperatureC: -60 })).toBeUndefined();
});
