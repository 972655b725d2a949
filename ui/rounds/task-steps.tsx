'use client';

import { useEffect, useState } from 'react';
import type { DueTask } from '@/core/maintenance/due';
import { InUnits } from '@/ui/units/in-units';

/** The steps, with a clock where one must take its time. */
export function Steps({ task: { task } }: { task: DueTask }) {
  return (
    <section aria-label="How">
      <h2>How</h2>
      <ol className="mt-1 grid list-decimal gap-1 pl-5">
        {task.steps.map((s) =>
          typeof s === 'string' ? (
            <li key={s}>
              <InUnits text={s} />
            </li>
          ) : (
            <li key={s.says}>
              <InUnits text={s.says} /> {s.waitS !== undefined && <Wait seconds={s.waitS} />}
            </li>
          ),
        )}
      </ol>
      <p className="mt-1 text-[0.9rem] text-quiet">
        Good: <InUnits text={task.accept} />
      </p>
    </section>
  );
}

function Wait({ seconds }: { seconds: number }) {
  const [ends, setEnds] = useState<number>();
  const [left, setLeft] = useState(seconds);
  useEffect(() => {
    if (ends === undefined) return;
    const tick = setInterval(() => setLeft(Math.max(0, Math.ceil((ends - Date.now()) / 1000))), 250);
    return () => clearInterval(tick);
  }, [ends]);
  const words = `${Math.floor(left / 60)}:${String(left % 60).padStart(2, '0')}`;
  return (
    <button type="button" className="button my-1 min-h-12" onClick={() => setEnds(Date.now() + seconds * 1000)}>
      <span role="timer">{ends === undefined ? `Start ${words}` : left > 0 ? words : 'Time is up'}</span>
    </button>
  );
}
