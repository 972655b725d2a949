import type { FieldMeta } from '@/core/equipment/shared/kind';
import { type Question, questionJobSchema, questionSchema } from '@/core/planner/question';
import { ChoiceInput } from '@/ui/forms/choice-input';
import { QuantityInput } from '@/ui/forms/quantity-input';

export type Shape = Readonly<Record<string, { meta(): unknown }>>;
export const SHAPE = questionSchema.shape as unknown as Shape;
export const JOB_SHAPE = questionJobSchema.shape as unknown as Shape;
export const COMPRESSOR_SHAPE = (questionSchema.shape.compressor as unknown as { shape: Shape }).shape;

interface Field<Value> {
  readonly shape: Shape;
  readonly field: string;
  readonly id: string;
  readonly value: Value;
  readonly onValue: (value: Value) => void;
}

/** Changes a question, or what it is by then. */
export type SetQuestion = (change: Partial<Question> | ((now: Question) => Partial<Question>)) => void;

/** A number of the question, asked as its schema has it. */
export function Ask({ shape, field, id, value, onValue }: Field<number>) {
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
export function Choose({ shape, field, id, value, onValue }: Field<string>) {
  const { label, options = {} } = (shape[field]?.meta() ?? {}) as FieldMeta;
  return <ChoiceInput id={id} label={label} value={value} options={options} onCommit={onValue} />;
}

/** Fields side by side. */
export const PAIR = 'grid grid-cols-2 items-end gap-x-3 gap-y-2';
