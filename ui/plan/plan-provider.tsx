'use client';

import { createContext, type ReactNode, useContext, useEffect, useMemo, useState } from 'react';
import { useStore } from 'zustand';
import type { Section } from '@/core/line/section';
import type { Plan } from '@/core/plan/plan';
import { sameStages } from '@/core/plan/runs';
import { surveyAtmosphericPa } from '@/core/plan/survey';
import { AtmosphereProvider } from '@/ui/units/units';
import { type Autosave, startAutosave } from './autosave';
import { knownPlan } from './known-plan';
import { createPlanStore, type PlanState, type PlanStore } from './plan-store';
import { SaidChanges } from './said-changes';
import { sectionOf } from './section-of';
import { useAfterPaint } from './use-after-paint';

/** The line as it is now: of another identity at every edit. */
interface Shown {
  readonly plan: Plan;
  readonly section: Section;
}

/** Where a line is kept: the same as long as it is on screen, so that no edit draws anything anew by it. */
interface Kept {
  readonly planId: string;
  readonly store: PlanStore;
  readonly autosave: Autosave | undefined;
  /** The line as it was when it came on screen. */
  readonly first: { readonly plan: Plan; readonly rowVersion: number };
}
const StoreContext = createContext<Kept | undefined>(undefined);
/** Within {@link AfterPaint}: the line as it was last painted. */
const PaintedContext = createContext<Shown | undefined>(undefined);

/** How the line is looked at, where it is not as it is today: in the air of another hour. */
const LookContext = createContext<((plan: Plan) => Plan) | undefined>(undefined);

/**
 * Shows the line as another than it is; edits go to the line itself, and are seen through the same look.
 * @param as the same function as long as the look is the same
 */
export function LookAs({ as, children }: { as: ((plan: Plan) => Plan) | undefined; children: ReactNode }) {
  const seen = useMemo(() => {
    if (!as) return undefined;
    const known = new WeakMap<Plan, Plan>();
    return (plan: Plan): Plan => {
      const there = known.get(plan) ?? as(plan);
      known.set(plan, there);
      return there;
    };
  }, [as]);
  return <LookContext value={seen}>{children}</LookContext>;
}

/** Whether the line is shown as it is today. */
export const useIsToday = (): boolean => useContext(LookContext) === undefined;

/** Says at the first edit that it is not saved. */
function tryOut(store: PlanStore, role: string): () => void {
  const message = `As ${role} of this site you may try changes out here, but not save them. They are gone when you leave the line.`;
  const { plan } = store.getState();
  const base = role === 'viewer' ? undefined : plan;
  return store.subscribe((now, before) => {
    if (now.plan !== before.plan && now.saving.phase !== 'trying') now.setSaving({ phase: 'trying', message, base });
  });
}

/** Holds a line while it is looked at: the plan with undo, and the saving. */
export function PlanProvider({
  planId,
  stored,
  role,
  children,
}: {
  planId: string;
  stored: { plan: Plan; rowVersion: number };
  /** What one is to the line, where that does not let one change it: then nothing that is tried is saved. */
  role?: string | undefined;
  children: ReactNode;
}) {
  const [first] = useState(() => ({ plan: knownPlan(stored.plan), rowVersion: stored.rowVersion }));
  const [store] = useState(() => createPlanStore(first.plan));
  const [autosave, setAutosave] = useState<Autosave>();
  // biome-ignore lint/correctness/useExhaustiveDependencies: what the server sent first is the base; later edits are the store's
  useEffect(() => {
    if (role !== undefined) return tryOut(store, role);
    const started = startAutosave(store, planId, stored);
    setAutosave(started);
    return started.stop;
  }, [store, planId, role]);
  const kept = useMemo(() => ({ planId, store, autosave, first }), [planId, store, autosave, first]);
  const survey = useStore(store, (s) => s.plan.survey);
  return (
    <StoreContext value={kept}>
      <AtmosphereProvider atmosphericPa={surveyAtmosphericPa(survey)}>
        {children}
        <SaidChanges store={store} />
      </AtmosphereProvider>
    </StoreContext>
  );
}

/**
 * Lets what is in it follow a frame behind what one types: the lanes of the section ({@link useLivePlan}) move at once, and
 * the rest when they have been painted. Where other stages stand now, it follows at once.
 */
export function AfterPaint({ children }: { children: ReactNode }) {
  const live = useLivePlan();
  const painted = useAfterPaint(live);
  return <PaintedContext value={sameStages(live.plan, painted.plan) ? painted : live}>{children}</PaintedContext>;
}

function useKept(): Kept {
  const context = useContext(StoreContext);
  if (!context) throw new Error('outside PlanProvider');
  return context;
}

/** Part of what is kept of the line; who uses it is drawn anew only when that part changes. */
export function usePlanState<T>(select: (state: PlanState) => T): T {
  return useStore(useKept().store, select);
}

/** The line at this keystroke, also within {@link AfterPaint}. It is asked of the store: a context would look for its readers everywhere. */
export function useLivePlan(): Shown {
  const own = usePlanState((s) => s.plan);
  const look = useContext(LookContext);
  return useMemo(() => {
    const plan = look ? look(own) : own;
    return { plan, section: sectionOf(plan) };
  }, [own, look]);
}

/** The line on screen: its plan, its walked section, and how to edit it. */
export function usePlan() {
  const kept = useKept();
  const painted = useContext(PaintedContext);
  const look = useContext(LookContext);
  const own = useStore(kept.store, (s) => (painted ? undefined : s.plan)) as Plan;
  const live = painted || !look ? own : look(own);
  const shown = painted ?? { plan: live, section: sectionOf(live) };
  return { ...shown, ...kept, edit: kept.store.getState().edit };
}

/** Whether the line on screen is this version of it, as the server has it. */
export function useIsVersion(rowVersion: number | undefined): boolean {
  const { first } = useKept();
  return usePlanState((s) => s.plan) === first.plan && first.rowVersion === rowVersion;
}

/** Undo and redo, and whether there is anything to undo or redo. */
export function useHistory() {
  const { temporal } = useKept().store;
  const canUndo = useStore(temporal, (s) => s.pastStates.length > 0);
  const canRedo = useStore(temporal, (s) => s.futureStates.length > 0);
  return useMemo(() => {
    const { undo, redo } = temporal.getState();
    return { undo: () => undo(), redo: () => redo(), canUndo, canRedo };
  }, [temporal, canUndo, canRedo]);
}
