'use client';

import { Redo2, Undo2 } from 'lucide-react';
import { useMemo } from 'react';
import { changes } from '@/core/plan/changes';
import { merge } from '@/core/plan/merge';
import type { Plan } from '@/core/plan/plan';
import { useUnread } from '@/ui/forms/unread';
import { useHistory, usePlan, usePlanState } from '@/ui/plan/plan-provider';
import { useUnits } from '@/ui/units/units';
import { Propose } from './propose';

const TEXT = {
  saved: 'Saved',
  unsaved: 'Saving',
  saving: 'Saving',
  waiting: 'Not saved yet',
  refused: 'Not saved',
  trying: 'Not saved',
  conflict: 'Two versions',
  unread: 'A field is not read',
} as const;

// Signs, not pictures: they change with every keystroke, and a browser puts up a new picture at some cost.
const MARK = {
  saved: '✓',
  unsaved: '…',
  saving: '…',
  waiting: '◆',
  refused: '▲',
  trying: '◆',
  conflict: '◆',
  unread: '▲',
} as const;

/** Undo, redo, and whether the newest edit is in the database. */
export function SaveStatus() {
  const saving = usePlanState((s) => s.saving.phase);
  // What is saved is not what stands in the fields.
  const phase = useUnread().length > 0 && saving === 'saved' ? 'unread' : saving;
  const { undo, redo, canUndo, canRedo } = useHistory();
  const tone =
    phase === 'saved'
      ? 'text-water'
      : phase === 'waiting' || phase === 'conflict' || phase === 'trying'
        ? 'text-amber'
        : phase === 'refused' || phase === 'unread'
          ? 'text-brick'
          : 'text-quiet';
  return (
    <div className="flex shrink-0 items-center gap-1">
      <span
        role="status"
        data-testid="save-status"
        data-mark={MARK[phase]}
        className={`flex items-center justify-end gap-1 pr-1 before:font-semibold before:content-[attr(data-mark)] whitespace-nowrap md:min-w-24 ${tone}`}
      >
        <span
          className={
            phase === 'unread'
              ? 'text-[0.85rem] max-sm:w-16 max-sm:leading-tight max-sm:whitespace-normal'
              : 'max-md:sr-only'
          }
        >
          {TEXT[phase]}
        </span>
      </span>
      <button
        type="button"
        className="button px-2 max-sm:disabled:hidden"
        onClick={undo}
        disabled={!canUndo}
        aria-label="Undo"
        title="Undo (Ctrl Z)"
      >
        <Undo2 size={16} aria-hidden />
      </button>
      <button
        type="button"
        className="button px-2 max-sm:disabled:hidden"
        onClick={redo}
        disabled={!canRedo}
        aria-label="Redo"
        title="Redo (Ctrl Shift Z)"
      >
        <Redo2 size={16} aria-hidden />
      </button>
    </div>
  );
}

/** Open advice between an edit and the database, and the way out. */
export function SaveNotice() {
  const saving = usePlanState((s) => s.saving);
  if (saving.phase === 'waiting' || saving.phase === 'refused' || saving.phase === 'trying')
    return (
      <div className="grid gap-2 border-b border-hairline bg-amber-wash px-4 py-2 text-amber">
        <p role="alert">{saving.message}</p>
        {saving.phase === 'trying' && <Propose />}
      </div>
    );
  return saving.phase === 'conflict' ? <TwoVersions newer={saving.newer.plan} base={saving.base} /> : null;
}

/** Two saved different versions: what each did, and both joined, theirs or mine. */
function TwoVersions({ newer, base }: { newer: Plan; base: Plan | undefined }) {
  const { plan, autosave } = usePlan();
  const { say } = useUnits();
  const merged = useMemo(() => base && merge(base, plan, newer), [base, plan, newer]);
  return (
    <div role="alert" className="grid gap-2 border-b border-hairline bg-amber-wash px-4 py-2 text-amber">
      <div className="flex flex-wrap items-center gap-3">
        <span className="flex-1 basis-72">
          <strong>Somebody saved a newer version of this line.</strong> Yours is kept in this browser. Nothing is
          overwritten until you choose; the other one stays an undo away.
        </span>
        {merged && (
          <button type="button" className="button button-strong" onClick={() => autosave?.merge(merged.plan)}>
            {merged.clashes.length === 0 ? 'Keep both' : 'Merge, mine where they conflict'}
          </button>
        )}
        <button type="button" className="button" onClick={autosave?.takeTheirs}>
          Use the newer one
        </button>
        <button type="button" className="button" onClick={autosave?.keepMine}>
          Keep mine
        </button>
      </div>
      {base && (
        <div className="grid gap-x-8 text-ink sm:grid-cols-2">
          <Did title="They" list={changes(base, newer).map((c) => c.says(say))} />
          <Did title="You" list={changes(base, plan).map((c) => c.says(say))} />
        </div>
      )}
    </div>
  );
}

const MOST_TOLD = 6;

function Did({ title, list }: { title: string; list: readonly string[] }) {
  return (
    <div>
      <p className="font-semibold">{title}</p>
      <ul className="list-disc pl-5">
        {list.slice(0, MOST_TOLD).map((text) => (
          <li key={text}>{text}</li>
        ))}
        {list.length > MOST_TOLD && <li>and {list.length - MOST_TOLD} more</li>}
      </ul>
    </div>
  );
}
