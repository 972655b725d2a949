'use client';

import { type ReactNode, useState } from 'react';
import type { z } from 'zod';
import { fieldsOf, isRelevant, kindOf } from '@/core/equipment/index';
import type { FieldMeta } from '@/core/equipment/shared/kind';
import { chooseMeasured, setParameter } from '@/core/plan/edit';
import type { Known, Plan, Stage } from '@/core/plan/plan';
import { type Provenance, provenanceOf, setKnown } from '@/core/plan/provenance';
import { parseNumber } from '@/core/quantity/parse';
import { usePlan } from '@/ui/plan/plan-provider';
import { sectionOf } from '@/ui/plan/section-of';
import { useUnits } from '@/ui/units/units';
import { ChoiceInput } from './choice-input';
import { Field, tied } from './field';
import { QuantityInput } from './quantity-input';

/** The message with which the walk refuses this very field after an edit, if it does. */
function refusalOf(edited: Plan, stageId: string, field: string): string | undefined {
  return sectionOf(edited).problems.find((p) => p.stageId === stageId && p.field === field)?.message;
}

/** The form of a stage, made from what its kind declares. Edits that the stage itself refuses are refused at the field. */
export function StageForm({
  stage,
  only,
  columns = 'sm:grid-cols-2 lg:grid-cols-3',
}: {
  stage: Stage;
  only?: readonly string[];
  columns?: string;
}) {
  const { section, edit, store } = usePlan();
  const parameters = stage.parameters as Record<string, number | string>;
  const [refused, setRefused] = useState<{ field: string; message: string }>();
  const commit = (field: string, value: number | string): string | undefined => {
    if (!(kindOf(stage.kind).parameters.shape[field] as z.ZodType).safeParse(value).success)
      return 'Type a whole number.';
    const computedC = section.at(stage.id)?.temperatureC;
    const change = (p: Plan): Plan =>
      value === 'measured' && computedC !== undefined
        ? chooseMeasured(p, stage.id, field, computedC)
        : setParameter(p, stage.id, field, value);
    const now = store.getState().plan;
    const edited = change(now);
    const message = refusalOf(edited, stage.id, field);
    if (!message) edit((p) => (p === now ? edited : change(p)), `${stage.id}.${field}`);
    return message;
  };
  const shown = fieldsOf(stage.kind).filter(
    ([field, meta]) => (only?.includes(field) ?? true) && isRelevant(meta, parameters),
  );
  const inputOf = ([field, meta]: readonly [string, FieldMeta]): ReactNode => {
    const id = `${stage.id}-${field}`;
    const value = parameters[field] as number | string;
    if (meta.options)
      return (
        <ChoiceInput
          key={field}
          id={id}
          label={meta.label}
          value={String(value)}
          options={meta.options}
          help={meta.help}
          error={refused?.field === field ? refused.message : undefined}
          onCommit={(v) => {
            const message = commit(field, v);
            setRefused(message ? { field, message } : undefined);
          }}
        />
      );
    const provenance = provenanceOf(stage, field);
    const tag = (
      <KnownFrom
        label={meta.label}
        provenance={provenance}
        onChoose={(known) => edit((p) => setKnown(p, stage.id, field, known))}
      />
    );
    const help = meta.help ?? (provenance === 'typical' ? meta.source : undefined);
    if (meta.quantity)
      return (
        <QuantityInput
          key={field}
          id={id}
          label={meta.label}
          quantity={meta.quantity}
          value={value as number}
          min={meta.least}
          max={meta.most}
          help={help}
          tag={tag}
          onCommit={(v) => commit(field, v)}
        />
      );
    return (
      <PlainNumber
        key={field}
        id={id}
        label={meta.label}
        value={value as number}
        least={meta.least ?? 0}
        most={meta.most ?? 50}
        help={help}
        tag={tag}
        onCommit={(v) => commit(field, v)}
      />
    );
  };
  const built = shown.filter(([, meta]) => meta.about === 'build');
  return (
    <div className="grid gap-3">
      <div className={`grid gap-x-4 gap-y-3 ${columns}`}>{shown.filter((f) => !built.includes(f)).map(inputOf)}</div>
      {built.length > 0 && (
        <details>
          <summary className="min-h-target cursor-pointer text-quiet">
            How it is made and fitted · for the advice
          </summary>
          <div className={`mt-2 grid gap-x-4 gap-y-3 ${columns}`}>{built.map(inputOf)}</div>
        </details>
      )}
    </div>
  );
}

/** Where a number comes from, to be said in one step: nothing said is typical, or assumed once it was changed. */
function KnownFrom({
  label,
  provenance,
  onChoose,
}: {
  label: string;
  provenance: Provenance;
  onChoose: (known: Known | undefined) => void;
}) {
  const unsaid = provenance === 'typical' ? 'typical' : 'assumed';
  return (
    <select
      aria-label={`Where it comes from: ${label}`}
      title="Source of the number"
      className={`min-h-target cursor-pointer appearance-none rounded-sm bg-transparent px-0.5 underline decoration-edge decoration-dotted underline-offset-4 [field-sizing:content] hover:bg-sunk ${provenance === 'measured' || provenance === 'nameplate' ? 'font-semibold text-water' : ''}`}
      value={provenance}
      onChange={(e) => onChoose(e.target.value === unsaid ? undefined : (e.target.value as Known))}
    >
      <option value={unsaid}>{unsaid}</option>
      <option value="measured">measured</option>
      <option value="nameplate">nameplate</option>
      {provenance === 'proposed' && <option value="proposed">proposed by the planner</option>}
    </select>
  );
}

/** A number without a quantity of its own. */
function PlainNumber({
  id,
  label,
  value,
  least,
  most,
  help,
  tag,
  onCommit,
}: {
  id: string;
  label: string;
  value: number;
  least: number;
  most: number;
  help?: string | undefined;
  tag: ReactNode;
  onCommit: (v: number) => string | undefined;
}) {
  const { choice } = useUnits();
  const [error, setError] = useState<string>();
  return (
    <Field id={id} label={label} help={help} tag={tag} error={error}>
      <input
        {...tied(id, error, help)}
        className="control"
        inputMode="decimal"
        defaultValue={value}
        onChange={(e) => {
          const read = parseNumber(e.target.value, choice.decimal, { min: least, max: most });
          setError(read.ok ? onCommit(read.value) : read.message);
        }}
      />
    </Field>
  );
}
