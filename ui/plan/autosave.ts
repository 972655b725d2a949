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

/** What the server says of a write. */
type Body =
  | { rowVersion?: number; error?: { code?: string; message?: string; newer?: { rowVersion: number; plan: Plan } } }
  | undefined;

const same = (a: Plan, b: Plan): boolean => JSON.stringify(a) === JSON.stringify(b);

/** Saves every edit of the store by itself, one write at a time, and goes on trying while nobody answers. */
export const startAutosave = (store: PlanStore, planId: string, stored: { plan: Plan; rowVersion: number }): Autosave =>
  new Saver(store, planId, stored);

class Saver implements Autosave {
  private rowVersion: number;
  private savedPlan: Plan;
  private timer: ReturnType<typeof setTimeout> | undefined;
  private drafting: ReturnType<typeof setTimeout> | undefined;
  private write: { id: string; plan: Plan; rowVersion: number } | undefined;
  private unanswered: Plan[] = [];
  private sending = false;
  private stopped = false;
  private readonly unsubscribe: () => void;

  constructor(
    private readonly store: PlanStore,
    private readonly planId: string,
    stored: { plan: Plan; rowVersion: number },
  ) {
    this.rowVersion = stored.rowVersion;
    this.savedPlan = stored.plan;
    this.unsubscribe = store.subscribe((state, before) => {
      if (state.plan === before.plan) return;
      this.drafting ??= setTimeout(this.draftNow, DRAFT_MS);
      if (state.saving.phase === 'conflict' || state.saving.phase === 'waiting') return;
      state.setSaving({ phase: 'unsaved' });
      this.schedule(PAUSE_MS);
    });
    window.addEventListener('pagehide', this.flush);
    this.takeUpDraft(stored);
  }

  readonly keepMine = (): void => this.settle();
  readonly takeTheirs = (): void => this.settle((newer) => newer);
  readonly merge = (merged: Plan): void => this.settle(() => merged);
  readonly stop = (): void => {
    this.flush();
    this.stopped = true;
    clearTimeout(this.timer);
    this.unsubscribe();
    window.removeEventListener('pagehide', this.flush);
  };

  /** An edit that this browser kept and the database may not have. */
  private takeUpDraft(stored: { plan: Plan; rowVersion: number }): void {
    const draft = draftOf(this.planId);
    if (!draft || same(draft.plan, stored.plan)) {
      this.keep(undefined);
      return;
    }
    this.store.getState().edit(() => draft.plan);
    if (draft.rowVersion !== this.rowVersion && !draft.unanswered?.some((p) => same(p, stored.plan)))
      this.store.getState().setSaving({ phase: 'conflict', newer: stored, base: draft.base });
  }

  private keep(draft: Draft | undefined): void {
    clearTimeout(this.drafting);
    this.drafting = undefined;
    keepDraft(this.planId, draft);
  }

  private readonly draftNow = (): void => {
    const { rowVersion, unanswered, savedPlan: base } = this;
    this.keep({ plan: this.store.getState().plan, rowVersion, unanswered, base });
  };

  private readonly flush = (): void => {
    if (this.drafting !== undefined) this.draftNow();
    void this.send();
  };

  private schedule(ms: number): void {
    clearTimeout(this.timer);
    this.timer = setTimeout(() => void this.send(), ms);
  }

  private async send(): Promise<void> {
    if (this.sending || this.stopped) return;
    const { plan, saving, setSaving } = this.store.getState();
    if (saving.phase === 'conflict') return;
    if (plan === this.savedPlan && this.unanswered.length === 0) {
      this.keep(undefined);
      return setSaving({ phase: 'saved' });
    }
    // The same edit sent again carries the same id, so that it counts once even if the first answer got lost.
    if (this.write?.plan !== plan) {
      this.write = { id: crypto.randomUUID(), plan, rowVersion: this.rowVersion };
      this.unanswered.push(plan);
    }
    this.sending = true;
    this.draftNow();
    if (saving.phase !== 'waiting') setSaving({ phase: 'saving' });
    const { id: writeId, rowVersion } = this.write;
    const answer = await fetch(`/api/plans/${this.planId}`, {
      method: 'PUT',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ writeId, rowVersion, plan }),
      keepalive: true,
      signal: AbortSignal.timeout(10_000),
    }).catch(() => undefined);
    const body = await answer?.json().catch(() => undefined);
    this.sending = false;
    this.answered(plan, answer, body);
  }

  private answered(plan: Plan, answer: Response | undefined, body: Body): void {
    const { setSaving } = this.store.getState();
    if (answer?.ok) this.isSaved(plan, body?.rowVersion as number);
    else if (answer?.status === 409 && body?.error?.newer) this.isNewer(body.error.newer);
    else if (answer && answer.status < 500 && ![401, 408, 429].includes(answer.status)) {
      this.unanswered = [];
      setSaving({ phase: 'refused', message: body?.error?.message ?? 'The server refused this edit.' });
    } else {
      setSaving({ phase: 'waiting', message: `Not saved: ${whyUnsaved(body)}. Kept in this browser; trying again.` });
      this.schedule(RETRY_MS);
    }
  }

  private isSaved(plan: Plan, rowVersion: number): void {
    this.rowVersion = rowVersion;
    this.savedPlan = plan;
    this.unanswered = [];
    const { plan: now, setSaving } = this.store.getState();
    const newest = now === plan;
    this.keep(newest ? undefined : { plan: now, rowVersion, base: plan });
    setSaving({ phase: newest ? 'saved' : 'unsaved' });
    if (!newest) this.schedule(PAUSE_MS);
  }

  private isNewer(newer: { rowVersion: number; plan: Plan }): void {
    const ours = this.unanswered.some((p) => same(p, newer.plan));
    this.unanswered = [];
    if (!ours) {
      this.store.getState().setSaving({ phase: 'conflict', newer, base: this.savedPlan });
      return;
    }
    // Our own write had arrived and only its answer was lost.
    this.rowVersion = newer.rowVersion;
    this.savedPlan = newer.plan;
    this.write = undefined;
    this.schedule(0);
  }

  private settle(take?: (newer: Plan) => Plan): void {
    const { saving, edit, setSaving } = this.store.getState();
    if (saving.phase !== 'conflict') return;
    this.rowVersion = saving.newer.rowVersion;
    this.savedPlan = saving.newer.plan;
    this.write = undefined;
    setSaving({ phase: 'unsaved' });
    if (take) edit(() => take(saving.newer.plan));
    this.schedule(0);
  }
}
