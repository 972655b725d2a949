import DxfParser from 'dxf-parser';
import { drawingOf } from '@/core/fitting/drawing';
import { insertStage, newStage } from '@/core/plan/edit';
import { setLegs } from '@/core/plan/edit-legs';
import { allStages } from '@/core/plan/runs';
import { demoPlan } from '@/db/demo';
import { runAsDxf } from './to-dxf';

// Read back by another library than the one that writes it.
it('writes every leg in its place and true length, and every thing with its number', () => {
  const plan = setLegs(insertStage(demoPlan(), newStage('pipe', 'p'), 5), 'p', [
    { to: 'up', lengthM: 2.1, fall: 0 },
    { to: 'east', lengthM: 6.4, fall: 0.01, drain: true },
  ]);
  const drawing = drawingOf(plan);
  const names = new Map(allStages(plan).map((s) => [s.id, s.name]));
  const read = new DxfParser().parseSync(runAsDxf(drawing, names));
  if (!read) throw new Error('not a DXF');
  type Entity = { type: string; layer: string; vertices: { x: number; y: number; z: number }[]; text: string };
  const entities = read.entities as unknown as Entity[];
  const lines = entities.filter((e) => e.type === 'LINE');
  expect(lines.length).toBe(drawing.pieces.length);
  lines.forEach(({ vertices: [a, b], layer }, i) => {
    const { from, to } = drawing.pieces[i] as (typeof drawing.pieces)[0];
    expect(layer).toBe('PIPE');
    [a, b].forEach((v, j) => {
      const want = j === 0 ? from : to;
      expect([v?.x, v?.y, v?.z ?? 0]).toEqual(want.map((x) => expect.closeTo(x, 6)));
    });
  });
  expect(entities.filter((e) => e.type === 'CIRCLE' && e.layer === 'ITEMS').length).toBe(drawing.marks.length);
  expect(entities.filter((e) => e.layer === 'DRAINS').length).toBe(1);
  expect(entities.some((e) => e.text === `${drawing.marks[0]?.item} Pump`)).toBe(true);
});
