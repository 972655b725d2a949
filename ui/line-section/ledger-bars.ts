import type { Station } from '@/core/line/section';
import { axisOf } from '@/ui/chart/axis';
import type { Row } from './rows';

export const HEIGHT = 140;
const WORTH_REPEATING = 0.01; // of the water in: a figure that stands over the bar before need not stand here again
const DIGIT = 7; // px
const ROOM_FOR_FIGURE = 17; // px

/** Stages at which a figure is another than the last one that was written before them. */
export function whereItChanges(
  row: Pick<Row, 'reached'>,
  least: number,
  value: (s: Station) => number,
): ReadonlySet<string> {
  let last = Number.NEGATIVE_INFINITY;
  return new Set(
    row.reached.flatMap(({ stage, station }) => {
      if (Math.abs(value(station) - last) < least) return [];
      last = value(station);
      return [stage.id];
    }),
  );
}

/** Where the bars of a run stand: one of what the air carries, and beside it one of what a drain catches. */
export class LedgerBars {
  /** The most that any bar shows, kg/s. Every run has its own scale: a branch with a tenth of the air must be readable too. */
  readonly mostKgPerS: number;
  readonly y: (inUnit: number) => number;
  readonly ticks: readonly number[];
  readonly width: number;
  /** Then figures over neighbouring bars stand apart from the middle, not over each other. */
  readonly narrow: boolean;
  readonly vapourWritten: ReadonlySet<string>;
  readonly dropsWritten: ReadonlySet<string>;

  constructor(
    private readonly row: Row,
    private readonly inUnit: (kgPerS: number) => number,
  ) {
    this.mostKgPerS = Math.max(
      ...row.reached.flatMap(({ station: s }) => [s.vapourKgPerS + s.liquidKgPerS, s.caughtKgPerS]),
    );
    const { at, ticks } = axisOf(0, inUnit(this.mostKgPerS) || 1, HEIGHT - 8, 18);
    this.y = at;
    this.ticks = ticks;
    this.width = Math.min(30, (Math.min(...row.cells.map((c) => c.width)) - 16) / 2);
    this.narrow = this.width < 24;
    this.vapourWritten = whereItChanges(row, WORTH_REPEATING * this.mostKgPerS, (s) => s.vapourKgPerS);
    this.dropsWritten = whereItChanges(row, WORTH_REPEATING * this.mostKgPerS, (s) => s.liquidKgPerS);
  }

  at(kgPerS: number): number {
    return this.y(this.inUnit(kgPerS));
  }

  /** Whether a figure has room inside a bar. */
  isTall(kgPerS: number): boolean {
    return this.at(0) - this.at(kgPerS) > ROOM_FOR_FIGURE;
  }

  fits(text: string): boolean {
    return text.length * DIGIT < this.width;
  }

  leftOf(s: Station, centre: number): number {
    return s.caughtKgPerS > 0 ? centre - this.width - 1 : centre - this.width / 2;
  }

  /** One path for all bars of a colour: they all move with every keystroke, and a browser counts what it has to draw. */
  path(shape: (s: Station, centre: number) => { x: number; from: number; to: number }): string {
    return this.row.reached
      .map(({ station, centre }) => shape(station, centre))
      .map(({ x, from, to }) => (from > to ? `M${x} ${from}h${this.width}V${to}h${-this.width}z` : ''))
      .join('');
  }
}
