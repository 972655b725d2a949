import type { Stage } from '@/core/line/plan';

/** The shared x-positions of the row of stages and the lanes below it. */
export interface Columns {
  readonly left: readonly number[];
  readonly centre: readonly number[];
  readonly width: readonly number[];
  readonly total: number;
}

const LEAST = 78;
const MOST = 150;
const OUTLET_SHARE = 0.72; // an outlet only takes air off, so it takes less room

/** Fits the columns to the room there is; below the least width the section scrolls sideways. */
export function columnsFor(stages: readonly Stage[], room: number): Columns {
  const shares = stages.map((s) => (s.kind === 'outlet' ? OUTLET_SHARE : 1));
  const sum = shares.reduce((a, b) => a + b, 0);
  const unit = Math.max(LEAST, Math.min(MOST, room / sum));
  const left: number[] = [];
  let x = 0;
  const width = shares.map((share) => Math.floor(share * unit));
  for (const w of width) {
    left.push(x);
    x += w;
  }
  return { left, width, centre: left.map((l, i) => l + (width[i] ?? 0) / 2), total: x };
}

/** Round axis values that span a range: at most `most` steps of 1, 2 or 5 times a power of ten. */
export function niceTicks(low: number, high: number, most = 4): number[] {
  if (high - low < 1e-6) return niceTicks(low - 0.5, high + 0.5, most); // a flat line wants a scale too
  const span = high - low;
  const power = 10 ** Math.floor(Math.log10(span / most));
  const step = ([1, 2, 5, 10].find((m) => span / (m * power) <= most) ?? 10) * power;
  const ticks: number[] = [];
  for (let t = Math.floor(low / step) * step; t < high + step * 0.999; t += step) ticks.push(Number(t.toPrecision(12)));
  return ticks;
}

/** A linear scale onto pixels. */
export function linear(low: number, high: number, from: number, to: number): (value: number) => number {
  const k = (to - from) / (high - low || 1);
  return (value) => from + (value - low) * k;
}
