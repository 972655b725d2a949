import { judgeLine } from '../advice/judge-line';
import { is, TOWERS } from '../equipment/groups';
import type { KindName } from '../equipment/index';
import { allStages } from '../plan/runs';
import { CFM, PSI } from '../quantity/constants';
import { TWO_STAGE } from '../test/two-stage';
import { BESIDE, OF_WHAT_IS_GIVEN, RECORDS } from './judge-proposal';
import type { Proposal } from './judged-front';
import { question, questionJob } from './question';
import { searched } from './search';

// Shops as experienced people equip them (common practice, no source), each written down before the program was asked.
const LARGER = { ...TWO_STAGE, freeAirDeliveryM3PerS: 30 * CFM };
const shop = (more: Parameters<typeof question>[0]) =>
  searched(question({ compressor: TWO_STAGE, receiverM3: 0.3, minutesPerWeek: 120, ...more })).front;
const has = (p: Proposal, ...kinds: readonly KindName[]): boolean => allStages(p.plan).some((s) => is(kinds, s.kind));
const DRYING = ['refrigerated-dryer', 'bead-cartridge', 'membrane', ...TOWERS] as const;
const cheapest = (front: readonly Proposal[]): Proposal =>
  front.reduce((a, b) => (b.merits.purchase < a.merits.purchase ? b : a));

test('air tools on a hard-worked piston: cooler and separator before the tank, a filter at the wall, no dryer', () => {
  const front = shop({ jobs: [questionJob('sander', { usedShare: 0.5 })] });
  const line = cheapest(front);
  expect(has(line, 'aftercooler') && has(line, 'separator') && has(line, 'coalescing-filter')).toBe(true);
  expect(has(line, ...DRYING)).toBe(false);
});

test('solvent-borne spray some evenings: coalescers with beads at the gun, or a small refrigerated dryer; daily, the dryer', () => {
  const evenings = shop({ jobs: [questionJob('solvent-spray', { usedShare: 0.08 })] });
  expect(has(cheapest(evenings), 'bead-cartridge')).toBe(true);
  expect(evenings.some((p) => has(p, 'refrigerated-dryer') && !has(p, 'bead-cartridge'))).toBe(true);
  const daily = shop({ jobs: [questionJob('solvent-spray', { usedShare: 0.45 })] });
  expect(has(cheapest(daily), 'refrigerated-dryer')).toBe(true);
});

test('a nailer now and then: the compressor hardly runs, and no dryer is bought', () => {
  const front = shop({ jobs: [questionJob('nailer', { usedShare: 0.1 })] });
  expect(has(cheapest(front), ...DRYING)).toBe(false);
});

test('10 hp in a hot, humid place: a cooler and a separator that drains itself before the tank; a dryer is optional', () => {
  const front = shop({
    compressor: { ...TWO_STAGE, freeAirDeliveryM3PerS: 34 * CFM, cutOutGaugePa: 165 * PSI },
    intakeC: 31.1, // 88 °F, 80 %
    intakeHumidity: 0.8,
    jobs: [questionJob('wrench', { flowM3PerS: 20 * CFM, usedShare: 0.6 })],
  });
  for (const { plan } of front) {
    const kinds = plan.stages.map((s) => s.kind);
    expect(kinds.slice(2, 5)).toEqual(['aftercooler', 'separator', 'receiver']);
    expect(plan.stages[3]?.parameters).toHaveProperty('drain', 'float');
  }
  expect(has(cheapest(front), ...DRYING)).toBe(false);
  expect(front.some((p) => has(p, 'refrigerated-dryer'))).toBe(true);
});

test('blasting in a humid place: cooling, and a refrigerated dryer takes a fraction of the work that beads do', () => {
  const front = shop({
    compressor: LARGER,
    intakeC: 32,
    intakeHumidity: 0.75,
    jobs: [questionJob('blast-cabinet')],
  });
  expect(front.every((p) => has(p, 'aftercooler'))).toBe(true);
  const minutes = (kind: KindName): number =>
    Math.min(...front.filter((p) => has(p, kind)).map((p) => p.merits.minutesPerWeek));
  expect(minutes('refrigerated-dryer')).toBeLessThan(minutes('bead-cartridge') / 2);
});

test('a cutting table: good cooling and a separator, then a refrigerated dryer or beads at the table', () => {
  const front = shop({ jobs: [questionJob('plasma', { leastGaugePa: 110 * PSI, usedShare: 0.4 })] });
  expect(front.length).toBeGreaterThan(0);
  for (const p of front) {
    expect(has(p, 'refrigerated-dryer') || (has(p, 'aftercooler', 'cooling-run') && has(p, ...DRYING))).toBe(true);
    expect(has(p, 'separator') || has(p, 'refrigerated-dryer')).toBe(true);
  }
  expect(has(cheapest(front), 'refrigerated-dryer', 'bead-cartridge')).toBe(true);
});

test('3 % humidity in the line at the gun: no refrigerated dryer alone, whatever it costs', () => {
  const front = shop({ compressor: LARGER, jobs: [questionJob('water-spray')] });
  expect(front.length).toBeGreaterThan(0);
  expect(front.every((p) => has(p, 'bead-cartridge', 'membrane', ...TOWERS))).toBe(true);
});

test('a plant with instruments in the frost: refrigerated for the works, towers for the one branch that needs them', () => {
  const front = shop({
    compressor: { type: 'screw', freeAirDeliveryM3PerS: 125 * CFM, cutInGaugePa: 110 * PSI, cutOutGaugePa: 125 * PSI },
    receiverM3: 0.9,
    minutesPerWeek: 200,
    refused: ['membrane', 'cooling-run', 'bead-cartridge', 'bowl-filter'], // of the rest the towers are the only deep dryer
    jobs: [
      questionJob('packaging', { flowM3PerS: 80 * CFM, usedShare: 0.8 }),
      questionJob('instruments', { flowM3PerS: 6 * CFM, coldestC: -20 }),
    ],
  });
  const { plan } = cheapest(front);
  const kinds = (stages: typeof plan.stages): KindName[] => stages.map((s) => s.kind).filter((k) => is(DRYING, k));
  expect([kinds(plan.stages), kinds(plan.branches[0]?.stages ?? [])]).toEqual([['refrigerated-dryer'], ['twin-tower']]);
});

const FROSTY_PLANT = {
  receiverM3: 4,
  minutesPerWeek: 300,
  refused: ['membrane', 'cooling-run', 'bead-cartridge', 'bowl-filter'],
  budget: 1e6,
} as const;
/** Dryers of the cheapest line for a plant whose instruments stand in the frost. */
function deepDryersFor(cfm: number): KindName[] {
  const front = shop({
    ...FROSTY_PLANT,
    refused: [...FROSTY_PLANT.refused],
    compressor: {
      type: 'screw',
      freeAirDeliveryM3PerS: 2 * cfm * CFM,
      cutInGaugePa: 110 * PSI,
      cutOutGaugePa: 125 * PSI,
    },
    jobs: [questionJob('instruments', { flowM3PerS: cfm * CFM, usedShare: 0.9, coldestC: -20 })],
  });
  return allStages(cheapest(front).plan)
    .map((s) => s.kind)
    .filter((k) => is(TOWERS, k));
}

test('deep drying of a whole plant: towers with heated purge from some 500 cfm on, without heat below', () => {
  expect(deepDryersFor(60)).toEqual(['twin-tower']);
  expect(deepDryersFor(600)).toEqual(['heated-purge-tower']);
});

test('surges through a dryer: a dry tank is named beside the line; where use is steady it is not', () => {
  const tank = (usedShare: number): boolean => {
    const { plan } = cheapest(shop({ jobs: [questionJob('plasma', { flowM3PerS: 9 * CFM, usedShare })] }));
    return judgeLine(plan).advice.some((a) => a.rule.id === 'O13' && BESIDE.includes(a.rule.id));
  };
  expect([tank(0.2), tank(0.9)]).toEqual([true, false]);
});

test('a branch through a freezer: dried before it leaves the room, and only that branch', () => {
  const front = shop({
    compressor: { type: 'screw', freeAirDeliveryM3PerS: 120 * CFM, cutInGaugePa: 105 * PSI, cutOutGaugePa: 120 * PSI },
    receiverM3: 0.9,
    minutesPerWeek: 240,
    intakeC: 29.4, // 85 °F
    refused: ['membrane', 'cooling-run', 'bead-cartridge', 'bowl-filter'],
    jobs: [
      questionJob('packaging', { flowM3PerS: 80 * CFM, usedShare: 0.8 }),
      // 12 cfm through a blast freezer at −10 °F.
      questionJob('instruments', { flowM3PerS: 12 * CFM, usedShare: 0.5, coldestC: -23.3, isCold: 'always' }),
    ],
  });
  const { plan } = cheapest(front);
  const branch = (plan.branches[0]?.stages ?? []).map((s) => s.kind);
  expect(branch.indexOf('twin-tower')).toBeLessThan(branch.indexOf('pipe'));
  expect(branch).toContain('twin-tower');
  expect(plan.stages.some((s) => is(TOWERS, s.kind))).toBe(false);
});

// Cylinders outdoors at −20 °F, 5200 ft up; the compressor room is heated. A refrigerated dryer cannot do it, and what stands
// with the tools freezes: its air needs a dew point of −38 °F (common practice: 18 °F under the coldest on record).
test('outdoors in hard frost: dried deep before the pipe leaves the room, with nothing that holds water at the tools', () => {
  const front = shop({
    compressor: { type: 'screw', freeAirDeliveryM3PerS: 125 * CFM, cutInGaugePa: 105 * PSI, cutOutGaugePa: 120 * PSI },
    receiverM3: 0.9,
    altitudeM: 1585,
    intakeC: 31.1, // 88 °F, 45 %
    intakeHumidity: 0.45,
    minutesPerWeek: 200,
    jobs: [questionJob('wrench', { flowM3PerS: 70 * CFM, usedShare: 0.7, coldestC: -28.9, distanceM: 60 })],
  });
  expect(front.length).toBeGreaterThan(0);
  for (const { plan } of front) {
    const kinds = plan.stages.map((s) => s.kind);
    const dried = kinds.findLastIndex((k) => is(['bead-cartridge', 'membrane', ...TOWERS], k));
    expect(dried).toBeGreaterThan(0);
    expect(dried).toBeLessThan(kinds.indexOf('pipe'));
  }
});

test('what asks for more than the compressor bears has no line; breathing air has none either', () => {
  expect(shop({ jobs: [questionJob('blast-nozzle')] })).toEqual([]);
  expect(shop({ breathed: 'yes' })).toEqual([]);
});

test('of every proposed line the advice says nothing but what is given, and what nobody has recorded', () => {
  const front = shop({ jobs: [questionJob('sander', { usedShare: 0.5 })] });
  for (const { plan } of front) {
    const grave = judgeLine(plan).advice.filter((a) => a.rule.grade !== 'note');
    expect(grave.map((a) => a.rule.id).filter((id) => ![...RECORDS, ...OF_WHAT_IS_GIVEN].includes(id))).toEqual([]);
  }
});
