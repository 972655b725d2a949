/** Round axis values that span a range: at most `most` steps of 1, 2 or 5 times a power of ten. */
export function niceTicks(low: number, high: number, most = 4): number[] {
  if (high - low < 1e-6) return niceTicks(low - 0.5, high + 0.5, most); // a flat line wants a scale too
  const span = high - low;
  const power = 10 ** Math.floor(Math.log10(span / most));
  const step = ([1, 2, 5, 10].find((m) => span / (m * power) <= most) ?? 10) * power;
  const ticks: number[] = [];
  for (let t = Math.floor(low / step + 1e-9) * step; t < high + step * 0.999; t += step)
    ticks.push(Number(t.toPrecision(12)));
  return ticks;
}

/** A linear scale onto pixels. */
export function linear(low: number, high: number, from: number, to: number): (value: number) => number {
  const k = (to - from) / (high - low || 1);
  return (value) => from + (value - low) * k;
}
