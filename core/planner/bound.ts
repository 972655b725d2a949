/** What is known of a choice before its line is walked: exact, or at least so much. */
export interface Bound {
  /** Without the first of each kind that is owned, in the order of flow: that one is there, the others are bought. */
  readonly purchase: number;
  /** What that first one costs, by its kind: where another is upstream of it, it is bought too. */
  readonly owned: Readonly<Record<string, number>>;
  readonly yearly: number;
  readonly minutesPerWeek: number;
}
/** What a choice and another downstream of it cost. */
export const plus = (a: Bound, b: Bound): Bound => {
  const { purchase, owned } = together(a, b);
  return {
    purchase,
    owned,
    yearly: a.yearly + b.yearly,
    minutesPerWeek: a.minutesPerWeek + b.minutesPerWeek,
  };
};

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

function together(a: Bound, b: Bound): Pick<Bound, 'purchase' | 'owned'> {
  let purchase = a.purchase + b.purchase;
  let owned: Record<string, number> | undefined;
  for (const kind in b.owned) {
    const price = b.owned[kind] as number;
    if (kind in a.owned) purchase += price;
    else {
      owned ??= { ...a.owned };
      owned[kind] = price;
    }
  }
  return { purchase, owned: owned ?? a.owned };
}

/** The same downstream of what has some of the kinds that are owned already. */
export const behind = <B extends Bound>(part: B, upstream: Bound['owned']): B => ({
  ...part,
  owned: Object.fromEntries(Object.entries(part.owned).filter(([kind]) => !(kind in upstream))),
});

/**
 * Whether a run is no dearer than another whatever else is built: of an owned kind that only the first has, it may take the one
 * that is there from a dearer stage downstream.
 */
export function isNoDearer(a: Bound, b: Bound): boolean {
  let purchase = a.purchase;
  for (const kind in a.owned) {
    if (!(kind in b.owned)) return false;
    purchase += Math.max(0, (a.owned[kind] as number) - (b.owned[kind] as number));
  }
  return purchase <= b.purchase;
}
