import { type QuantityName, unitOf } from '@/core/quantity/units';
import { useUnits } from '../units/units';
import { Field, tied } from './field';

/** A number that is typed in any unit; whoever asks for it reads it when it is given. */
export function AnyUnitField({
  id,
  asks,
  quantity,
  text,
  problem,
  onText,
}: {
  id: string;
  asks: string;
  quantity: QuantityName;
  text: string;
  problem: string | undefined;
  onText: (text: string) => void;
}) {
  const { choice } = useUnits();
  return (
    <Field id={id} label={`${asks}, in ${unitOf(quantity, choice[quantity]).symbol} or any unit`} error={problem}>
      <input
        {...tied(id, problem)}
        className="control min-h-12"
        value={text}
        onChange={(e) => onText(e.target.value)}
      />
    </Field>
  );
}
