import { parseAsFloat, parseAsStringLiteral } from 'nuqs';
import type { ReactNode } from 'react';
import { SEA_LEVEL_PA } from '@/core/air/atmosphere';
import { OVEN_MOST_C } from '@/core/media/dry-batch';
import { MEDIA, type Medium } from '@/core/media/isotherm';
import type { QuantityName } from '@/core/quantity/units';

const MEDIUM_IDS = Object.keys(MEDIA) as Medium[];
/** Flow is told in standard cubic feet or metres: 14.5 psi abs, 68 °F, dry. */
export const FLOW_BASIS = 'standard-14.5psia-68F';
const YES_NO = ['no', 'yes'] as const;

/** The question, as the address bar holds it; SI. */
export const STATE = {
  medium: parseAsStringLiteral(MEDIUM_IDS).withDefault('silica'),
  kg: parseAsFloat.withDefault(0.907), // 2 lb
  flow: parseAsFloat.withDefault(10 * 4.719474e-4),
  day: parseAsFloat.withDefault(7200),
  c: parseAsFloat.withDefault(27),
  pa: parseAsFloat.withDefault(SEA_LEVEL_PA + 6.2e5),
  rh: parseAsFloat.withDefault(1),
  dyed: parseAsStringLiteral(YES_NO).withDefault('yes'),
  oily: parseAsStringLiteral(YES_NO).withDefault('no'),
  loaded: parseAsFloat.withDefault(0.12),
  layer: parseAsFloat.withDefault(0.02),
  oven: parseAsFloat.withDefault(115),
  hours: parseAsFloat.withDefault(4 * 3600),
  wet: parseAsFloat.withDefault(1.02),
  dry: parseAsFloat.withDefault(0.907),
  times: parseAsFloat.withDefault(1),
  cycle: parseAsFloat.withDefault(600),
  load: parseAsFloat.withDefault(1),
};
export type Query = { [K in keyof typeof STATE]: (typeof STATE)[K]['defaultValue'] };
type Numbers = { [K in keyof Query]: Query[K] extends number ? K : never }[keyof Query];

/** What each number may be; an address that says otherwise is brought into it. */
export const BOUNDS: Record<Numbers, readonly [least: number, most: number]> = {
  kg: [0.01, 500],
  flow: [1e-5, 0.5],
  day: [60, 86_400],
  c: [0, 100],
  pa: [1.5e5, 41e5],
  rh: [0.01, 1],
  loaded: [0, 0.4],
  layer: [0.002, 0.1],
  oven: [40, OVEN_MOST_C],
  hours: [600, 86_400],
  wet: [0.01, 1000],
  dry: [0.01, 1000],
  times: [0, 40],
  cycle: [60, 3600],
  load: [0.05, 1],
};

/** The field of one of these numbers. */
export type Ask = (key: Numbers, label: string, quantity: QuantityName, help?: string) => ReactNode;

export function bounded(q: Query): Query {
  const within = Object.entries(BOUNDS).map(([key, [least, most]]) => {
    const value = q[key as Numbers];
    return [key, Number.isFinite(value) ? Math.min(most, Math.max(least, value)) : least];
  });
  return { ...q, ...Object.fromEntries(within) };
}
