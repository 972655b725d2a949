'use client';

import { useEffect, useState } from 'react';
import type { Batch } from '@/core/desiccant/dry-batch';
import { dryingSteps } from '@/core/desiccant/drying-steps';
import { spell } from '@/core/quantity/spell';
import { readStored, store } from '@/ui/browser-store';
import { InUnits } from '@/ui/units/in-units';

const KEY = 'drying-timer';
interface Kept {
  readonly step: number;
  /** When the waiting of this step ends, ms; 0 while it was not begun. */
  readonly endsMs: number;
}

function read(): Kept {
  try {
    const kept = JSON.parse(readStored(KEY) ?? '') as Kept;
    return Number.isInteger(kept.step) && Number.isFinite(kept.endsMs) ? kept : { step: 0, endsMs: 0 };
  } catch {
    return { step: 0, endsMs: 0 }; // nothing kept yet
  }
}

/** The steps of drying one by one, with a clock where one takes its time. It goes on when the page is closed. */
export function DryingTimer({ batch, hours }: { batch: Batch; hours: number }) {
  const steps = dryingSteps(batch, hours);
  const [kept, setKept] = useState<Kept>({ step: 0, endsMs: 0 });
  const [nowMs, setNow] = useState(0);
  useEffect(() => {
    setKept(read());
    setNow(Date.now());
    const tick = setInterval(() => setNow(Date.now()), 500);
    return () => clearInterval(tick);
  }, []);
  const go = (next: Kept): void => {
    setKept(next);
    store(KEY, JSON.stringify(next));
  };
  const at = Math.min(kept.step, steps.length);
  const step = steps[at];
  const leftS = Math.max(0, Math.ceil((kept.endsMs - nowMs) / 1000));
  const waits = step?.lastsS !== undefined && kept.endsMs > 0 && leftS > 0;
  return (
    <section aria-label="Drying, step by step" className="max-w-2xl rounded-md border border-hairline p-4">
      <h3 className="font-semibold">Step by step</h3>
      <ol className="mt-1 grid gap-0.5">
        {steps.map((s, i) => (
          <li
            // biome-ignore lint/suspicious/noArrayIndexKey: spells in the oven are alike but for their place
            key={i}
            aria-current={i === at ? 'step' : undefined}
            className={`flex justify-between gap-3 border-l-4 px-2 py-1 ${i === at ? 'border-copper bg-sunk font-semibold' : 'border-transparent'} ${i < at ? 'text-quiet' : ''}`}
          >
            <span>
              {i < at ? '✓ ' : ''}
              <InUnits text={s.says} />
            </span>
            {s.lastsS !== undefined && (
              <span className="whitespace-nowrap" role={i === at ? 'timer' : undefined}>
                {i === at && kept.endsMs > 0
                  ? leftS > 0
                    ? `${Math.floor(leftS / 60)}:${String(leftS % 60).padStart(2, '0')}`
                    : 'time is up'
                  : spell(Math.round(s.lastsS / 60) * 60)}
              </span>
            )}
          </li>
        ))}
      </ol>
      <div className="mt-3 flex gap-2">
        {step && step.lastsS !== undefined && kept.endsMs === 0 ? (
          <button
            type="button"
            className="button button-strong"
            onClick={() => go({ step: at, endsMs: Date.now() + (step.lastsS as number) * 1000 })}
          >
            Start the clock
          </button>
        ) : (
          step && (
            <button
              type="button"
              className={`button ${waits ? '' : 'button-strong'}`}
              onClick={() => go({ step: at + 1, endsMs: 0 })}
            >
              {waits ? 'Next step early' : 'Done, next'}
            </button>
          )
        )}
        {at > 0 && (
          <button type="button" className="button" onClick={() => go({ step: 0, endsMs: 0 })}>
            Start again
          </button>
        )}
      </div>
    </section>
  );
}
