'use client';

import { createContext, type ReactNode, useContext, useEffect, useMemo, useState } from 'react';
import { useStore } from 'zustand';
import type { Plan } from '@/core/line/plan';
import { sameStages } from '@/core/line/runs';
import type { Section } from '@/core/line/section';
import { surveyAtmosphericPa } from '@/core/line/survey';
import { AtmosphereProvider } from '@/ui/units/units';
import { type Autosave, startAutosave } from './autosave';
import { createPlanStore, type PlanState, type PlanStore } from './plan-store';
import { sectionOf } from './section-of';
import { useAfterPaint } from './use-after-paint';

/** The line as it is now: of another identity at every edit. */
interface PlanContextValue {
  readonly plan: Plan;
  readonly section: Section;
  readonly autosave: Autosave | undefined;
}

/** At this keystroke. */
const LiveContext = createContext<PlanContextValue | undefined>(undefined);
/** The same, or within {@link AfterPaint} as it was last painted. */
const PlanContext = createContext<PlanContextValue | undefined>(undefined);
/** Where it is kept: the same as long as the line is on screen, so that nothing is drawn anew for it. */
const StoreContext = createContext<{ readonly planId: string; readonly store: PlanStore } | undefined>(undefined);

/** Holds a line while it is looked at: the plan with undo, its section walked anew at every edit, and the saving. */
export function PlanProvider({
  planId,
  stored,
  children,
}: {
  planId: string;
  stored: { plan: Plan; rowVersion: number };
  children: ReactNode;
}) {
  const [store] = useState(() => createPlanStore(stored.plan));
  const [autosave, setAutosave] = useState<Autosave>();
  // biome-ignore lint/correctness/useExhaustiveDependencies: what the server sent first is the base; later edits are the store's
  useEffect(() => {
    const started = startAutosave(store, planId, stored);
    setAutosave(started);
    return started.stop;
  }, [store, planId]);
  const plan = useStore(store, (s) => s.plan);
  const section = sectionOf(plan);
  const kept = useMemo(() => ({ planId, store }), [planId, store]);
  const value = useMemo(() => ({ plan, section, autosave }), [plan, section, autosave]);
  return (
    <StoreContext value={kept}>
      <LiveContext value={value}>
        <PlanContext value={value}>
          <AtmosphereProvider atmosphericPa={surveyAtmosphericPa(plan.survey)}>{children}</AtmosphereProvider>
        </PlanContext>
      </LiveContext>
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
  return <PlanContext value={sameStages(live.plan, painted.plan) ? painted : live}>{children}</PlanContext>;
}

const OUTSIDE = 'outside PlanProvider';

/** The line at this keystroke, also within {@link AfterPaint}. */
export function useLivePlan(): PlanContextValue {
  const context = useContext(LiveContext);
  if (!context) throw new Error(OUTSIDE);
  return context;
}

function useKept() {
  const context = useContext(StoreContext);
  if (!context) throw new Error(OUTSIDE);
  return context;
}

/** Part of what is kept of the line; who uses it is drawn anew only when that part changes. */
export function usePlanState<T>(select: (state: PlanState) => T): T {
  return useStore(useKept().store, select);
}

/** The line on screen: its plan, its walked section, and how to edit it. */
export function usePlan() {
  const { planId, store } = useKept();
  const shown = useContext(PlanContext);
  if (!shown) throw new Error(OUTSIDE);
  return { ...shown, planId, store, edit: store.getState().edit };
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
