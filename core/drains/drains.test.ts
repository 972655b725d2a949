import fc from 'fast-check';
import { receiverHeelM } from '../equipment/supply/receiver';
import { INCH, PSI } from '../quantity/constants';
import { bowlMarkM3, handDraining, howOften } from './by-hand';
import { handDays } from './drain-work';
import { liquidM3PerS } from './liquid-flow';
import { isHumid, twoSeasons } from './seasons';
import { LOSS, setTimer, type TimerDuty, timerAt } from './timer';

const SCFM_KG_PER_S = (0.0749 * 0.45359237) / 60; // at 70 °F and 14.7 psia, as the tables count it
const duty = (o: Partial<TimerDuty> = {}): TimerDuty => ({
  peakKgPerS: 0.5 / 3600,
  sumpM3: 2e-4,
  boreM: INCH / 8,
  pressurePa: 114.696 * PSI,
  temperatureC: 21.1,
  atmosphericPa: 14.696 * PSI,
  strained: false,
  ...o,
});

// Trade handbook, computed there.
test.each([
  [1 / 8, 180],
  [3 / 16, 400],
  [1 / 4, 720],
])('water through %d in at 100 psi: some %d mL/s', (inches, mLPerS) => {
  const ratio = (liquidM3PerS(inches * INCH, 100 * PSI) * 1e6) / mLPerS;
  expect(Math.abs(ratio - 1)).toBeLessThan(0.02);
});

// Trade handbook: choked scfm at 100 psig with Cd 0.65, and what dry openings lose on average.
test.each([
  [1 / 16, 4.2, [0.014, 0.021, 0.012, 0.012]],
  [1 / 8, 17, [0.056, 0.085, 0.047, 0.047]],
  [5 / 32, 26, [0.088, 0.13, 0.073, 0.073]],
  [3 / 16, 38, [0.13, 0.19, 0.11, 0.11]],
  [1 / 4, 68, [0.23, 0.34, 0.19, 0.19]],
])('air through a drain of %d in: %d scfm while it blows, %j on average', (inches, scfm, lost) => {
  const settings = [
    { openS: 1, everyS: 300 },
    { openS: 3, everyS: 600 },
    { openS: 5, everyS: 1800 },
    { openS: 10, everyS: 3600 },
  ];
  const at = settings.map((s) => timerAt(duty({ boreM: inches * INCH, peakKgPerS: 0 }), s));
  expect(Math.abs((at[0]?.blowsKgPerS ?? 0) / SCFM_KG_PER_S / scfm - 1)).toBeLessThan(0.03);
  at.forEach((r, i) => {
    expect(Math.abs(r.lostKgPerS / SCFM_KG_PER_S / (lost[i] as number) - 1)).toBeLessThan(0.06); // two printed figures
  });
});

describe('a timer that is set', () => {
  test('by the steps of the handbook: 0.5 kg/h into 200 mL, ⅛ in at 100 psi', () => {
    const set = setTimer(duty());
    // t ≤ 0.5·200 mL / 500 mL/h = 12 min → 10 min on the dial; 83 mL at 179 mL/s = 0.47 s; + ½ s → 1 s
    expect(set).toMatchObject({ everyS: 600, openS: 1, keepsUp: true });
    expect(set?.liquidS).toBeCloseTo(0.465, 2);
    const share = (set?.lostKgPerS ?? 1) / (100 * SCFM_KG_PER_S);
    expect(share).toBeLessThan(LOSS.ideal);
  });

  test('keeps up, is at most half full, and any longer interval of the dial would be too long (law)', () => {
    const any = fc.record({
      peakKgPerS: fc.double({ min: 1e-7, max: 0.02, noNaN: true }),
      sumpM3: fc.double({ min: 3e-5, max: 0.02, noNaN: true }),
      boreM: fc.double({ min: 1e-3, max: 1e-2, noNaN: true }),
      strained: fc.boolean(),
    });
    fc.assert(
      fc.property(any, (o) => {
        const set = setTimer(duty(o));
        if (!set) return;
        expect(set.keepsUp).toBe(true);
        expect(set.fill).toBeLessThanOrEqual(0.5 + 1e-9);
        expect(set.openS - set.liquidS).toBeGreaterThanOrEqual(0.5 - 1e-9);
        // Twice the water: it opens no more rarely.
        const wetter = setTimer(duty({ ...o, peakKgPerS: 2 * o.peakKgPerS }));
        if (wetter) expect(wetter.everyS).toBeLessThanOrEqual(set.everyS);
      }),
    );
  });

  test('is none where the sump fills faster than any dial opens, or no pressure drives the water out', () => {
    expect(setTimer(duty({ peakKgPerS: 30 / 3600, sumpM3: 5e-5 }))).toBeUndefined();
    expect(setTimer(duty({ pressurePa: 14.696 * PSI }))).toBeUndefined();
  });
});

describe('by hand', () => {
  test('2.4 kg/h while loaded, half the time, into 5 L: 2 h 5 min loaded, so twice in a day of 8 h', () => {
    const r = handDraining(2.4 / 3600, 5e-3, 0.5, 8);
    expect(r.loadedS / 3600).toBeCloseTo(5 / 2.4, 9);
    expect(r.perDay).toBeCloseTo((8 * 0.5 * 2.4) / 5, 9);
    expect(howOften(r.perDay, 9.6)).toBe('twice a day');
  });

  // Trade handbook: daily unless less than 50 mL a day is predicted; then weekly.
  test.each([
    [0.01, 0.04, 'weekly'],
    [0.01, 0.06, 'daily'],
    [0, 0, 'look weekly; nothing is expected'],
    [40, 20, 'more often than is practical: fit an automatic drain'],
  ])('%d visits, %d kg a day: %s', (perDay, kg, words) => {
    expect(howOften(perDay, kg)).toBe(words);
  });

  test('a lying receiver of the same water stands higher at first; half full both are half full (closed form)', () => {
    const volume = 0.27;
    const d = ((4 * volume) / (Math.PI * 2.5)) ** (1 / 3);
    expect(receiverHeelM(volume, 0.005, 'lying')).toBeGreaterThan(receiverHeelM(volume, 0.005));
    expect(receiverHeelM(volume, volume / 2, 'lying')).toBeCloseTo(d / 2, 6);
    expect(receiverHeelM(volume, volume / 2)).toBeCloseTo((2.5 * d) / 2, 9);
    // A fifth of the diameter high is 14.24 % of the circle (table of circular segments).
    expect(receiverHeelM(volume, 0.14238 * volume, 'lying') / d).toBeCloseTo(0.2, 3);
  });

  test('a bowl of 40 mm with its mark at 40 mm holds some 45 mL', () => {
    expect(bowlMarkM3(0.04, 0.04) * 1e6).toBeCloseTo(45.2, 1);
  });
});

describe('two settings for a year', () => {
  const step = Array.from({ length: 365 }, (_, d) => (d >= 120 && d < 280 ? 10 : 1));

  test('change where the year changes', () => {
    expect(twoSeasons(step)).toEqual({ humidFrom: 120, dryFrom: 280, humidPeak: 10, dryPeak: 1 });
  });

  test('are one where the year is even, and go round where summer is at the turn of the year', () => {
    expect(twoSeasons(step.map((v) => 5 + v / 100))).toBeUndefined();
    const south = twoSeasons([...step.slice(182), ...step.slice(0, 182)]);
    expect(south).toMatchObject({ humidFrom: 303, dryFrom: 98 });
    expect([isHumid(south as never, 10), isHumid(south as never, 200)]).toEqual([true, false]);
  });

  test('hold every day below the peak of its season (law)', () => {
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: 0, max: 10, noNaN: true }), { minLength: 365, maxLength: 365 }),
        (peaks) => {
          const onDay = (d: number): number => (peaks[d] as number) * (d > 150 && d < 240 ? 1 : 0.3);
          const s = twoSeasons(peaks.map((_, d) => onDay(d)));
          if (!s) return;
          const above = peaks.map((_, d) => d).filter((d) => onDay(d) > (isHumid(s, d) ? s.humidPeak : s.dryPeak));
          expect(above).toEqual([]);
        },
      ),
      { numRuns: 20 },
    );
  });
});

test('a drain to which less than 50 mL a day come is opened weekly, not daily (trade handbook)', () => {
  expect(handDays(1, undefined, 0.0495, false)).toMatchObject({ days: 7, water: 'rarely' });
  expect(handDays(1, undefined, 0.0505, false)).toEqual({ days: 1 });
});

test('no drain is asked for more often than each hour, however fast its sump fills', () => {
  expect(handDays(1, 0.02, 1, false)).toEqual({ days: 1 / 24, water: 'sooner' });
});
