'use client';

import { Printer } from 'lucide-react';
import { useMemo, useState } from 'react';
import { type AssemblyStep, assemblyOf, methodsOf, PHASES } from '@/core/fitting/assembly';
import { jointsOf } from '@/core/fitting/joints';
import type { KeptFile } from '@/core/plan/file-fields';
import { KeptFiles } from '@/ui/files/kept-files';
import { usePlan } from '@/ui/plan/plan-provider';
import { PrintHead } from '@/ui/plan/print-head';
import { Cautions } from '@/ui/primitives/cautions';
import { InUnits } from '@/ui/units/in-units';
import { useTicks } from '../use-ticks';

const keyOf = (step: AssemblyStep): string => `step:${step.id}`;

/** How the line is put together: step by step with ticks, cautions first. */
export function AssemblyView() {
  const { plan, section, edit } = usePlan();
  const steps = useMemo(() => assemblyOf(plan, section), [plan, section]);
  const methods = useMemo(() => methodsOf(jointsOf(plan, section)), [plan, section]);
  const { ticks, tick } = useTicks();
  const [proven, setProven] = useState(false);
  const { pictures } = plan.fitting;
  const setPictures = (key: string, files: readonly KeptFile[]): void =>
    edit((p) => {
      const { [key]: _, ...rest } = p.fitting.pictures;
      const next = files.length > 0 ? { ...rest, [key]: [...files] } : rest;
      return { ...p, fitting: { ...p.fitting, pictures: next } };
    });
  const done = steps.filter((s) => ticks[keyOf(s)]).length;
  const tools = [...new Set(steps.flatMap((s) => s.tools))].sort();
  return (
    <div className="grid max-w-3xl gap-4 print:block print:space-y-4">
      <PrintHead className="not-print:hidden" />
      <Cautions ids={['C07', 'C04', 'C05', 'C06']} />
      <label className="flex min-h-12 items-center gap-3 rounded-md border border-hairline bg-card px-3 font-medium">
        <input
          type="checkbox"
          className="size-6 shrink-0"
          checked={proven}
          onChange={(e) => setProven(e.target.checked)}
        />
        Power locked out, every section vented, zero pressure proved at a gauge.
      </label>
      <p className="flex flex-wrap items-center gap-x-4 gap-y-1">
        <strong>
          {done} of {steps.length} steps done
        </strong>
        <span className="text-quiet">Tools: {tools.join(', ')}.</span>
        <button type="button" className="button no-print ml-auto" onClick={() => window.print()}>
          <Printer size={15} aria-hidden /> Print
        </button>
      </p>
      <section aria-label="How each joint is made" className="rounded-md border border-hairline bg-card px-3 py-2">
        <h2>How each joint is made</h2>
        <dl className="mt-2 grid gap-x-4 gap-y-1.5 text-[0.9rem] sm:grid-cols-[11rem_1fr]">
          {methods.map(({ of, does }) => (
            <div key={of} className="contents">
              <dt className="font-medium">{of}</dt>
              <dd className="text-quiet">{does}.</dd>
            </div>
          ))}
        </dl>
      </section>
      {Object.entries(PHASES).map(([phase, name]) => (
        <Phase key={phase} name={name} steps={steps.filter((s) => s.phase === phase)}>
          {(step) => (
            <Step
              key={step.id}
              step={step}
              done={ticks[keyOf(step)] !== undefined}
              pictures={pictures[keyOf(step)] ?? []}
              onPictures={(files) => setPictures(keyOf(step), files)}
              onDone={(is) => tick([{ key: keyOf(step), count: 1 }], is ? 'fitted' : undefined)}
            />
          )}
        </Phase>
      ))}
      <p className="text-quiet">
        Then the leak test, on the next page. Tests that a law asks for are the inspector’s; work on pressure vessels
        and on wiring is for those who are licensed for it.
      </p>
    </div>
  );
}

function Phase({
  name,
  steps,
  children,
}: {
  name: string;
  steps: readonly AssemblyStep[];
  children: (step: AssemblyStep) => React.ReactNode;
}) {
  if (steps.length === 0) return null;
  return (
    <section aria-label={name}>
      <h2 className="border-b border-ink pb-1">{name}</h2>
      <ol>{steps.map(children)}</ol>
    </section>
  );
}

function Step({
  step,
  done,
  pictures,
  onDone,
  onPictures,
}: {
  step: AssemblyStep;
  done: boolean;
  pictures: readonly KeptFile[];
  onDone: (is: boolean) => void;
  onPictures: (files: readonly KeptFile[]) => void;
}) {
  return (
    <li className="break-inside-avoid border-b border-hairline">
      <label className="flex min-h-12 cursor-pointer gap-3 py-2.5">
        <input
          type="checkbox"
          className="mt-0.5 size-6 shrink-0"
          checked={done}
          onChange={(e) => onDone(e.target.checked)}
        />
        <span className="min-w-0">
          <span className={`block font-medium ${done ? 'text-quiet line-through' : ''}`}>{step.does}</span>
          {!done &&
            step.how.map((line, i) => (
              // biome-ignore lint/suspicious/noArrayIndexKey: two nipples of a kind are put on in the same words
              <span key={i} className="block text-[0.9rem] text-quiet">
                <InUnits text={line} />
              </span>
            ))}
        </span>
      </label>
      <details className={`mb-2 ml-9 ${pictures.length === 0 ? 'no-print' : ''}`} open={pictures.length > 0}>
        <summary className="min-h-target w-fit cursor-pointer text-[0.9rem] text-quiet">
          Pictures{pictures.length > 0 && ` · ${pictures.length}`}
        </summary>
        <div className="mt-1">
          <KeptFiles of={step.does} files={pictures} onFiles={onPictures} />
        </div>
      </details>
      {!done && step.cautions.length > 0 && (
        <div className="mb-2 ml-9">
          <Cautions ids={step.cautions} />
        </div>
      )}
    </li>
  );
}
