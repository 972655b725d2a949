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
  arrayMove,
  SortableContext,
  sortableKeyboardCoordinates,
  useSortable,
  verticalListSortingStrategy,
} from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import { GripVertical } from 'lucide-react';
import type { ReactNode } from 'react';

interface Item {
  readonly id: string;
  readonly name: string;
  readonly content?: ReactNode;
}

/** A list that is put into order by dragging, or by lifting with space and moving with the arrows; names are announced. */
export function SortableList({
  id,
  items,
  onOrder,
}: {
  id: string;
  items: readonly Item[];
  onOrder: (ids: readonly string[]) => void;
}) {
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 6 } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  );
  const ids = items.map((item) => item.id);
  const name = (of: unknown): string => items.find((item) => item.id === of)?.name ?? '';
  const place = (of: unknown): string => `place ${ids.indexOf(String(of)) + 1} of ${ids.length}`;
  const announcements: Announcements = {
    onDragStart: ({ active }) => `${name(active.id)} lifted from ${place(active.id)}.`,
    onDragOver: ({ active, over }) => (over ? `${name(active.id)} is at ${place(over.id)}.` : undefined),
    onDragEnd: ({ active, over }) => `${name(active.id)} set down${over ? ` at ${place(over.id)}` : ''}.`,
    onDragCancel: ({ active }) => `${name(active.id)} left where it was.`,
  };
  const onDragEnd = ({ active, over }: DragEndEvent): void => {
    if (!over || active.id === over.id) return;
    onOrder(arrayMove(ids, ids.indexOf(String(active.id)), ids.indexOf(String(over.id))));
  };
  return (
    <DndContext
      id={id}
      accessibility={{ announcements }}
      sensors={sensors}
      collisionDetection={closestCenter}
      onDragEnd={onDragEnd}
    >
      <SortableContext items={ids} strategy={verticalListSortingStrategy}>
        <ol>
          {items.map((item) => (
            <Row key={item.id} {...item} />
          ))}
        </ol>
      </SortableContext>
    </DndContext>
  );
}

function Row({ id, name, content }: Item) {
  const { attributes, listeners, setNodeRef, transform, transition, isDragging } = useSortable({ id });
  return (
    <li
      ref={setNodeRef}
      style={{ transform: CSS.Transform.toString(transform), transition }}
      className={`flex min-h-12 items-center gap-2 border-t border-hairline ${isDragging ? 'relative z-10 bg-card shadow-lg' : ''}`}
    >
      <button
        type="button"
        className="grid size-11 shrink-0 cursor-grab touch-none place-items-center text-quiet"
        aria-label={`Move ${name}`}
        {...attributes}
        {...listeners}
      >
        <GripVertical size={18} aria-hidden />
      </button>
      {content ?? name}
    </li>
  );
}
