import { z } from 'zod';
import { type KindName, kindOf } from '../equipment/index';
import { CFM } from '../quantity/constants';

/** What a thing costs to buy, and to keep a year: elements, media, service. */
export interface Price {
  readonly first: number;
  readonly yearly: number;
}

/**
 * Invented placeholders, in no currency, so that plans can be compared before anybody has asked for prices:
 * they tell small from large and no more. Each stands until the person replaces it.
 */
export const PLACEHOLDERS: Partial<Record<KindName, Price>> = {
  compressor: { first: 2500, yearly: 150 },
  receiver: { first: 500, yearly: 20 },
  aftercooler: { first: 400, yearly: 10 },
  'fluid-cooler': { first: 180, yearly: 5 },
  'cooling-run': { first: 220, yearly: 0 },
  'water-cooler': { first: 1800, yearly: 150 },
  separator: { first: 120, yearly: 10 },
  'bowl-filter': { first: 45, yearly: 15 },
  'coalescing-filter': { first: 140, yearly: 60 },
  'particulate-filter': { first: 120, yearly: 40 },
  'carbon-filter': { first: 200, yearly: 110 },
  'droplet-separator': { first: 40, yearly: 5 },
  'refrigerated-dryer': { first: 1100, yearly: 60 },
  'cycling-dryer': { first: 4500, yearly: 200 },
  'high-inlet-dryer': { first: 1500, yearly: 80 },
  'bead-cartridge': { first: 160, yearly: 70 },
  'pellet-tower': { first: 700, yearly: 180 },
  'twin-tower': { first: 2200, yearly: 220 },
  'heated-purge-tower': { first: 14_000, yearly: 900 },
  'blower-purge-tower': { first: 22_000, yearly: 1200 },
  'split-flow-tower': { first: 16_000, yearly: 900 },
  'heat-of-compression-tower': { first: 24_000, yearly: 900 },
  membrane: { first: 900, yearly: 90 },
  regulator: { first: 60, yearly: 3 },
  'oil-water-separator': { first: 350, yearly: 120 },
};
/** Whatever is not in the list: a fitting, a valve, a hose. */
const SMALL: Price = { first: 30, yearly: 2 };

const amount = (label: string) =>
  z
    .number({ error: `${label}: a number is needed.` })
    .min(0, `${label}: not below 0.`)
    .max(1e9, `${label}: at most a thousand million.`);

export const priceSchema = z.strictObject({ first: amount('To buy'), yearly: amount('A year') });

/** Tariff and hour beyond which a point was left out, in any currency (estimates). */
export const MOST_A_KWH = 1e5;
export const MOST_AN_HOUR = 1e7;

/** The person’s own figures. */
export const moneySchema = z.strictObject({
  currency: z.string().trim().min(1, 'Name the currency: €, $, £ …').max(6, 'At most 6 characters.').default('¤'),
  years: z.int('Whole years.').min(1, 'At least one year.').max(30, 'At most 30 years.').default(10),
  perKWh: amount('Tariff').default(0.15),
  perHour: amount('Hour of work').default(40),
  /** Prices that replace the placeholders, in the same currency. */
  prices: z.partialRecord(z.string(), priceSchema).default({}),
  /** What dry air is worth to this shop in a year. A claim is somebody else’s word. */
  worth: z
    .array(
      z.strictObject({
        what: z.string().trim().min(1, 'Say what.').max(80, 'At most 80 characters.'),
        yearly: amount('Worth'),
        claim: z.boolean().default(false),
      }),
    )
    .max(8, 'At most 8.')
    .default([]),
});
export type Money = z.infer<typeof moneySchema>;

/**
 * The price of a kind of usual size, and whether it is the person’s own or a placeholder.
 * @example priceOf(moneySchema.parse({}), 'receiver').own // false
 */
export function priceOf(money: Money, kind: KindName): { readonly price: Price; readonly own: boolean } {
  const own = money.prices[kind];
  return own ? { price: own, own: true } : { price: PLACEHOLDERS[kind] ?? SMALL, own: false };
}

/** What a drain costs over one that is opened by hand, in the same invented money (handbook’s order: float 40, timer 90, level 200). */
const DRAINS: Readonly<Record<string, number>> = { float: 40, timer: 90, level: 200 };
const drainOf = (parameters: object): number => DRAINS[(parameters as { drain?: string }).drain ?? ''] ?? 0;

/** What makes a thing large, the first that is said. */
const SIZES = [
  'ratedFlowM3PerS',
  'volumeM3',
  'massKg',
  'freeAirDeliveryM3PerS',
  'lossAtM3PerS',
  'conductance',
  'boreM',
] as const;
/** Flow for which the placeholders are, where a kind has no usual rating of its own: 16 cfm, a 5 hp compressor (estimate). */
const USUAL_M3_PER_S = 16 * CFM;
/** A price grows with size^0.8 (from handbook prices at 100 and 1000 cfm), upkeep with size^0.6 (six-tenths rule). */
const GROWS = { first: 0.8, yearly: 0.6 } as const;

const usual = new Map<KindName, Readonly<Record<string, unknown>>>();
/** The parameters of a kind as it usually is. */
function usualOf(kind: KindName): Readonly<Record<string, unknown>> {
  const known = usual.get(kind) ?? kindOf(kind).parameters.parse({});
  usual.set(kind, known);
  return known;
}

/** A stage as far as its price goes. */
interface Priced {
  readonly kind: KindName;
  readonly parameters: object;
}

/** Size of a stage beside the usual one of its kind, by what its plate says; 1 where it says nothing. */
function relativeSize({ kind, parameters }: Priced): number {
  const own = parameters as Readonly<Record<string, unknown>>;
  const field = SIZES.find((f) => typeof own[f] === 'number' && (own[f] as number) > 0);
  if (field === undefined) return 1;
  const standard = usualOf(kind)[field];
  return (own[field] as number) / (typeof standard === 'number' && standard > 0 ? standard : USUAL_M3_PER_S);
}

/**
 * The price of a stage: the person’s own for its kind, or a placeholder that grows with its size.
 * @example priceOfStage(moneySchema.parse({}), stage('receiver')).price.first // 940
 */
export function priceOfStage(money: Money, stage: Priced): { readonly price: Price; readonly own: boolean } {
  const { price, own } = priceOf(money, stage.kind);
  if (own) return { price, own };
  const size = relativeSize(stage);
  // A placeholder is for the drain that its kind usually has.
  const drain = drainOf(stage.parameters) - drainOf(usualOf(stage.kind));
  return {
    price: {
      first: price.first * size ** GROWS.first + Math.max(0, drain),
      yearly: price.yearly * size ** GROWS.yearly,
    },
    own,
  };
}
