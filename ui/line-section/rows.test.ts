import { addBranch } from '@/core/line/edit';
import { walk } from '@/core/line/walk';
import { planOf, stageOf } from '@/core/test/reference';
import { rowsFor } from './rows';

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
