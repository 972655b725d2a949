/** What is known of a choice before its line is walked: exact, or at least so much. */
export interface Bound {
  /** Without what is of a kind that is owned: only the first of it is there, the others are bought. */
  readonly purchase: number;
  /** The price of that, by its kind. */
  readonly owned: Readonly<Record<string, number>>;
  readonly yearly: number;
  readonly minutesPerWeek: number;
}
export const plus = (a: Bound, b: Bound): Bound => ({
  purchase: a.purchase + b.purchase,
  owned: together(a.owned, b.owned),
  yearly: a.yearly + b.yearly,
  minutesPerWeek: a.minutesPerWeek + b.minutesPerWeek,
});

/** By how much one costs more than another of the same kinds. */
export const minus = (a: Bound, b: Bound): Bound => ({
  purchase: a.purchase - b.purchase,
  owned: a.owned,
  yearly: a.yearly - b.yearly,
  minutesPerWeek: a.minutesPerWeek - b.minutesPerWeek,
});

/**
 * What any of several costs at least.
 * @param some at least one
 */
export const leastOf = (some: readonly Bound[]): Bound => ({
  purchase: Math.min(...some.map((b) => b.purchase)),
  owned: NO_PRICES,
  yearly: Math.min(...some.map((b) => b.yearly)),
  minutesPerWeek: Math.min(...some.map((b) => b.minutesPerWeek)),
});

const NO_PRICES: Bound['owned'] = {};
export const NOTHING: Bound = { purchase: 0, owned: NO_PRICES, yearly: 0, minutesPerWeek: 0 };

function together(a: Bound['owned'], b: Bound['owned']): Bound['owned'] {
  const kinds = Object.keys(b);
  if (kinds.length === 0) return a;
  const sum: Record<string, number> = { ...a };
  for (const kind of kinds) sum[kind] = (sum[kind] ?? 0) + (b[kind] as number);
  return sum;
}

/** Whether a run is no dearer than another whatever else is built: what of an owned kind it has more may have to be bought. */
export function isNoDearer(a: Bound, b: Bound): boolean {
  let purchase = a.purchase;
  for (const kind in a.owned) purchase += Math.max(0, (a.owned[kind] as number) - (b.owned[kind] ?? 0));
  return purchase <= b.purchase;
}
