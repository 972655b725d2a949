import fc from 'fast-check';
import { saturatedHumidityRatio } from '../air/humidity';
import { type AirStream, bringTo } from './air-stream';

const stream = (vapour: number, liquid = 0): AirStream => ({
  dryAirKgPerS: 1,
  vapourKgPerS: vapour,
  liquidKgPerS: liquid,
  temperatureC: 40,
  pressurePa: 8e5,
});

describe('a stream brought to another temperature and pressure', () => {
  test('keeps its water, never holds more vapour than saturation, never has negative drops', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 0.05, noNaN: true }),
        fc.double({ min: 0, max: 0.05, noNaN: true }),
        fc.double({ min: -60, max: 180, noNaN: true }),
        fc.double({ min: 1e5, max: 40e5, noNaN: true }),
        (vapour, liquid, t, p) => {
          const { stream: out, frozenKgPerS } = bringTo(stream(vapour, liquid), t, p, 'real');
          expect(out.vapourKgPerS + out.liquidKgPerS + frozenKgPerS).toBeCloseTo(vapour + liquid, 12);
          expect(out.vapourKgPerS).toBeLessThanOrEqual(saturatedHumidityRatio(t, p) * (1 + 1e-12));
          expect(Math.min(out.liquidKgPerS, frozenKgPerS)).toBeGreaterThanOrEqual(0);
        },
      ),
    );
  });

  test('drops evaporate as far as warmer air takes them up (pitfall 11)', () => {
    const wet = bringTo(stream(0.01), 5, 8e5, 'real').stream;
    expect(wet.liquidKgPerS).toBeGreaterThan(0);
    expect(bringTo(wet, 60, 8e5, 'real').stream).toMatchObject({ vapourKgPerS: 0.01, liquidKgPerS: 0 });
  });

  test('below freezing nothing stays liquid', () => {
    expect(bringTo(stream(0.002, 0.001), -10, 8e5, 'real').stream.liquidKgPerS).toBe(0);
  });
});
