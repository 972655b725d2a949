import fc from 'fast-check';
import { dairyPlan } from '../../db/dairy';
import { demoPlan } from '../../db/demo';
import { walk } from '../line/walk';
import { end } from '../piping/ends';
import { insertStage, newStage } from '../plan/edit';
import { setLegs } from '../plan/edit-legs';
import { withStage } from '../plan/runs';
import { anyPlan } from '../test/any-plan';
import { type AssemblyStep, assemblyOf, PHASES } from './assembly';
import { billOf } from './bill';
import { methodOf } from './joint-methods';
import { jointsOf } from './joints';
import { closesUnturned, isStanding, isUnion } from './unions';

const ORDER = Object.keys(PHASES);
const at = (steps: readonly AssemblyStep[], id: string): number => steps.findIndex((s) => s.id === id);

describe('the order of assembly', () => {
  it('makes every joint of any line once, and no joint before both of its sides stand', () => {
    fc.assert(
      fc.property(anyPlan(), (plan) => {
        const section = walk(plan);
        const steps = assemblyOf(plan, section);
        const joints = jointsOf(plan, section);
        expect(steps.flatMap((s) => s.makes).sort()).toEqual(joints.map((j) => j.id).sort());
        expect(new Set(steps.map((s) => s.id)).size).toBe(steps.length);
        const phases = steps.map((s) => ORDER.indexOf(s.phase));
        expect(phases).toEqual([...phases].sort((a, b) => a - b));
        for (const j of joints) {
          const mounted = Math.max(at(steps, `mount ${j.stageId}`), at(steps, `bench ${j.stageId}`));
          expect(mounted).toBeLessThan(at(steps, `join ${j.id}`));
        }
      }),
      { numRuns: 30 },
    );
  });

  it('goes from the tank outwards, then back to the compressor, and hoses come last', () => {
    const hosed = insertStage(demoPlan(), newStage('hose', 'h'), 12);
    const steps = assemblyOf(hosed);
    expect(at(steps, 'join coalescer:in')).toBeLessThan(at(steps, 'join dryer:in'));
    expect(at(steps, 'join dryer:in')).toBeLessThan(at(steps, 'join receiver:in'));
    expect(at(steps, 'join receiver:in')).toBeLessThan(at(steps, 'join separator:in'));
    expect(steps.find((s) => s.id === 'join coalescer:in')?.how[0]).toContain('test valve');
    expect(steps.at(-1)?.phase).toBe('hose');
  });

  it('puts drip legs before their run', () => {
    const plan = setLegs(insertStage(demoPlan(), newStage('pipe', 'p'), 5), 'p', [
      { to: 'down', lengthM: 1, fall: 0, drain: true },
    ]);
    expect(assemblyOf(plan).find((s) => s.id === 'run p')?.how[0]).toContain('drip legs');
  });
});

describe('unions', () => {
  it('close between two things that stand where nothing else comes apart, and are on the bill', () => {
    // Receiver to chilled dryer, all on pipe threads: neither can be turned.
    const plan = demoPlan();
    const joint = jointsOf(plan).find((j) => j.id === 'dryer:in');
    expect(joint?.union).toBe(true);
    expect(joint?.chosen?.parts.filter(isUnion).length).toBe(1);
    expect(billOf(plan).items.some((i) => i.label.startsWith('Union'))).toBe(true);
    // A flange or a nut between them does instead.
    const nut = withStage(plan, 'coalescer', (s) => ({ ...s, fit: { in: end('compression', '1/2'), tube: '1/2' } }));
    expect(jointsOf(nut).find((j) => j.id === 'dryer:in')?.union).toBe(false);
  });

  it('leave no two standing things of any line that could not be closed', () => {
    fc.assert(
      fc.property(anyPlan(demoPlan, dairyPlan), (plan) => {
        const joints = jointsOf(plan);
        for (const run of [plan.stages]) {
          let open = false;
          for (const s of run) {
            const own = joints.filter((j) => j.stageId === s.id);
            if (own.some((j) => !j.chosen || closesUnturned([j.sides[0].end, j.sides[1].end], j.chosen.parts)))
              open = false;
            if (!isStanding(s) || s.planned) continue;
            expect([s.id, open]).toEqual([s.id, false]);
            open = own.length > 0 || s.kind === 'compressor';
          }
        }
      }),
      { numRuns: 30 },
    );
  });
});

describe('how a joint is made', () => {
  // Common practice, no source: turns past hand-tight by size.
  it.each([
    [end('npt', '1/4', 'male'), '1½ to 2½ turns'],
    [end('npt', '1/2', 'male'), '2 to 3 turns'],
    [end('bspt', '2', 'male'), '1½ to 2 turns'],
    [end('compression', '1/4'), '¾ turn'],
    [end('compression', '3/8'), '1 to 1¼ turns'],
    [end('flare-37', '-6', 'male'), '1¼ flats'],
    [end('flare-37', '-8', 'male'), '1 flat'],
  ])('%j: %s', (e, says) => {
    expect(methodOf(e).does).toContain(says);
  });

  it('begins tape one thread back, and puts none on a G thread or a flare', () => {
    expect(methodOf(end('npt', '1/8', 'male')).does).toContain('one thread back');
    expect(methodOf(end('bspp', '1/2', 'male')).does).toContain('no tape');
    expect(methodOf(end('flare-37', '-8', 'male')).tools).not.toContain('sealing tape');
  });
});
