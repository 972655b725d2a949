'use client';

import dynamic from 'next/dynamic';
import { type ReactNode, useState } from 'react';
import { atmosphericPressurePa } from '@/core/air/atmosphere';
import { impliedBy } from '@/core/planner/implied';
import { type Question, questionSchema, question as questionWith } from '@/core/planner/question';
import { motorHp } from '@/core/sizing/size-compressor';
import { OfBefore } from '@/ui/forms/of-before';
import { AtmosphereProvider, useUnits } from '@/ui/units/units';
import { useRun } from '@/ui/worker/use-run';
import type { PlannerAnswer, PlannerProgress } from '@/workers/planner.worker';
import type { FromLine } from './from-line';
import { QuestionForm } from './question-form';

const Answer = dynamic(() => import('./answer').then((m) => m.Answer));

const start = (): Worker => new Worker(new URL('../../workers/planner.worker.ts', import.meta.url));

/** Typical of a small shop in round metric numbers (common practice, no source). */
const METRIC = {
  compressor: { freeAirDeliveryM3PerS: 0.45 / 60, cutInGaugePa: 6.5e5, cutOutGaugePa: 8.5e5 },
  receiverM3: 0.23,
};

/** From compressor, weather and jobs to the few lines worth building. */
export function PlannerView({ from }: { from?: FromLine & { question: Question } }) {
  const { choice } = useUnits();
  const [q, setQuestion] = useState<Question>(
    () => from?.question ?? questionWith(choice.pressure === 'psi' ? {} : METRIC),
  );
  const [put, setPut] = useState<Question>();
  const { state, run, stop } = useRun<Question, PlannerAnswer, PlannerProgress>(start);
  const [stopped, setStopped] = useState<PlannerAnswer>();
  const checked = questionSchema.safeParse(q);
  const soFar = state.kind === 'progress' ? state.share || undefined : undefined;
  const shown = state.kind === 'done' ? state.answer : (soFar?.soFar ?? stopped);
  const find = (question: Question): void => {
    setStopped(undefined);
    setQuestion(question);
    setPut(question);
    run(question);
  };
  return (
    <AtmosphereProvider atmosphericPa={atmosphericPressurePa(q.altitudeM)}>
      <div className="mx-auto grid max-w-[1180px] items-start gap-x-6 gap-y-4 p-4 lg:grid-cols-[25rem_minmax(0,1fr)]">
        <div className="lg:col-span-2">
          <h1>What do I need for my jobs?</h1>
          <p className="max-w-[75ch] text-quiet">
            {from
              ? `Begun with what ${from.plan.name} tells. Change what is asked, and find the lines that serve it.`
              : 'Say what the air is for. Every other number is a typical one and may stay.'}
          </p>
        </div>
        <form
          className="grid gap-4"
          id="question"
          aria-label="Question"
          noValidate
          onSubmit={(e) => {
            e.preventDefault();
            if (checked.success) find(q);
          }}
        >
          <QuestionForm
            question={q}
            set={(change) =>
              setQuestion((now) => ({ ...now, ...(typeof change === 'function' ? change(now) : change) }))
            }
          />
        </form>
        <div className="grid min-w-0 gap-4">
          <Implies question={q}>
            <button
              type="submit"
              form="question"
              className="button button-strong min-h-12 px-6 max-sm:w-full"
              disabled={!checked.success || state.kind === 'progress'}
            >
              Find the lines
            </button>
          </Implies>
          {state.kind === 'progress' && (
            <Looking
              progress={soFar}
              stop={() => {
                setStopped(soFar?.soFar);
                stop();
              }}
            />
          )}
          {state.kind === 'failed' && (
            <p role="alert" className="rounded-md bg-brick-wash px-3 py-2 text-brick">
              {state.message}
            </p>
          )}
          {shown && put && <OfBefore />}
          {shown && put && (
            <Answer
              answer={shown}
              question={put}
              from={from}
              isWhole={state.kind === 'done'}
              changed={put !== q}
              onQuestion={find}
            />
          )}
        </div>
      </div>
    </AtmosphereProvider>
  );
}

/** What the question says by itself: water, duty. */
function Implies({ question, children }: { question: Question; children: ReactNode }) {
  const { say } = useUnits();
  const i = impliedBy(question);
  const over = i.loadedShare > i.dutyLimit;
  const figures = [
    ['Water drawn in, a warm day', say(i.waterKgPerDay / 1000, 'drained')],
    ['The jobs draw, on average', say(i.averageM3PerS, 'volumeFlow')],
    ['all at once', say(i.peakM3PerS, 'volumeFlow')],
    ['Compressor loaded', `${say(i.loadedShare, 'share')} of the time`],
  ] as const;
  const isOpen = question.compressor.sized === 'open';
  return (
    <section aria-label="What it implies" className="rounded-md border border-hairline bg-card p-4">
      <dl className="grid grid-cols-2 gap-x-4 gap-y-2 sm:grid-cols-4">
        {figures.map(([label, value], n) => (
          <div key={label}>
            <dt className="text-[0.82rem] text-quiet">{label}</dt>
            <dd className={`text-[1.15rem] font-semibold ${n === 3 && over ? 'text-brick' : ''}`}>{value}</dd>
          </div>
        ))}
      </dl>
      {isOpen && (
        <p className="mt-2">
          From {motorHp(i.compressor.type, i.compressor.freeAirDeliveryM3PerS)} hp (
          {say(i.compressor.freeAirDeliveryM3PerS, 'volumeFlow')}) with a tank of {say(i.receiverM3, 'volume')}; the
          next size is looked at too. Leaks of 10 % and growth of 15 % are in it.
        </p>
      )}
      {over && (
        <p className="mt-2 text-brick">
          ▲ It is made for {say(i.dutyLimit, 'share')}. No treatment gives more air: a larger compressor, or fewer jobs.
        </p>
      )}
      <div className="mt-3">{children}</div>
    </section>
  );
}

function Looking({ progress, stop }: { progress: PlannerProgress | undefined; stop: () => void }) {
  const { say, number } = useUnits();
  return (
    <section className="flex flex-wrap items-center gap-4 rounded-md border border-hairline bg-card p-4">
      <p className="min-w-0 flex-1" role="status">
        {progress
          ? progress.looked === progress.of
            ? 'All lines have been looked at: what would help is being tried.'
            : `Settled ${say(progress.looked / progress.of, 'share')} of all lines that can be put together.`
          : 'Preparing.'}
        {progress?.cheapest !== undefined && ` The cheapest so far costs ${number(progress.cheapest, 0)}.`}
      </p>
      <button type="button" className="button" onClick={stop}>
        Stop
      </button>
    </section>
  );
}
