import { judgeOutlets } from '../line/judge-outlet';
import { walk } from '../line/walk';
import type { Plan } from '../plan/plan';
import { allStages, stageById } from '../plan/runs';
import { say as inUnits } from '../quantity/format';
import { all, but, GOOD, goodShop } from '../test/good-lines';
import { CASES, type Case, dayOf, speaks } from '../test/rule-cases';
import { applyFix } from './apply-fixes';
import { type Advice, isReady, judgeLine, RULES } from './judge-line';
import type { StageOf } from './line-facts';
import { sayIn } from './rule';

const units = (si: number, quantity: Parameters<typeof inUnits>[1]): string => inUnits(si, quantity);

const MOST_TIMES = 12; // no fix of a case asks for more than that
const SIZES = ['massKg', 'volumeM3', 'ratedFlowM3PerS', 'boreM', 'drainEveryS'];
/** Sizes that a fix makes many times larger, and ratings of new stages out of all proportion to the air that is made. */
function outsize(before: Plan, after: Plan): string[] {
  const was = new Map(allStages(before).map((s) => [s.id, s.parameters as Record<string, unknown>]));
  const madeM3PerS = allStages(before).reduce(
    (sum, s) => sum + (s.kind === 'compressor' ? s.parameters.freeAirDeliveryM3PerS : 0),
    0,
  );
  return allStages(after).flatMap((s) =>
    Object.entries(s.parameters).flatMap(([field, value]) => {
      const old = was.get(s.id)?.[field] ?? (field === 'ratedFlowM3PerS' ? madeM3PerS : undefined);
      if (typeof value !== 'number' || typeof old !== 'number' || old === 0 || !SIZES.includes(field)) return [];
      return value / old > MOST_TIMES ? [`${s.id} ${field}: ${old} → ${value}`] : [];
    }),
  );
}

/** What the rule of a case says of its faulty line, found once. */
const said = new Map<string, ReturnType<typeof speaks>>();
function saidOf(id: string): ReturnType<typeof speaks> {
  const [line, ...fault] = CASES[id] as Case;
  const found = said.get(id) ?? speaks(all(line(), ...fault), id);
  said.set(id, found);
  return found;
}

test('every rule has its case', () => {
  expect(Object.keys(CASES).toSorted()).toEqual(RULES.map((r) => r.id).toSorted());
  // One thing is wrong in each, and most can be fixed by a button.
  expect(
    Object.entries(CASES)
      .filter(([, [, ...fault]]) => fault.length !== 1)
      .map(([id]) => id),
  ).toEqual([]);
  const fixable = Object.keys(CASES).filter((id) => saidOf(id)[0]?.finding.fixes?.length);
  expect(fixable.length).toBeGreaterThan(80);
});

describe.each(Object.entries(CASES))('%s', (id, [line, ...fault]) => {
  const good = line();
  const faulty = all(good, ...fault);
  test('speaks of its fault, and not without it', () => {
    expect(speaks(good, id).map((a) => sayIn(a.finding.what, units))).toEqual([]);
    expect(saidOf(id)).not.toEqual([]);
  });

  test('is said in words and figures that are there', () => {
    for (const { finding } of saidOf(id))
      for (const sentence of [finding.what, finding.why].map((s) => sayIn(s, units))) {
        expect(sentence).toMatch(/[.?]$/);
        expect(sentence).not.toMatch(/undefined|NaN|Infinity|null|not-said|(^| )–( |$)/);
        expect(sentence.split(' ').length).toBeLessThan(45);
      }
  });

  test('what it offers fixes it', () => {
    for (const { key, finding } of saidOf(id).slice(0, 1))
      for (const [i, fix] of (finding.fixes ?? []).entries()) {
        let n = 0;
        const result = applyFix(faulty, key, i, () => `new-${n++}`, dayOf(faulty, id));
        if ('refused' in result) throw new Error(result.refused);
        expect([fix.does, speaks(result.plan, id).filter((a) => a.key === key)]).toEqual([fix.does, []]);
        expect([fix.does, outsize(faulty, result.plan)]).toEqual([fix.does, []]);
      }
  });
});

test.each(Object.entries(GOOD))('%s draws no must and no should', (_, line) => {
  const plan = line();
  const section = walk(plan);
  const verdicts = judgeOutlets(plan, section);
  const judgement = judgeLine(plan, section, RULES, [], verdicts);
  const { advice, broken } = judgement;
  expect(isReady(judgement, section, verdicts)).toBe(true);
  expect(broken).toEqual([]);
  expect(
    advice.filter((a) => a.rule.grade !== 'note').map((a) => `${a.rule.id} ${sayIn(a.finding.what, units)}`),
  ).toEqual([]);
});

// Common practice: a float or a small solenoid jams on rust; a level sensor and a hand valve do not.
test.each([
  ['float', true],
  ['timer', true],
  ['level', false],
  ['manual', false],
] as const)('a receiver that rusts, drained by %s, without a strainer: warned of %s', (drain, warned) => {
  const plan = all(goodShop(), but('receiver', { drain, strainer: 'none', material: 'steel' }));
  expect(speaks(plan, 'O38').length > 0).toBe(warned);
});

test('starts an hour are told beside those at half load, which is the most', () => {
  const [line, ...fault] = CASES.O47 as Case;
  const plan = all(line(), ...fault);
  const { why } = (speaks(plan, 'O47')[0] as Advice).finding;
  const half = Number(/half load it would be (\d+)/.exec(sayIn(why, units))?.[1]);
  const { volumeM3 } = (stageById(plan, 'receiver') as StageOf<'receiver'>).parameters;
  const { cutInPa, cutOutPa, freeAirDeliveryM3PerS } = (stageById(plan, 'compressor') as StageOf<'compressor'>)
    .parameters;
  // V·Δp/(p·Q·¼): filling and emptying take longest together at half of what it delivers.
  const cycleS = (4 * volumeM3 * (cutOutPa - cutInPa)) / (freeAirDeliveryM3PerS * 101_325);
  expect(Math.abs(half / (3600 / cycleS) - 1)).toBeLessThan(0.05);
});
