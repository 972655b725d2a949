'use client';

import { type KeyboardEvent, type ReactNode, useEffect, useRef, useState } from 'react';
import { kindOf } from '@/core/equipment/index';
import type { DueTask } from '@/core/maintenance/due';
import type { LogSummary } from '@/core/maintenance/log-summary';
import { placeOf } from '@/core/plan/survey';
import { PhotoInput } from '@/ui/forms/photo-input';
import { useSignedIn } from '@/ui/people/signed-in';
import { usePlan } from '@/ui/plan/plan-provider';
import { Cautions } from '@/ui/primitives/cautions';
import { Link } from '@/ui/primitives/link';
import { InUnits } from '@/ui/units/in-units';
import type { useSender } from '../outbox/use-sender';
import { BeadSwatches } from './bead-swatches';
import { ReadingPad } from './reading-pad';
import { Steps } from './task-steps';
import { usePoint } from './use-point';

/** One task on the phone: what to do, what to expect, a number, and on. */
export function RoundTask({
  task: due,
  log,
  put,
  onNext,
}: {
  task: DueTask;
  log: LogSummary;
  put: ReturnType<typeof useSender>['put'];
  onNext: (how: 'done' | 'could not') => void;
}) {
  const { plan } = usePlan();
  const { task, stage } = due;
  const point = usePoint(due, log.drained, put, onNext);
  const { couldNot, setCouldNot, problem } = point;
  const place = placeOf(plan.survey, stage.place ?? plan.survey.roomPlaceId).name;
  const heading = useRef<HTMLHeadingElement>(null);
  useEffect(() => heading.current?.focus({ preventScroll: true }), []);
  // Digits of a keyboard go into the number from wherever nothing else is typed.
  const toNumber = (event: KeyboardEvent<HTMLFormElement>): void => {
    if (/^[\d.,-]$/.test(event.key) && !(event.target as Element).closest('input, textarea'))
      event.currentTarget.querySelector<HTMLElement>('#reading')?.focus();
  };
  return (
    <form className="flex flex-1 flex-col gap-4 p-4" onSubmit={point.submit} onKeyDown={toNumber} noValidate>
      <div>
        <h1 ref={heading} tabIndex={-1} className="text-[1.55rem] leading-tight outline-none">
          {stage.name}: {task.does.toLowerCase()}
        </h1>
        <p className="text-quiet">
          {kindOf(stage.kind).label.toLowerCase()} · {place}
        </p>
      </div>
      {stage.thing?.opens && (
        <p>
          <span className="font-medium">How this one opens:</span> {stage.thing.opens}
        </p>
      )}
      {task.cautions.length > 0 && (
        <Cautions ids={task.cautions.filter((c) => c !== 'C07' || task.isolates).slice(0, 3)} />
      )}
      {couldNot ? <Reason label="Reason" point={point} /> : <Answers due={due} point={point} />}
      <Who who={point.who} onWho={point.setWho} />
      {problem && (
        <p id="reading-error" role="alert" className="rounded-md bg-brick-wash px-3 py-2 text-brick">
          {problem}
        </p>
      )}
      <div className="sticky bottom-0 mt-auto grid grid-cols-[1fr_2fr] gap-2.5 bg-paper py-3">
        <button type="button" className="button min-h-14" onClick={() => setCouldNot(!couldNot)}>
          {couldNot ? 'Back' : 'Could not'}
        </button>
        <button type="submit" className="button button-strong min-h-14 text-[1.1rem]">
          {couldNot ? 'Save and next' : 'Log and next'}
        </button>
      </div>
    </form>
  );
}

type Point = ReturnType<typeof usePoint>;

/** How it is done, what is read, whether it is OK, and a picture. */
function Answers({ due, point }: { due: DueTask; point: Point }) {
  const { planId } = usePlan();
  const { task } = due;
  return (
    <>
      <Steps task={due} />
      {task.renews === 'charge' && (
        <p>
          <Link href={`/lines/${planId}/charges`} className="text-water underline underline-offset-4">
            Log it under Desiccant &amp; elements
          </Link>{' '}
          instead, and it is known which charge goes in.
        </p>
      )}
      {point.of === 'spent' ? (
        <BeadSwatches share={point.spent} onShare={point.setSpent} />
      ) : (
        point.of && <ReadingPad of={point.of} point={point} />
      )}
      {!point.drains && (
        <label className="flex min-h-12 items-center gap-3">
          <input
            type="checkbox"
            className="size-5 accent-(--water)"
            checked={point.wrong}
            onChange={(e) => point.setWrong(e.target.checked)}
          />
          Not OK
        </label>
      )}
      {point.wrong && (
        <Reason
          label={
            <>
              What is wrong{' '}
              <span className="font-normal text-quiet">
                <InUnits text={task.abnormal} />
              </span>
            </>
          }
          point={point}
        />
      )}
      <PhotoInput photo={point.photo} onPhoto={point.setPhoto} />
    </>
  );
}

function Reason({ label, point: { because, setBecause } }: { label: ReactNode; point: Point }) {
  return (
    <label className="grid gap-1 font-medium">
      {label}
      <textarea className="control min-h-24 font-normal" value={because} onChange={(e) => setBecause(e.target.value)} />
    </label>
  );
}

/** Who is at work: typed once, remembered by the phone. */
function Who({ who, onWho }: { who: string; onWho: (who: string) => void }) {
  const [known, setKnown] = useState(who !== '');
  const signedIn = useSignedIn();
  if (known || signedIn !== undefined)
    return (
      <p className="text-quiet">
        as <strong className="text-ink">{signedIn?.name ?? who}</strong>{' '}
        {signedIn === undefined && (
          <button
            type="button"
            className="min-h-8 text-water underline underline-offset-4"
            onClick={() => setKnown(false)}
          >
            somebody else
          </button>
        )}
      </p>
    );
  return (
    <label className="grid gap-1 font-medium">
      Who
      <input
        className="control min-h-12 font-normal"
        autoComplete="name"
        value={who}
        onChange={(e) => onWho(e.target.value)}
      />
    </label>
  );
}
