import { all, behind, goodPlant, goodShop, without } from '../test/good-lines';
import { stageOf } from '../test/plan-of';
import { align } from './align';
import { allStages } from './runs';

const names = (rows: ReturnType<typeof align>): string[] => rows.map((r) => r.map((s) => s?.id ?? '·').join(' | '));

test('copies stand beside one another by their ids, with gaps where one has something the other has not', () => {
  const plan = goodShop();
  const other = all(plan, without('aftercooler'), behind('receiver', stageOf('gauge')));
  const rows = names(align([plan, other]));
  expect(rows).toContain('aftercooler | ·');
  expect(rows[rows.indexOf('receiver | receiver') + 1]).toBe('· | gauge');
});

test('plans that have nothing in common are laid by kind; nothing is left out, nothing stands twice', () => {
  const stranger = { ...goodPlant(), branches: [], stages: goodPlant().stages.map((s) => ({ ...s, id: `x-${s.id}` })) };
  const rows = align([goodShop(), stranger]);
  expect(names(rows)).toContain('compressor | x-compressor');
  for (const [i, plan] of [goodShop(), stranger].entries())
    expect(rows.flatMap((r) => r[i]?.id ?? []).toSorted()).toEqual(
      allStages(plan)
        .map((s) => s.id)
        .toSorted(),
    );
});
