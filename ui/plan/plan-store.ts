import { type TemporalState, temporal } from 'zundo';
import type { StoreApi } from 'zustand';
import { createStore } from 'zustand/vanilla';
import type { Plan } from '@/core/plan/plan';
import { keepingThings } from '@/core/plan/stays';

/** Where the newest edit stands. `saved` is said only after the database has committed it. */
export type Saving =
  | { readonly phase: 'saved' | 'unsaved' | 'saving' }
  | { readonly phase: 'waiting' | 'refused'; readonly message: string }
  /** Tried out only; `base` is what it began with, where it may be proposed. */
  | { readonly phase: 'trying'; readonly message: string; readonly base: Plan | undefined }
  | {
      readonly phase: 'conflict';
      readonly newer: { readonly rowVersion: number; readonly plan: Plan };
      /** What both began with, where it is known. */
      readonly base: Plan | undefined;
    };

export interface PlanState {
  readonly plan: Plan;
  readonly saving: Saving;
  /** Edits the plan. Edits with the same key in quick succession (typing, dragging) are one step of undo. */
  readonly edit: (change: (plan: Plan) => Plan, key?: string) => void;
  readonly setSaving: (saving: Saving) => void;
}

type Kept = Pick<PlanState, 'plan'>;
export type PlanStore = StoreApi<PlanState> & { temporal: StoreApi<TemporalState<Kept>> };

const ONE_STEP_MS = 1200;

export function createPlanStore(plan: Plan): PlanStore {
  let lastKey: string | undefined;
  let lastAt = 0;
  let joins = false;
  return createStore<PlanState>()(
    temporal(
      (set, get) => ({
        plan,
        saving: { phase: 'saved' },
        edit: (change, key) => {
          const next = change(get().plan);
          if (next === get().plan) return;
          joins = key !== undefined && key === lastKey && Date.now() - lastAt < ONE_STEP_MS;
          lastKey = key;
          lastAt = Date.now();
          set({ plan: keepingThings(get().plan, next) });
        },
        setSaving: (saving) => set({ saving }),
      }),
      {
        partialize: ({ plan: kept }): Kept => ({ plan: kept }),
        equality: (a, b) => a.plan === b.plan,
        limit: 200,
        handleSet:
          (record) =>
          (...past) => {
            if (!joins) (record as (...past: unknown[]) => void)(...past);
            joins = false;
          },
      },
    ),
  ) as PlanStore;
}
