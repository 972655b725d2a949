import { nearestYear, warmHoursOf } from './nearest-year';

const year = (name: string, warmC: number, rh: number) => ({
  name,
  warm: warmHoursOf({
    // A tenth of the hours are warm, the others cold and dry: only the warm ones count.
    temperatureC: Array.from({ length: 8760 }, (_, h) => (h % 10 === 0 ? warmC : -5)),
    relativeHumidity: Array.from({ length: 8760 }, (_, h) => (h % 10 === 0 ? rh : 0.3)),
  }),
});

test('the nearest year by its warm hours: temperature and dew point both count', () => {
  const years = [year('mild', 20, 0.6), year('warm and dry', 30, 0.2), year('warm and humid', 30, 0.7)];
  expect(nearestYear(years, { temperatureC: 19, relativeHumidity: 0.6 })?.name).toBe('mild');
  expect(nearestYear(years, { temperatureC: 29, relativeHumidity: 0.65 })?.name).toBe('warm and humid');
  expect(nearestYear(years, { temperatureC: 31, relativeHumidity: 0.25 })?.name).toBe('warm and dry');
  expect(nearestYear([], { temperatureC: 31, relativeHumidity: 0.25 })).toBeUndefined();
});

test('warm is what two per cent of the hours exceed', () => {
  const warmFor = (share: number) => ({
    name: `${share}`,
    warm: warmHoursOf({
      temperatureC: Array.from({ length: 8760 }, (_, h) => (h < share * 8760 ? 30 : -5)),
      relativeHumidity: Array(8760).fill(0.5),
    }),
  });
  const nearest = (temperatureC: number) =>
    nearestYear([warmFor(0.0199), warmFor(0.0201)], { temperatureC, relativeHumidity: 0.5 })?.name;
  expect([nearest(30), nearest(-5)]).toEqual(['0.0201', '0.0199']);
});
