import fc from 'fast-check';
import { FOOT } from '../quantity/constants';
import { METRIC, US_CUSTOMARY } from '../quantity/units';
import { DIRECTIONS, type Direction, type Leg, lowPoints, measuresOf, pointsOf } from './legs';
import { readLegs, writeLegs } from './read-legs';

const leg = (to: Direction, lengthM: number, more: Partial<Leg> = {}): Leg => ({ to, lengthM, fall: 0, ...more });
const read = (text: string, choice = METRIC): Leg[] => {
  const legs = readLegs(text, choice);
  if (!legs.ok) throw new Error(legs.message);
  return legs.legs;
};
const message = (text: string): string => {
  const legs = readLegs(text);
  return legs.ok ? 'read' : legs.message;
};
const anyLeg = fc.record({
  to: fc.constantFrom(...(Object.keys(DIRECTIONS) as Direction[])),
  lengthM: fc.integer({ min: 1, max: 3000 }).map((dm) => dm / 10),
  fall: fc.constantFrom(0, 0.01, 0.02, -0.005),
});
const anyLegs = fc
  .array(anyLeg, { minLength: 1, maxLength: 12 })
  .map((legs): Leg[] => legs.map((l) => (l.to === 'up' || l.to === 'down' ? { ...l, fall: 0 } : l)));

describe('a run of legs', () => {
  // By hand: 2.1 + 6.4 + 1.8 m, two bends, 6.4 m at 1 % is 64 mm lower.
  it('has the length, bends and rise that a tape finds', () => {
    const m = measuresOf([leg('up', 2.1), leg('east', 6.4, { fall: 0.01 }), leg('down', 1.8)]);
    expect(m.lengthM).toBeCloseTo(10.3, 9);
    expect(m.bends).toBe(2);
    expect(m.riseM).toBeCloseTo(2.1 - 0.064 - 1.8, 9);
    expect(m.leastFall).toBe(0.01);
    expect(m.longestM).toBe(6.4);
  });

  it('counts two legs in one direction as one straight piece', () => {
    const m = measuresOf([leg('east', 3), leg('east', 4, { place: 'yard' }), leg('north', 2)]);
    expect([m.bends, m.longestM]).toEqual([1, 7]);
  });

  it('finds low points: under a door, in a loop, along a level bottom; not at its ends', () => {
    expect(lowPoints([leg('down', 1), leg('up', 1)])).toEqual([0]);
    expect(lowPoints([leg('down', 1), leg('east', 2), leg('up', 1)])).toEqual([1]);
    expect(lowPoints([leg('up', 1), leg('east', 2), leg('down', 1)])).toEqual([]);
    expect(lowPoints([leg('east', 2), leg('up', 1)])).toEqual([]); // water runs back to where it begins
    expect(lowPoints([leg('east', 5, { fall: 0.01 }), leg('east', 5, { fall: -0.01 })])).toEqual([0]);
  });

  it('asks for a drain at a low point until one hangs there', () => {
    expect(measuresOf([leg('down', 1), leg('up', 1)]).undrained).toEqual([0]);
    expect(measuresOf([leg('down', 1, { drain: true }), leg('up', 1)])).toMatchObject({ undrained: [], drains: 1 });
  });

  it('comes back to where it began when every leg is gone back', () => {
    const opposite = { up: 'down', down: 'up', east: 'west', west: 'east', north: 'south', south: 'north' } as const;
    fc.assert(
      fc.property(anyLegs, (legs) => {
        const back = legs.toReversed().map((l) => ({ ...l, to: opposite[l.to], fall: -l.fall }));
        for (const x of pointsOf([...legs, ...back]).at(-1) ?? []) expect(x).toBeCloseTo(0, 6);
      }),
    );
  });
});

describe('a run as it is typed', () => {
  it('is read as people pace it out', () => {
    expect(read('up 2.1 m, along 6.4, down 1.8')).toEqual([leg('up', 2.1), leg('east', 6.4), leg('down', 1.8)]);
    expect(read('along 2, left 1, left 1, back 3, right 1').map((l) => l.to)).toEqual([
      'east',
      'north',
      'west',
      'east',
      'south',
    ]);
    expect(read('N 3 falling 1,5 %, down 0,3 drain, s 2 rising 0.5 %')).toEqual([
      leg('north', 3, { fall: 0.015 }),
      leg('down', 0.3, { drain: true }),
      leg('south', 2, { fall: -0.005 }),
    ]);
  });

  it('takes feet, and feet with inches', () => {
    expect(read('up 7, along 6\' 4", down 30 in', US_CUSTOMARY as typeof METRIC).map((l) => l.lengthM / FOOT)).toEqual([
      expect.closeTo(7, 9),
      expect.closeTo(6 + 4 / 12, 9),
      expect.closeTo(2.5, 9),
    ]);
  });

  it('says what it did not understand', () => {
    expect(message('')).toContain('paces it out');
    expect(message('over 3 m')).toContain('“over 3 m” names no direction');
    expect(message('up')).toContain('“up”');
    expect(message('up 3 kg')).toContain('not a unit');
    expect(message('up 900 m')).toContain('Allowed');
    expect(message('up 3 falling 1 %')).toContain('upright');
    expect(message('east 3 falling 21 %')).toContain('20 %');
    expect(message(Array(61).fill('up 1').join(', '))).toContain('61');
  });

  it('is written so that it is read again as it was', () => {
    fc.assert(
      fc.property(anyLegs, fc.constantFrom(METRIC, US_CUSTOMARY as typeof METRIC), (legs, choice) => {
        const again = read(writeLegs(legs, choice), choice);
        expect(again.map((l) => [l.to, l.fall])).toEqual(legs.map((l) => [l.to, expect.closeTo(l.fall, 9)]));
        again.forEach((l, i) => {
          expect(Math.abs(l.lengthM - (legs[i]?.lengthM ?? 0))).toBeLessThan(0.02);
        });
      }),
    );
  });
});
