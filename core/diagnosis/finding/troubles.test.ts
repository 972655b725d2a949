import { demoPlan } from '../../../db/demo';
import { faultById } from '../../fault/faults';
import { walkedWith } from '../../fault/walked';
import type { Plan } from '../../plan/plan';
import { all, behind, goodDry, without } from '../../test/good-lines';
import { SHOP } from '../../test/look-for';
import { stageOf } from '../../test/plan-of';
import { Finding } from './belief';
import { isFound, type Reading } from './cause';
import { readUnder } from './checks';
import type { Complaint } from './complaint';

type Put = readonly [faultId: string, stageId: string, size: number];

/** Looks for what was put into a line, by the check that tells most, with true readings. */
function look(plan: Plan, complaint: Complaint, ...put: readonly Put[]): { path: string[]; found: string | undefined } {
  const faults = put.map(([faultId, stageId, size]) => ({ fault: faultById(faultId), stageId, size }));
  const faulty = walkedWith(plan, faults);
  let finding = new Finding(plan, complaint);
  const readings: Reading[] = [];
  while (!isFound(finding.believe(readings))) {
    const next = finding.nextChecks(readings)[0];
    const value = next && readUnder(faulty, next.check);
    if (!next || value === undefined || next.bits < 0.01) break;
    readings.push({ checkId: next.check.id, value });
    finding = finding.explaining(readings);
  }
  return { path: readings.map((r) => r.checkId), found: finding.believe(readings)[0]?.cause.id };
}

// Each with the way that the trade handbook goes.
describe('troubles of a small shop', () => {
  it('no water at the separator any more: open its drain by hand, and it is full', () => {
    expect(look(demoPlan(), { symptom: 'D06', stageId: 'separator' }, ['drain-shut', 'separator', 1])).toEqual({
      path: ['separator held'],
      found: 'drain-shut separator',
    });
  });

  it('the cooler lets warm air through: read the air that cools it, and the air downstream', () => {
    const at = ['aftercooler temperature', 'aftercooler cooling-air', 'aftercooler fan', 'intake intake-air'];
    const complaint = { symptom: 'D18', stageId: 'aftercooler' };
    const fouled = look(demoPlan(), complaint, ['cooler-fouled', 'aftercooler', 10]);
    const hot = look(demoPlan(), complaint, ['hot-air', 'aftercooler', 12]);
    const dead = look(demoPlan(), complaint, ['fan-dead', 'aftercooler', 15]);
    expect([fouled.found, hot.found, dead.found]).toEqual([
      'cooler-fouled aftercooler',
      'hot-air aftercooler',
      'fan-dead aftercooler',
    ]);
    for (const { path } of [fouled, hot, dead]) expect(path.every((id) => at.includes(id))).toBe(true);
  });

  it('low pressure at the tool, the tank fine: read in flow, the largest loss is the hose', () => {
    const { path, found } = look(SHOP, { symptom: 'D13', stageId: 'outlet' }, ['hose-narrow', 'hose', 0.4]);
    expect([path[0], found]).toEqual(['outlet pressure', 'hose-narrow hose']);
  });

  it('the beads are pink: one looks at them', () => {
    expect(
      look(SHOP, { symptom: 'D25', stageId: 'bead-cartridge' }, ['beads-spent', 'bead-cartridge', 1]),
    ).toMatchObject({ path: ['bead-cartridge colour'], found: 'beads-spent bead-cartridge' });
  });

  it('pressure falls under load: a pump-up decides between the compressor and the rest', () => {
    const { path, found } = look(SHOP, { symptom: 'D14', stageId: 'compressor' }, [
      'compressor-worn',
      'compressor',
      0.3,
    ]);
    expect([path.at(-1), found]).toEqual(['compressor delivery', 'compressor-worn compressor']);
  });

  it('two at once: no single cause explains the readings, and the pair does', () => {
    const put = [
      ['hose-narrow', 0.25],
      ['regulator-droops', 1.2e5],
    ] as const;
    const faults = put.map(([id, size]) => ({ fault: faultById(id), stageId: id.split('-')[0] as string, size }));
    const faulty = walkedWith(SHOP, faults);
    const single = new Finding(SHOP, { symptom: 'D13' });
    const readings = single.checks
      .filter((c) => ['outlet pressure', 'hose drop', 'regulator pressure'].includes(c.id))
      .map((c) => ({ checkId: c.id, value: readUnder(faulty, c) as number }));
    expect(single.explains(readings)).toBe(false);
    const [top] = single.explaining(readings).believe(readings);
    expect(top?.cause.id.split(' + ').sort()).toEqual(['hose-narrow hose', 'regulator-droops regulator']);
  });
});

// Written down from the lists of the trade handbook (D05, D07, D13, D14, D17, D22) before the search was run on them: each with
// the check that decides there.
describe('six troubles', () => {
  const has = (plan: Plan, complaint: Complaint, put: Put, check: string): void => {
    const { path, found } = look(plan, complaint, put);
    expect([found, path]).toEqual([`${put[0]} ${put[1]}`, expect.arrayContaining([check])]);
    expect(path.length).toBeLessThanOrEqual(4);
  };
  const valved = all(SHOP, behind('aftercooler', stageOf('check-valve')));

  it('a twin tower drifts from −40 to −10: more than 3 psi on the tower that regenerates is its silencer', () =>
    has(
      goodDry(),
      { symptom: 'D22', stageId: 'twin-tower' },
      ['silencer-blocked', 'twin-tower', 15],
      'twin-tower back-pressure',
    ));

  it('pressure falls under load: what the compressor delivers is right, and the line loses pressure at rest', () =>
    has(SHOP, { symptom: 'D14' }, ['leaks', 'hose', 0.002], 'receiver leak-down'));

  it('it hisses at the pressure switch when off: the check valve', () =>
    has(valved, { symptom: 'D17' }, ['check-valve-leaks', 'check-valve', 0.001], 'check-valve hiss'));

  // The handbook opens the drain by hand; drops on a cloth behind it tell the same, and sooner.
  it('water behind a dryer whose display is good: its drain stays shut', () =>
    has(
      SHOP,
      { symptom: 'D05', stageId: 'refrigerated-dryer' },
      ['drain-shut', 'refrigerated-dryer', 1],
      'fine cloth',
    ));

  it('a drain runs all the time: air blows', () =>
    has(SHOP, { symptom: 'D07', stageId: 'separator' }, ['drain-open', 'separator', 1], 'separator hiss'));

  it('low pressure at the tool, the tank fine: the biggest step is the filter', () =>
    has(
      all(SHOP, without('regulator')),
      { symptom: 'D13', stageId: 'outlet' },
      ['element-clogged', 'fine', 6],
      'fine drop',
    ));
});
