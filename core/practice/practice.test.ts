import { execFileSync } from 'node:child_process';
import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { walk } from '../line/walk';
import { planSchema } from '../plan/plan';
import { AS_GOOD, badness, inOrder } from './ask-order';
import { bestPick } from './best-pick';
import { BY_HAND, caseByHand } from './by-hand';
import { CASE_KINDS, type CaseKind, type PracticeCase } from './case';
import { drawsOf } from './draws';
import { FaultyLine, WEEKS } from './faulty-line';
import { GOOD_FACTOR, gradeAnswer, gradeNumber, gradeSearch, NEVER_OVER, POOR_FACTOR, type Step } from './grade';
import { practiceLine } from './lines';
import { makeCase } from './make-case';
import { AGAIN_DAYS, calibrationOf, comesAgain, type Played, RIGHT, skillOf } from './spacing';

const KINDS = Object.keys(CASE_KINDS) as CaseKind[];
const SEEDS = Array.from({ length: 12 }, (_, i) => 31 * i + 1);

function orders<T>(of: readonly T[]): T[][] {
  return of.length < 2 ? [[...of]] : of.flatMap((x, i) => orders(of.toSpliced(i, 1)).map((rest) => [x, ...rest]));
}
function subsets<T>(of: readonly T[]): T[][] {
  return of.reduce<T[][]>((all, x) => all.concat(all.map((s) => s.concat([x]))), [[]]);
}
/** The best answer to a case that has one. */
function bestOf({ asked }: PracticeCase): Parameters<typeof gradeAnswer>[1] {
  if (asked.form === 'number') return { form: 'number', value: asked.truth };
  if (asked.form === 'choice') return { form: 'choice', index: asked.right };
  if (asked.form === 'find') throw new Error('a search has no one answer');
  return { form: asked.form, ids: asked.best };
}

describe.each(KINDS)('%s', (kind) => {
  it('is the same for the same seed, on a line that may be stored, and its best answer is worth all', () => {
    for (const seed of SEEDS) {
      const made = makeCase(kind, seed, (seed % 3) as 0 | 1 | 2);
      expect(JSON.stringify(makeCase(kind, seed, (seed % 3) as 0 | 1 | 2))).toBe(JSON.stringify(made));
      expect(planSchema.safeParse(made.plan).success).toBe(true);
      expect(made.because.every((b) => b.si === undefined || Number.isFinite(b.si))).toBe(true);
      if (kind !== 'find') expect(gradeAnswer(made, bestOf(made))).toBeCloseTo(1, 9);
    }
    expect(new Set(SEEDS.map((s) => JSON.stringify(makeCase(kind, s)))).size).toBe(SEEDS.length);
  });
});

it.each(['shop', 'dry', 'plant'] as const)('a line to practise on, %s, is walked to its tool', (shape) => {
  for (const seed of SEEDS) {
    const plan = practiceLine(drawsOf(seed), shape, 'august');
    expect([seed, walk(plan).problem]).toEqual([seed, undefined]);
  }
});

it('no other order, and no other choice for the money, is better than what counts as best', () => {
  for (const level of [0, 2] as const)
    for (const seed of SEEDS.slice(0, 3)) {
      const { asked, plan } = makeCase('order', seed, level);
      if (asked.form !== 'order') throw new Error('no order');
      const { budget = 0, cards } = asked;
      const all = cards.map((c) => c.id);
      const cost = (ids: readonly string[]): number =>
        cards.reduce((sum, c) => sum + (ids.includes(c.id) ? (c.price ?? 0) : 0), 0);
      const there = cards.filter((c) => c.price === undefined).map((c) => c.id);
      const bad = (ids: readonly string[]): number => badness(inOrder(plan, ids, all));
      const choices =
        level === 0
          ? [all]
          : subsets(all).filter((ids) => cost(ids) <= budget && there.every((id) => ids.includes(id)));
      const least = Math.min(...choices.flatMap((ids) => orders(ids)).map(bad));
      expect(bad(asked.best)).toBeLessThanOrEqual(least + AS_GOOD);
      const grade = (ids: readonly string[]): number => gradeAnswer({ asked, plan }, { form: 'order', ids });
      if (level === 0) expect(grade([...asked.best].reverse())).toBeLessThan(0.7);
      // All of it is more than there is; without a budget nothing is left out.
      else expect([cost(all) > budget, grade(all)]).toEqual([true, 0]);
      if (level === 0) expect(grade(asked.best.slice(1))).toBe(0);
    }
});

it('no other choice of tasks keeps away more in the minutes, and too many are worth nothing', () => {
  for (const seed of SEEDS.slice(0, 6)) {
    const { asked, plan } = makeCase('routine', seed);
    if (asked.form !== 'pick') throw new Error('no routine');
    // Of many tasks the nine that are worth most: all their choices are tried.
    const some = asked.options.toSorted((a, b) => b.worth - a.worth).slice(0, 9);
    const sum = (of: typeof some, field: 'worth' | 'minutesPerWeek') => of.reduce((s, o) => s + o[field], 0);
    const tried = subsets(some).filter((s) => sum(s, 'minutesPerWeek') <= asked.budgetMin);
    const most = Math.max(...tried.map((s) => sum(s, 'worth')));
    const chosen = some.filter((o) => bestPick(some, asked.budgetMin).includes(o.id));
    expect(sum(chosen, 'minutesPerWeek')).toBeLessThanOrEqual(asked.budgetMin);
    expect(sum(chosen, 'worth')).toBeGreaterThanOrEqual(0.97 * most);
    const all = asked.options.map((o) => o.id);
    expect(gradeAnswer({ asked, plan }, { form: 'pick', ids: all })).toBe(0);
  }
});

it('an estimate is graded by its ratio, alike above and below; a setting is never more', () => {
  expect([gradeNumber(GOOD_FACTOR, 1), gradeNumber(1 / GOOD_FACTOR, 1)]).toEqual([1, 1]);
  expect(gradeNumber(GOOD_FACTOR * 1.01, 1)).toBeLessThan(1);
  expect([gradeNumber(POOR_FACTOR, 1), gradeNumber(0.99 / POOR_FACTOR, 1), gradeNumber(-1, 1)]).toEqual([0, 0, 0]);
  expect(gradeNumber(POOR_FACTOR * 0.99, 1)).toBeGreaterThan(0);
  expect(gradeNumber(2, 1)).toBeCloseTo(gradeNumber(0.5, 1), 12);
  expect([gradeNumber(NEVER_OVER, 1, 'more'), gradeNumber(NEVER_OVER * 1.001, 1, 'more')]).toEqual([1, 0]);
  expect([gradeNumber(1 / NEVER_OVER, 1, 'less'), gradeNumber(0.999 / NEVER_OVER, 1, 'less')]).toEqual([1, 0]);
});

describe('a search', () => {
  const ways = SEEDS.map((seed) => {
    const line = new FaultyLine(makeCase('find', seed));
    const { checkIds } = line.reference();
    const read = (checkId: string): Step => ({ does: 'read', checkId, value: 0 });
    const repair: Step = { does: 'repair', causeId: line.causeId, safe: true };
    return { line, reads: checkIds.map(read), repair, proof: read(checkIds.at(-1) ?? 'none') };
  });

  it('is worth all on the shortest known way, with its proof', () => {
    for (const { line, reads, repair, proof } of ways)
      expect(gradeSearch(line, [...reads, repair, proof], line.causeId)).toMatchObject({
        score: expect.closeTo(1, 9),
        found: true,
        proven: true,
      });
  });

  it('has a way that ends at the cause, with what the same instruments show', () => {
    for (const { line } of ways) expect(line.reference().finds).toBe(true);
  });

  it('is worth less without proof, with a purchase, with more minutes or a wrong repair, and nothing where it is unsafe', () => {
    for (const { line, reads, repair, proof } of ways) {
      const of = (...steps: Step[]): number => gradeSearch(line, steps, line.causeId).score;
      const best = of(...reads, repair, proof);
      expect(of(...reads, repair)).toBeLessThan(best);
      expect(of({ does: 'buy', what: 'coalescing-filter' }, ...reads, repair, proof)).toBeLessThan(best);
      expect(of(...reads, ...reads, repair, proof)).toBeLessThan(best + (reads.length === 0 ? 1 : 0));
      expect(of({ does: 'repair', causeId: 'nothing', safe: true }, ...reads, repair, proof)).toBeLessThan(best);
      expect(gradeSearch(line, [...reads, repair, proof], 'nothing').score).toBeLessThan(best);
      // Whoever only sets something opens nothing.
      const { opens } = line.actOn(line.causeId).act;
      const { score, unsafe } = gradeSearch(line, [...reads, { ...repair, safe: false } as Step]);
      expect([unsafe, score === 0]).toEqual([opens, opens]);
      expect(of(...reads)).toBe(0);
    }
  });

  it('shows after the repair what a sound line shows, and no week is wetter than with the fault left in', () => {
    for (const { line } of ways) {
      const left = gradeSearch(line, []).weeksKg;
      expect(left).toEqual(line.weeksKg());
      expect(left).toHaveLength(WEEKS);
      for (const [i, kg] of line.weeksKg(0).entries()) expect(kg).toBeLessThanOrEqual((left[i] as number) + 1e-9);
      for (const check of line.finding.checks) {
        const [sound] = line.finding.expected('nothing', check.id);
        const read = line.reads(check, true);
        // Within three standard deviations of its instrument.
        if (sound !== undefined && check.of === 'temperature')
          expect(Math.abs((read ?? NaN) - sound)).toBeLessThan(7.5);
      }
    }
  });
});

describe('what went wrong', () => {
  const at = (day: number): string => new Date(Date.UTC(2026, 10, 1 + day)).toISOString();
  const play = (day: number, score: number, ratio?: number): Played => ({
    ...{ at: at(day), kind: 'find', seed: 3, score },
    ...(ratio && { ratio }),
  });

  it('comes again after a day, three and ten, each after the one before, and then no more', () => {
    const [one, three, ten] = AGAIN_DAYS;
    const due = (day: number, ...played: Played[]): number => comesAgain(played, at(day)).length;
    const wrong = play(0, RIGHT - 0.01);
    expect([due(one - 0.01, wrong), due(one, wrong)]).toEqual([0, 1]);
    expect([due(1 + three - 0.01, wrong, play(1, RIGHT)), due(1 + three, wrong, play(1, RIGHT))]).toEqual([0, 1]);
    expect(due(4 + ten, wrong, play(1, 1), play(4, 1))).toBe(1);
    expect(due(100, wrong, play(1, 1), play(4, 1), play(14, 1))).toBe(0);
    expect(due(100, play(0, RIGHT))).toBe(0);
  });

  it('a skill is the newest five; estimates have a bias and a width', () => {
    expect(skillOf([play(0, 0), ...[1, 2, 3, 4, 5].map((d) => play(d, 1))], 'find')).toBe(1);
    expect(skillOf([], 'find')).toBeUndefined();
    // Guesses of 2, 4 and 8 times the truth: 4 in the middle, half of them within a factor of 2 of it.
    const guesses = [8, 2, 4].map((r, i) => play(i, 0, r));
    expect(calibrationOf(guesses)?.bias).toBeCloseTo(4, 9);
    expect(calibrationOf(guesses)?.within).toBeCloseTo(2, 9);
    expect(calibrationOf(guesses.slice(1))).toBeUndefined();
  });
});

describe('made by hand', () => {
  it('there are twelve of all kinds, each once', () => {
    expect(new Set(BY_HAND.map((b) => b.id)).size).toBe(12);
    expect(new Set(BY_HAND.map((b) => b.kind))).toEqual(new Set(KINDS));
    expect(caseByHand('nothing-such')).toBeUndefined();
    // What somebody says of it is what shows.
    const symptomOf = (id: string): string | undefined => {
      const asked = caseByHand(id)?.asked;
      return asked?.form === 'find' ? asked.complaint.symptom : undefined;
    };
    expect(['no-water', 'weak', 'slow'].map(symptomOf)).toEqual(['D06', 'D13', 'D14']);
  });

  it('the debrief of the bucket agrees with the walk of the command line', () => {
    const { plan, asked, because } = caseByHand('bucket') as PracticeCase;
    const file = path.join(mkdtempSync(path.join(tmpdir(), 'practice-')), 'plan.json');
    writeFileSync(file, JSON.stringify(plan));
    const printed = JSON.parse(execFileSync('bin/walk', [file], { encoding: 'utf8' }));
    const separator = printed.stations.find((s: { kind: string }) => s.kind === 'separator');
    expect(because.find((b) => b.says === 'Caught here, loaded')?.si).toBeCloseTo(separator.caughtKgPerS, 12);
    expect(because.find((b) => b.says === 'Water that comes in, loaded')?.si).toBeCloseTo(
      printed.ledger.waterInKgPerS,
      12,
    );
    // Nine hours a day, 40 % of them loaded: the default of a working week.
    expect(asked.form === 'number' && asked.truth).toBeCloseTo((separator.caughtKgPerS * 3600 * 9 * 0.4) / 1000, 9);
  });
});
