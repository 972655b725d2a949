import type { Charge } from '../log/charge';
import type { LoggedDrain } from '../log/judge-log';
import { type LifeEntry, type LoggedEntry, standingEntries } from '../log/log-entry';
import type { ReadingName } from '../log/readings';
import type { SiteTime } from '../log/site-clock';
import { lastDone, openingsOf, postponed, signalsOf } from './last-done';
import type { LastDone, Opening, Postponed, Signal } from './logged';
import { COUNTED } from './tasks';

/** So many of the newest readings of a series say whether it drifts, and at which rate a meter runs (estimate). */
export const NEWEST = 40;
/** So many of the newest entries are looked at for what they point to. */
export const LOOKED_AT = 60;
/** Less than this is expected of a drain: drops on a wall, kg. */
export const LEAST_EXPECTED_KG = 0.01;

/** Measured over expected, the oldest first. */
export interface RatioSeries {
  readonly stageId: string;
  readonly of: ReadingName | 'drain';
  readonly ratios: readonly number[];
}

/** What is asked of a log each day, however long it is. */
export interface LogSummary {
  readonly last: readonly LastDone[];
  /** The newest of each task, the oldest first. */
  readonly postponed: readonly Postponed[];
  /** The newest of each kind at each stage, the newest first. */
  readonly events: readonly Opening[];
  /** Of each reading of each stage the newest, of hours some; the newest first. */
  readonly signals: readonly Signal[];
  readonly series: readonly RatioSeries[];
  /** The newest entries that stand. */
  readonly newest: readonly LoggedEntry[];
  /** What the lives of charges of beads rest on. */
  readonly beads: readonly LifeEntry[];
  readonly charges: readonly Charge[];
  /** When each drain was last opened. */
  readonly drained: readonly { readonly stageId: string; readonly at: SiteTime }[];
}

/**
 * Of a list the first with each key.
 * @example firstOfEach(['ab', 'ac', 'b'], (s) => s[0]) // ["ab","b"]
 */
export function firstOfEach<T>(of: readonly T[], keyOf: (one: T) => string): T[] {
  const seen = new Set<string>();
  return of.filter((one) => {
    const key = keyOf(one);
    return !seen.has(key) && seen.add(key);
  });
}

/** Of readings of one series, the newest first, the ratios to what was expected. */
const ratiosOf = (newestFirst: readonly Pick<Signal, 'value' | 'expected'>[]): number[] =>
  newestFirst
    .slice(0, NEWEST)
    .flatMap(({ value, expected }) => (expected && expected.value > 0 ? [value / expected.value] : []))
    .toReversed();

/**
 * The series of readings, from all signals, the newest first.
 * @example ratioSeriesOf([]) // []
 */
export const ratioSeriesOf = (signals: readonly Signal[]): RatioSeries[] =>
  firstOfEach(signals, (s) => `${s.stageId} ${s.of}`).map(({ stageId, of }) => ({
    stageId,
    of,
    ratios: ratiosOf(signals.filter((s) => s.stageId === stageId && s.of === of)),
  }));

/**
 * Of all signals, the newest first, those that are asked for.
 * @example signalsAsked([]) // []
 */
export function signalsAsked(signals: readonly Signal[]): Signal[] {
  const newest = firstOfEach(signals, (s) => `${s.stageId} ${s.of}`);
  const counts = new Map<string, number>();
  return signals.filter((s) => {
    if (s.of !== 'hours') return newest.includes(s);
    const n = (counts.get(s.stageId) ?? 0) + 1;
    counts.set(s.stageId, n);
    return n <= NEWEST;
  });
}

/**
 * The summary of a log that is held whole; for a long one the server asks the database for the same.
 * @param since when the line was put into service: what is older says nothing of drift
 * @example summaryOf({ drains: [], entries: [], charges: [] }).last // []
 */
export function summaryOf(
  log: {
    readonly drains: readonly LoggedDrain[];
    readonly entries: readonly LoggedEntry[];
    readonly charges: readonly Charge[];
  },
  since: SiteTime = '',
): LogSummary {
  const newestFirst = standingEntries(log.entries).toSorted((a, b) => b.measuredAt.localeCompare(a.measuredAt));
  const signals = signalsOf(log.entries);
  const done = lastDone(log.entries, log.drains).toSorted((a, b) => b.at.localeCompare(a.at));
  const times = new Map<string, number>();
  const key = (d: { stageId: string; task: string }): string => `${d.stageId} ${d.task}`;
  for (const d of done) times.set(key(d), (times.get(key(d)) ?? 0) + 1);
  const drains = log.drains.filter((d) => !d.struck).toSorted((a, b) => b.drainedAt.localeCompare(a.drainedAt));
  const ofDrains = [...new Set(drains.map((d) => d.stageId))].map(
    (stageId): RatioSeries => ({
      stageId,
      of: 'drain',
      ratios: drains
        .filter((d) => d.stageId === stageId && d.expectedKg > LEAST_EXPECTED_KG && d.drainedAt >= since)
        .slice(0, NEWEST)
        .map((d) => (d.amountM3 * 1000) / d.expectedKg)
        .toReversed(),
    }),
  );
  return {
    last: firstOfEach(done, key).map((d) => (COUNTED.includes(d.task) ? { ...d, times: times.get(key(d)) ?? 1 } : d)),
    postponed: firstOfEach(postponed(log.entries).toReversed(), key).toReversed(),
    events: firstOfEach(openingsOf(log.entries), (e) => `${e.stageId} ${e.what}`),
    signals: signalsAsked(signals),
    series: [...ofDrains, ...ratioSeriesOf(signals.filter((s) => s.at >= since))].filter((s) => s.ratios.length > 0),
    newest: newestFirst.slice(0, LOOKED_AT),
    beads: standingEntries(log.entries),
    charges: log.charges,
    drained: firstOfEach(drains, (d) => d.stageId).map((d) => ({ stageId: d.stageId, at: d.drainedAt })),
  };
}
