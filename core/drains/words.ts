import type { Say } from '../advice/rule';
import { spell } from '../quantity/spell';

const A_LITRE = 1e-3;

/**
 * An amount of water: of a drain from a litre down, of a tank from a litre up.
 * @param m3 m³, 0 or more
 * @example sayWater(say, 0.0004) // '400 mL'
 */
export const sayWater = (say: Say, m3: number): string => say(m3, m3 >= 0.999 * A_LITRE ? 'volume' : 'drained');

/**
 * A stretch of working time: in hours up to a day’s, else in working days.
 * @param seconds s of working time, 0 or more
 * @param hoursPerDay h, above 0
 * @example spellWork(7200, 9) // '2 h of work'
 */
export function spellWork(seconds: number, hoursPerDay: number): string {
  if (!Number.isFinite(seconds)) return 'never';
  const days = seconds / 3600 / Math.max(hoursPerDay, 1e-9);
  if (days <= 1.2) return `${spell(seconds)} of work`;
  return `${days < 10 ? Number(days.toPrecision(2)) : Math.round(days)} working days`;
}

/**
 * How high water stands in a vessel: a film of it has no height worth a figure.
 * @param m m, 0 or more
 * @example sayHeight(say, 0.12) // '120 mm'
 */
export const sayHeight = (say: Say, m: number): string => (m < 1.5e-3 ? 'a film' : say(m, 'size'));
