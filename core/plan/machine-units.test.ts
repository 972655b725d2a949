import { findWallUnits, type KINDS, kindOf } from '../equipment/index';
import { WALL_UNITS, type WallUnitName } from '../equipment/serving/wall-unit';
import { imbalance } from '../line/section';
import { walk } from '../line/walk';
import { settleHours, shareInUse, unitUsedS } from '../log/unit-hours';
import { planOf, stageOf } from '../test/plan-of';
import { insertStage, moveStage, newStage, removeStage, setParameter } from './edit';
import { addBranch } from './edit-branches';
import {
  addWallUnit,
  groupWithNext,
  moveUnit,
  removeUnit,
  setUnit,
  stagesOfUnit,
  ungroup,
  unitById,
} from './machine-units';
import { type MachineUnit, type Plan, planSchema } from './plan';
import { stageById } from './runs';

const base = addBranch(
  planOf(
    {},
    stageOf('aftercooler', { method: 'measured', outletTemperatureC: 40 }),
    stageOf('receiver', { method: 'measured', outletTemperatureC: 30 }),
    stageOf('outlet', { usedShare: 0.5 }),
  ),
  'receiver',
  'drop',
  'bench',
);
let n = 0;
const hung = (name: WallUnitName = 'wall-four', position = 4, run = 'main'): Plan =>
  planSchema.parse(addWallUnit(base, name, position, run, 'u', () => `w${n++}`));
const ids = (plan: Plan) => stagesOfUnit(plan, 'u').map((s) => s.id);
const order = (plan: Plan) => plan.stages.map((s) => s.unit ?? s.kind);

describe('a wall unit', () => {
  test.each(Object.keys(WALL_UNITS) as WallUnitName[])('%s is its stages: each collects, cleans or dries', (name) => {
    const plan = hung(name);
    const section = walk(plan);
    expect(section.problems).toEqual([]);
    expect(imbalance(section.ledger)).toBeLessThan(1e-9);
    expect(stagesOfUnit(plan, 'u').map((s) => s.kind)).toEqual(WALL_UNITS[name].stages.map((s) => s.kind));
    const [first] = ids(plan);
    expect(section.at(first)?.caughtKgPerS).toBeGreaterThan(0);
    for (const { kind } of WALL_UNITS[name].stages) expect(kindOf(kind as keyof typeof KINDS)).toBeDefined();
  });

  test('is found by what people call it', () => {
    expect(findWallUnits('frl')).toEqual(['wall-three']);
    expect(findWallUnits('paint air')).toEqual(['wall-four', 'wall-five']);
    expect(findWallUnits('bicycle')).toEqual([]);
  });

  test('moves as one, into a branch too, and its branches start at the stage upstream', () => {
    const tapped = addBranch(hung(), ids(hung())[0] ?? '', 'tap', 'tap-outlet');
    const withTap = {
      ...tapped,
      branches: tapped.branches.map((b) => (b.id === 'tap' ? { ...b, from: ids(tapped)[1] ?? '' } : b)),
    };
    const moved = moveUnit(withTap, 'u', 0, 'drop');
    expect(moved.branches.find((b) => b.id === 'drop')?.stages.map((s) => s.unit ?? s.kind)).toEqual([
      'u',
      'u',
      'u',
      'u',
      'outlet',
    ]);
    expect(moved.branches.find((b) => b.id === 'tap')?.from).toBe('receiver');
    expect(order(moveUnit(moved, 'u', 2, 'main')).slice(2, 6)).toEqual(['u', 'u', 'u', 'u']);
    expect(order(moveUnit(moved, 'u', 0, 'main'))[1]).toBe('compressor'); // never upstream of the compressor
  });

  test('a stage set between two of a unit belongs to it; one moved away has left it; the last one takes it along', () => {
    const plan = hung('wall-three');
    const [first, second, third] = ids(plan) as [string, string, string];
    const at = plan.stages.findIndex((s) => s.id === second);
    const gauge = insertStage(plan, newStage('gauge', 'g'), at);
    expect(stageById(gauge, 'g')?.unit).toBe('u');
    expect(stageById(insertStage(plan, newStage('gauge', 'g'), at - 1), 'g')?.unit).toBeUndefined();
    expect(stageById(moveStage(plan, third, 2), third)?.unit).toBeUndefined();
    expect(stageById(moveStage(plan, second, at - 1), second)?.unit).toBe('u'); // within the unit
    const gone = [first, second, third].reduce(removeStage, plan);
    expect(gone.units).toEqual([]);
    expect(removeUnit(plan, 'u')).toEqual({ ...base, units: [] });
  });

  test('neighbours are made a unit, and a unit is taken apart, without touching the air', () => {
    const made = groupWithNext(base, 'aftercooler', 'pair');
    expect(stagesOfUnit(made, 'pair').map((s) => s.id)).toEqual(['aftercooler', 'receiver']);
    expect(walk(made).figures).toEqual(walk(base).figures);
    expect(ungroup(made, 'pair')).toEqual({ ...base, units: [] });
    expect(groupWithNext(base, 'receiver', 'x')).toBe(base); // an outlet is where the air leaves: no part of a unit
    expect(groupWithNext(base, 'compressor', 'x')).toBe(base);
  });

  test('a stage of a unit that is not there is refused at the stage', () => {
    const stray = {
      ...base,
      stages: base.stages.with(2, { ...base.stages[2], unit: 'gone' } as (typeof base.stages)[0]),
    };
    expect(planSchema.safeParse(stray).error?.issues[0]).toMatchObject({ path: ['stages', 2], message: /no unit/ });
  });
});

describe('a portable unit', () => {
  const portable = setUnit(hung(), 'u', { form: 'portable', usedS: 36_000, countedAt: '2026-11-23T08:00' });
  const [beads] = stagesOfUnit(portable, 'u').filter((s) => s.kind === 'bead-cartridge');

  test('away, a jumper hose in its place, it does nothing and the air is as if it were not there', () => {
    const away = walk(setUnit(portable, 'u', { is: 'away' }));
    expect(away.at(beads?.id)).toBeUndefined();
    expect(away.at('outlet')?.pressureDewPointC).toBeCloseTo(walk(base).at('outlet')?.pressureDewPointC ?? 0, 6);
    expect(away.at('outlet')?.pressureDewPointC).toBeGreaterThan(
      10 + (walk(portable).at('outlet')?.pressureDewPointC ?? 0),
    );
  });

  test('its hours run while air flows through it, and go with it', () => {
    // Monday 8:00 to Tuesday 12:00 of a five-day week, 8 to 17: 13 working hours, the outlet in use for half of them.
    const unit = unitById(portable, 'u') as MachineUnit;
    expect(shareInUse(portable, 'u')).toBeCloseTo(0.5, 9);
    expect(unitUsedS(portable, unit, '2026-11-24T12:00') / 3600).toBeCloseTo(10 + 13 / 2, 9);
    const settled = settleHours(portable, 'u', '2026-11-24T12:00');
    const moved = moveUnit(setParameter(settled, 'bench', 'usedShare', 0.1), 'u', 0, 'drop');
    const there = unitById(moved, 'u') as MachineUnit;
    expect(there.usedS / 3600).toBeCloseTo(16.5, 9);
    // Until 17:00 that Tuesday: five hours more, a tenth of them used there.
    expect(unitUsedS(moved, there, '2026-11-24T17:00') / 3600).toBeCloseTo(17, 9);
    const away = setUnit(settled, 'u', { is: 'away' });
    expect(unitUsedS(away, unitById(away, 'u') as MachineUnit, '2026-11-30T17:00') / 3600).toBeCloseTo(16.5, 9);
  });

  test('several outlets downstream of it: in use while any of them is', () => {
    const two = (turns: 'none' | 'a') =>
      ['outlet', 'other'].reduce(
        (p, id) => setParameter(p, id, 'turns', turns),
        insertStage(
          portable,
          { ...newStage('outlet', 'other'), parameters: { ...newStage('outlet', 'x').parameters, usedShare: 0.5 } },
          99,
        ),
      );
    expect(shareInUse(two('none'), 'u')).toBeCloseTo(0.75, 9);
    expect(shareInUse(two('a'), 'u')).toBeCloseTo(1, 9);
  });
});
