import { useState } from 'react';
import type { PickOption } from '@/core/practice/case';
import type { Answer } from '@/core/practice/grade';
import { parseQuantity } from '@/core/quantity/parse';
import type { QuantityName } from '@/core/quantity/units';
import { AnyUnitField } from '@/ui/forms/any-unit-field';
import { useUnits } from '@/ui/units/units';

export type OnAnswer = (answer: Answer) => void;
/** The button that gives an answer. */
export const Give = () => (
  <button type="submit" className="button button-strong min-h-12 justify-self-start">
    That is my answer
  </button>
);

/** A number in any unit. */
export function NumberAnswer({ quantity, onAnswer }: { quantity: QuantityName; onAnswer: OnAnswer }) {
  const { choice, atmosphericPa } = useUnits();
  const [text, setText] = useState('');
  const [problem, setProblem] = useState<string>();
  return (
    <form
      aria-label="Your answer"
      noValidate
      className="grid max-w-sm gap-3"
      onSubmit={(e) => {
        e.preventDefault();
        const parsed = parseQuantity(text, quantity, { choice, atmosphericPa });
        if (!parsed.ok) setProblem(parsed.message);
        else if (!(parsed.value > 0)) setProblem('More than nothing.');
        else onAnswer({ form: 'number', value: parsed.value });
      }}
    >
      <AnyUnitField
        id="answer"
        asks="Your estimate"
        quantity={quantity}
        text={text}
        problem={problem}
        onText={(next) => {
          setText(next);
          setProblem(undefined);
        }}
      />
      <Give />
    </form>
  );
}

/** One of several. */
export function ChoiceAnswer({ options, onAnswer }: { options: readonly string[]; onAnswer: OnAnswer }) {
  return (
    <div role="group" aria-label="Your answer" className="flex flex-wrap gap-2">
      {options.map((says, index) => (
        <button
          key={says}
          type="button"
          className="button min-h-12"
          onClick={() => onAnswer({ form: 'choice', index })}
        >
          {says}
        </button>
      ))}
    </div>
  );
}

/** Tasks within the minutes of a week. */
export function PickAnswer({
  options,
  budgetMin,
  onAnswer,
}: {
  options: readonly PickOption[];
  budgetMin: number;
  onAnswer: OnAnswer;
}) {
  const [ids, setIds] = useState<readonly string[]>([]);
  const takes = options.filter((o) => ids.includes(o.id)).reduce((sum, o) => sum + o.minutesPerWeek, 0);
  const over = takes > budgetMin + 1e-9;
  return (
    <form
      aria-label="Your answer"
      className="grid max-w-xl gap-3"
      onSubmit={(e) => {
        e.preventDefault();
        if (!over) onAnswer({ form: 'pick', ids });
      }}
    >
      <ul>
        {options.map((o) => (
          <li key={o.id} className="border-b border-hairline">
            <label className="flex min-h-11 items-center gap-3 py-1">
              <input
                type="checkbox"
                className="size-5"
                checked={ids.includes(o.id)}
                onChange={(e) => setIds(e.target.checked ? [...ids, o.id] : ids.filter((id) => id !== o.id))}
              />
              <span className="min-w-0 flex-1">{o.says}</span>
              <span className="text-quiet">{o.minutesPerWeek.toFixed(1)} min a week</span>
            </label>
          </li>
        ))}
      </ul>
      <p role="status" className={over ? 'text-brick' : ''}>
        {takes.toFixed(1)} of {budgetMin} minutes a week{over && ': too many. Leave something out.'}
      </p>
      <Give />
    </form>
  );
}
