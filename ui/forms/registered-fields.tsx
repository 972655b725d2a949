'use client';

import type { ReactNode } from 'react';
import type { UseFormRegisterReturn } from 'react-hook-form';
import { type QuantityName, unitOf } from '@/core/quantity/units';
import { useUnits } from '@/ui/units/units';
import { Field, tied } from './field';

interface Props {
  readonly id: string;
  readonly label: string;
  readonly error: string | undefined;
  readonly help?: string;
  readonly tag?: ReactNode;
  /** From react-hook-form. */
  readonly registered: UseFormRegisterReturn;
}

/** A text of a form that is checked as a whole. */
export function TextField({ id, label, error, help, tag, registered }: Props) {
  return (
    <Field id={id} label={label} error={error} help={help} tag={tag}>
      <input {...tied(id, error, help)} {...registered} className="control" autoComplete="off" />
    </Field>
  );
}

/** A number in any unit, kept as it was typed: the form reads it. */
export function QuantityField({ quantity, ...props }: Props & { readonly quantity: QuantityName }) {
  const { choice } = useUnits();
  const { id, label, error, help, tag, registered } = props;
  return (
    <Field id={id} label={label} error={error} help={help} tag={tag}>
      <div className="relative">
        <input
          {...tied(id, error, help)}
          {...registered}
          className="control pr-16"
          inputMode="decimal"
          autoComplete="off"
        />
        <span className="unit pointer-events-none absolute inset-y-0 right-2 flex items-center">
          {unitOf(quantity, choice[quantity]).symbol}
        </span>
      </div>
    </Field>
  );
}
