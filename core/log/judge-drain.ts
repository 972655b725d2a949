import type { DrainEntry } from './drain-entry';

/** What of an entry the judgement looks at, with the plan's expectation for it. */
export interface ExpectedDrain {
  readonly stageId: string;
  readonly drainedAt: string;
  readonly amountKg: number;
  readonly expectedKg: number;
  readonly lowKg: number;
  readonly highKg: number;
}

export type DrainVerdict = 'as expected' | 'less' | 'more' | 'nothing to expect';

export type CauseId =
  | 'drain-stuck'
  | 'less-use'
  | 'drier-air'
  | 'cooler-fouled'
  | 'more-use'
  | 'wetter-air'
  | 'upstream-lets-through'
  | 'left-before'
  | 'not-only-water';

/** A possible cause, how it shows here, and the cheapest check that tells. */
export interface Cause {
  readonly id: CauseId;
  readonly title: string;
  readonly because: string;
  readonly check: string;
}

export interface DrainJudgement {
  readonly verdict: DrainVerdict;
  /** Measured over expected; `undefined` where nothing was expected. */
  readonly ratio?: number;
  /** Likeliest first; empty where all is as expected. */
  readonly causes: readonly Cause[];
}

/** What the judgement knows besides the entry itself. */
export interface DrainContext {
  readonly entry: ExpectedDrain & Pick<DrainEntry, 'appearance' | 'loadedHours'>;
  readonly drain: string;
  /** Other entries of the same point before this one, newest first. */
  readonly before: readonly ExpectedDrain[];
  /** Nearest entries in time of the points upstream and downstream. */
  readonly upstream: readonly ExpectedDrain[];
  readonly downstream: readonly ExpectedDrain[];
  readonly coolerBefore: boolean;
}

/** Amounts under this are not worth a judgement: a few drops. */
export const TRACE_KG = 0.01;
/** Causes below this score cannot be: a fouled cooler where there is none. */
const RULED_OUT = -0.75;
const AUTOMATIC = ['float', 'timer', 'unloader', 'level'];

/**
 * What came out of a drain against its band: on its ends it is as expected; where traces are expected, traces are nothing.
 * @example verdictOf({ stageId: 'receiver', drainedAt: now, amountKg: 0.2, expectedKg: 0.3, lowKg: 0.25, highKg: 0.4 }) // 'less'
 */
export function verdictOf(e: ExpectedDrain): DrainVerdict {
  if (e.highKg < TRACE_KG && e.amountKg < TRACE_KG) return 'nothing to expect';
  return e.amountKg < e.lowKg ? 'less' : e.amountKg > e.highKg ? 'more' : 'as expected';
}

/** So little of what was expected points at the drain itself (estimate). */
const LITTLE = 0.35;

const percent = (x: number): string => `${Math.round(x * 100)} %`;
const ratioOf = (e: ExpectedDrain): number => (e.expectedKg > 0 ? e.amountKg / e.expectedKg : Number.POSITIVE_INFINITY);

interface Scored extends Cause {
  readonly score: number;
}

function causesOfLess(c: DrainContext): Scored[] {
  const ratio = ratioOf(c.entry);
  const automatic = AUTOMATIC.includes(c.drain);
  const downstreamMore = c.downstream.some((e) => verdictOf(e) === 'more');
  const others = [...c.upstream, ...c.downstream].filter((e) => verdictOf(e) !== 'nothing to expect');
  const allLess = others.length > 0 && others.every((e) => verdictOf(e) === 'less');
  const othersNormal = others.length > 0 && others.every((e) => verdictOf(e) === 'as expected');
  const run = c.before.findIndex((e) => verdictOf(e) !== 'less');
  const lessBefore = run === -1 ? c.before.length : run;
  const metered = c.entry.loadedHours !== null;
  const stuckSigns = [
    downstreamMore && 'the point after it gives more than it should',
    lessBefore > 0 && `${lessBefore + 1} entries running are short`,
    ratio < LITTLE && `only ${percent(ratio)} came out`,
    othersNormal && 'the other points are as expected',
  ].filter((s) => s !== false);
  return [
    {
      id: 'drain-stuck',
      title: automatic
        ? `The ${c.drain === 'float' ? 'float ' : ''}drain is stuck shut or blocked`
        : 'The drain is partly blocked',
      because:
        stuckSigns.length > 0
          ? `${capital(stuckSigns.join('; '))}.`
          : 'Scale and sludge block drains more often than anything else fails.',
      check: 'Isolate, vent and prove zero pressure, then open the drain: water standing downstream of it confirms it.',
      score:
        (automatic ? 3 : 1) +
        (downstreamMore ? 4 : 0) +
        Math.min(lessBefore, 2) +
        (ratio < LITTLE ? 1.5 : 0) +
        (othersNormal ? 1 : 0) -
        (allLess ? 3 : 0),
    },
    {
      id: 'less-use',
      title: 'The compressor ran less than expected',
      because: metered
        ? 'The hours were metered, so this is unlikely.'
        : allLess
          ? 'Every point gave less by a like share.'
          : 'The hours come from the working pattern, not from a meter.',
      check: 'Read the hour meter, or time the compressor for an hour, and enter the loaded hours.',
      score: 2 + (allLess ? 3 : 0) - (metered ? 2 : 0) - (downstreamMore ? 1 : 0),
    },
    {
      id: 'drier-air',
      title: 'The air was drier than noted',
      because: allLess
        ? 'Every point gave less by a like share.'
        : 'One reading stands for the whole time since the last drain.',
      check: 'Read temperature and humidity at the intake again, after five minutes of settling.',
      score: 1.5 + (allLess ? 3 : 0) - (downstreamMore ? 2 : 0),
    },
    {
      id: 'cooler-fouled',
      title: 'A fouled cooler passes the water as vapour',
      because: downstreamMore
        ? 'More than expected comes out further down.'
        : 'Warmer air after the cooler condenses less here and more downstream.',
      check: 'Measure the air after the cooler on tape or in a well: {5 K} over its usual approach calls for cleaning.',
      score: c.coolerBefore ? 1 + (downstreamMore ? 1.5 : 0) + (ratio > LITTLE ? 0.5 : 0) : RULED_OUT,
    },
  ];
}

function causesOfMore(c: DrainContext): Scored[] {
  const upstreamLess = c.upstream.some((e) => verdictOf(e) === 'less');
  const last = c.before[0];
  const shortBefore = last !== undefined && verdictOf(last) === 'less';
  const others = [...c.upstream, ...c.downstream];
  const allMore = others.length > 0 && others.every((e) => verdictOf(e) === 'more');
  return [
    {
      id: 'upstream-lets-through',
      title: 'A stage upstream passes its water',
      because: upstreamLess
        ? 'A point upstream gave less than it should in the same days.'
        : 'What a separator or cooler misses arrives here.',
      check: 'Test the drain upstream, and measure the air after the cooler.',
      score: 2 + (upstreamLess ? 4 : 0) - (c.upstream.length === 0 ? 3 : 0),
    },
    {
      id: 'left-before',
      title: 'Water was left over the time before',
      because: shortBefore ? 'The entry before was short.' : 'A drain closed early leaves water for the next time.',
      check: 'Drain until only air comes, and log again tomorrow.',
      score: 1.5 + (shortBefore ? 3 : 0),
    },
    {
      id: 'wetter-air',
      title: 'The air was wetter than noted',
      because: allMore
        ? 'Every point gave more by a like share.'
        : 'One reading stands for the whole time since the last drain.',
      check: 'Read temperature and humidity at the intake again.',
      score: 1.8 + (allMore ? 3 : 0),
    },
    {
      id: 'more-use',
      title: 'The compressor ran more than expected',
      because:
        c.entry.loadedHours !== null
          ? 'The hours were metered, so this is unlikely.'
          : 'The hours come from the working pattern. Leaks keep a compressor loaded out of hours too.',
      check: 'Read the hour meter, or listen whether the compressor starts with every tool shut.',
      score: 1.7 + (allMore ? 3 : 0) - (c.entry.loadedHours !== null ? 2 : 0),
    },
    {
      id: 'not-only-water',
      title: 'Not all of it is water',
      because:
        c.entry.appearance === 'oily' || c.entry.appearance === 'milky'
          ? `It looked ${c.entry.appearance}.`
          : 'It looked like water.',
      check: 'Let it stand an hour and measure the layers apart.',
      score: c.entry.appearance === 'oily' || c.entry.appearance === 'milky' ? 2.5 : -1,
    },
  ];
}

const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

/**
 * Judges a drain entry against what the plan expected: within the band it is as expected; outside it the possible
 * causes come in the order in which this line's other entries point to them. The weights are common practice, no
 * source: a stuck drain shows as water arriving further down, drier air and less use show everywhere at once.
 */
export function judgeDrain(c: DrainContext): DrainJudgement {
  const verdict = verdictOf(c.entry);
  const scored = verdict === 'less' ? causesOfLess(c) : verdict === 'more' ? causesOfMore(c) : [];
  const causes = scored
    .filter((s) => s.score > RULED_OUT)
    .sort((a, b) => b.score - a.score)
    .map(({ score: _score, ...cause }) => cause);
  return { verdict, ...(c.entry.expectedKg > 0 && { ratio: ratioOf(c.entry) }), causes };
}
