import fc from 'fast-check';
import { dairyPlan } from '../../db/dairy';
import { demoPlan } from '../../db/demo';
import { correctedPa, leakM3PerS } from '../day/shut-in';
import { insertStage, newStage, setParameters } from '../plan/edit';
import {
  airVolumesOf,
  judgeLeak,
  type LeakReadings,
  NEW_LINE_PER_HOUR,
  OLD_LINE_GOOD,
  OLD_LINE_MOST,
} from './leak-test';

const plan = demoPlan(); // 0.62 m³/min
const DELIVERY = 0.62 / 60;
const read = (more: Partial<LeakReadings>): LeakReadings => ({
  line: 'new',
  volumeM3: 0.3,
  fromPa: 9e5,
  toPa: 9e5,
  seconds: 4 * 3600,
  gaugeStepPa: 2000,
  ...more,
});

describe('a line that is shut in', () => {
  // By hand: 0.3 m³ from 9 to 8 bar in an hour: 0.3 · 1e5 / (101325 · 3600) = 8.22e-5 m³/s.
  it('loses V·Δp/(p₀·t) at one temperature', () => {
    expect(leakM3PerS({ volumeM3: 0.3, fromPa: 9e5, toPa: 8e5, seconds: 3600, atmosphericPa: 101325 })).toBeCloseTo(
      8.224e-5,
      8,
    );
  });

  // 1 K of 293 K is 0.34 % (ideal gas).
  it('takes a fall of 1 K for no leak', () => {
    const cooled = 9e5 * (292.15 / 293.15);
    expect(1 - cooled / 9e5).toBeCloseTo(0.0034, 4);
    expect(correctedPa({ fromPa: 9e5, toPa: cooled, fromC: 20, toC: 19 })).toBeCloseTo(9e5, 6);
  });

  it('keeps the mass: what leaked and what is left is what there was', () => {
    const R = 287.05;
    fc.assert(
      fc.property(
        fc.double({ min: 0.01, max: 5, noNaN: true }),
        fc.double({ min: 3e5, max: 12e5, noNaN: true }),
        fc.double({ min: 0.5, max: 1, noNaN: true }),
        fc.double({ min: 5, max: 40, noNaN: true }),
        fc.double({ min: 5, max: 40, noNaN: true }),
        (volumeM3, fromPa, left, fromC, toC) => {
          const mass = (pa: number, c: number): number => (pa * volumeM3) / (R * (c + 273.15));
          const toPa = fromPa * left;
          const leak = leakM3PerS({ volumeM3, fromPa, toPa, seconds: 60, fromC, toC, atmosphericPa: 1e5 });
          const kg = leak * 60 * (1e5 / (R * (fromC + 273.15)));
          expect(mass(fromPa, fromC) - kg).toBeCloseTo(mass(toPa, toC), 6);
        },
      ),
    );
  });
});

describe('the verdict', () => {
  const at = (perHour: number): string => judgeLeak(plan, read({ toPa: 9e5 * (1 - perHour * 4) })).verdict;

  it('passes a new line at 0.5 % an hour and no more', () => {
    expect([at(NEW_LINE_PER_HOUR * 0.99), at(NEW_LINE_PER_HOUR * 1.01)]).toEqual(['tight', 'leaks']);
  });

  it('holds a new line with a large tank to 1 % of the delivery', () => {
    const tank = read({ volumeM3: 20, toPa: 9e5 * (1 - 0.004 * 4) });
    expect(judgeLeak(plan, tank)).toMatchObject({
      verdict: 'leaks',
      allowedM3PerS: expect.closeTo(0.01 * DELIVERY, 9),
    });
  });

  it.each([
    [OLD_LINE_GOOD * 0.99, 'tight'],
    [OLD_LINE_GOOD * 1.01, 'acceptable'],
    [OLD_LINE_MOST * 0.99, 'acceptable'],
    [OLD_LINE_MOST * 1.01, 'leaks'],
  ])('says of an old line that leaks %f of the delivery: %s', (share, verdict) => {
    const seconds = 60;
    const atmosphericPa = 100129; // at 100 m
    const toPa = 9e5 - (share * DELIVERY * atmosphericPa * seconds) / 0.3;
    expect(judgeLeak(plan, read({ line: 'old', seconds, toPa })).verdict).toBe(verdict);
  });

  it('calls nothing tight that the gauge could not have shown', () => {
    const { leastS } = judgeLeak(plan, read({ seconds: 60 }));
    expect(judgeLeak(plan, read({ seconds: leastS * 0.99 })).verdict).toBe('too-short');
    expect(judgeLeak(plan, read({ seconds: leastS * 1.01 })).verdict).toBe('tight');
    expect(judgeLeak(plan, read({ toPa: 9.1e5 })).verdict).toBe('rose');
  });
});

describe('room for air', () => {
  it('counts receivers, and pipe by its bore', () => {
    // By hand: 100 m of 1 in schedule 40, 26.64 mm bore: 0.0558 m³.
    const piped = setParameters(insertStage(plan, newStage('pipe', 'p'), 5), 'p', {
      size: '1',
      material: 'black',
      lengthM: 100,
    });
    expect(airVolumesOf(piped).pipesM3 - airVolumesOf(plan).pipesM3).toBeCloseTo(0.0558, 4);
    expect(airVolumesOf(plan).receiversM3).toBeCloseTo(0.27, 9);
    for (const p of [plan, dairyPlan()]) {
      const { totalM3, ...parts } = airVolumesOf(p);
      expect(Object.values(parts).reduce((a, b) => a + b, 0)).toBeCloseTo(totalM3, 12);
    }
  });
});
