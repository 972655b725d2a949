import fc from 'fast-check';
import psychrolib from 'psychrolib';
import { iceEnthalpy } from '../air/enthalpy';
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
          // Air without drops that is only warmed or expanded keeps what it came with.
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

describe('energy of a stream', () => {
  const number = (min: number, max: number) => fc.double({ min, max, noNaN: true });
  const pressure = number(1.2e5, 20e5);
  const any = fc.tuple(number(-40, 120), pressure, number(0, 0.05), number(0, 0.03)).map(([t, p, vapour, liquid]) => {
    const air = stream(vapour, liquid).bringTo(t, p);
    air.enterStage();
    return air;
  });
  /** With what stayed behind as ice. */
  const energyOf = (air: AirStream): number =>
    air.enthalpyW + (air.lost?.frozenKgPerS ?? 0) * iceEnthalpy(air.temperatureC);
  const close = (a: number, b: number): number => Math.abs(a - b) / (1e5 + Math.abs(b));

  test('any change of pressure without heat keeps its enthalpy to 1e-9, and its water', () => {
    fc.assert(
      fc.property(any, number(0.3, 1), (air, share) => {
        const [before, water] = [air.enthalpyW, air.vapourKgPerS + air.liquidKgPerS];
        const [warm, wet] = [air.temperatureC, air.liquidKgPerS > 0];
        air.expandTo(air.pressurePa * share);
        expect(close(energyOf(air), before)).toBeLessThan(1e-9);
        expect(air.vapourKgPerS + air.liquidKgPerS + (air.lost?.frozenKgPerS ?? 0)).toBeCloseTo(water, 12);
        // Drops that evaporate cool it; without drops it keeps its temperature.
        if (wet) expect(air.temperatureC).toBeLessThanOrEqual(warm + 1e-9);
        else expect(air.temperatureC).toBe(warm);
      }),
      { numRuns: 500 },
    );
  });

  test('mixing keeps enthalpy to 1e-9 and lies between the two', () => {
    fc.assert(
      fc.property(any, any, number(0.01, 3), (a, b, times) => {
        b.scale(times);
        const before = a.enthalpyW + b.enthalpyW;
        a.join(b);
        expect(close(energyOf(a), before)).toBeLessThan(1e-9);
      }),
      { numRuns: 500 },
    );
  });

  test('mixed moist air has the enthalpy that psychrolib gives both', () => {
    psychrolib.SetUnitSystem(psychrolib.SI);
    const [warm, cold] = [stream(0.004), new AirStream('real', 2, 0.002, 15, 8e5)];
    const h = psychrolib.GetMoistAirEnthalpy(40, 0.004) + 2 * psychrolib.GetMoistAirEnthalpy(15, 0.001);
    const ratio = 0.006 / 3;
    expect(warm.join(cold).temperatureC).toBeCloseTo((h / 3 - 2501e3 * ratio) / (1006 + 1860 * ratio), 2);
  });

  test('the enthalpy that it has at a temperature brings it to that temperature', () => {
    fc.assert(
      fc.property(any, number(-60, 110), (air, t) => {
        const there = air.copy().bringTo(t, air.pressurePa);
        const back = air.bringToEnthalpy(energyOf(there), there.pressurePa);
        expect(Math.abs(back.temperatureC - t)).toBeLessThan(2e-5);
      }),
      { numRuns: 500 },
    );
  });
});
