/** Aisles of the shop, in the order in which one goes through it. */
export const AISLES = {
  equipment: 'Equipment',
  fittings: 'Fittings and valves',
  tube: 'Tube, pipe and hose',
  supports: 'Supports and brackets',
  sealing: 'Nuts, clamps and sealing',
  spares: 'Spares to hold',
  tools: 'Tools to have at hand',
} as const;
export type Aisle = keyof typeof AISLES;

/** A row of the bill. */
export interface BillItem {
  /** Unique in a bill, and the same as long as the thing is the same. */
  readonly key: string;
  readonly aisle: Aisle;
  readonly label: string;
  readonly count: number;
  /** What one counts: pieces, or stock lengths of so many metres. */
  readonly stockM?: number;
  /** What is cut from each stock length, m. */
  readonly cutsM?: readonly (readonly number[])[];
  /** Of one, in the currency of the line; a placeholder unless {@link own}. */
  readonly price: number;
  readonly own: boolean;
  /** Where it goes. */
  readonly where: readonly string[];
}

/**
 * A price to the cent.
 * @example cents(1.005001) // 1.01
 */
export const cents = (x: number): number => Math.round(x * 100) / 100;

/** Collects rows that are the same into one. */
export class Rows {
  private readonly rows = new Map<string, BillItem>();

  add(
    aisle: Aisle,
    label: string,
    price: number,
    where: string | readonly string[],
    count = 1,
    more: Partial<BillItem> = {},
  ): void {
    if (count === 0) return;
    const key = `${aisle}:${more.key ?? label}`;
    const known = this.rows.get(key);
    const places = [...(known?.where ?? []), ...(typeof where === 'string' ? [where] : where)];
    this.rows.set(key, {
      aisle,
      label,
      price: cents(price),
      own: false,
      ...more,
      key,
      count: (known?.count ?? 0) + count,
      where: [...new Set(places)],
    });
  }

  get items(): BillItem[] {
    const order = Object.keys(AISLES);
    return [...this.rows.values()].sort((a, b) => order.indexOf(a.aisle) - order.indexOf(b.aisle));
  }
}
