'use client';

import { Plus } from 'lucide-react';
import { type FormEvent, useState } from 'react';
import { SYMPTOMS } from '@/core/diagnosis/symptoms';
import {
  ENTRY_KINDS,
  type EntryKind,
  INSTRUMENTS,
  type LogEntry,
  type LoggedEntry,
  logEntrySchema,
  RESULTS,
} from '@/core/log/log-entry';
import { READINGS, type ReadingName } from '@/core/log/readings';
import { allStages } from '@/core/plan/runs';
import { editableNumber } from '@/core/quantity/format';
import { parseQuantity } from '@/core/quantity/parse';
import { ChoiceInput } from '@/ui/forms/choice-input';
import { Field, tied } from '@/ui/forms/field';
import { PhotoInput } from '@/ui/forms/photo-input';
import { entryOf } from '@/ui/outbox/entry-of';
import { rememberedWho, rememberWho, type useSender } from '@/ui/outbox/use-sender';
import { usePlan } from '@/ui/plan/plan-provider';
import { useUnits } from '@/ui/units/units';
import { nowOnTheWall } from '../units/when';

const KINDS = Object.fromEntries(Object.entries(ENTRY_KINDS).filter(([k]) => k !== 'put-off' && k !== 'done'));
const READS: readonly EntryKind[] = ['reading', 'test', 'change', 'regeneration', 'adjustment', 'leak'];
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

interface Row {
  readonly of: ReadingName;
  readonly text: string;
}

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
  const { choice, atmosphericPa } = useUnits();
  const asText = (of: ReadingName, si: number): string =>
    editableNumber(si, READINGS[of].quantity, choice, atmosphericPa);
  const [kind, setKind] = useState<EntryKind>(amends?.kind ?? (check ? 'test' : 'reading'));
  const [stageId, setStage] = useState(amends?.stageId ?? check?.stageId ?? '');
  const [rows, setRows] = useState<readonly Row[]>(
    amends?.readings.map((r) => ({ of: r.of, text: asText(r.of, r.value) })) ?? [{ of: 'dew-point', text: '' }],
  );
  const [what, setWhat] = useState(amends?.what ?? check?.what ?? '');
  const [result, setResult] = useState<string>(amends?.result ?? '');
  const [symptom, setSymptom] = useState(amends?.symptom ?? '');
  const [instrument, setInstrument] = useState(amends?.instrument ?? 'fitted');
  const [measuredAt, setAt] = useState(amends?.measuredAt ?? nowOnTheWall());
  const [who, setWho] = useState(rememberedWho);
  const [photo, setPhoto] = useState<string>();
  const [errors, setErrors] = useState<Record<string, string>>({});
  const stages = Object.fromEntries([['', 'the whole line'], ...allStages(plan).map((s) => [s.id, s.name])]);
  const reads = READS.includes(kind) || amends?.kind === 'done';
  const submit = (event: FormEvent): void => {
    event.preventDefault();
    const bad: Record<string, string> = {};
    const readings: LogEntry['readings'] = [];
    if (reads)
      rows.forEach((row, i) => {
        if (row.text.trim() === '') return;
        const parsed = parseQuantity(row.text, READINGS[row.of].quantity, { choice, atmosphericPa });
        if (parsed.ok) readings.push({ of: row.of, value: parsed.value });
        else bad[`reading-${i}`] = parsed.message;
      });
    if (measuredAt > nowOnTheWall()) bad.measuredAt = 'That lies in the future. Is the clock right?';
    const photoId = photo ? crypto.randomUUID() : (amends?.photoId ?? null);
    const entry = entryOf(plan, {
      kind,
      stageId,
      who,
      task: amends?.task ?? null,
      measuredAt,
      what,
      readings,
      instrument,
      result: (result || null) as LogEntry['result'],
      symptom: kind === 'complaint' && symptom ? symptom : null,
      chargeId: amends?.chargeId ?? null,
      amends: amends?.id ?? null,
      photoId,
    });
    const checked = logEntrySchema.safeParse(entry);
    for (const issue of checked.error?.issues ?? []) {
      const [field, i] = issue.path;
      const name =
        field === 'readings' && typeof i === 'number'
          ? `reading-${i}`
          : String(field === 'readings' ? 'reading-0' : field);
      bad[name] ??= issue.message;
    }
    setErrors(bad);
    if (Object.keys(bad).length > 0) return;
    rememberWho(who.trim());
    put(...(photo && photoId ? [{ to: `photos/${photoId}` as const, body: photo }] : []), {
      to: 'entries',
      body: entry,
    });
    setRows([{ of: rows[0]?.of ?? 'dew-point', text: '' }]);
    setWhat('');
    setPhoto(undefined);
    setAt(nowOnTheWall());
    onDone();
  };
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
      {!amends && (
        <ChoiceInput
          id="entry-kind"
          label="What"
          value={kind}
          options={KINDS}
          onCommit={(v) => setKind(v as EntryKind)}
        />
      )}
      <ChoiceInput
        id="entry-stage"
        label="Where"
        value={stageId}
        options={stages}
        onCommit={setStage}
        error={errors.stageId}
      />
      {kind === 'complaint' && (
        <ChoiceInput
          id="entry-symptom"
          label="What shows"
          value={symptom}
          options={{ '': 'something else', ...Object.fromEntries(SYMPTOMS.map((s) => [s.id, s.says])) }}
          onCommit={setSymptom}
        />
      )}
      {reads && (
        <fieldset className="grid gap-2">
          <legend className="sr-only">Readings</legend>
          {rows.map((row, i) => (
            <div
              // biome-ignore lint/suspicious/noArrayIndexKey: rows have no other name than their place
              key={i}
              className="grid grid-cols-[minmax(0,1fr)_7.5rem] items-start gap-2"
            >
              <ChoiceInput
                id={`reading-of-${i}`}
                label="Reading"
                value={row.of}
                options={Object.fromEntries(Object.entries(READINGS).map(([k, r]) => [k, r.label]))}
                onCommit={(v) => setRows(rows.with(i, { ...row, of: v as ReadingName }))}
              />
              <Field id={`reading-${i}`} label="Value, in any unit" error={errors[`reading-${i}`]}>
                <input
                  {...tied(`reading-${i}`, errors[`reading-${i}`])}
                  className="control"
                  inputMode="text"
                  value={row.text}
                  onChange={(e) => setRows(rows.with(i, { ...row, text: e.target.value }))}
                />
              </Field>
            </div>
          ))}
          {rows.length < 6 && (
            <div>
              <button
                type="button"
                className="button"
                onClick={() => setRows([...rows, { of: 'temperature', text: '' }])}
              >
                <Plus size={15} aria-hidden /> Another reading
              </button>
            </div>
          )}
          <ChoiceInput
            id="entry-instrument"
            label="Read with"
            value={instrument}
            options={Object.fromEntries(Object.entries(INSTRUMENTS).map(([k, x]) => [k, x.label]))}
            onCommit={setInstrument}
          />
        </fieldset>
      )}
      {(kind === 'test' || amends?.result) && (
        <ChoiceInput
          id="entry-result"
          label="Result"
          value={result}
          options={{ '': 'not said', ...RESULTS }}
          onCommit={setResult}
        />
      )}
      <Field id="entry-what" label={WHAT[kind] ?? 'Note'} error={errors.what}>
        <textarea
          {...tied('entry-what', errors.what)}
          rows={2}
          className="control"
          value={what}
          onChange={(e) => setWhat(e.target.value)}
        />
      </Field>
      <div className="grid gap-3">
        <Field id="entry-at" label="When" error={errors.measuredAt}>
          <input
            {...tied('entry-at', errors.measuredAt)}
            type="datetime-local"
            className="control"
            value={measuredAt}
            onChange={(e) => setAt(e.target.value)}
          />
        </Field>
        <Field id="entry-who" label="Who" error={errors.who}>
          <input
            {...tied('entry-who', errors.who)}
            className="control"
            autoComplete="name"
            value={who}
            onChange={(e) => setWho(e.target.value)}
          />
        </Field>
      </div>
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
