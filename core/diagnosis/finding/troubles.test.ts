import { demoPlan } from '../../../db/demo';
import { faultById, withFault } from '../../fault/faults';
import { walk } from '../../line/walk';
import type { Plan } from '../../plan/plan';
import { goodDry } from '../../test/good-lines';
import { SHOP } from '../../test/look-for';
import { Finding } from './belief';
import { isFound, type Reading } from './cause';
import { readUnder } from './checks';
import type { Complaint } from './shows';

type Put = readonly [faultId: string, stageId: string, size: number];

/** Looks for what was put into a line, by the check that tells most, with true readings. */
function look(plan: Plan, complaint: Complaint, ...put: readonly Put[]): { path: string[]; found: string | undefined } {
  const faults = put.map(([faultId, stageId, size]) => ({ fault: faultById(faultId), stageId, size }));
  const faulty = put.reduce((p, [faultId, stageId, size]) => withFault(p, { faultId, stageId, size }), plan);
  const section = walk(faulty);
  let finding = new Finding(plan, complaint);
  const readings: Reading[] = [];
  while (!isFound(finding.believe(readings))) {
    const next = finding.nextChecks(readings)[0];
    const value = next && readUnder(faulty, section, faults, next.check);
    if (!next || value === undefined || next.bits < 0.01) break;
    readings.push({ checkId: next.check.id, value });
    finding = finding.explaining(readings);
  }
  return { path: readings.map((r) => r.checkId), found: finding.believe(readings)[0]?.cause.id };
}

// Each with the way that the trade handbook goes.
describe('six troubles', () => {
  it('no water at the separator any more: open its drain by hand, and it is full', () => {
    expect(look(demoPlan(), { symptom: 'D06', stageId: 'separator' }, ['drain-shut', 'separator', 1])).toEqual({
      path: ['separator held'],
      found: 'drain-shut separator',
    });
  });

  it('the cooler lets warm air through: read the air that cools it, and the air downstream', () => {
    const [warm, coolant] = ['aftercooler temperature', 'aftercooler cooling-air'];
    const complaint = { symptom: 'D18', stageId: 'aftercooler' };
    const fouled = look(demoPlan(), complaint, ['cooler-fouled', 'aftercooler', 10]);
    const hot = look(demoPlan(), complaint, ['hot-air', 'aftercooler', 12]);
    expect(fouled).toEqual({ path: [coolant, warm], found: 'cooler-fouled aftercooler' });
    expect(hot).toEqual({ path: [coolant], found: 'hot-air aftercooler' });
  });

  it('low pressure at the tool, the tank fine: read in flow, the largest loss is the hose', () => {
    const { path, found } = look(SHOP, { symptom: 'D13', stageId: 'outlet' }, ['hose-narrow', 'hose', 0.4]);
    expect([path[0], found]).toEqual(['outlet pressure', 'hose-narrow hose']);
  });

  it('the beads are pink: their dew point', () => {
    expect(
      look(SHOP, { symptom: 'D25', stageId: 'bead-cartridge' }, ['beads-spent', 'bead-cartridge', 1]),
    ).toMatchObject({ path: ['bead-cartridge dew-point'], found: 'beads-spent bead-cartridge' });
  });

  it('pressure falls under load: a pump-up decides between the compressor and the rest', () => {
    const { path, found } = look(SHOP, { symptom: 'D14', stageId: 'compressor' }, [
      'compressor-worn',
      'compressor',
      0.3,
    ]);
    expect([path.at(-1), found]).toEqual(['compressor delivery', 'compressor-worn compressor']);
  });

  it('the dew point behind the towers rises: it is read there', () => {
    const { path, found } = look(goodDry(), { symptom: 'D22', stageId: 'twin-tower' }, ['tower-wet', 'twin-tower', 30]);
    expect([path.at(-1), found]).toEqual(['twin-tower dew-point', 'tower-wet twin-tower']);
  });

  it('two at once: no single cause explains the readings, and the pair does', () => {
    const { path, found } = look(
      SHOP,
      { symptom: 'D13' },
      ['hose-narrow', 'hose', 0.25],
      ['regulator-droops', 'regulator', 5e4],
    );
    expect(found).toBe('hose-narrow hose + regulator-droops regulator');
    expect(path).toContain('hose drop');
  });
});
