import { mean, median } from 'simple-statistics';
/** A change that a series of readings has come to show. */
export interface Drift {
  /** Which rule speaks. */
  readonly rule: 'cusum' | 'run' | 'far';
  readonly direction: 'less' | 'more';
  /** Index in the series from which it seems to go. */
  readonly since: number;
  /** Of the expected, on average since then: 0.85 is 15 % short. */
  readonly ratio: number;
  readonly says: string;
}

// Two-sided CUSUM on the logarithm of measured over expected, in standard deviations of one reading, tuned to a shift of
// about 15 %: k is half of it, h such that a false alarm comes less than once in 200 readings (Montgomery, statistical
// quality control; tables recalled, checked by simulation in the test).
const SCATTER = 0.07; // of one drain that is caught and measured: ±5 % and some spray (common practice)
const SHIFT = 0.15;
const SLACK = SHIFT / SCATTER / 2;
const ALARM = 3.3;
const MOST = ALARM + 1.5; // what was fixed is forgotten after a few good readings
/** Nine in a row on one side (Nelson’s rules, recalled). */
const RUN = 9;
/** So far off on average, in standard deviations: a run nearer by is of no weight (estimate). */
const RUN_OFF = 0.8;
/** So near its median a reading counts for what is usual, in standard deviations (estimate). */
const NEAR = 3;
const FAR = 4; // standard deviations: one reading is enough
const MOST_REFERENCE = 12;
const LEAST = 4; // readings, below which nothing is said

const percent = (x: number): string => `${Math.round(Math.abs(x) * 100)} %`;

/**
 * Watches a series for drift: each reading over what the plan expected of it. The first readings tell where this line
 * usually lies against its plan, so that a plan that is off by a tenth is no drift.
 *
 * @param ratios measured over expected, oldest first; those that are not over 0 are left out
 * @param scatter relative standard deviation of one reading
 * @example driftOf([1, 1, 1, 1, 1, 1, 1.5, 1.5, 1.5, 1.5]).direction // 'more'
 */
export function driftOf(ratios: readonly number[], scatter = SCATTER): Drift | undefined {
  const logs = ratios.map((r) => Math.log(Math.max(r, 1e-3)));
  if (logs.length < LEAST) return undefined;
  const base = usual(logs.slice(0, Math.min(MOST_REFERENCE, Math.ceil((2 * logs.length) / 3))), scatter);
  let [up, down] = [0, 0];
  let [upSince, downSince] = [0, 0];
  let [runSide, runLength] = [0, 0];
  let found: Drift | undefined;
  const tell = (rule: Drift['rule'], direction: Drift['direction'], since: number, at: number): Drift => {
    const part = logs.slice(since, at + 1);
    const ratio = Math.exp(part.reduce((a, b) => a + b, 0) / part.length - base);
    const n = part.length;
    const words = `${percent(1 - ratio)} ${direction === 'less' ? 'less' : 'more'} than before`;
    const says =
      rule === 'far'
        ? `The last reading is ${words}: far outside the usual scatter.`
        : rule === 'run'
          ? `${n} readings running lie on one side, ${words} on average.`
          : `The last ${n} readings together are ${words}: more than chance explains.`;
    return { rule, direction, since, ratio, says };
  };
  logs.forEach((log, i) => {
    const z = (log - base) / scatter;
    const side = Math.sign(z);
    runLength = side === runSide ? runLength + 1 : 1;
    runSide = side;
    if (up === 0) upSince = i;
    if (down === 0) downSince = i;
    up = Math.min(MOST, Math.max(0, up + z - SLACK));
    down = Math.min(MOST, Math.max(0, down - z - SLACK));
    found = undefined;
    if (down > ALARM) found = tell('cusum', 'less', downSince, i);
    else if (up > ALARM) found = tell('cusum', 'more', upSince, i);
    else if (Math.abs(z) > FAR) found = tell('far', z < 0 ? 'less' : 'more', i, i);
    else if (runLength >= RUN && Math.abs(mean(logs.slice(i - RUN + 1, i + 1)) - base) > RUN_OFF * scatter)
      found = tell('run', side < 0 ? 'less' : 'more', i - runLength + 1, i);
  });
  return found;
}

/** The mean of those that lie together: a week in which something hung must not move the reference. */
function usual(xs: number[], scatter: number): number {
  const middle = median(xs);
  const near = xs.filter((x) => Math.abs(x - middle) <= NEAR * scatter);
  return near.length > 0 ? mean(near) : middle;
}
