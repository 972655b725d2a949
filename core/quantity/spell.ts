/**
 * A stretch of time in words.
 * @example spell(52) // '52 s'; spell(420) // '7 min'; spell(15000) // '4 h 10 min'; spell(400000) // '4.6 days'
 */
export function spell(seconds: number): string {
  if (!Number.isFinite(seconds)) return 'without end';
  if (seconds < 100)
    return `${Number.isInteger(seconds) || seconds >= 10 ? Math.round(seconds) : seconds.toFixed(1)} s`;
  const minutes = Math.round(seconds / 60);
  if (minutes < 60) return `${minutes} min`;
  if (minutes >= 72 * 60) return `${Number((minutes / 1440).toPrecision(2))} days`;
  const rest = minutes % 60;
  return `${Math.floor(minutes / 60)} h${rest ? ` ${rest} min` : ''}`;
}
