'use client';

import { type FormEvent, useState } from 'react';
import { cannotBe } from '@/core/diagnosis/finding/cannot-be';
import { AS_CHECK } from '@/core/diagnosis/finding/from-log';
import { type EntryKind, type LogEntry, type LoggedEntry, logEntrySchema } from '@/core/log/log-entry';
import { READINGS, type ReadingName } from '@/core/log/readings';
import { editableNumber } from '@/core/quantity/format';
import { parseQuantity } from '@/core/quantity/parse';
import { entryOf } from '@/ui/outbox/entry-of';
import { pictureOf } from '@/ui/outbox/outbox';
import type { useSender } from '@/ui/outbox/use-sender';
import { rememberedWho, rememberWho } from '@/ui/people/remembered-who';
import { usePlan } from '@/ui/plan/plan-provider';
import { useUnits } from '@/ui/units/units';
import { nowOnTheWall } from '@/ui/units/when';

/** Kinds of entry that bring readings. */
const READS: readonly EntryKind[] = ['reading', 'test', 'change', 'regeneration', 'adjustment', 'leak'];

/** A reading as it is typed. */
export interface ReadingRow {
  readonly of: ReadingName;
  readonly text: string;
}

/** Where a message of the schema belongs in the form. */
function fieldOf([field, i]: readonly PropertyKey[]): string {
  if (field !== 'readings') return String(field);
  return `reading-${typeof i === 'number' ? i : 0}`;
}

/** What is typed of an entry, and its way into the log. */
export function useEntry(
  put: ReturnType<typeof useSender>['put'],
  amends: LoggedEntry | undefined,
  check: { readonly stageId: string; readonly what: string } | undefined,
  onDone: () => void,
) {
  const { plan, section } = usePlan();
  const { choice, atmosphericPa } = useUnits();
  const asText = (of: ReadingName, si: number): string =>
    editableNumber(si, READINGS[of].quantity, choice, atmosphericPa);
  const [rows, setRows] = useState<readonly ReadingRow[]>(
    amends?.readings.map((r) => ({ of: r.of, text: asText(r.of, r.value) })) ?? [{ of: 'dew-point', text: '' }],
  );
  const [said, setSaid] = useState({
    kind: (amends?.kind ?? (check ? 'test' : 'reading')) as EntryKind,
    stageId: amends?.stageId ?? check?.stageId ?? '',
    what: amends?.what ?? check?.what ?? '',
    result: (amends?.result ?? '') as string,
    symptom: amends?.symptom ?? '',
    instrument: amends?.instrument ?? 'fitted',
    measuredAt: amends?.measuredAt ?? nowOnTheWall(),
    who: rememberedWho(),
  });
  const [photo, setPhoto] = useState<string>();
  const [errors, setErrors] = useState<Readonly<Record<string, string>>>({});
  /** Readings that cannot be true, and were questioned: they are taken the second time. */
  const [doubted, setDoubted] = useState<readonly string[]>([]);
  const doubts = (values: LogEntry['readings']): readonly [field: string, why: string, key: string][] =>
    values.flatMap(({ of, value }) => {
      const check = AS_CHECK[of];
      const why = check && cannotBe(plan, section, { id: '', stageId: said.stageId, of: check }, value);
      const key = `${said.stageId} ${of} ${value}`;
      return why && !doubted.includes(key)
        ? [[`reading-${rows.findIndex((r) => r.of === of)}`, `${why} Log it again to keep it all the same.`, key]]
        : [];
    });
  const say = (change: Partial<typeof said>): void => setSaid((s) => ({ ...s, ...change }));
  const reads = READS.includes(said.kind) || amends?.kind === 'done';

  const readings = (bad: Record<string, string>): LogEntry['readings'] =>
    (reads ? rows : []).flatMap(({ of, text }, i) => {
      if (text.trim() === '') return [];
      const parsed = parseQuantity(text, READINGS[of].quantity, { choice, atmosphericPa });
      if (parsed.ok) return [{ of, value: parsed.value }];
      bad[`reading-${i}`] = parsed.message;
      return [];
    });
  const submit = (event: FormEvent): void => {
    event.preventDefault();
    const bad: Record<string, string> = {};
    const photoId = photo ? crypto.randomUUID() : (amends?.photoId ?? null);
    const entry = entryOf(plan, {
      ...said,
      task: amends?.task ?? null,
      readings: readings(bad),
      result: (said.result || null) as LogEntry['result'],
      symptom: said.kind === 'complaint' && said.symptom ? said.symptom : null,
      chargeId: amends?.chargeId ?? null,
      amends: amends?.id ?? null,
      photoId,
    });
    if (said.measuredAt > nowOnTheWall()) bad.measuredAt = 'That lies in the future. Is the clock right?';
    for (const { path, message } of logEntrySchema.safeParse(entry).error?.issues ?? []) bad[fieldOf(path)] ??= message;
    const questioned = said.stageId === '' ? [] : doubts(entry.readings);
    for (const [field, why] of questioned) bad[field] ??= why;
    setDoubted([...doubted, ...questioned.map(([, , key]) => key)]);
    setErrors(bad);
    if (Object.keys(bad).length > 0) return;
    rememberWho(said.who.trim());
    void put(...(photo && photoId ? [{ to: `photos/${photoId}` as const, body: pictureOf(photo) }] : []), {
      to: 'entries',
      body: { ...entry },
    });
    setRows([{ of: rows[0]?.of ?? 'dew-point', text: '' }]);
    say({ what: '', measuredAt: nowOnTheWall() });
    setPhoto(undefined);
    onDone();
  };
  return { said, say, rows, setRows, photo, setPhoto, errors, reads, submit };
}
