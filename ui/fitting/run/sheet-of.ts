import { type Drawing, isometric } from '@/core/fitting/drawing';
import type { Point } from '@/core/piping/legs';

/** A drawing on a sheet: where a point of the line is, in px. */
export interface RunSheet {
  readonly width: number;
  readonly height: number;
  readonly pxPerM: number;
  readonly at: (point: Point) => readonly [x: number, y: number];
}

const WIDTH = 1100;
const MOST_HEIGHT = 620;
const LEAST_HEIGHT = 300;
const MARGIN = 64;
/** No larger than this: a line of a metre is not blown up to a page. */
const MOST_PX_PER_M = 110;

/** Server and browser may differ in the last digits of a number. */
const tenths = (px: number): number => Math.round(px * 10) / 10;

/** Lays a drawing on a sheet, as large as it goes. */
export function sheetOf({ pieces, marks }: Drawing): RunSheet {
  const points = [...pieces.flatMap((p) => [p.from, p.to]), ...marks.map((m) => m.at)].map(isometric);
  const xs = points.map(([x]) => x);
  const ys = points.map(([, y]) => y);
  const [left, right] = [Math.min(0, ...xs), Math.max(0, ...xs)];
  const [low, high] = [Math.min(0, ...ys), Math.max(0, ...ys)];
  const pxPerM = Math.min(
    MOST_PX_PER_M,
    (WIDTH - 2 * MARGIN) / Math.max(0.1, right - left),
    (MOST_HEIGHT - 2 * MARGIN) / Math.max(0.1, high - low),
  );
  const height = Math.max(LEAST_HEIGHT, (high - low) * pxPerM + 2 * MARGIN);
  const [dx, dy] = [(WIDTH - (right - left) * pxPerM) / 2, (height - (high - low) * pxPerM) / 2];
  return {
    width: WIDTH,
    height,
    pxPerM,
    at: (point) => {
      const [x, y] = isometric(point);
      return [tenths(dx + (x - left) * pxPerM), tenths(dy + (high - y) * pxPerM)];
    },
  };
}

/** Scales that a drawing is printed at. ISO 5455. */
const SCALES = [10, 20, 50, 100, 200, 500, 1000, 2000, 5000] as const;
const PAPER_MM = 180; // width of an A4 or Letter sheet within its margins

/** The largest standard scale at which a sheet goes on A4 or Letter, and how wide it prints, mm. */
export function printOf({ width, pxPerM }: RunSheet): { readonly scale: number; readonly widthMm: number } {
  const realMm = (width / pxPerM) * 1e3;
  const scale = SCALES.find((s) => realMm / s <= PAPER_MM) ?? 5000;
  return { scale, widthMm: realMm / scale };
}

/** Marks nearer than this lie over one another, px. */
const APART = 24;
const RINGS = 8;

/** Where marks are shown so that none lies over another: each as near to its place as is free. */
export function apart(places: readonly (readonly [x: number, y: number])[]): (readonly [x: number, y: number])[] {
  const shown: (readonly [number, number])[] = [];
  for (const [x, y] of places) {
    const candidates = Array.from({ length: RINGS * 8 }, (_, i): readonly [number, number] => {
      const [far, turn] = [APART * (1 + Math.floor(i / 8)), ((i % 8) * Math.PI) / 4];
      return [tenths(x + far * Math.sin(turn)), tenths(y - far * Math.cos(turn))];
    });
    const free = [[x, y] as const, ...candidates].find((c) =>
      shown.every(([a, b]) => Math.hypot(a - c[0], b - c[1]) >= APART - 1),
    );
    shown.push(free ?? [x, y]);
  }
  return shown;
}

/** Half the width and the height of a short text, px. */
const TEXT = [24, 7] as const;
const MARK = 12;

/** Where the middle of a short text beside a point may stand without lying over a mark or over another of them. */
export function besides(
  points: readonly (readonly [x: number, y: number])[],
  marks: readonly (readonly [x: number, y: number])[],
): (readonly [x: number, y: number])[] {
  const shown: (readonly [number, number])[] = [];
  for (const [x, y] of points) {
    const free = (at: readonly [number, number]): boolean =>
      marks.every((m) => Math.abs(m[0] - at[0]) >= TEXT[0] + MARK || Math.abs(m[1] - at[1]) >= TEXT[1] + MARK) &&
      shown.every((t) => Math.abs(t[0] - at[0]) >= 2 * TEXT[0] || Math.abs(t[1] - at[1]) >= 2 * TEXT[1]);
    const candidates = [1, 2, 3].flatMap((far): (readonly [number, number])[] =>
      [
        [38, 17],
        [38, -17],
        [-38, 17],
        [-38, -17],
        [0, 26],
        [0, -26],
      ].map(([dx = 0, dy = 0]) => [tenths(x + dx * far), tenths(y + dy * far)]),
    );
    shown.push(candidates.find(free) ?? (candidates[0] as readonly [number, number]));
  }
  return shown;
}
