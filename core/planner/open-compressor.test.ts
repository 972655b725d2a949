import { judgeLine } from '../advice/judge-line';
import { is, TOWERS } from '../equipment/groups';
import { priceOfStage } from '../plan/money';
import { allStages, stageById } from '../plan/runs';
import { CFM, PSI } from '../quantity/constants';
import { shownOf } from './answer';
import { IDS } from './base-line';
import { type Merits, withMember } from './front';
import { impliedBy } from './implied';
import { meritsOf, purchaseOf } from './judge-proposal';
import { compressorsFor } from './open-compressor';
import { question, questionJob } from './question';
import { dutyOver, relaxations } from './relax';
import { searched } from './search';
import { stepsOfBuying } from './staged';

const FEWER = ['membrane', 'twin-tower', 'cooling-run', 'bowl-filter'] as const;
const open = question({
  compressor: { sized: 'open', type: 'piston1', cutInGaugePa: 95 * PSI, cutOutGaugePa: 125 * PSI },
  jobs: [questionJob('solvent-spray')],
  refused: [...FEWER],
});
const found = searched(open);

test('an open compressor is sized by average, leaks, growth and duty: 5 hp for a spray gun, and 7.5 hp above it', () => {
  // 14 cfm ANR at 45 %, on this warm humid day 14.5 drawn in: 14.5 · 0.45 · 1.1 · 1.15 / 0.6 = 13.8 cfm; 5 hp give 17.5 (trade handbook).
  const sizes = compressorsFor(open);
  expect(sizes.map((q) => Math.round((10 * q.compressor.freeAirDeliveryM3PerS) / CFM) / 10)).toEqual([17.5, 26.3]);
  // At half load 10 and 8 starts an hour: V = p_a·Q/(4·f·Δp) = 14.7 · 17.5 / (4 · 10/60 · 30) ft³ = 96 gal; 180 gal for 26.3 cfm.
  expect(sizes.map((q) => Math.round(q.receiverM3 / 3.785412e-3))).toEqual([120, 240]);
  expect(compressorsFor(question({}))).toEqual([question({})]);
  expect(impliedBy(open).loadedShare).toBeLessThan(0.6 / 1.1);
  // More than the largest made gives: nothing is proposed.
  const huge = { ...open, jobs: [questionJob('solvent-spray', { flowM3PerS: 0.5, usedShare: 1 })] };
  expect(dutyOver(huge)).toBeGreaterThan(1);
});

test('compressor and tank are in the price and come first; nothing of the line is faulted, its starts included', () => {
  expect(found.front.length).toBeGreaterThan(0);
  for (const p of found.front) {
    const machines = [IDS.compressor, IDS.receiver].map((id) => stageById(p.plan, id));
    const price = machines.reduce((sum, s) => sum + (s ? priceOfStage(p.plan.money, s).price.first : 0), 0);
    const given = {
      ...p.asked,
      question: { ...p.asked.question, compressor: { ...p.asked.question.compressor, sized: 'given' as const } },
    };
    expect(purchaseOf(p.asked, p.plan)).toBeGreaterThanOrEqual(price);
    // What a drain costs over one by hand is in the price of the tank.
    expect(purchaseOf(p.asked, p.plan) - purchaseOf(given, p.plan)).toBeLessThanOrEqual(price);
    const [first] = stepsOfBuying(p);
    expect(first?.stages.map((s) => s.kind)).toEqual(['compressor', 'receiver']);
    expect(first?.price).toBeCloseTo(price, 6);
    expect(judgeLine(p.plan).advice.filter((a) => a.rule.id === 'O47')).toEqual([]);
  }
  expect(shownOf(found)[0]?.name).toMatch(/^Compressor 5 hp: cool/);
});

test('with each size looked at by itself the front is the same, once its compressor is paid', () => {
  const alone = compressorsFor(open).flatMap(
    (q) => searched({ ...q, compressor: { ...q.compressor, sized: 'given' } }).front,
  );
  const paid = alone.map(({ asked, plan, judged, merits: { marginK } }) => {
    const question = { ...asked.question, compressor: { ...asked.question.compressor, sized: 'open' as const } };
    return { merits: meritsOf({ ...asked, question }, plan, judged.section, marginK) };
  });
  const best = paid.reduce<readonly { readonly merits: Merits }[]>((front, one) => withMember(front, one), []);
  const sorted = (front: readonly { readonly merits: Merits }[]) =>
    front.map((p) => Object.values(p.merits).join(' ')).toSorted();
  expect(sorted(found.front)).toEqual(sorted(best));
});

test('where people work beside it nothing blows off, and to allow it is what would make a line possible', () => {
  // Cylinders outdoors in hard frost: of what is left only towers reach so deep.
  const asked = {
    compressor: { type: 'screw', freeAirDeliveryM3PerS: 125 * CFM, cutInGaugePa: 105 * PSI, cutOutGaugePa: 120 * PSI },
    receiverM3: 0.9,
    minutesPerWeek: 200,
    refused: ['membrane', 'cooling-run', 'bead-cartridge', 'bowl-filter'],
    jobs: [questionJob('wrench', { flowM3PerS: 70 * CFM, usedShare: 0.7, coldestC: -28.9, distanceM: 60 })],
  } as const;
  const ask = (noise: 'any' | 'quiet') =>
    question({ ...asked, refused: [...asked.refused], jobs: [...asked.jobs], noise });
  const loud = searched(ask('any')).front;
  expect(loud.length).toBeGreaterThan(0);
  expect(loud.every((p) => allStages(p.plan).some((s) => is(TOWERS, s.kind)))).toBe(true);
  expect(searched(ask('quiet')).front).toEqual([]);
  const eased = [...relaxations(ask('quiet'))].flatMap((r) => r?.says ?? []);
  expect(eased).toContain('A dryer that blows off, where people do not work beside it');
});
