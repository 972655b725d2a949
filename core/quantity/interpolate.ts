/**
 * Reads a table between its points, along straight lines; beyond its ends the first or the last of them goes on.
 * @param xs of the points, rising; at least two
 * @param ys of the points
 * @param x where it is read, in the unit of `xs`
 * @returns in the unit of `ys`
 * @example interpolate([0, 10, 20], [1, 2, 6], 15) // 4
 */
export function interpolate(xs: ArrayLike<number>, ys: ArrayLike<number>, x: number): number {
  let i = 1;
  while (i < xs.length - 1 && (xs[i] as number) < x) i++;
  const [x0, x1] = [xs[i - 1] as number, xs[i] as number];
  const [y0, y1] = [ys[i - 1] as number, ys[i] as number];
  return y0 + ((y1 - y0) * (x - x0)) / (x1 - x0);
}
