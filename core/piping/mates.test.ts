import fc from 'fast-check';
import { INCH } from '../quantity/constants';
import { boreOfEndM, END_FAMILIES, type End, end, endSchema, type FamilyName, type Gender } from './ends';
import { DIAMETER_TOLERANCE_M, threadsLike } from './identify';
import { mates } from './mates';
import { BSPP, BSPT, FLARE_37, FLARE_45, insideOfFemaleM, NPT } from './threads';

const EVERY_END: End[] = Object.entries(END_FAMILIES).flatMap(([family, { sizes, genders }]) =>
  sizes.flatMap((size) =>
    Object.keys(genders).map((gender): End => ({ family: family as FamilyName, size, gender: gender as Gender })),
  ),
);
const anyEnd = fc.constantFrom(...EVERY_END);

describe('threads', () => {
  // ASME B1.20.1, table 2: 1/2 in pipe is 0.840 in, 14 threads an inch; 1 in 1.315 in, 11½.
  it.each([
    ['1/8', 10.287, 27],
    ['1/2', 21.336, 14],
    ['1', 33.401, 11.5],
    ['2', 60.325, 11.5],
  ] as const)('NPT %s measures %f mm, %f threads an inch', (size, mm, perInch) => {
    expect(NPT[size].outsideM * 1e3).toBeCloseTo(mm, 3);
    expect(NPT[size].perInch).toBe(perInch);
  });

  // ISO 228-1, table 1: minor diameters of G 1/8 8.566, G 1/4 11.445, G 1/2 18.631, G 1 30.291, G 2 56.656 mm.
  it.each([
    ['1/8', 8.566],
    ['1/4', 11.445],
    ['1/2', 18.631],
    ['1', 30.291],
    ['2', 56.656],
  ] as const)('a G %s female measures %f mm inside', (size, mm) => {
    expect(insideOfFemaleM(BSPP[size]) * 1e3).toBeCloseTo(mm, 2);
  });

  // ISO 725: minor diameter of 9/16-18 UNF 12.761 mm, of 3/4-16 UNF 17.330 mm.
  it('unified threads have the minor diameters of the standard', () => {
    expect(insideOfFemaleM(FLARE_37['-6']) * 1e3).toBeCloseTo(12.761, 2);
    expect(insideOfFemaleM(FLARE_45['1/2']) * 1e3).toBeCloseTo(17.33, 2);
  });
});

describe('what mates', () => {
  it('is the same either way round, and an end never makes a joint with itself but a flange', () => {
    fc.assert(
      fc.property(anyEnd, anyEnd, (a, b) => {
        expect(mates(a, b)).toEqual(mates(b, a));
        expect(mates(a, a).verdict === 'yes').toBe(a.family === 'flange');
      }),
      { numRuns: 1000 },
    );
  });

  it('joins its two halves in one size only', () => {
    expect(mates(end('npt', '1/2', 'male'), end('npt', '1/2', 'female')).verdict).toBe('yes');
    expect(mates(end('npt', '1/2', 'male'), end('npt', '3/8', 'female')).verdict).toBe('no');
    expect(mates(end('tube', '3/8'), end('compression', '3/8')).verdict).toBe('yes');
    expect(mates(end('barb', '3/8'), end('hose', '3/8')).verdict).toBe('yes');
    expect(mates(end('flange', 'DN 80'), end('flange', 'DN 80')).verdict).toBe('yes');
    expect(mates(end('coupler-b', '1/4', 'male'), end('coupler-b', '1/4', 'female')).verdict).toBe('yes');
  });

  // SAE J512 and J514: the two flares share the thread in four sizes and no other.
  it.each([
    ['-4', '1/4', 'leaks'],
    ['-5', '5/16', 'leaks'],
    ['-8', '1/2', 'leaks'],
    ['-10', '5/8', 'leaks'],
    ['-6', '3/8', 'no'],
    ['-12', '3/4', 'no'],
  ] as const)('a 37° %s on a 45° %s: %s', (dash, tube, verdict) => {
    expect(mates(end('flare-37', dash, 'male'), end('flare-45', tube, 'female')).verdict).toBe(verdict);
    expect(mates(end('flare-37', dash, 'female'), end('flare-45', tube, 'male')).verdict).toBe(verdict);
  });

  it('starts NPT into BSP in 1/2 and 3/4 alone, where it leaks', () => {
    for (const size of Object.keys(NPT) as (keyof typeof NPT)[])
      for (const bsp of ['bspt', 'bspp'] as const)
        expect([size, mates(end('npt', size, 'male'), end(bsp, size, 'female')).verdict]).toEqual([
          size,
          size === '1/2' || size === '3/4' ? 'leaks' : 'no',
        ]);
  });

  it('tells tubes apart that look alike: 8 mm and 5/16 in leak, 10 mm and 3/8 in do not fit', () => {
    expect(mates(end('tube', '8 mm'), end('compression', '5/16')).verdict).toBe('leaks');
    expect(mates(end('tube', '5/16'), end('push-in', '8 mm')).verdict).toBe('leaks');
    expect(mates(end('tube', '10 mm'), end('compression', '3/8'))).toEqual({
      verdict: 'no',
      why: expect.stringContaining('0.48 mm apart'),
    });
    expect(mates(end('tube', '6 mm'), end('compression', '1/2')).why).not.toContain('alike');
  });

  it('warns of profiles of one body size, and of a flare in a boss', () => {
    expect(mates(end('coupler-a', '1/4', 'male'), end('coupler-b', '1/4', 'female')).verdict).toBe('leaks');
    expect(mates(end('coupler-a', '1/4', 'male'), end('coupler-b', '3/8', 'female')).verdict).toBe('no');
    expect(mates(end('flare-37', '-8', 'male'), end('o-ring-boss', '-8', 'female')).verdict).toBe('leaks');
    expect(mates(end('bspt', '1/2', 'male'), end('bspp', '1/2', 'female')).verdict).toBe('leaks');
  });
});

describe('a thread by measuring', () => {
  it('knows every thread by its own numbers', () => {
    for (const gender of ['male', 'female'] as const)
      for (const [family, table] of Object.entries({ npt: NPT, bspt: BSPT, bspp: BSPP, 'flare-37': FLARE_37 }))
        for (const [size, thread] of Object.entries(table)) {
          const diameterM = gender === 'male' ? thread.outsideM : insideOfFemaleM(thread);
          const found = threadsLike({ gender, diameterM, perInch: thread.perInch });
          expect(found.map((c) => c.end)).toContainEqual({ family, size, gender });
          expect(Math.abs(found[0]?.offM ?? 1)).toBeLessThan(1e-9);
        }
  });

  it('names what screws on and leaks', () => {
    const [first] = threadsLike({ gender: 'male', diameterM: 0.75 * INCH, perInch: 16 });
    expect(first?.end).toEqual(end('flare-37', '-8', 'male'));
    expect(first?.confusable).toContainEqual(end('flare-45', '1/2', 'female'));
  });

  it('lets a diameter be off by its tolerance and no more', () => {
    const at = (offM: number) =>
      threadsLike({ gender: 'male', diameterM: FLARE_37['-16'].outsideM + offM, perInch: 12 })
        .map((c) => c.end.size)
        .filter((s) => s.startsWith('-'));
    expect(at(DIAMETER_TOLERANCE_M - 1e-6)).toContain('-16');
    expect(at(DIAMETER_TOLERANCE_M + 1e-6)).toEqual([]);
  });
});

describe('ends of a plan', () => {
  it('refuse a size or a half that the family has not, with a message there', () => {
    expect(endSchema.safeParse({ family: 'npt', size: '5/8', gender: 'male' }).error?.issues[0]).toMatchObject({
      path: ['size'],
      message: expect.stringContaining('1/2'),
    });
    expect(endSchema.safeParse({ family: 'tube', size: '3/8', gender: 'both' }).success).toBe(false);
    expect(() => end('compression', '3/8', 'male')).toThrow('half');
  });

  it('have a wider bore in a wider size', () => {
    for (const family of ['npt', 'flare-37', 'compression', 'hose', 'coupler-full'] as const) {
      const bores = END_FAMILIES[family].sizes.map((size) => boreOfEndM(end(family, size)));
      const inch = bores.slice(0, family === 'compression' ? 6 : undefined); // then come the metric ones
      expect(inch).toEqual([...inch].sort((a, b) => a - b));
    }
    for (const e of EVERY_END) expect(boreOfEndM(e)).toBeGreaterThan(0.002);
  });
});
