'use client';

import { SYMPTOMS } from '@/core/diagnosis/symptoms';
import { ENTRY_KINDS, type EntryKind, INSTRUMENTS, type LoggedEntry, RESULTS } from '@/core/log/log-entry';
import { allStages } from '@/core/plan/runs';
import { ChoiceInput } from '@/ui/forms/choice-input';
import { Field, tied } from '@/ui/forms/field';
import { PhotoInput } from '@/ui/forms/photo-input';
import type { useSender } from '@/ui/outbox/use-sender';
import { WhoInput } from '@/ui/people/who-input';
import { usePlan } from '@/ui/plan/plan-provider';
import { ReadingRows } from './reading-rows';
import { useEntry } from './use-entry';

const KINDS = Object.fromEntries(
  Object.entries(ENTRY_KINDS).filter(([k]) => !['put-off', 'done', 'finding'].includes(k)),
);
const READ_WITH = Object.fromEntries(Object.entries(INSTRUMENTS).map(([k, x]) => [k, x.label]));
const SHOWS = { '': 'something else', ...Object.fromEntries(SYMPTOMS.map((s) => [s.id, s.says])) };
const WHAT: Partial<Record<EntryKind, string>> = {
  change: 'What was put in',
  regeneration: 'Oven, time, how it looked',
  repair: 'What was repaired',
  adjustment: 'What was set, from what to what',
  leak: 'Where, how large',
  test: 'Which test, how it went',
  observation: 'What was seen',
  complaint: 'In their words',
};

/** Any entry of the log but a drain; a correction is one too, of an entry that stays. */
export function EntryForm({
  put,
  amends,
  check,
  onDone,
}: {
  put: ReturnType<typeof useSender>['put'];
  amends?: LoggedEntry | undefined;
  /** A check that a finding asks for. */
  check?: { readonly stageId: string; readonly what: string } | undefined;
  onDone: () => void;
}) {
  const { plan } = usePlan();
  const { said, say, rows, setRows, photo, setPhoto, errors, reads, submit } = useEntry(put, amends, check, onDone);
  const stages = Object.fromEntries([['', 'the whole line'], ...allStages(plan).map((s) => [s.id, s.name])]);
  const choice = (id: keyof typeof said, label: string, options: Readonly<Record<string, string>>) => (
    <ChoiceInput
      id={`entry-${id}`}
      label={label}
      value={said[id]}
      options={options}
      onCommit={(value) => say({ [id]: value })}
      error={errors[id]}
    />
  );
  return (
    <form
      onSubmit={submit}
      noValidate
      className="grid gap-3 rounded-md border border-hairline bg-card p-4"
      aria-label={amends ? 'Correct an entry' : 'Log something'}
    >
      <h2>{amends ? 'Correct an entry' : 'Log something'}</h2>
      {amends && (
        <p className="text-[0.88rem] text-quiet">The entry stays in the log as it was; this one counts from now on.</p>
      )}
      {!amends && choice('kind', 'What', KINDS)}
      {choice('stageId', 'Where', stages)}
      {said.kind === 'complaint' && choice('symptom', 'What shows', SHOWS)}
      {reads && (
        <fieldset className="grid gap-2">
          <legend className="sr-only">Readings</legend>
          <ReadingRows rows={rows} onRows={setRows} errors={errors} />
          {choice('instrument', 'Read with', READ_WITH)}
        </fieldset>
      )}
      {(said.kind === 'test' || amends?.result) && choice('result', 'Result', { '': 'not said', ...RESULTS })}
      <Field id="entry-what" label={WHAT[said.kind] ?? 'Note'} error={errors.what}>
        <textarea
          {...tied('entry-what', errors.what)}
          rows={2}
          className="control"
          value={said.what}
          onChange={(e) => say({ what: e.target.value })}
        />
      </Field>
      <Field id="entry-at" label="When" error={errors.measuredAt}>
        <input
          {...tied('entry-at', errors.measuredAt)}
          type="datetime-local"
          className="control"
          value={said.measuredAt}
          onChange={(e) => say({ measuredAt: e.target.value })}
        />
      </Field>
      <Field id="entry-who" label="Who" error={errors.who}>
        <WhoInput {...tied('entry-who', errors.who)} value={said.who} onChange={(e) => say({ who: e.target.value })} />
      </Field>
      <PhotoInput photo={photo} onPhoto={setPhoto} />
      <div className="flex gap-2">
        <button type="submit" className="button button-strong min-h-11 flex-1">
          {amends ? 'Log the correction' : 'Log it'}
        </button>
        {amends && (
          <button type="button" className="button" onClick={onDone}>
            Cancel
          </button>
        )}
      </div>
    </form>
  );
}
