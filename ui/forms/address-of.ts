/** A question as an address holds it. */
export const addressOf = (q: Readonly<Record<string, string | number>>): Record<string, string> =>
  Object.fromEntries(Object.entries(q).map(([key, value]) => [key, String(value)]));
