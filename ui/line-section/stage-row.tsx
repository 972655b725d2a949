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
import {
  horizontalListSortingStrategy,
  SortableContext,
  sortableKeyboardCoordinates,
  useSortable,
} from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import { TriangleAlert } from 'lucide-react';
import { FIRST_FREE_POSITION } from '@/core/line/edit';
import type { Plan, Stage } from '@/core/line/plan';
import type { Section } from '@/core/line/walk';
import type { Columns } from './columns';
import { LABELS } from './lane';
import { StageIcon } from './stage-icon';

interface Props {
  plan: Plan;
  section: Section;
  columns: Columns;
  selected: string | undefined;
  onSelect: (stageId: string) => void;
  onMove: (stageId: string, position: number) => void;
}

const INSTRUCTIONS = {
  draggable:
    'Press space to lift a stage, the arrow keys to move it, space again to set it down, escape to leave it where it was.',
};

/** What a screen reader says while a stage is moved: its name and its place, not its id. */
function announcementsFor(stages: readonly Stage[]): Announcements {
  const name = (id: unknown): string => stages.find((s) => s.id === id)?.name ?? '';
  const place = (id: unknown): string => `place ${stages.findIndex((s) => s.id === id) + 1} of ${stages.length}`;
  return {
    onDragStart: ({ active }) => `${name(active.id)} lifted from ${place(active.id)}.`,
    onDragOver: ({ active, over }) => over && `${name(active.id)} is over ${place(over.id)}.`,
    onDragEnd: ({ active, over }) => `${name(active.id)} set down${over ? ` at ${place(over.id)}` : ''}.`,
    onDragCancel: ({ active }) => `${name(active.id)} left where it was.`,
  } as Announcements;
}

/** The stages in the order in which the air meets them, on one copper pipe. Drag one, or lift it with the space bar. */
export function StageRow({ plan, section, columns, selected, onSelect, onMove }: Props) {
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 6 } }),
    useSensor(KeyboardSensor, {
      coordinateGetter: sortableKeyboardCoordinates,
      keyboardCodes: { start: ['Space'], cancel: ['Escape'], end: ['Space', 'Enter'] },
    }),
  );
  const onDragEnd = ({ active, over }: DragEndEvent): void => {
    if (over && active.id !== over.id)
      onMove(
        String(active.id),
        plan.stages.findIndex((s) => s.id === over.id),
      );
  };
  return (
    <div className="flex border-b border-hairline">
      <div className="sticky left-0 z-10 shrink-0 bg-paper py-2 pl-3" style={{ width: LABELS }}>
        <h2 className="text-[0.85rem] leading-tight">Stages</h2>
        <p className="text-[0.75rem] text-quiet">air flows right</p>
      </div>
      <DndContext
        id="stages"
        accessibility={{ announcements: announcementsFor(plan.stages), screenReaderInstructions: INSTRUCTIONS }}
        sensors={sensors}
        collisionDetection={closestCenter}
        onDragEnd={onDragEnd}
      >
        <SortableContext items={plan.stages.map((s) => s.id)} strategy={horizontalListSortingStrategy}>
          <ol className="flex" style={{ width: columns.total }}>
            {plan.stages.map((stage, i) => (
              <StageCard
                key={stage.id}
                stage={stage}
                width={columns.width[i] ?? 0}
                fixed={i < FIRST_FREE_POSITION}
                wet={(section.stations[i]?.liquidKgPerS ?? 0) > 0}
                wetBefore={(section.stations[i - 1]?.liquidKgPerS ?? 0) > 0}
                collects={(section.stations[i]?.caughtKgPerS ?? 0) > 0}
                refuses={section.problem?.stageId === stage.id}
                selected={selected === stage.id}
                last={i === plan.stages.length - 1}
                onSelect={onSelect}
              />
            ))}
          </ol>
        </SortableContext>
      </DndContext>
    </div>
  );
}

function StageCard({
  stage,
  width,
  fixed,
  wet,
  wetBefore,
  collects,
  refuses,
  selected,
  last,
  onSelect,
}: {
  stage: Stage;
  width: number;
  fixed: boolean;
  wet: boolean;
  wetBefore: boolean;
  collects: boolean;
  refuses: boolean;
  selected: boolean;
  last: boolean;
  onSelect: (stageId: string) => void;
}) {
  const { attributes, listeners, setNodeRef, transform, transition, isDragging } = useSortable({
    id: stage.id,
    disabled: fixed,
  });
  const pipe = 'absolute top-[27px] h-[3px] bg-copper';
  const drops = 'absolute top-[33px] h-0 border-t-2 border-dotted border-drops';
  return (
    <li
      ref={setNodeRef}
      style={{ width, transform: CSS.Translate.toString(transform), transition }}
      className={`relative shrink-0 ${isDragging ? 'z-20 opacity-80' : ''}`}
    >
      {stage.kind !== 'intake' && (
        <span
          aria-hidden
          className={`${pipe} left-0`}
          style={{ width: stage.kind === 'outlet' ? '50%' : 'calc(50% - 16px)' }}
        />
      )}
      {!last && (
        <span
          aria-hidden
          className={`${pipe} right-0`}
          style={{ width: stage.kind === 'outlet' ? '50%' : 'calc(50% - 16px)' }}
        />
      )}
      {wetBefore && <span aria-hidden className={`${drops} left-0`} style={{ width: 'calc(50% - 18px)' }} />}
      {wet && <span aria-hidden className={`${drops} right-0`} style={{ width: 'calc(50% - 18px)' }} />}
      <button
        type="button"
        {...attributes}
        {...listeners}
        aria-disabled={false} // fixed stages cannot be moved, but they can be chosen
        aria-pressed={selected}
        aria-roledescription={fixed ? 'stage' : 'movable stage'}
        data-stage={stage.id}
        onClick={() => onSelect(stage.id)}
        className={`relative flex h-[98px] w-full touch-manipulation flex-col items-center border-b-[3px] px-1 pt-3 text-center ${selected ? 'border-copper bg-card' : 'border-transparent hover:bg-sunk'}`}
      >
        <span className={stage.kind === 'outlet' ? 'mt-[15px] rounded-sm' : ''}>
          <StageIcon kind={stage.kind} size={stage.kind === 'outlet' ? 20 : 32} />
        </span>
        <span
          className={`line-clamp-3 w-full text-[0.8rem] leading-[1.15] font-semibold break-words ${stage.kind === 'outlet' ? 'mt-[-1px]' : 'mt-1'}`}
        >
          {stage.name}
        </span>
        {collects && (
          <svg width="10" height="9" className="absolute bottom-[1px]" aria-hidden>
            <path d="M5 0v5M2 4l3 4 3-4" className="stroke-water" fill="none" strokeWidth="1.600" />
          </svg>
        )}
        {refuses && <TriangleAlert size={15} className="absolute top-1 right-1 text-brick" aria-label="refuses" />}
      </button>
    </li>
  );
}
