const BROWSERS = [
  ['Edg/', 'Edge'],
  ['Firefox/', 'Firefox'],
  ['Chrome/', 'Chrome'],
  ['Safari/', 'Safari'],
] as const;
const SYSTEMS = [
  ['Android', 'Android'],
  ['iPhone', 'iPhone'],
  ['iPad', 'iPad'],
  ['Windows', 'Windows'],
  ['Mac OS', 'macOS'],
  ['Linux', 'Linux'],
] as const;

/** A browser and its system in two words, as far as it says. */
export function deviceOf(agent: string | null): string {
  const known = [BROWSERS, SYSTEMS].flatMap((list) => list.find(([sign]) => agent?.includes(sign))?.[1] ?? []);
  return known.length > 0 ? known.join(', ') : 'An unknown browser';
}
