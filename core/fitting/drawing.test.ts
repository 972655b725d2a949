import fc from 'fast-check';
import { dairyPlan } from '../../db/dairy';
import { demoPlan } from '../../db/demo';
import type { Leg } from '../piping/legs';
import { insertStage, newStage } from '../plan/edit';
import { setLegs } from '../plan/edit-legs';
import { anyFittedPlan } from '../test/any-fitted-plan';
import { anyPlan } from '../test/any-plan';
import { billOf } from './bill';
import { drawingOf, isometric, itemNumbers } from './drawing';

const LEGS: Leg[] = [
  { to: 'up', lengthM: 2.1, fall: 0 },
  { to: 'east', lengthM: 6.4, fall: 0.01 },
  { to: 'south', lengthM: 3, fall: 0 },
  { to: 'down', lengthM: 1.8, fall: 0 },
];

describe('the drawing of a run', () => {
  // Isometric axes stand 30° to the level, and lengths along them are true (ISO 5456-3).
  it('shows each axis in its true length', () => {
    for (const axis of [
      [1, 0, 0],
      [0, 1, 0],
      [0, 0, 1],
    ] as const) {
      const [x, y] = isometric(axis);
      expect(Math.hypot(x, y)).toBeCloseTo(1, 9);
    }
    const [x, y] = isometric([1, 0, 0]);
    expect((Math.atan2(y, x) * 180) / Math.PI).toBeCloseTo(-30, 9);
  });

  it('shows each support that the bill counts, on the pipe that it holds', () => {
    fc.assert(
      fc.property(anyFittedPlan(), (plan) => {
        const { supports, pieces } = drawingOf(plan);
        const counted = billOf(plan)
          .items.filter((i) => i.label.startsWith('Pipe support'))
          .reduce((sum, i) => sum + i.count, 0);
        expect(supports.length).toBe(counted);
        const far = ([a, b, c]: readonly number[], [d, e, f]: readonly number[]) =>
          Math.hypot((a ?? 0) - (d ?? 0), (b ?? 0) - (e ?? 0), (c ?? 0) - (f ?? 0));
        for (const s of supports)
          expect(pieces.some(({ from, to }) => Math.abs(far(from, s.at) + far(s.at, to) - far(from, to)) < 1e-6)).toBe(
            true,
          );
      }),
      { numRuns: 20 },
    );
  });

  it('has a piece for each leg, in place: what stands behind stands at its end', () => {
    const plan = setLegs(insertStage(demoPlan(), newStage('pipe', 'p'), 5), 'p', LEGS);
    const { pieces, marks } = drawingOf(plan);
    const own = pieces.filter((p) => p.stageId === 'p');
    expect(own.map((p) => p.lengthM)).toEqual([2.1, 6.4, 3, 1.8]);
    own.slice(1).forEach((p, i) => {
      expect(p.from).toEqual(own[i]?.to);
    });
    const after = marks.find((m) => m.stageId === 'coalescer')?.at ?? [0, 0, 0];
    expect(after[2] - (own[0]?.from[2] ?? 0)).toBeCloseTo(2.1 - 0.064 - 1.8, 9);
  });

  it('numbers every stage once, in the order of flow', () => {
    for (const plan of [demoPlan(), dairyPlan()]) {
      const numbers = [...itemNumbers(plan).values()];
      expect(numbers).toEqual(numbers.map((_, i) => i + 1));
      expect(
        drawingOf(plan)
          .marks.map((m) => m.item)
          .sort((a, b) => a - b),
      ).toEqual(numbers);
    }
  });

  it('has every stage of any line, and no point that is no number', () => {
    fc.assert(
      fc.property(anyPlan(), (plan) => {
        const { pieces, marks } = drawingOf(plan);
        expect(marks.length).toBe(itemNumbers(plan).size);
        for (const p of [...pieces.flatMap((q) => [q.from, q.to]), ...marks.map((m) => m.at)])
          expect(p.every(Number.isFinite)).toBe(true);
      }),
      { numRuns: 30 },
    );
  });
});
