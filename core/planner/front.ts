/** By what lines are compared; less is better but for the margin. */
export interface Merits {
  /** To buy, in the person’s money. */
  readonly purchase: number;
  /** Energy, lost air, media, service and tasks of a year, in the person’s money. */
  readonly yearly: number;
  /** Tasks of the whole line. */
  readonly minutesPerWeek: number;
  /** Of the worst job at the design hour, K of dew point. */
  readonly marginK: number;
}

/** Finer than this nobody chooses: ten of the currency, a minute a week, one kelvin. */
const STEP: Merits = { purchase: 10, yearly: 10, minutesPerWeek: 1, marginK: 1 };
const stepped = (value: number, step: number): number => Math.floor(value / step + 1e-9) * step;

/** Merits in whole steps of what somebody would choose by, so that the comparison is an order. */
export const inSteps = ({ purchase, yearly, minutesPerWeek, marginK }: Merits): Merits => ({
  purchase: stepped(purchase, STEP.purchase),
  yearly: stepped(yearly, STEP.yearly),
  minutesPerWeek: stepped(minutesPerWeek, STEP.minutesPerWeek),
  marginK: stepped(marginK, STEP.marginK),
});

/** Whether the first is nowhere worse than the second. */
export const noWorse = (a: Merits, b: Merits): boolean =>
  a.purchase <= b.purchase && a.yearly <= b.yearly && a.minutesPerWeek <= b.minutesPerWeek && a.marginK >= b.marginK;

/**
 * Whether the first beats the second: nowhere worse, and somewhere better.
 * @example dominates({ purchase: 1, yearly: 1, minutesPerWeek: 1, marginK: 2 }, { purchase: 9, yearly: 1, minutesPerWeek: 1, marginK: 2 }) // true
 */
export const dominates = (a: Merits, b: Merits): boolean => noWorse(a, b) && !noWorse(b, a);

/**
 * The front with one more: unchanged where another is nowhere worse, else without those that it beats.
 * @example withMember([], { merits: { purchase: 1, yearly: 1, minutesPerWeek: 1, marginK: 2 } }).length // 1
 */
export function withMember<M extends { readonly merits: Merits }>(front: readonly M[], one: M): readonly M[] {
  if (front.some((m) => noWorse(m.merits, one.merits))) return front;
  return [...front.filter((m) => !noWorse(one.merits, m.merits)), one];
}
