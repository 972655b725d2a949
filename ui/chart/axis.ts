import { scaleLinear } from 'd3-scale';

/** A linear scale of an axis, and the round values at which it is marked. */
export interface Axis {
  readonly at: (value: number) => number;
  readonly ticks: readonly number[];
}

/**
 * A linear axis onto pixels that begins and ends at a tick.
 * @param most steps
 */
export function axisOf(low: number, high: number, from: number, to: number, most = 4): Axis {
  const flat = high - low < 1e-6; // a flat line wants a scale too
  const domain = flat ? [low - 0.5, high + 0.5] : [low, high];
  for (let steps = most; ; steps--) {
    const scale = scaleLinear(domain, [from, to]).nice(steps);
    const ticks = scale.ticks(steps);
    if (ticks.length <= most + 1 || steps === 1) return { at: scale, ticks };
  }
}

/** Decimals that tell the ticks of an axis apart: 0.05, 0.1 and 0.15 want two. */
export const decimalsOf = ([first = 0, second = first]: readonly number[]): number =>
  second === first ? 0 : Math.max(0, Math.ceil(-Math.log10(Math.abs(second - first)) - 1e-9));
