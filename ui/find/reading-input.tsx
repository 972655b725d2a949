import { useState } from 'react';
import { cannotBe } from '@/core/diagnosis/finding/cannot-be';
import type { Reading } from '@/core/diagnosis/finding/cause';
import { type Check, checkKind } from '@/core/diagnosis/finding/checks';
import { WATER_KG_PER_M3 } from '@/core/quantity/constants';
import { parseQuantity } from '@/core/quantity/parse';
import type { QuantityName } from '@/core/quantity/units';
import { AnyUnitField } from '@/ui/forms/any-unit-field';
import { usePlan } from '@/ui/plan/plan-provider';
import { useUnits } from '@/ui/units/units';

interface Typed {
  readonly text: string;
  readonly quantity: QuantityName;
}

/** What a check read: yes or no of a look, an amount and its time of what is caught, and a number in any unit of the rest. */
export function ReadingInput({
  check,
  onRead,
  onCannot,
}: {
  check: Check;
  onRead: (reading: Reading) => void;
  onCannot: (checkId: string) => void;
}) {
  const { plan, section } = usePlan();
  const { choice, atmosphericPa } = useUnits();
  const { quantity } = checkKind(check.of);
  const [text, setText] = useState('');
  const [within, setWithin] = useState('60 min');
  const [problem, setProblem] = useState<string>();
  const [problemOfTime, setProblemOfTime] = useState<string>();
  /** A reading that cannot be true, and was questioned: it is taken the second time. */
  const [doubted, setDoubted] = useState<number>();
  const cannot = (
    <button type="button" className="button min-h-12" onClick={() => onCannot(check.id)}>
      Cannot be done
    </button>
  );
  if (quantity === 'look')
    return (
      <div className="flex gap-2">
        {([1, 0] as const).map((value) => (
          <button
            key={value}
            type="button"
            className="button button-strong min-h-12"
            onClick={() => onRead({ checkId: check.id, value })}
          >
            {value === 1 ? 'Yes' : 'No'}
          </button>
        ))}
        {cannot}
      </div>
    );
  const isCatch = quantity === 'waterFlow';
  // What is caught comes in a cup after some time; a rate is understood as well.
  const isAmount = isCatch && !text.includes('/');
  const parse = (typed: Typed) => parseQuantity(typed.text, typed.quantity, { choice, atmosphericPa });
  const take = (): void => {
    const parsed = parse({ text, quantity: isAmount ? 'drained' : quantity });
    const time = parse({ text: within, quantity: 'time' });
    const timeProblem = time.ok ? (time.value > 0 ? undefined : 'More than nothing.') : time.message;
    setProblem(parsed.ok ? undefined : parsed.message);
    setProblemOfTime(isAmount ? timeProblem : undefined);
    if (!parsed.ok || (isAmount && (!time.ok || timeProblem))) return;
    const value = isAmount && time.ok ? (parsed.value * WATER_KG_PER_M3) / time.value : parsed.value;
    const why = value === doubted ? undefined : cannotBe(plan, section, check, value);
    setProblem(why && `${why} Press again to take it all the same.`);
    if (why) setDoubted(value);
    else onRead({ checkId: check.id, value });
  };
  const id = `read-${check.id.replaceAll(/[^\w-]/g, '-')}`;
  return (
    <div className="grid items-start gap-2 sm:flex sm:flex-wrap sm:[&>button]:mt-6.5">
      <div className={isCatch ? 'w-44 max-w-full' : 'w-56 max-w-full'}>
        <AnyUnitField
          id={id}
          asks={isCatch ? 'Caught' : 'It reads'}
          quantity={isCatch ? 'drained' : quantity}
          text={text}
          problem={problem}
          onText={(next) => {
            setText(next);
            setProblem(undefined);
          }}
        />
      </div>
      {isCatch && (
        <div className="w-52 max-w-full">
          <AnyUnitField
            id={`${id}-within`}
            asks="In loaded running"
            quantity="time"
            text={within}
            problem={problemOfTime}
            onText={(next) => {
              setWithin(next);
              setProblemOfTime(undefined);
            }}
          />
        </div>
      )}
      <button type="button" className="button button-strong min-h-12" onClick={take}>
        Take this reading
      </button>
      {cannot}
    </div>
  );
}
