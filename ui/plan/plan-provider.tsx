'use client';

import { createContext, type ReactNode, useContext, useEffect, useMemo, useState } from 'react';
import { useStore } from 'zustand';
import type { Plan } from '@/core/line/plan';
import type { Section } from '@/core/line/section';
import { surveyAtmosphericPa } from '@/core/line/survey';
import { walk } from '@/core/line/walk';
import { AtmosphereProvider } from '@/ui/units/units';
import { type Autosave, startAutosave } from './autosave';
import { createPlanStore, type PlanState, type PlanStore } from './plan-store';
import { useAfterPaint } from './use-after-paint';

interface PlanContextValue {
  readonly planId: string;
  readonly plan: Plan;
  readonly store: PlanStore;
  readonly section: Section;
  readonly autosave: Autosave | undefined;
}

const PlanContext = createContext<PlanContextValue | undefined>(undefined);

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
  const section = useMemo(() => walk(plan), [plan]);
  const value = useMemo(() => ({ planId, plan, store, section, autosave }), [planId, plan, store, section, autosave]);
  return (
    <PlanContext value={value}>
      <AtmosphereProvider atmosphericPa={surveyAtmosphericPa(plan.survey)}>{children}</AtmosphereProvider>
    </PlanContext>
  );
}

/**
 * Lets what stands beside the section follow a frame behind it: what one types moves the section at once, and the rest when
 * that has been painted. What is in it must not take changing properties from outside.
 */
export function AfterPaint({ children }: { children: ReactNode }) {
  const shown = useAfterPaint(usePlanContext());
  return <PlanContext value={shown}>{children}</PlanContext>;
}

function usePlanContext(): PlanContextValue {
  const context = useContext(PlanContext);
  if (!context) throw new Error('usePlan outside PlanProvider');
  return context;
}

export function usePlanState<T>(select: (state: PlanState) => T): T {
  return useStore(usePlanContext().store, select);
}

/** The line on screen: its plan, its walked section, and how to edit it. */
export function usePlan() {
  const { planId, plan, section, store, autosave } = usePlanContext();
  const edit = usePlanState((s) => s.edit);
  return { planId, plan, section, edit, autosave, store };
}

/** Undo and redo, and whether there is anything to undo or redo. */
export function useHistory() {
  const { store } = usePlanContext();
  const { undo, redo, pastStates, futureStates } = useStore(store.temporal, (s) => s);
  return { undo: () => undo(), redo: () => redo(), canUndo: pastStates.length > 0, canRedo: futureStates.length > 0 };
}
