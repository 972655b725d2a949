import { type Plan, planSchema } from '@/core/plan/plan';
import { readStored, store } from '@/ui/browser-store';
import type { PlanStore } from './plan-store';
import { whyUnsaved } from './why-unsaved';

const PAUSE_MS = 300; // after the last keystroke; what is typed is stored within a second
const RETRY_MS = 2000;

interface Draft {
  readonly plan: Plan;
  readonly rowVersion: number;
  /** What was sent and not answered: if one of these is what is stored now, the newer version is our own. */
  readonly unanswered?: readonly Plan[];
  /** What the edits began with: what was stored then. */
  readonly base?: Plan;
}

/** The newest edit, kept in this browser until the database has it. */
export function draftOf(planId: string): Draft | undefined {
  try {
    const text = readStored(`cool-dram.draft.${planId}`);
    const draft = text ? (JSON.parse(text) as Draft) : undefined;
    // Through the schema, so that a draft left by an older program gets the fields that are new since then.
    return (
      draft && {
        ...draft,
        plan: planSchema.parse(draft.plan),
        ...(draft.base && { base: planSchema.parse(draft.base) }),
      }
    );
  } catch {
    return undefined;
  }
}

/** How long after a keystroke the draft is written: the picture comes first. */
const DRAFT_MS = 40;

function keepDraft(planId: string, draft: Draft | undefined): void {
  // A store that does not take it loses nothing: the edit is still on screen and still being sent.
  store(`cool-dram.draft.${planId}`, draft && JSON.stringify(draft));
}

export interface Autosave {
  /** Saves mine over the newer version that is stored. */
  readonly keepMine: () => void;
  /** Joins both: what only one of us changed is kept. */
  readonly merge: (merged: Plan) => void;
  /** Takes the newer version; mine stays one undo away. */
  readonly takeTheirs: () => void;
  readonly stop: () => void;
}

/** Saves every edit of the store by itself, one write at a time, and goes on trying while nobody answers. */
export function startAutosave(store: PlanStore, planId: string, stored: { plan: Plan; rowVersion: number }): Autosave {
  let rowVersion = stored.rowVersion;
  let savedPlan = stored.plan;
  let timer: ReturnType<typeof setTimeout> | undefined;
  let write: { id: string; plan: Plan; rowVersion: number } | undefined;
  let unanswered: Plan[] = [];
  let sending = false;
  let stopped = false;

  let drafting: ReturnType<typeof setTimeout> | undefined;
  const keep = (draft: Draft | undefined): void => {
    clearTimeout(drafting);
    drafting = undefined;
    keepDraft(planId, draft);
  };
  const draftNow = (): void => keep({ plan: store.getState().plan, rowVersion, unanswered, base: savedPlan });
  const same = (a: Plan, b: Plan): boolean => JSON.stringify(a) === JSON.stringify(b);
  const schedule = (ms: number): void => {
    clearTimeout(timer);
    timer = setTimeout(() => void send(), ms);
  };

  async function send(): Promise<void> {
    if (sending || stopped) return;
    const { plan, saving, setSaving } = store.getState();
    if (saving.phase === 'conflict') return;
    if (plan === savedPlan && unanswered.length === 0) {
      keep(undefined);
      return setSaving({ phase: 'saved' });
    }
    // The same edit sent again carries the same id, so that it counts once even if the first answer got lost.
    if (write?.plan !== plan) {
      write = { id: crypto.randomUUID(), plan, rowVersion };
      unanswered.push(plan);
    }
    sending = true;
    keep({ plan, rowVersion, unanswered, base: savedPlan });
    if (saving.phase !== 'waiting') setSaving({ phase: 'saving' });
    let answer: Response | undefined;
    try {
      answer = await fetch(`/api/plans/${planId}`, {
        method: 'PUT',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify({ writeId: write.id, rowVersion: write.rowVersion, plan }),
        keepalive: true,
        signal: AbortSignal.timeout(10_000),
      });
    } catch {
      // no answer: handled below
    }
    const body = await answer?.json().catch(() => undefined);
    sending = false;
    if (answer?.ok) {
      rowVersion = body.rowVersion;
      savedPlan = plan;
      unanswered = [];
      const newest = store.getState().plan === plan;
      keep(newest ? undefined : { plan: store.getState().plan, rowVersion, base: savedPlan });
      setSaving({ phase: newest ? 'saved' : 'unsaved' });
      if (!newest) schedule(PAUSE_MS);
    } else if (answer?.status === 409 && body?.error?.newer) {
      const { newer } = body.error as { newer: { rowVersion: number; plan: Plan } };
      const ours = unanswered.some((p) => same(p, newer.plan));
      unanswered = [];
      if (ours) {
        // Our own write had arrived and only its answer was lost.
        rowVersion = newer.rowVersion;
        savedPlan = newer.plan;
        write = undefined;
        schedule(0);
      } else setSaving({ phase: 'conflict', newer, base: savedPlan });
    } else if (answer && answer.status < 500) {
      unanswered = [];
      setSaving({ phase: 'refused', message: body?.error?.message ?? 'The server refused this edit.' });
    } else {
      setSaving({ phase: 'waiting', message: `Not saved: ${whyUnsaved(body)}. Kept in this browser; trying again.` });
      schedule(RETRY_MS);
    }
  }

  const unsubscribe = store.subscribe((state, before) => {
    if (state.plan === before.plan) return;
    drafting ??= setTimeout(draftNow, DRAFT_MS);
    if (state.saving.phase === 'conflict' || state.saving.phase === 'waiting') return;
    state.setSaving({ phase: 'unsaved' });
    schedule(PAUSE_MS);
  });
  const flush = (): void => {
    if (drafting !== undefined) draftNow();
    void send();
  };
  window.addEventListener('pagehide', flush);

  const draft = draftOf(planId);
  if (draft && !same(draft.plan, stored.plan)) {
    store.getState().edit(() => draft.plan);
    if (draft.rowVersion !== rowVersion && !draft.unanswered?.some((p) => same(p, stored.plan)))
      store.getState().setSaving({ phase: 'conflict', newer: stored, base: draft.base });
  } else keep(undefined);

  const settle = (take?: (newer: Plan) => Plan): void => {
    const { saving, edit, setSaving } = store.getState();
    if (saving.phase !== 'conflict') return;
    rowVersion = saving.newer.rowVersion;
    savedPlan = saving.newer.plan;
    write = undefined;
    setSaving({ phase: 'unsaved' });
    if (take) edit(() => take(saving.newer.plan));
    schedule(0);
  };
  return {
    keepMine: () => settle(),
    takeTheirs: () => settle((newer) => newer),
    merge: (merged) => settle(() => merged),
    stop: () => {
      flush();
      stopped = true;
      clearTimeout(timer);
      unsubscribe();
      window.removeEventListener('pagehide', flush);
    },
  };
}
