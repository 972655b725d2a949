import fc from 'fast-check';
import { saturatedHumidityRatio } from '../air/humidity';
import { AirStream } from './air-stream';

function stream(vapour: number, liquid = 0): AirStream {
  const air = new AirStream('real', 1, vapour, 40, 8e5);
  air.liquidKgPerS = liquid;
  return air;
}

describe('a stream brought to another temperature and pressure', () => {
  test('keeps its water, never holds more vapour than saturation, never has negative drops', () => {
    const share = fc.double({ min: 0, max: 0.05, noNaN: true });
    fc.assert(
      fc.property(
        share,
        share,
        fc.double({ min: -60, max: 180, noNaN: true }),
        fc.double({ min: 1e5, max: 40e5, noNaN: true }),
        (vapour, liquid, t, p) => {
          const out = stream(vapour, liquid).bringTo(t, p).catchDrops(0.4);
          const { vapourKgPerS, liquidKgPerS, caughtKgPerS } = out;
          const frozenKgPerS = out.lost?.frozenKgPerS ?? 0;
          expect(vapourKgPerS + liquidKgPerS + caughtKgPerS + frozenKgPerS).toBeCloseTo(vapour + liquid, 12);
          expect(Math.min(liquidKgPerS, caughtKgPerS, frozenKgPerS)).toBeGreaterThanOrEqual(0);
          // Air without drops that is only warmed or let down keeps what it came with.
          const holds = t >= 40 && p <= 8e5 && liquid === 0;
          if (!holds) expect(vapourKgPerS).toBeLessThanOrEqual(saturatedHumidityRatio(t, p) * (1 + 1e-12));
        },
      ),
    );
  });

  test('drops evaporate as far as warmer air takes them up (pitfall 11)', () => {
    const wet = stream(0.01).bringTo(5, 8e5);
    expect(wet.liquidKgPerS).toBeGreaterThan(0);
    expect(wet.bringTo(60, 8e5)).toMatchObject({ vapourKgPerS: 0.01, liquidKgPerS: 0 });
  });

  test('below freezing nothing stays liquid, and what each stage took out is counted anew', () => {
    const cold = stream(0.002, 0.001).bringTo(-10, 8e5);
    expect(cold.liquidKgPerS).toBe(0);
    expect(cold.lost?.frozenKgPerS).toBeGreaterThan(0);
    cold.enterStage();
    expect(cold.lost).toBeUndefined();
  });
});
