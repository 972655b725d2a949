'use client';

import {
  type Announcements,
  closestCenter,
  DndContext,
  type DragEndEvent,
  KeyboardSensor,
  PointerSensor,
  useSensor,
  useSensors,
} from '@dnd-kit/core';
import { sortableKeyboardCoordinates } from '@dnd-kit/sortable';
import type { ReactNode } from 'react';
import { stagesOfUnit, unitById } from '@/core/plan/machine-units';
import type { Plan } from '@/core/plan/plan';
import { runOfStage, runsOf, stageById } from '@/core/plan/runs';

const INSTRUCTIONS = {
  draggable:
    'Press space to lift a stage, the arrow keys to move it along its run or to another, space again to set it down, escape to leave it where it was.',
};

/** The stage that an id means: itself, or the first of a closed unit. */
const stageOf = (plan: Plan, id: unknown): string => stagesOfUnit(plan, String(id))[0]?.id ?? String(id);

/** Where an id stands, said in words: its place in its run. */
function placeOf(plan: Plan, id: unknown): string {
  const stageId = stageOf(plan, id);
  const run = runOfStage(plan, stageId);
  if (!run) return `at the end of ${runsOf(plan).find((r) => r.id === id)?.name ?? ''}`;
  const place = `place ${run.stages.findIndex((s) => s.id === stageId) + 1} of ${run.stages.length}`;
  return plan.branches.length === 0 ? place : `${place} in ${run.name}`;
}

/** What a screen reader says while a stage is moved: its name and its place, not its id. */
function announcementsFor(plan: Plan): Announcements {
  const name = (id: unknown): string => (unitById(plan, String(id)) ?? stageById(plan, String(id)))?.name ?? '';
  return {
    onDragStart: ({ active }) => `${name(active.id)} lifted from ${placeOf(plan, active.id)}.`,
    onDragOver: ({ active, over }) => over && `${name(active.id)} is over ${placeOf(plan, over.id)}.`,
    onDragEnd: ({ active, over }) => `${name(active.id)} set down${over ? ` at ${placeOf(plan, over.id)}` : ''}.`,
    onDragCancel: ({ active }) => `${name(active.id)} left where it was.`,
  } as Announcements;
}

// Made once: with options of another identity the library sets up every card anew at every edit.
const POINTER = { activationConstraint: { distance: 6 } };
const KEYBOARD = {
  coordinateGetter: sortableKeyboardCoordinates,
  keyboardCodes: { start: ['Space'], cancel: ['Escape'], end: ['Space', 'Enter'] },
};

/** Lets stages and closed units be dragged along their run and into another, by pointer or by keyboard. */
export function StageDrag({
  plan,
  onMove,
  children,
}: {
  plan: Plan;
  /** Of a stage or a unit. */
  onMove: (id: string, position: number, runId: string) => void;
  children: ReactNode;
}) {
  const sensors = useSensors(useSensor(PointerSensor, POINTER), useSensor(KeyboardSensor, KEYBOARD));
  const onDragEnd = ({ active, over }: DragEndEvent): void => {
    if (!over || active.id === over.id) return;
    const onto = stageOf(plan, over.id);
    const run = runOfStage(plan, onto) ?? runsOf(plan).find((r) => r.id === over.id);
    if (!run) return;
    const place = run.stages.findIndex((s) => s.id === onto);
    onMove(String(active.id), place === -1 ? run.stages.length : place, run.id);
  };
  return (
    <DndContext
      id="stages"
      accessibility={{ announcements: announcementsFor(plan), screenReaderInstructions: INSTRUCTIONS }}
      sensors={sensors}
      collisionDetection={closestCenter}
      onDragEnd={onDragEnd}
    >
      {children}
    </DndContext>
  );
}
