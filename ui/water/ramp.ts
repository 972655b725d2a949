import { interpolateArray } from 'd3-interpolate';
import { scaleLinear } from 'd3-scale';

/** The dry-to-wet colours of the theme, from the page’s own tokens: red, green and blue of a share 0…1. */
export function rampOf(element: Element): (share: number) => readonly number[] {
  const style = getComputedStyle(element);
  const colours = [0, 1, 2, 3, 4].map((i) => {
    const hex = style.getPropertyValue(`--wet-${i}`).trim().slice(1);
    return [0, 2, 4].map((k) => Number.parseInt(hex.slice(k, k + 2), 16));
  });
  return scaleLinear<number[]>([0, 0.25, 0.5, 0.75, 1], colours).interpolate(interpolateArray).clamp(true);
}
