import { judgeOutlets } from '../line/judge-outlet';
import { walk } from '../line/walk';
import { removeStage } from '../plan/edit';
import { all, behind, branch, but, goodPlant, goodShop, site, without } from '../test/good-lines';
import { stageOf } from '../test/plan-of';
import { applyFix, applyFixes } from './apply-fixes';
import { type Advice, dismiss, isReady, judgeLine, RULES, restore, withVerdicts } from './judge-line';
import type { Rule } from './rule';

let n = 0;
const newId = (): string => `new-${n++}`;
const find = (plan: ReturnType<typeof goodShop>, id: string): Advice => {
  const found = judgeLine(plan).advice.find((a) => a.rule.id === id);
  if (!found) throw new Error(`${id} is silent`);
  return found;
};

const ready = (plan: ReturnType<typeof goodShop>): boolean =>
  isReady(judgeLine(plan), walk(plan), judgeOutlets(plan, walk(plan)));

test('what the verdicts change is the same, whether all rules are asked with them or the few that need them', () => {
  // Dried; and without a dryer from a tank that leaves the dew point about the room, and above it: met, open, missed.
  const dried = but('outlet', { need: 'no-liquid' })(goodShop());
  const bare = (outletTemperatureC: number) =>
    all(dried, without('refrigerated-dryer'), but('receiver', { method: 'measured', outletTemperatureC }));
  const lines = [dried, bare(28), bare(33), bare(45)];
  const verdicts = lines.map((plan) => {
    const outlets = judgeOutlets(plan, walk(plan));
    const whole = judgeLine(plan, walk(plan), RULES, [], outlets);
    expect(withVerdicts(judgeLine(plan), plan, walk(plan), outlets).advice.map((a) => a.key)).toEqual(
      whole.advice.map((a) => a.key),
    );
    return outlets.get('outlet')?.verdict;
  });
  expect(new Set(verdicts)).toEqual(new Set(['meets', 'open', 'fails']));
});

describe('setting advice aside', () => {
  const noisy = all(goodShop(), but('coalescing-filter', { pressureLossPa: 7e4, cleanLossPa: 8e3 }));

  test('it stays so while the line changes elsewhere, and stands again when its figures change', () => {
    const quiet = dismiss(noisy, find(noisy, 'O30'), 'the element is ordered');
    expect(find(quiet, 'O30').dismissed).toBe('the element is ordered');
    expect(find(but('intake', { conditioned: 'yes' })(quiet), 'O30').dismissed).toBe('the element is ordered');
    expect(find(but('coalescing-filter', { pressureLossPa: 9e4 })(quiet), 'O30').dismissed).toBeUndefined();
    expect(find(restore(quiet, find(quiet, 'O30')), 'O30').dismissed).toBeUndefined();
  });

  test('a must that was set aside does not keep a line from being ready; a danger cannot be set aside', () => {
    const faulty = all(goodShop(), but('coalescing-filter', { drain: 'none' }));
    expect(ready(faulty)).toBe(false);
    const told = dismiss(faulty, find(faulty, 'O04'), 'emptied by hand each hour');
    expect(ready(told)).toBe(true);
    const danger = site({ breathed: 'yes' })(goodShop());
    expect(dismiss(danger, find(danger, 'S07'), 'it is fine')).toBe(danger);
    expect(ready(danger)).toBe(false);
    // Nor by a plan file that says so.
    const forged = { ...danger, dismissed: [{ rule: 'S07', stageIds: [], reason: 'forged', restsOn: '' }] };
    expect(find(forged, 'S07').dismissed).toBeUndefined();
  });
});

test('a rule that breaks is named, the others speak, and the line is not ready', () => {
  const breaks: Rule = {
    ...(RULES[0] as Rule),
    id: 'X',
    finds: () => {
      throw new Error('on purpose');
    },
  };
  const plan = without('isolating-valve')(goodShop());
  const judgement = judgeLine(plan, walk(plan), [breaks, ...RULES]);
  expect(judgement.broken).toEqual([{ ruleId: 'X', message: 'on purpose' }]);
  expect(judgement.advice.map((a) => a.rule.id)).toContain('A17');
  expect(isReady(judgement, walk(plan), judgeOutlets(plan, walk(plan)))).toBe(false);
});

describe('a fix on a line that has changed meanwhile', () => {
  const faulty = all(goodShop(), but('coalescing-filter', { drain: 'none' }));
  const { key } = find(faulty, 'O04');
  test('is refused in words where its stage is gone, or its fault', () => {
    expect(applyFix(removeStage(faulty, 'coalescing-filter'), key, 0, newId)).toHaveProperty('refused');
    expect(applyFix(goodShop(), key, 0, newId)).toHaveProperty('refused');
    expect(applyFix(faulty, key, 9, newId)).toHaveProperty('refused');
  });
  test('is applied to the line as it is now', () => {
    const later = but('regulator', { setPressurePa: 7e5 })(faulty);
    const result = applyFix(later, key, 0, newId);
    expect('plan' in result && result.plan.stages.find((s) => s.kind === 'regulator')?.parameters).toMatchObject({
      setPressurePa: 7e5,
    });
  });
});

test('of two fixes for one fault the second is left out: nothing is put in twice', () => {
  // Without cooler and tank the filters and the dryer each ask for a cooler.
  const faulty = all(goodShop(), without('aftercooler', 'separator', 'receiver'));
  const { plan, left } = applyFixes(faulty, newId);
  expect(plan.stages.filter((s) => s.kind === 'aftercooler')).toHaveLength(1);
  expect(left).toEqual([]);
});

test('a lubricator upstream of tools and a spray gun: the gun gets a dry branch, the tools keep their oil; taken out, it is remembered', () => {
  const faulty = all(
    goodShop(),
    behind('regulator', stageOf('lubricator')),
    branch('gun', 'lubricator', [stageOf('outlet', { use: 'spray' }, 'gun-outlet')]),
  );
  const { key } = find(faulty, 'O11');
  const dry = applyFix(faulty, key, 0, newId);
  if ('refused' in dry) throw new Error(dry.refused);
  expect(dry.plan.branches.find((b) => b.id === 'gun')?.from).toBe('regulator');
  expect(dry.plan.stages.map((s) => s.kind)).toContain('lubricator');
  expect(judgeLine(dry.plan).advice.map((a) => a.rule.id)).not.toContain('A41');
  const out = applyFix(faulty, key, 1, newId);
  if ('refused' in out) throw new Error(out.refused);
  expect(judgeLine(out.plan).advice.map((a) => a.rule.id)).toContain('A41');
});

test('dangers come first, then must, should, note', () => {
  const bad = all(
    goodPlant(),
    site({ gas: 'other', breathed: 'no', drainLiftM: 5 }),
    but('cycling-dryer', { drain: 'none' }),
    without('isolating-valve'),
  );
  const order = judgeLine(bad).advice.map((a) => (a.rule.stop ? 'stop' : a.rule.grade));
  expect(order).toEqual(
    order.toSorted((a, b) => 'stop must should note'.indexOf(a) - 'stop must should note'.indexOf(b)),
  );
  expect(new Set(order).size).toBe(4);
});
