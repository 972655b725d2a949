import type { Level } from '../plan/maintenance-settings';

interface Timed {
  readonly id: string;
  readonly every: { readonly days?: number };
}

/**
 * Days between two times at the lesser levels, where they differ from the usual ones; `null` is left out. Water, hours, a
 * reading or an opening bring a task forward at any level (estimates: what shops of one compressor keep up).
 */
const DAYS: Readonly<Record<string, { readonly normal: number | null; readonly essential: number | null }>> = {
  M01: { normal: 3.5, essential: 7 },
  M02: { normal: 3.5, essential: 7 },
  M03: { normal: 30, essential: 90 },
  M04: { normal: 180, essential: 365 },
  M05: { normal: 7, essential: 14 },
  M08: { normal: 90, essential: 180 },
  M09: { normal: 180, essential: 365 },
  M10: { normal: 90, essential: null },
  M11: { normal: 30, essential: null },
  M15: { normal: 7, essential: 14 },
  M16: { normal: 365, essential: null },
  M17: { normal: 180, essential: null },
  M18: { normal: 365, essential: null },
  M21: { normal: 7, essential: 14 },
  M25: { normal: 365, essential: null },
  M30: { normal: 365, essential: null },
  M31: { normal: 180, essential: null },
  M32: { normal: 180, essential: null },
  M33: { normal: 365, essential: null },
  M34: { normal: 14, essential: 30 },
  T01: { normal: 90, essential: null },
  T02: { normal: 14, essential: 30 },
  T03: { normal: 180, essential: 365 },
  T05: { normal: 7, essential: 30 },
};

/**
 * The usual days of a task at a level; `null` where the level leaves it out, nothing where no days bring it.
 * @example daysAt(taskById('M21'), 'essential') // 14
 */
export function daysAt(task: Timed, level: Level): number | null | undefined {
  const own = level === 'thorough' ? undefined : DAYS[task.id];
  return own === undefined || task.every.days === undefined ? task.every.days : own[level as 'normal' | 'essential'];
}
