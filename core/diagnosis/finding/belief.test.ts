import { lookForAll, lookForAnyCause, SHOP, trueOf } from '../../test/look-for';
import { Finding } from './belief';
import { type Cause, isFound, NOTHING, type Reading, SURE } from './cause';

describe('looking for a fault', () => {
  const cases = lookForAll();
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

it('is true about as often as it says, where every cause may be behind a complaint', () => {
  const cases = lookForAnyCause();
  for (const [from, to] of [
    [0.02, 0.2],
    [0.2, 0.6],
    [0.7, 0.9],
    [0.9, 1.01],
  ] as const) {
    const { said, held, n } = trueOf(cases, from, to);
    expect(n).toBeGreaterThan(50);
    // Of what is said at four fifths, 75 to 85 % is true.
    expect(Math.abs(held - said)).toBeLessThan(from === 0.7 ? 0.05 : 0.1);
  }
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
