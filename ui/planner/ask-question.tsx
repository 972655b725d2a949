import type { FieldMeta } from '@/core/equipment/shared/kind';
import { questionJobSchema, questionSchema } from '@/core/planner/question';
import { ChoiceInput } from '@/ui/forms/choice-input';
import { QuantityInput } from '@/ui/forms/quantity-input';

export type Shape = Readonly<Record<string, { meta(): unknown }>>;
export const SHAPE = questionSchema.shape as unknown as Shape;
export const JOB_SHAPE = questionJobSchema.shape as unknown as Shape;
export const COMPRESSOR_SHAPE = (questionSchema.shape.compressor as unknown as { shape: Shape }).shape;

/** A number of the question, asked as its schema has it. */
export function Ask({
  shape,
  field,
  id,
  value,
  onValue,
}: {
  shape: Shape;
  field: string;
  id: string;
  value: number;
  onValue: (value: number) => void;
}) {
  const meta = shape[field]?.meta() as FieldMeta & { quantity: NonNullable<FieldMeta['quantity']> };
  return (
    <QuantityInput
      id={id}
      label={meta.label}
      quantity={meta.quantity}
      value={value}
      min={meta.least}
      max={meta.most}
      onCommit={(si) => {
        onValue(si);
        return undefined;
      }}
    />
  );
}

/** A choice of the question, offered as its schema has it. */
export function Choose({
  shape,
  field,
  id,
  value,
  onValue,
}: {
  shape: Shape;
  field: string;
  id: string;
  value: string;
  onValue: (value: string) => void;
}) {
  const { label, options = {} } = (shape[field]?.meta() ?? {}) as FieldMeta;
  return <ChoiceInput id={id} label={label} value={value} options={options} onCommit={onValue} />;
}

/** Fields side by side. */
export const PAIR = 'grid grid-cols-2 items-end gap-x-3 gap-y-2';
