import { demoPlan } from '../../../db/demo';
import { FAULTS, type Fault, withFault } from '../../fault/faults';
import { walk } from '../../line/walk';
import type { Plan } from '../../plan/plan';
import { allStages } from '../../plan/runs';
import { all, behind, goodDry, goodShop } from '../../test/good-lines';
import { stageOf } from '../../test/plan-of';
import { type Cause, Finding, isFound, NOTHING, type Reading, SURE } from './belief';
import { checkKind } from './checks';
import { placesOf, SHOWS } from './shows';

const SHOP = all(
  goodShop(),
  behind('fine', stageOf('bead-cartridge', { massKg: 5, spentShare: 0.1 })),
  behind('regulator', stageOf('hose')),
);
const LINES: readonly (readonly [string, Plan])[] = [
  ['shop', SHOP],
  ['dry', goodDry()],
  ['demo', demoPlan()],
];

/** Numbers between 0 and 1 from a seed. */
function chance(seed: number): () => number {
  let s = seed >>> 0;
  return () => {
    s = (s * 1664525 + 1013904223) >>> 0;
    return (s + 0.5) / 2 ** 32;
  };
}
const gauss = (next: () => number): number => Math.sqrt(-2 * Math.log(next())) * Math.cos(2 * Math.PI * next());

/** A fault that was put into a line, and what came of looking for it: each reading with the scatter of its instrument. */
function look(plan: Plan, fault: Fault, stageId: string, seed: number) {
  const next = chance(seed);
  const size = fault.sizes[Math.floor(next() * fault.sizes.length)] as number;
  const faulty = withFault(plan, { faultId: fault.id, stageId, size });
  const [sound, section] = [walk(plan), walk(faulty)];
  const complaint = Object.keys(SHOWS).flatMap((symptom) => {
    const before = placesOf(symptom, plan, sound, sound) ?? [];
    return (placesOf(symptom, plan, sound, section) ?? [])
      .filter((id) => !before.includes(id))
      .map((id) => ({ symptom, stageId: id }));
  })[0];
  if (!complaint) return undefined; // nobody would notice it
  const finding = new Finding(plan, complaint);
  const readings: Reading[] = [];
  while (readings.length < 10 && !isFound(finding.believe(readings))) {
    const best = finding.nextChecks(readings)[0];
    const truth = best && checkKind(best.check.of).read(section, faulty, best.check.stageId);
    if (!best || best.bits < 0.01 || truth === undefined) break;
    const { abs, rel } = checkKind(best.check.of);
    readings.push({ checkId: best.check.id, value: truth + gauss(next) * Math.hypot(abs, rel * truth) });
  }
  const [top] = finding.believe(readings);
  return { checks: readings.length, sure: top?.probability ?? 0, right: top?.cause.id === `${fault.id} ${stageId}` };
}

describe('looking for a fault', () => {
  const cases = LINES.flatMap(([, plan]) =>
    allStages(plan).flatMap((stage) =>
      FAULTS.filter((f) => f.canHave(stage)).flatMap((fault) =>
        [1, 2, 3].flatMap((seed) => look(plan, fault, stage.id, seed * 7919 + stage.id.length) ?? []),
      ),
    ),
  );
  const sure = cases.filter((c) => c.sure >= SURE);

  it('has the right cause first in nine of ten, after four checks in the middle', () => {
    expect(cases.length).toBeGreaterThan(80);
    expect(cases.filter((c) => c.right).length / cases.length).toBeGreaterThanOrEqual(0.9);
    const counts = cases.map((c) => c.checks).sort((a, b) => a - b);
    expect(counts[Math.floor(counts.length / 2)]).toBeLessThanOrEqual(4);
  });

  it('is as often right as it says, where it says that it is sure', () => {
    const said = sure.reduce((sum, c) => sum + c.sure, 0) / sure.length;
    const right = sure.filter((c) => c.right).length / sure.length;
    expect(sure.length).toBeGreaterThan(50);
    expect(Math.abs(right - said)).toBeLessThan(0.05);
  });
});

describe('what is believed', () => {
  const finding = new Finding(SHOP, { symptom: 'D06', stageId: 'separator' });

  it('adds up to one, and is no surer of anything after a reading that all causes would give', () => {
    const total = (readings: readonly Reading[]): number =>
      finding.believe(readings).reduce((sum, b) => sum + b.probability, 0);
    expect(total([])).toBeCloseTo(1, 9);
    const same = finding.checks.find((c) => {
      const all = finding.believe([]).flatMap(({ cause }) => finding.expected(cause.id, c.id));
      return all.every((x) => x === all[0]);
    });
    if (same) expect(finding.nextChecks([]).find((n) => n.check.id === same.id)?.bits).toBeCloseTo(0, 9);
    expect(total([{ checkId: 'separator catch', value: 0 }])).toBeCloseTo(1, 9);
  });

  it('leads from no water in the separator to its drain, and from the expected water away from it', () => {
    const causeOf = (value: number) => finding.believe([{ checkId: 'separator catch', value }])[0]?.cause.id;
    expect(causeOf(0)).toBe('drain-shut separator');
    const usual = finding.expected('nothing', 'separator catch')[0] as number;
    expect(causeOf(usual)).not.toBe('drain-shut separator');
  });

  it('asks for no check twice, and for none that cannot be done', () => {
    const [first, second] = finding.nextChecks([]).map((n) => n.check.id) as [string, string];
    const left = finding.nextChecks([{ checkId: first, value: 0 }], [second]).map((n) => n.check.id);
    expect(left).not.toContain(first);
    expect(left).not.toContain(second);
  });

  it('is found at nine tenths, or where causes of one repair come to it together', () => {
    const cause = (id: string, repair: string): Cause => ({ ...NOTHING, id, repair, stageId: 'x' });
    const sure = (...of: [string, string, number][]): boolean =>
      isFound(of.map(([id, repair, probability]) => ({ cause: cause(id, repair), probability })));
    expect([sure(['a', 'repair', 0.9]), sure(['a', 'repair', 0.89], ['b', 'other', 0.11])]).toEqual([true, false]);
    expect(sure(['a', 'repair', 0.5], ['b', 'repair', 0.4], ['c', 'other', 0.1])).toBe(true);
  });
});
