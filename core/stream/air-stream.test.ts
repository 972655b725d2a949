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
          const out = bringTo(stream(vapour, liquid), t, p, 'real', 0.4);
          expect(out.vapourKgPerS + out.liquidKgPerS + out.caughtKgPerS + out.frozenKgPerS).toBeCloseTo(
            vapour + liquid,
            12,
          );
          // What arrives is at 40 °C and 8 bar; air that is only warmed or let down keeps what it came with.
          const held = t >= 40 && p <= 8e5 && liquid === 0;
          if (!held) expect(out.vapourKgPerS).toBeLessThanOrEqual(saturatedHumidityRatio(t, p) * (1 + 1e-12));
          expect(Math.min(out.liquidKgPerS, out.caughtKgPerS, out.frozenKgPerS)).toBeGreaterThanOrEqual(0);
        },
      ),
    );
  });

  test('drops evaporate as far as warmer air takes them up (pitfall 11)', () => {
    const wet = bringTo(stream(0.01), 5, 8e5, 'real');
    expect(wet.liquidKgPerS).toBeGreaterThan(0);
    expect(bringTo(wet, 60, 8e5, 'real')).toMatchObject({ vapourKgPerS: 0.01, liquidKgPerS: 0 });
  });

  test('below freezing nothing stays liquid', () => {
    expect(bringTo(stream(0.002, 0.001), -10, 8e5, 'real').liquidKgPerS).toBe(0);
  });
});
