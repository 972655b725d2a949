import fc from 'fast-check';
import { demoPlan } from '../../db/demo';
import { placesOf } from '../diagnosis/finding/complaint';
import { walk } from '../line/walk';
import { type Plan, planSchema } from '../plan/plan';
import { allStages, pathTo } from '../plan/runs';
import { anyPlan } from '../test/any-plan';
import { all, behind, but, goodDry, goodPlant, goodShop, without, working } from '../test/good-lines';
import { SHOP } from '../test/look-for';
import { stageOf } from '../test/plan-of';
import { FAULTS, faultById, withFault } from './faults';
import { walkedWith } from './walked';

/** What a walk says of a stage, without and with a fault. */
function both(plan: Plan, faultId: string, stageId: string, size: number, at = stageId) {
  const of = (p: Plan) => {
    const station = walk(p).at(at);
    if (!station) throw new Error(`not walked: ${at}`);
    return station;
  };
  return [of(plan), of(withFault(plan, { faultId, stageId, size }))] as const;
}

describe('a fault in a line', () => {
  it('leaves a valid plan, is walked as far as it was, and changes nothing upstream of it', () => {
    fc.assert(
      fc.property(anyPlan(), (plan) => {
        const sound = walk(plan);
        for (const stage of allStages(plan))
          for (const fault of FAULTS.filter((f) => f.canHave(stage)))
            for (const size of fault.sizes) {
              const faulty = withFault(plan, { faultId: fault.id, stageId: stage.id, size });
              expect([fault.id, planSchema.safeParse(faulty).error?.issues]).toEqual([fault.id, undefined]);
              const section = walk(faulty);
              // What takes all the pressure is refused by name: that is the fault.
              const reasons = section.problems.filter((p) => !sound.problems.some((s) => s.stageId === p.stageId));
              if (!['hose-narrow', 'element-clogged', 'coupler-wrong'].includes(fault.id))
                expect([fault.id, reasons]).toEqual([fault.id, []]);
              const before = pathTo(plan, stage.id).at(-2)?.id;
              // These change how much air comes.
              if (plan.branches.length === 0 && !['compressor-worn', 'belt-slips', 'leaks'].includes(fault.id))
                expect(section.at(before)).toEqual(sound.at(before));
            }
      }),
      { numRuns: 25 },
    );
  });

  // Where the handbook of diagnosis has the first sign of each: D01, D06, D13, D14, D18, D19, D25.
  it('shows first where the handbook looks for it', () => {
    const [shop, demo] = [SHOP, demoPlan()];
    const shut = both(demo, 'drain-shut', 'separator', 1);
    expect([shut[0].caughtKgPerS > 0, shut[1].caughtKgPerS]).toEqual([true, 0]);
    const passedOn = both(demo, 'drain-shut', 'separator', 1, 'receiver');
    expect(passedOn[1].caughtKgPerS).toBeGreaterThan(5 * passedOn[0].caughtKgPerS);

    const fouled = both(demo, 'cooler-fouled', 'aftercooler', 10);
    expect(fouled[1].temperatureC - fouled[0].temperatureC).toBeCloseTo(10, 6);
    const after = both(demo, 'cooler-fouled', 'aftercooler', 10, 'separator');
    expect(after[1].caughtKgPerS).toBeLessThan(after[0].caughtKgPerS);

    const warm = both(shop, 'dryer-warm', 'refrigerated-dryer', 6);
    expect(warm[1].pressureDewPointC - warm[0].pressureDewPointC).toBeGreaterThan(4);

    const drop = (size: number): number => {
      const faulty = withFault(shop, { faultId: 'element-clogged', stageId: 'fine', size });
      const section = walk(faulty);
      const before = section.at(pathTo(shop, 'fine').at(-2)?.id);
      return (before?.pressurePa ?? 0) - (section.at('fine')?.pressurePa ?? 0);
    };
    expect(drop(6) / drop(3)).toBeCloseTo(2, 6);

    const spent = both(shop, 'beads-spent', 'bead-cartridge', 1);
    expect(spent[1].pressureDewPointC).toBeGreaterThan(spent[0].pressureDewPointC + 10);

    const droops = both(shop, 'regulator-droops', 'regulator', 5e4);
    expect(droops[0].pressurePa - droops[1].pressurePa).toBeCloseTo(5e4, 0);
    const narrow = both(shop, 'hose-narrow', 'hose', 0.25);
    expect(narrow[1].pressurePa).toBeLessThan(narrow[0].pressurePa);
    const worn = both(shop, 'compressor-worn', 'compressor', 0.15);
    expect(worn[1].dryAirKgPerS / worn[0].dryAirKgPerS).toBeCloseTo(0.85, 6);
  });

  // D07: water that runs on with the compressor off is cooling water. D03: a wet tank that was not drained, left under pressure.
  it('brings what it does to the air while the line rests: a leaking tube, a line left under pressure', () => {
    const letOff = working({ overnight: 'depressurised' });
    const complaints = (plan: Plan, id: string, stageId: string) => {
      const sound = walkedWith(plan);
      const faulty = walkedWith(plan, [{ fault: faultById(id), stageId, size: faultById(id).sizes.at(-1) ?? 0 }]);
      return ['D03', 'D07'].filter((symptom) => {
        const [before, now] = [placesOf(symptom, sound, sound), placesOf(symptom, sound, faulty)];
        return now?.some((s) => !before?.includes(s));
      });
    };
    const plant = all(goodPlant(), but('water-cooler', { drain: 'none' }));
    expect(complaints(letOff(plant), 'tube-leaks', 'water-cooler')).toEqual(['D07']);
    expect(complaints(plant, 'tube-leaks', 'water-cooler')).toEqual([]);
    const bare = all(goodShop(), without('refrigerated-dryer'), behind('coalescing-filter', stageOf('hose')));
    expect(complaints(letOff(bare), 'left-wet', 'receiver')).toEqual(['D03']);
    expect(complaints(bare, 'left-wet', 'receiver')).toEqual([]); // it is wet in the morning without a fault
  });

  it('is one that the stage can have: each kind of fault has a stage in some line, and a gauge has none', () => {
    const others = ['membrane', 'check-valve', 'unloader', 'pipe', 'water-cooler', 'coupler'] as const;
    const rare = others.map((kind) => stageOf(kind, kind === 'pipe' ? { use: 'branch' } : {}));
    const stages = [...[SHOP, demoPlan(), goodDry()].flatMap(allStages), ...rare];
    const unseen = FAULTS.filter((f) => !stages.some(f.canHave)).map((f) => f.id);
    expect(unseen).toEqual([]);
    const plan = goodShop();
    expect(withFault(plan, { faultId: 'beads-spent', stageId: 'regulator', size: 1 })).toBe(plan);
    expect(withFault(plan, { faultId: 'beads-spent', stageId: 'nothing', size: 1 })).toBe(plan);
  });
});
