import type { Say } from '../advice/rule';
import { spell } from '../quantity/spell';

const A_LITRE = 1e-3;

/** An amount of water: of a drain from a litre down, of a tank from a litre up. */
export const sayWater = (say: Say, m3: number): string => say(m3, m3 >= 0.999 * A_LITRE ? 'volume' : 'drained');

/** A stretch of working time: in hours up to a day’s, else in working days. */
export function spellWork(seconds: number, hoursPerDay: number): string {
  if (!Number.isFinite(seconds)) return 'never';
  const days = seconds / 3600 / Math.max(hoursPerDay, 1e-9);
  if (days <= 1.2) return `${spell(seconds)} of work`;
  return `${days < 10 ? Number(days.toPrecision(2)) : Math.round(days)} working days`;
}

/** How high water stands in a vessel: a film of it has no height worth a figure. */
export const sayHeight = (say: Say, m: number): string => (m < 1.5e-3 ? 'a film' : say(m, 'size'));
