import fc from 'fast-check';
import { dairyPlan } from '../../db/dairy';
import { demoPlan } from '../../db/demo';
import { walk } from '../line/walk';
import { type End, end } from '../piping/ends';
import { mates } from '../piping/mates';
import { insertStage, newStage, setParameters } from '../plan/edit';
import { setLegs } from '../plan/edit-legs';
import { type Plan, planSchema, type Stage } from '../plan/plan';
import { allStages, stageById, withStage } from '../plan/runs';
import { CFM } from '../quantity/constants';
import { anyFittedPlan } from '../test/any-fitted-plan';
import { assemblyOf } from './assembly';
import { billOf } from './bill';
import { type Joint, jointsOf, keyOfChain } from './joints';
import { portsOf } from './ports';
import { supportsOf } from './supports';
import { leftToBuy } from './ticked';

/** A compressor of 10 cfm with a finned cooler and a trap before its tank, in ⅜ in tube. */
function discharge(): Plan {
  const stages = [
    newStage('intake', 'i'),
    {
      ...newStage('compressor', 'c'),
      parameters: { ...newStage('compressor', 'c').parameters, freeAirDeliveryM3PerS: 10 * CFM },
    },
    newStage('fluid-cooler', 'cooler'),
    newStage('separator', 'trap'),
    newStage('receiver', 'tank'),
    newStage('outlet', 'tool'),
  ];
  return planSchema.parse({ ...demoPlan(), branches: [], stages, fitting: {} });
}
const count = (plan: Plan, part: string): number =>
  billOf(plan)
    .items.filter((i) => i.key.includes(part) && i.aisle !== 'spares')
    .reduce((sum, i) => sum + i.count, 0);

/** Whether the chain leads from one side to the other, each part put on the one before. */
function closes({ chosen, sides }: Joint): boolean {
  let free: End[] = [sides[0].end];
  for (const { ends } of chosen?.parts ?? [])
    free = [0, 1].flatMap((i) =>
      free.some((f) => mates(f, ends[i] as End).verdict === 'yes') ? [ends[1 - i] as End] : [],
    );
  return free.some((f) => mates(f, sides[1].end).verdict === 'yes');
}

describe('the bill', () => {
  // Common practice: pump, cooler twice, trap twice, tank: six nuts and ferrules.
  it('counts six compression nuts for a cooler and a trap before the tank, and two spare', () => {
    const bill = billOf(discharge());
    expect(bill.items.find((i) => i.key === 'sealing:nut 3/8')?.count).toBe(6);
    expect(bill.items.find((i) => i.label.startsWith('Spare: Compression nut'))?.count).toBe(2);
    expect(bill.open).toEqual([]);
  });

  it('closes on any line: every chain leads from end to end, no part over and none short', () => {
    fc.assert(
      fc.property(anyFittedPlan(), (plan) => {
        const section = walk(plan);
        const joints = jointsOf(plan, section);
        const bill = billOf(plan, section);
        for (const j of joints) if (j.chosen) expect(closes(j)).toBe(true);
        const wanted = new Map<string, number>();
        for (const p of joints.flatMap((j) => j.chosen?.parts ?? []))
          wanted.set(`fittings:${p.id}`, (wanted.get(`fittings:${p.id}`) ?? 0) + 1);
        for (const [key, n] of wanted) expect([key, bill.items.find((i) => i.key === key)?.count]).toEqual([key, n]);
        const adapters = bill.items.filter(
          (i) => i.key.includes(' × ') && !i.key.startsWith('fittings:Elbow') && i.aisle === 'fittings',
        );
        expect(
          adapters
            .filter((i) => /^fittings:(union:)?(nipple|coupling|bushing|adapter|valve):/.test(i.key))
            .every((i) => wanted.has(i.key)),
        ).toBe(true);
        expect(bill.open.length).toBe(joints.filter((j) => !j.chosen).length);
        expect(bill.total).toBeCloseTo(
          bill.items.reduce((sum, i) => sum + i.price * i.count, 0),
          1,
        );
      }),
      { numRuns: 40 },
    );
  });

  it('leaves no joint of the demos open', () => {
    for (const plan of [demoPlan(), dairyPlan()]) expect(billOf(plan).open.map((j) => j.id)).toEqual([]);
  });

  it('cuts pipe from stock lengths, counts its elbows, supports and drip legs', () => {
    const piped = setParameters(insertStage(demoPlan(), newStage('pipe', 'p'), 5), 'p', {
      material: 'copper',
      size: '3/4',
    });
    const drawn = setLegs(piped, 'p', [
      { to: 'up', lengthM: 2, fall: 0 },
      { to: 'east', lengthM: 3, fall: 0.01 },
      { to: 'down', lengthM: 1, fall: 0, drain: true },
    ]);
    const row = billOf(drawn).items.find((i) => i.key === 'tube:copper 3/4');
    expect(row).toMatchObject({ count: 2, stockM: 5 }); // 3 + 1 m from one bar, 2 m from the other: 3 + 2 m leave no room for the saw
    expect(row?.where).toEqual(['Pipe']);
    expect(count(drawn, 'Elbow for')).toBe(2);
    expect(count(drawn, 'Drip leg for')).toBe(1);
    // Every 1.2 m: 2 + 3 + 1 spans and one at the beginning.
    expect(
      supportsOf('copper', 0.0222, [
        { to: 'up', lengthM: 2 },
        { to: 'east', lengthM: 3 },
        { to: 'down', lengthM: 1 },
      ]),
    ).toBe(7);
    expect(count(drawn, 'Pipe support, {22 mm}')).toBe(7);
  });

  it('plugs the gauge ports that are free, and gives each bracket two screws', () => {
    // Two regulators of two ports, a receiver of one.
    expect(count(demoPlan(), 'for a gauge port')).toBe(5);
    const gauged = insertStage(demoPlan(), newStage('gauge', 'g'), 8);
    expect(count(gauged, 'for a gauge port')).toBe(4);
    expect(count(demoPlan(), 'Screw')).toBe(2 * count(demoPlan(), 'Wall bracket'));
  });

  it('leads the water of each drain away, from a port as large as the thing', () => {
    // Compressor, cooler, separator and dryer may drain; ports by size are common practice, no source.
    const plan = demoPlan();
    const drained = allStages(plan).filter((s) => portsOf(plan, walk(plan), s).drain);
    expect(count(plan, 'Push-in')).toBe(drained.length);
    expect(drained.map((s) => s.id)).toContain('receiver');
    const portOf = (volumeM3: number) => {
      const own = setParameters(plan, 'receiver', { volumeM3 });
      return portsOf(own, walk(own), stageById(own, 'receiver') as Stage).drain?.size;
    };
    expect([portOf(0.3), portOf(0.301)]).toEqual(['1/4', '1/2']);
  });

  it('takes the price that somebody paid, but for equipment, whose price is the line’s', () => {
    const bill = billOf(demoPlan());
    const [thing, part] = ['equipment', 'fittings'].map(
      (aisle) => bill.items.find((i) => i.aisle === aisle)?.key ?? '',
    );
    const fitting = { ...demoPlan().fitting, prices: { [thing as string]: 1, [part as string]: 123.45 } };
    const own = billOf({ ...demoPlan(), fitting }).items;
    expect(own.find((i) => i.key === part)).toMatchObject({ price: 123.45, own: true });
    expect(own.find((i) => i.key === thing)).toEqual(bill.items.find((i) => i.key === thing));
  });

  it('lists the tools of the assembly, at no price', () => {
    const tools = billOf(demoPlan()).items.filter((i) => i.aisle === 'tools');
    const named = new Set(assemblyOf(demoPlan()).flatMap((s) => s.tools));
    expect(tools.map((t) => t.label.toLowerCase()).toSorted()).toEqual(
      [...named].map((t) => t.toLowerCase()).toSorted(),
    );
    expect(tools.every((t) => t.price === 0)).toBe(true);
  });

  it('leaves out of what is to be bought whatever is ticked', () => {
    const bill = billOf(demoPlan());
    const item = bill.items[1];
    const ticked = {
      ...demoPlan(),
      fitting: {
        ...demoPlan().fitting,
        ticks: { [item?.key ?? '']: { as: 'shelf' as const, count: item?.count ?? 0 } },
      },
    };
    expect(billOf(ticked).toBuy).toBeCloseTo(bill.total - (item?.price ?? 0) * (item?.count ?? 0), 2);
    expect(billOf(ticked).total).toBe(bill.total);
  });
});

describe('what is bought whole', () => {
  it('is on the bill whatever it is: a hose reel, the valves of a pipe, a separator beside the line without a tee', () => {
    const valved = setParameters(insertStage(demoPlan(), newStage('pipe', 'p'), 5), 'p', {
      gateValves: 2,
      halfElbows: 1,
    });
    const plan = insertStage(
      insertStage(valved, newStage('hose-reel', 'zz'), 9),
      newStage('oil-water-separator', 'ow'),
      6,
    );
    expect([
      count(plan, 'Gate valve'),
      count(plan, 'Elbow, 45°'),
      count(plan, 'equipment:zz'),
      count(plan, 'equipment:ow'),
    ]).toEqual([2, 1, 1, 1]);
    expect(count(plan, 'branch 1/4 in')).toBe(count(demoPlan(), 'branch 1/4 in'));
  });

  it('has a gasket of each size at a flanged reducer, and a tee where a run comes back', () => {
    const joints = jointsOf(dairyPlan());
    const back = joints.filter((j) => j.at === 'out');
    expect(back.map((j) => j.sides[1].name)).toEqual(
      dairyPlan()
        .branches.filter((b) => b.into)
        .map(() => expect.stringContaining('Tee before')),
    );
    expect(back.every((j) => j.tee && j.chosen)).toBe(true);
    // By hand: joints of two faces of a size; a reducer has one of each of its sizes.
    const faces = joints.flatMap((j) => [
      j.sides[0].end,
      j.sides[1].end,
      ...(j.chosen?.parts.flatMap((p) => p.ends) ?? []),
    ]);
    for (const size of ['DN 80', 'DN 100'])
      expect(count(dairyPlan(), `gasket ${size}`)).toBe(faces.filter((e) => e.size === size).length / 2);
  });

  it('says of a tube every place that it goes to', () => {
    const tube = billOf(demoPlan()).items.find((i) => i.key === 'tube:tube 15 mm');
    expect(tube?.where).toEqual(['to Finned cooler', 'to Cyclone', 'to Receiver']);
  });
});

describe('a tick', () => {
  it('counts: what a change needs more is open again', () => {
    const key = 'sealing:nut 3/8';
    const count = billOf(discharge()).items.find((i) => i.key === key)?.count ?? 0;
    const left = (n: number): number => leftToBuy({ key, count }, n > 0 ? { [key]: { as: 'shelf', count: n } } : {});
    expect([0, 4, 6, 9].map(left)).toEqual([6, 2, 0, 0]);
  });
});

describe('joints of a line', () => {
  it('go by what is on the thing in hand, and by the chain that was chosen', () => {
    const plan = withStage(discharge(), 'trap', (s) => ({ ...s, fit: { in: end('npt', '1/4', 'male') } }));
    const at = (p: Plan): Joint => jointsOf(p).find((j) => j.id === 'trap:in') as Joint;
    expect(at(plan).sides[1]).toMatchObject({ said: true, end: { size: '1/4' } });
    const { chains } = at(plan);
    if (!chains.ok) throw new Error(chains.why);
    const second = chains.best[1] as (typeof chains.best)[0];
    const chosen = withStage(plan, 'trap', (s) => ({ ...s, fit: { ...s.fit, chains: { in: keyOfChain(second) } } }));
    expect(at(chosen).chosen).toEqual(second);
  });

  it('warn of a seat that screws on and leaks, and put a part between', () => {
    const plan = withStage(discharge(), 'trap', (s) => ({
      ...s,
      fit: { in: end('flare-45', '1/2', 'female'), tube: 'close' },
    }));
    const joint = jointsOf(plan).find((j) => j.id === 'trap:in') as Joint;
    expect(joint.trap).toContain('45° seat');
    expect(joint.chosen === undefined || joint.chosen.parts.length > 0).toBe(true);
  });
});
