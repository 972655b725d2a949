import { growthOf } from '../maintenance/element-life';
import { learnFactor, lifeBand } from './charge-life';
import { type Batch, dryBatch } from './dry-batch';
import { fitCartridge, type Housing } from './fit-cartridge';
import { judgeCharge, leftAfter, type WeighedCharge } from './judge-charge';
import { type CartridgeDuty, sizeCartridge } from './size-cartridge';

// Limits of beads and elements from both sides; those in °F are of the trade handbook, the others as stated beside them.
const F = (f: number): number => (f - 32) / 1.8;

describe('a charge weighed', () => {
  const charge: WeighedCharge = { medium: 'silica', dyed: false, wetKg: 1.12, dryKg: 1, times: 2, shouldHoldKg: 0.1 };
  const fate = (c: Partial<WeighedCharge>) => {
    const judged = judgeCharge({ ...charge, ...c });
    return typeof judged === 'string' ? 'impossible' : judged.fate;
  };
  test('70 % and 85 % of a new one', () => {
    expect([0.0699, 0.0701, 0.0849, 0.0851].map((kg) => fate({ wetKg: 1 + kg }))).toEqual([
      'discard',
      'lesser use',
      'lesser use',
      'keep',
    ]);
  });
  test('20 dryings of gel, 15 of its dye, 30 of alumina and sieve', () => {
    const at = (times: number, c: Partial<WeighedCharge> = {}) => fate({ times, ...c });
    expect([at(19), at(20)]).toEqual(['keep', 'discard']);
    expect([at(14, { dyed: true }), at(15, { dyed: true })]).toEqual(['keep', 'lesser use']);
    for (const medium of ['alumina', 'sieve'] as const)
      expect([at(29, { medium }), at(30, { medium })]).toEqual(['keep', 'discard']);
    expect(leftAfter('silica', 20)).toBeCloseTo(0.7, 12);
  });
  test('no beads hold more than 45 % of their mass', () => {
    expect([fate({ wetKg: 1.449 }), fate({ wetKg: 1.451 })]).toEqual(['keep', 'impossible']);
  });
});

describe('an oven', () => {
  const batch: Batch = {
    medium: 'silica',
    dyed: false,
    oily: false,
    pellets: false,
    dryKg: 1,
    loaded: 0.2,
    layerM: 0.02,
  };
  const at = (b: Partial<Batch>, f: number, slackK: number) => dryBatch({ ...batch, ...b }, F(f) + slackK, 48);
  test.each([
    [{ dyed: true }, 250],
    [{}, 300],
    [{ medium: 'alumina' }, 500],
    [{ medium: 'sieve' }, 700],
  ] as [Partial<Batch>, number][])('%o bears %d °F, within what a dial tells', (b, f) => {
    const ruins = (slackK: number) =>
      dryBatch({ ...batch, ...b }, Math.min(400, F(f) + slackK), 48).ruins !== undefined;
    expect([ruins(0), ruins(1)]).toEqual([false, true]);
  });
  test.each([
    [{}, 230],
    [{ medium: 'alumina' }, 350],
  ] as [Partial<Batch>, number][])('%o dries only in part under %d °F', (b, f) => {
    expect([at(b, f, -1).says, at(b, f, 0).says].map((s) => s.startsWith('Dries in part'))).toEqual([true, false]);
  });
  test('sieve is not dried under 450 °F', () => {
    expect([at({ medium: 'sieve' }, 450, -1).refused, at({ medium: 'sieve' }, 450, 0).refused]).toEqual([
      expect.stringContaining('cool oven'),
      undefined,
    ]);
  });
});

describe('a cartridge', () => {
  const duty: CartridgeDuty = {
    medium: 'silica',
    massKg: 10,
    dryAirKgPerS: 0.005,
    inletC: 30,
    inletPa: 8e5,
    relativeHumidity: 0.5,
    airHPerDay: 8,
  };
  const worth = (c: Partial<CartridgeDuty>) => sizeCartridge({ ...duty, ...c }).worth;
  test('is good for a week of work, hopeless for less than a day', () => {
    const { hours } = sizeCartridge(duty);
    const days = (n: number) => worth({ airHPerDay: hours / n });
    expect([0.999, 1.001, 4.999, 5.001].map(days)).toEqual(['hopeless', 'dear', 'dear', 'good']);
  });
  test('is hopeless with contact of less than a second', () => {
    const { contactS } = sizeCartridge(duty);
    const contact = (s: number) => worth({ massKg: (duty.massKg * s) / contactS, airHPerDay: 1e-3 });
    expect([0.999, 1.001].map(contact)).toEqual(['hopeless', 'good']);
  });
  test('is hopeless over 150 °F', () => {
    const at = (inletC: number) => worth({ inletC, relativeHumidity: 0.01, airHPerDay: 1e-3 });
    expect([at(F(150)), at(F(151.5))]).toEqual(['good', 'hopeless']);
  });
  test('is filled to 95 % at most and 70 % at least, and stands its pressure', () => {
    const housing: Housing = { ratedPa: 12e5, cutOutPa: 10e5, reliefPa: 11e5, inSeries: 1, leakKgPerS: 0, idleH: 0 };
    const beadsM3 = (fitCartridge(duty, housing).needsM3 ?? 0) * 0.95;
    const says = (filled: number, c: Partial<Housing> = {}) =>
      fitCartridge(duty, { ...housing, volumeM3: beadsM3 / filled, ...c }).findings.map((f) => f.says.slice(0, 15));
    expect([1.001, 0.999, 0.951, 0.949, 0.701, 0.699].map((x) => says(x)[0])).toEqual([
      'The beads do no',
      'Filled to the l',
      'Filled to the l',
      undefined,
      undefined,
      'Much free space',
    ]);
    expect([says(0.9, { ratedPa: 9.99e5 })[0], says(0.9, { ratedPa: 10.01e5, reliefPa: 10e5 })[0]]).toEqual([
      'It is rated bel',
      undefined,
    ]);
    expect([says(0.9, { reliefPa: 12.01e5 })[0], says(0.9, { reliefPa: 11.99e5 })[0]]).toEqual([
      'The relief valv',
      undefined,
    ]);
  });
});

test('a front lower than 15 % tells nothing yet; a band of 80 % is 1.2816 deviations wide either way', () => {
  const learnt = (spent: number) => learnFactor([{ handbookKg: 1, looks: [{ loadKg: 0.3, spent }] }]).ln;
  expect(learnt(0.149)).toBe(0);
  expect(learnt(0.151)).toBeGreaterThan(0);
  // Quantile of 90 % of the normal distribution (any table).
  expect(Math.log(lifeBand({ ln: 0, variance: 1 }).high)).toBeCloseTo(1.2816, 4);
});

test('a reading of an element’s drop is worth 5 % at best', () => {
  expect(growthOf([{ loadedH: 1000, ratio: 1.5 }])?.sd).toBeCloseTo(0.05 / 1000, 12);
});
