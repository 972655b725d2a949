import { useState } from 'react';
import type { Cause } from '@/core/diagnosis/finding/cause';
import { ACTS, type ActName } from '@/core/fault/fault';
import type { Plan } from '@/core/plan/plan';
import { stageById } from '@/core/plan/runs';
import { type Bought, BUYS, priceOfBuy, type Step } from '@/core/practice/grade';
import { Field, tied } from '@/ui/forms/field';
import { Cautions } from '@/ui/primitives/cautions';

const actOf = (cause: Cause): ActName => cause.fault?.act ?? 'repair';

/** What is done about it: something is set, moved or repaired, or bought; or the case is closed. */
export function SearchDecide({
  plan,
  causes,
  onStep,
  onClose,
}: {
  plan: Plan;
  causes: readonly Cause[];
  onStep: (step: Step) => void;
  onClose: () => void;
}) {
  const [chosen, setChosen] = useState('');
  const [isolated, setIsolated] = useState(false);
  const [problem, setProblem] = useState<string>();
  // Causes of one stage with one repair are one thing to do.
  const todo = causes.filter(
    (c, i) => c.repair && causes.findIndex((o) => o.stageId === c.stageId && o.repair === c.repair) === i,
  );
  const act = ACTS[actOf(causes.find((c) => c.id === chosen) ?? (causes[0] as Cause))];
  const doIt = (): void => {
    if (chosen === '') {
      setProblem('Say what is done.');
      return;
    }
    onStep({ does: 'repair', causeId: chosen, safe: isolated });
    setIsolated(false);
  };
  return (
    <section aria-label="Decide" className="grid gap-3">
      <h2>Decide</h2>
      <div className="max-w-xl">
        <Field id="act" label="What do you do?" error={problem}>
          <select
            {...tied('act', problem)}
            className="control min-h-12"
            value={chosen}
            onChange={(e) => {
              setChosen(e.target.value);
              setProblem(undefined);
            }}
          >
            <option value="">choose</option>
            {(Object.keys(ACTS) as ActName[]).map((name) => (
              <optgroup key={name} label={`${ACTS[name].says}: ${ACTS[name].minutes} min, parts ${ACTS[name].price}`}>
                {todo
                  .filter((c) => actOf(c) === name)
                  .map((c) => (
                    <option key={c.id} value={c.id}>
                      {stageById(plan, c.stageId ?? '')?.name}: {c.repair}
                    </option>
                  ))}
              </optgroup>
            ))}
          </select>
        </Field>
      </div>
      <label className="flex min-h-11 items-center gap-3">
        <input type="checkbox" className="size-5" checked={isolated} onChange={(e) => setIsolated(e.target.checked)} />
        Isolated, vented, and proven without pressure; power locked out
      </label>
      <Cautions ids={['C07']} />
      <div className="flex flex-wrap gap-2">
        <button type="button" className="button button-strong min-h-12" onClick={doIt}>
          Do it{chosen !== '' && `, ${act.minutes} min`}
        </button>
        {(Object.keys(BUYS) as Bought[]).map((what) => (
          <button key={what} type="button" className="button min-h-12" onClick={() => onStep({ does: 'buy', what })}>
            Buy {BUYS[what].says}, {priceOfBuy(plan, what)}
          </button>
        ))}
        <button type="button" className="button min-h-12" onClick={onClose}>
          Close the case
        </button>
      </div>
      <p className="text-quiet">
        After it is done, read again what showed the fault: that is the proof. Then close it.
      </p>
    </section>
  );
}
