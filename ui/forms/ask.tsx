'use client';

import type { ReactNode } from 'react';
import type { QuantityName } from '@/core/quantity/units';
import { QuantityInput } from './quantity-input';

/** Least and most of each number of a question that the address bar holds, SI. */
export type Bounds<Key extends string> = Readonly<Record<Key, readonly [least: number, most: number]>>;
/** The field of one of these numbers. */
export type AskFor<Key extends string> = (key: Key, label: string, quantity: QuantityName, help?: string) => ReactNode;

/** An address that says something impossible is brought into what can be. */
export function bounded<Q extends object>(q: Q, bounds: Bounds<string>): Q {
  const within = Object.entries(bounds).map(([key, [least, most]]) => {
    const value = q[key as keyof Q] as number;
    return [key, Number.isFinite(value) ? Math.min(most, Math.max(least, value)) : least];
  });
  return { ...q, ...Object.fromEntries(within) };
}

export function asker<Key extends string>(
  q: Readonly<Record<Key, number>>,
  bounds: Bounds<Key>,
  set: (change: Record<string, number>) => void,
): AskFor<Key> {
  return (key, label, quantity, help) => (
    <QuantityInput
      id={key}
      label={label}
      quantity={quantity}
      value={q[key]}
      min={bounds[key][0]}
      max={bounds[key][1]}
      help={help}
      onCommit={(value) => {
        set({ [key]: value });
        return undefined;
      }}
    />
  );
}
