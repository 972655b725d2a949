import fc from 'fast-check';
import { AirStream } from './air-stream';
import { temperatureBehindWallC } from './wall';

const number = (min: number, max: number) => fc.double({ min, max, noNaN: true });
/** Air of 0.01 kg/s, with so much water for each kilogram, in balance at its temperature. */
const streamAt = (t: number, p: number, water: number): AirStream => {
  const air = new AirStream('real', 0.01, 0.01 * water, t + 100, p).bringTo(t, p);
  air.enterStage();
  return air;
};
const any = fc.record({ t: number(1, 150), p: number(2e5, 20e5), water: number(0, 0.06), room: number(1, 45) });

/** The same by very many small steps of constant enthalpy, each losing U·A·(T − room): independent of how it is solved. */
function byManySteps(air: AirStream, wall: number, room: number, steps: number): number {
  const own = air.copy();
  for (let i = 0; i < steps; i++)
    own.bringToEnthalpy(own.enthalpyW - (wall / steps) * (own.temperatureC - room), own.pressurePa);
  return own.temperatureC;
}

test('dry air is one exponential (by hand)', () => {
  const air = streamAt(100, 8e5, 0);
  expect(temperatureBehindWallC(air, 10, 20)).toBeCloseTo(20 + 80 * Math.exp(-10 / (0.01 * 1006)), 9);
});

test('any wall, with what condenses, evaporates or freezes, within 0.05 K of very many small steps', () => {
  fc.assert(
    fc.property(any, number(0.1, 60), ({ t, p, water, room }, wall) => {
      const air = streamAt(t, p, water);
      const own = temperatureBehindWallC(air, wall, room);
      // Richardson: what two step sizes of a method of first order go to.
      const fine = 2 * byManySteps(air, wall, room, 4000) - byManySteps(air, wall, room, 2000);
      expect(Math.abs(own - fine)).toBeLessThan(0.05);
    }),
    { numRuns: 60 },
  );
  for (const wall of [1, 5, 20, 80]) {
    const air = streamAt(30, 8e5, 0.01);
    const end = temperatureBehindWallC(air, wall, -20);
    const fine = 2 * byManySteps(air, wall, -20, 4000) - byManySteps(air, wall, -20, 2000);
    expect(Math.abs(end - fine)).toBeLessThan(0.1); // what freezes leaves at its own moment
  }
});

test('a larger wall never leaves the air farther from the room, nor beyond it', () => {
  fc.assert(
    fc.property(any, number(0.01, 80), number(1.0001, 2), ({ t, p, water, room }, wall, times) => {
      const air = streamAt(t, p, water);
      const [short, long] = [wall, wall * times].map((w) => Math.abs(temperatureBehindWallC(air, w, room) - room));
      expect(long).toBeLessThanOrEqual((short as number) + 1e-9);
      expect((temperatureBehindWallC(air, wall, room) - room) * Math.sign(t - room)).toBeGreaterThanOrEqual(-1e-9);
    }),
    { numRuns: 500 },
  );
});
