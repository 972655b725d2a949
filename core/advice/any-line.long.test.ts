import fc from 'fast-check';
import { DRYERS, is } from '../equipment/groups';
import { KINDS, type KindName } from '../equipment/index';
import { inAll, judgeOutlets } from '../line/judge-outlet';
import { walk } from '../line/walk';
import { insertStage, newStage } from '../plan/edit';
import { type Plan, planSchema } from '../plan/plan';
import { allStages } from '../plan/runs';
import { say as inUnits } from '../quantity/format';
import {
  all,
  branch,
  but,
  goodBench,
  goodDry,
  goodShop,
  goodSpray,
  place,
  site,
  standingIn,
  working,
} from '../test/good-lines';
import { applyFix, applyFixes } from './apply-fixes';
import { holdAgainst } from './hold-against';
import { isReady, judgeLine, RULES } from './judge-line';
import { sayIn } from './rule';
import { disputesOf } from './schools';

const STAGES = (Object.keys(KINDS) as KindName[]).filter((k) => k !== 'intake' && k !== 'compressor');
const units = (si: number, quantity: Parameters<typeof inUnits>[1]): string => inUnits(si, quantity);

/** A good shop into which anything has been put anywhere, in any weather. */
const anyLine = fc
  .record({
    put: fc.array(fc.tuple(fc.constantFrom(...STAGES), fc.nat({ max: 12 }), fc.boolean()), { maxLength: 6 }),
    compressor: fc.constantFrom('piston1', 'piston2', 'screw', 'oilfree'),
    intakeC: fc.integer({ min: -20, max: 42 }),
    roomC: fc.integer({ min: -5, max: 45 }),
    coldC: fc.integer({ min: -30, max: 20 }),
    loadedShare: fc.double({ min: 0.05, max: 1, noNaN: true }),
    breathed: fc.constantFrom('not-said', 'no', 'yes'),
    drain: fc.constantFrom('manual', 'float', 'timer', 'unloader', 'level', 'none'),
  })
  .map((o): Plan => {
    let n = 0;
    const shop = all(
      goodShop(),
      but('compressor', { type: o.compressor }),
      but('receiver', { drain: o.drain }),
      place('in', o.intakeC),
      place('room', o.roomC),
      place('cold', o.coldC),
      standingIn('outlet', 'cold'),
      working({ loadedShare: o.loadedShare }),
      site({ breathed: o.breathed as 'no' }),
      branch('drop', 'receiver', [newStage('outlet', 'drop-outlet')]),
    );
    return o.put.reduce(
      (p, [kind, at, aside]) => insertStage(p, newStage(kind, `any-${n++}`), at, aside ? 'drop' : 'main'),
      shop,
    );
  });

test('on any line every rule speaks in whole sentences or is silent; none breaks', () => {
  fc.assert(
    fc.property(anyLine, (plan) => {
      const { advice, broken } = judgeLine(plan);
      expect(broken).toEqual([]);
      expect(new Set(advice.map((a) => a.key)).size).toBe(advice.length);
      for (const { finding } of advice)
        for (const text of [finding.what, finding.why].map((s) => sayIn(s, units)))
          expect(text).not.toMatch(/undefined|NaN|Infinity|null/);
    }),
    { numRuns: 150 },
  );
});

const musts = (plan: Plan): number => judgeLine(plan).advice.filter((a) => a.rule.grade === 'must').length;

test('whatever fix is chosen on any line, what it leaves is a plan that can be stored and walked', () => {
  let n = 0;
  fc.assert(
    fc.property(anyLine, fc.nat(), fc.nat(), (plan, i, j) => {
      const { advice } = judgeLine(plan);
      const chosen = advice.filter((a) => (a.finding.fixes?.length ?? 0) > 0);
      const a = chosen[i % Math.max(1, chosen.length)];
      if (!a) return;
      const result = applyFix(plan, a.key, j % (a.finding.fixes?.length ?? 1), () => `new-${n++}`);
      if ('refused' in result) {
        expect(result.refused).toMatch(/Something else on this line needs that stage/);
        return;
      }
      // What another rule asks for is not taken out.
      if (allStages(result.plan).length < allStages(plan).length)
        expect(musts(result.plan)).toBeLessThanOrEqual(musts(plan));
      expect(planSchema.parse(result.plan)).toEqual(result.plan);
      expect(() => walk(result.plan)).not.toThrow();
    }),
    { numRuns: 150 },
  );
});

test('doing all fixes never makes a danger of a line that had none, and a danger is never ready', () => {
  let n = 0;
  const dangers = (plan: Plan): number => judgeLine(plan).advice.filter((a) => a.rule.stop).length;
  fc.assert(
    fc.property(anyLine, (plan) => {
      const better = applyFixes(plan, () => `new-${n++}`).plan;
      expect(planSchema.parse(better)).toEqual(better);
      if (dangers(plan) === 0) expect(dangers(better)).toBe(0);
      if (dangers(plan) > 0) expect(isReady(judgeLine(plan), walk(plan), judgeOutlets(plan, walk(plan)))).toBe(false);
    }),
    { numRuns: 40 },
  );
});

test('whatever the order of its stages, fixes sort them: each function once in each place, and no must is left', () => {
  let n = 0;
  fc.assert(
    fc.property(
      fc.constantFrom(goodShop, goodDry, goodSpray, goodBench),
      fc.infiniteStream(fc.nat()),
      (line, order) => {
        const good = line();
        const [intake, compressor, ...rest] = good.stages;
        const outlet = rest.pop();
        const keys = new Map(rest.map((s) => [s.id, order.next().value as number]));
        const middle = rest.toSorted((a, b) => (keys.get(a.id) ?? 0) - (keys.get(b.id) ?? 0));
        const { plan, left } = applyFixes(
          { ...good, stages: [intake, compressor, ...middle, outlet] } as Plan,
          () => `new-${n++}`,
        );
        // A coalescer belongs to the dryer or carbon that it guards: its place.
        const functions = plan.stages
          .map((s, i) =>
            s.kind === 'coalescing-filter'
              ? [
                  s.kind,
                  s.parameters.grade,
                  plan.stages.slice(i).find((d) => is([...DRYERS, 'carbon-filter'], d.kind))?.id,
                ]
              : [s.kind],
          )
          .map((f) => f.join(' '));
        expect(functions.filter((f, i) => functions.indexOf(f) !== i)).toEqual([]);
        expect(
          left.filter((a) => a.rule.grade === 'must').map((a) => `${a.rule.id} ${sayIn(a.finding.what, units)}`),
        ).toEqual([]);
      },
    ),
    { numRuns: 60 },
  );
});

test('ready is a line on which every job is met and nothing is a must; of a job that is not met the advice speaks', () => {
  fc.assert(
    fc.property(anyLine, (plan) => {
      const section = walk(plan);
      const verdicts = judgeOutlets(plan, section);
      const judgement = judgeLine(plan, section, RULES, [], verdicts);
      const grave = judgement.advice.filter((a) => a.rule.grade !== 'note');
      const unmet = [...verdicts.values()].filter((v) => inAll(v) !== 'meets');
      for (const { stageId } of unmet)
        if (!grave.some((a) => a.finding.stageIds.includes(stageId)))
          throw new Error(`nothing is said of ${stageId}: ${JSON.stringify(verdicts.get(stageId))}`);
      const sound = unmet.length === 0 && section.problems.length === 0 && judgement.broken.length === 0;
      expect(isReady(judgement, section, verdicts)).toBe(sound && !grave.some((a) => a.rule.grade === 'must'));
    }),
    { numRuns: 200 },
  );
});

test('every school that a line gives reason for leaves a plan that can be stored', () => {
  let n = 0;
  fc.assert(
    fc.property(anyLine, (plan) => {
      for (const dispute of disputesOf(plan))
        for (const { plan: theirs } of holdAgainst(plan, dispute, () => `new-${n++}`))
          if (theirs) expect(planSchema.safeParse(theirs).error?.issues ?? []).toEqual([]);
    }),
    { numRuns: 25 },
  );
});
