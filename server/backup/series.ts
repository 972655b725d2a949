import { getISOWeek, getISOWeekYear } from 'date-fns';

/** How many days, weeks and months back a series of backups reaches. */
export interface Kept {
  readonly days: number;
  readonly weeks: number;
  readonly months: number;
}
export const KEPT: Kept = { days: 7, weeks: 4, months: 12 };

const NAME = /^cool-dram-(\d{4}-\d\d-\d\d)T(\d\d)(\d\d)(\d\d)\.tar\.gz$/;

/** @example nameOfBackup(new Date('2026-11-25T09:00:05Z')) // 'cool-dram-2026-11-25T090005.tar.gz' */
export const nameOfBackup = (at: Date): string =>
  `cool-dram-${at.toISOString().slice(0, 19).replaceAll(':', '')}.tar.gz`;

/** When a backup of the series was made, by its name; nothing for any other file. */
export function madeAt(name: string): Date | undefined {
  const [, day, h, m, s] = NAME.exec(name) ?? [];
  return day ? new Date(`${day}T${h}:${m}:${s}Z`) : undefined;
}

/**
 * Reads how much is kept, as `days,weeks,months`.
 * @example keptOf('7,4,12') // { days: 7, weeks: 4, months: 12 }
 * @throws Error where it is anything else
 */
export function keptOf(text: string): Kept {
  const [, days, weeks, months] = /^(\d{1,4}),(\d{1,4}),(\d{1,4})$/.exec(text) ?? [];
  if (!Number(days)) throw new Error(`COOL_DRAM_BACKUPS_KEPT is days, weeks and months, as in 7,4,12; not “${text}”.`);
  return { days: Number(days), weeks: Number(weeks), months: Number(months) };
}

/** Of files in a place, the backups that a series does not need: it keeps the newest of each day, week and month. */
export function notKept(names: readonly string[], kept: Kept): string[] {
  const newestFirst = names
    .flatMap((name) => {
      const at = madeAt(name);
      return at ? [{ name, at }] : [];
    })
    .toSorted((a, b) => b.at.getTime() - a.at.getTime());
  const stays = new Set<string>();
  const keepNewestOf = (count: number, periodOf: (at: Date) => string): void => {
    const seen = new Set<string>();
    for (const { name, at } of newestFirst) {
      const period = periodOf(at);
      if (seen.has(period)) continue;
      if (seen.size >= count) break;
      seen.add(period);
      stays.add(name);
    }
  };
  keepNewestOf(kept.days, (at) => at.toISOString().slice(0, 10));
  keepNewestOf(kept.weeks, (at) => `${getISOWeekYear(at)} ${getISOWeek(at)}`);
  keepNewestOf(kept.months, (at) => at.toISOString().slice(0, 7));
  return newestFirst.map((b) => b.name).filter((name) => !stays.has(name));
}
