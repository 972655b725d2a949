import { all, behind, branch, but, goodShop, goodSpray, place, without } from '../test/good-lines';
import { stageOf } from '../test/plan-of';
import { holdAgainst } from './hold-against';
import { DISPUTES, type Dispute, disputesOf } from './schools';

let n = 0;
const newId = (): string => `s-${n++}`;
const dispute = (id: string): Dispute => DISPUTES.find((d) => d.id === id) as Dispute;
const gives = (plan: Parameters<typeof holdAgainst>[0], id: string) =>
  holdAgainst(plan, dispute(id), newId).map((r) => r.gives);

// Directions by physics; which school is right when: common practice (trade handbook, disputed orders).
test('cooling first leaves less water than fifty feet of hose, whose loops have no drain', () => {
  const [far, first] = gives(goodShop(), 'far');
  expect(first?.intoTank).toBeLessThan(0.6 * (far?.intoTank ?? 0));
});

test('a cooler upstream of the tank keeps water out of it; after the tank the air ends no drier', () => {
  const [before, after] = gives(goodShop(), 'tank');
  expect(before?.intoTank).toBeLessThan(0.6 * (after?.intoTank ?? 0));
  expect(Math.abs((before?.dewPointC ?? 99) - (after?.dewPointC ?? 0))).toBeLessThan(2);
});

test('copper and a belt-guard cooler leave the air at the room’s dew point, a refrigerated dryer far below', () => {
  const rows = gives(without('coalescing-filter', 'fine')(goodShop()), 'cooler');
  expect(Math.min(rows[0]?.dewPointC ?? 0, rows[1]?.dewPointC ?? 0)).toBeGreaterThan(20);
  expect(rows[2]?.dewPointC).toBeLessThan(6);
});

test('the cooler the oven, the more water it leaves: 135 °F dries in part only (reference group 12)', () => {
  const left = gives(goodSpray(), 'oven').map((g) => g.left ?? 0);
  expect(left).toEqual(left.toSorted((a, b) => b - a));
  expect(left[0]).toBeGreaterThan(0.02);
  expect(left[2]).toBeLessThan(0.01);
});

test('a timer gives air away, a float and a level-sensing drain none; forgotten, the water goes on', () => {
  const wet = all(goodShop(), without('refrigerated-dryer', 'coalescing-filter', 'fine'));
  const [hand, float, timer, level, none] = gives(wet, 'drains');
  expect([hand?.airLost, float?.airLost, level?.airLost]).toEqual([0, 0, 0]);
  expect(timer?.airLost).toBeGreaterThan(0);
  expect(none?.drops).toBeGreaterThan(hand?.drops ?? 0);
});

test('beads at each tool dry further than one refrigerated dryer for all, as long as they are fresh', () => {
  const two = branch('b', 'fine', [stageOf('outlet', { flowM3PerS: 0.001, leastPressurePa: 5e5 }, 'second')])(
    goodShop(),
  );
  const [one, each] = gives(two, 'each');
  expect(each?.dewPointC).toBeLessThan(one?.dewPointC ?? 0);
});

test('the finer filter catches more oil where it is cooler: after the dryer', () => {
  const warm = all(goodShop(), place('room', 32), but('compressor', { type: 'piston1' }));
  const [before, after] = gives(warm, 'fine');
  expect(after?.oilMg).toBeLessThanOrEqual(before?.oilMg ?? 0);
});

test('−40 °C for everything gives air away, and spare that nothing here asks for', () => {
  const [asItIs, , dry] = gives(goodShop(), 'enough');
  expect(dry?.airLost).toBeGreaterThan(asItIs?.airLost ?? 0);
  expect(dry?.spareK).toBeGreaterThan((asItIs?.spareK ?? 0) + 20);
});

test('only what the line gives reason for is asked: ovens where there is gel, filters where there are filters', () => {
  const asked = (plan: Parameters<typeof disputesOf>[0]) => disputesOf(plan).map((d) => d.id);
  expect(asked(goodSpray())).toContain('oven');
  expect(asked(goodShop())).not.toContain('oven');
  expect(asked(but('compressor', { type: 'screw' })(goodShop()))).not.toContain('far');
  expect(asked(behind('fine')(goodShop()))).toContain('fine');
});
