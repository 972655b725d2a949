import { walk } from '@/core/line/walk';
import { setParameter } from '@/core/plan/edit';
import { addBranch } from '@/core/plan/edit-branches';
import { addWallUnit, setUnit } from '@/core/plan/machine-units';
import { planOf, stageOf } from '@/core/test/plan-of';
import { type Row, rowsFor, sameShape } from './rows';

let n = 0;

const plan = planOf({}, stageOf('receiver'), stageOf('regulator'), stageOf('outlet'));
const branched = addBranch(plan, 'receiver', 'b', 'o');

test('stages stand side by side, fill the room, and scroll rather than shrink below reading', () => {
  const [main] = rowsFor(plan, walk(plan), 480);
  const cells = main?.cells ?? [];
  expect(main?.total).toBeGreaterThan(470);
  expect(main?.total).toBeLessThanOrEqual(480);
  cells.forEach((c, i) => {
    expect(c.left + c.width).toBe(cells[i + 1]?.left ?? main?.total);
  });
  expect(cells[4]?.width).toBeLessThan(cells[2]?.width as number); // an outlet takes less room
  expect(rowsFor(plan, walk(plan), 100)[0]?.total).toBeGreaterThan(250);
});

test('a branch begins under its tee, and never beyond the room', () => {
  const [main, branch] = rowsFor(branched, walk(branched), 480);
  expect(branch?.left).toBe(main?.cells[3]?.left);
  const late = addBranch(plan, 'outlet', 'b', 'o');
  const [, shifted] = rowsFor(late, walk(late), 480);
  expect((shifted?.cells[0]?.left ?? 0) + (shifted?.cells[0]?.width ?? 0)).toBeLessThanOrEqual(480);
  expect(rowsFor(branched, walk(branched), 480)[1]?.arrives?.stageId).toBe('receiver');
});

describe('a unit', () => {
  const unit = addWallUnit(branched, 'wall-three', 3, 'main', 'u', () => `w${n++}`);
  const section = walk(unit);
  const row = (open: string[] = []) => rowsFor(unit, section, 480, new Set(open))[0] as Row;

  test('closed is one column with what all its stages catch, open is its stages', () => {
    expect(row().cells.map((c) => c.id)).toEqual(['intake', 'compressor', 'receiver', 'u', 'regulator', 'outlet']);
    const [closed, opened] = [row().cells[3], row(['u']).cells.slice(3, 6)];
    expect(closed?.station?.caughtKgPerS).toBeCloseTo(
      opened.reduce((sum, c) => sum + (c.station?.caughtKgPerS ?? 0), 0),
      15,
    );
    expect(closed?.station?.pressurePa).toBe(opened[2]?.station?.pressurePa);
    expect(closed?.name).toBe('Wall unit, three stages');
  });

  test('away, its column stays where it was, without a station', () => {
    const away = setUnit(unit, 'u', { form: 'portable', is: 'away' });
    const cell = rowsFor(away, walk(away), 480)[0]?.cells[3];
    expect(cell).toMatchObject({ id: 'u', station: undefined });
  });

  test('the shape of the rows changes with the columns, not with the air', () => {
    const warmer = setParameter(unit, 'receiver', 'volumeM3', 0.5);
    expect(sameShape(rowsFor(warmer, walk(warmer), 480), rowsFor(unit, section, 480))).toBe(true);
    for (const other of [
      rowsFor(unit, section, 700),
      rowsFor(unit, section, 480, new Set(['u'])),
      rowsFor(plan, walk(plan), 480),
    ])
      expect(sameShape(other, rowsFor(unit, section, 480))).toBe(false);
  });
});
