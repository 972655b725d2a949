/** A length as it is bought, and what is cut from it. */
export interface CutBar {
  readonly cutsM: readonly number[];
  /** What is left over, m. */
  readonly leftM: number;
}

/** What a saw or a tube cutter takes, with squaring the end, m (estimate). */
export const KERF_M = 0.003;
/** Up to so many cuts the fewest bars are certain; a longer list is packed longest first. */
export const EXACT_UP_TO = 14;
/** Arrangements tried before the best so far is taken. */
const MOST_TRIED = 200_000;

/** Longest first, each into the fullest bar that has room. */
function bestFit(cuts: readonly number[], stockM: number): number[][] {
  const bars: { cuts: number[]; left: number }[] = [];
  for (const cut of cuts) {
    const room = bars.filter((b) => b.left >= cut - 1e-9).sort((a, b) => a.left - b.left)[0];
    if (room) {
      room.cuts.push(cut);
      room.left -= cut + KERF_M;
    } else bars.push({ cuts: [cut], left: stockM - cut - KERF_M });
  }
  return bars.map((b) => b.cuts);
}

/** The same with fewer bars, where there is such an arrangement: each cut in each bar that has room, and in a new one. */
function fewer(cuts: readonly number[], stockM: number, start: number[][]): number[][] {
  const sum = cuts.reduce((a, b) => a + b, 0);
  const least = Math.ceil(sum / stockM - 1e-9);
  let best = start;
  let tried = 0;
  const bars: number[][] = [];
  const left: number[] = [];
  const place = (i: number): void => {
    if (bars.length >= best.length || best.length === least || tried++ > MOST_TRIED) return;
    const cut = cuts[i];
    if (cut === undefined) {
      best = bars.map((b) => [...b]);
      return;
    }
    const seen = new Set<number>();
    for (let b = 0; b < bars.length; b++) {
      const room = left[b] as number;
      if (room < cut - 1e-9 || seen.has(room)) continue; // bars with the same room are the same
      seen.add(room);
      (bars[b] as number[]).push(cut);
      left[b] = room - cut - KERF_M;
      place(i + 1);
      (bars[b] as number[]).pop();
      left[b] = room;
    }
    if (bars.length + 1 >= best.length) return;
    bars.push([cut]);
    left.push(stockM - cut - KERF_M);
    place(i + 1);
    bars.pop();
    left.pop();
  };
  place(0);
  return best;
}

/**
 * The fewest stock lengths for a list of cuts; a cut longer than a stock length is joined from whole ones.
 * @param cutsM lengths wanted, m, each above 0
 * @param stockM length as it is bought, m
 * @returns the bars with their cuts; the fewest for certain up to {@link EXACT_UP_TO} cuts
 * @source one-dimensional bin packing: best fit, longest first, then branch and bound
 * @example cutStock([2, 2, 0.9], 3).length // 2
 */
export function cutStock(cutsM: readonly number[], stockM: number): CutBar[] {
  const whole = cutsM.flatMap((m) => new Array<number>(Math.floor(m / stockM + 1e-9)).fill(stockM));
  const rest = cutsM
    .map((m) => m - Math.floor(m / stockM + 1e-9) * stockM)
    .filter((m) => m > 1e-6)
    .sort((a, b) => b - a);
  const packed = bestFit(rest, stockM);
  const bars = rest.length <= EXACT_UP_TO ? fewer(rest, stockM, packed) : packed;
  return [...whole.map((m) => [m]), ...bars].map((cuts) => {
    const used = cuts.reduce((sum, m) => sum + m, 0) + KERF_M * (cuts.length - 1);
    return { cutsM: cuts, leftM: Math.max(0, stockM - used) };
  });
}
