'use client';

import { useSortable } from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import { TriangleAlert } from 'lucide-react';
import { memo, type ReactNode } from 'react';
import type { KindName } from '@/core/equipment/index';
import { type Grade, MARKS } from '@/ui/advice/grade-mark';
import type { Cell } from './rows';
import { StageIcon } from './stage-icon';

/** Why a card is drawn faint: its stage or unit is not in the line now. */
export function absenceOf({ stage, unit }: Cell): string | undefined {
  if (unit) return unit.form === 'portable' && unit.is === 'away' ? 'away' : undefined;
  return stage.planned && 'planned, not installed yet';
}

interface CardProps {
  id: string;
  name: string;
  icon: KindName | 'unit';
  absent: string | undefined;
  checkFilter: boolean;
  width: number;
  catches: boolean;
  fixed: boolean;
  wet: boolean;
  wetBefore: boolean;
  /** It refuses, or the gravest of what is to be said of it. */
  mark: 'refuses' | Grade | undefined;
  selected: boolean;
  first: boolean;
  last: boolean;
  compact: boolean;
  branches: boolean;
  onSelect: (stageId: string) => void;
}

/** One stage or closed unit. Drawn anew only if something of it changed: an edit changes the numbers, seldom a card. */
export const StageCard = memo(function StageCard({
  id,
  name,
  icon,
  absent,
  checkFilter,
  width,
  catches,
  fixed,
  wet,
  wetBefore,
  mark,
  selected,
  first,
  last,
  compact,
  branches,
  onSelect,
}: CardProps) {
  const { attributes, listeners, setNodeRef, transform, transition, isDragging } = useSortable({
    id,
    disabled: fixed,
  });
  const outlet = icon === 'outlet';
  const ghost = absent !== undefined;
  const size = outlet ? 20 : compact ? 26 : 32;
  const centre = compact ? 18 : 27; // of the pipe, from the top
  const pipe = (side: 'left' | 'right'): ReactNode => (
    <span
      aria-hidden
      className={`absolute h-[3px] bg-copper ${side}-0`}
      style={{ top: centre, width: outlet || ghost ? '50%' : `calc(50% - ${size / 2}px)` }}
    />
  );
  const drops = (side: 'left' | 'right'): ReactNode => (
    <span
      aria-hidden
      className={`absolute h-0 border-t-2 border-dotted border-drops ${side}-0`}
      style={{ top: centre + 6, width: `calc(50% - ${size / 2 + 2}px)` }}
    />
  );
  return (
    <li
      ref={setNodeRef}
      style={{ width, transform: CSS.Translate.toString(transform), transition }}
      className={`relative shrink-0 ${isDragging ? 'z-20 opacity-80' : ''}`}
    >
      {!first && pipe('left')}
      {!last && pipe('right')}
      {wetBefore && drops('left')}
      {wet && drops('right')}
      {branches && (
        <span aria-hidden className="absolute right-0 z-10 w-[3px] bg-copper" style={{ top: centre, height: 14 }} />
      )}
      <button
        type="button"
        {...attributes}
        {...listeners}
        tabIndex={selected ? 0 : -1}
        aria-disabled={false} // fixed stages cannot be moved, but they can be chosen
        aria-pressed={selected}
        aria-roledescription={fixed ? 'stage' : 'movable stage'}
        data-stage={id}
        onClick={() => onSelect(id)}
        className={`relative flex w-full touch-manipulation flex-col items-center border-b-[3px] px-1 text-center ${compact ? 'h-[78px] pt-1.5' : 'h-[98px] pt-3'} ${selected ? 'border-copper bg-card' : 'border-transparent hover:bg-sunk'}`}
      >
        <span className={`${outlet ? (compact ? 'mt-[9px]' : 'mt-[15px]') : ''} ${ghost ? 'opacity-45' : ''}`}>
          <StageIcon kind={icon} size={size} />
        </span>
        <span
          className={`w-full text-[0.86rem] leading-[1.15] font-semibold break-words ${compact ? 'line-clamp-2' : 'line-clamp-3'} ${outlet ? 'mt-[-1px]' : compact ? 'mt-0.5' : 'mt-1'} ${ghost ? 'text-quiet italic' : ''}`}
        >
          {name}
          {absent && <span className="sr-only"> ({absent})</span>}
        </span>
        {catches && (
          <svg width="10" height="9" className="absolute bottom-[1px]" aria-hidden>
            <path d="M5 0v5M2 4l3 4 3-4" className="stroke-water" fill="none" strokeWidth="1.600" />
          </svg>
        )}
        {mark === 'refuses' && (
          <TriangleAlert size={15} className="absolute top-1 right-1 text-brick" aria-label="refuses" />
        )}
        {mark && mark !== 'refuses' && mark !== 'note' && (
          <span className={`absolute top-1 right-1.5 text-[0.86rem] leading-none ${MARKS[mark].tone}`}>
            <span aria-hidden>{MARKS[mark].sign}</span>
            <span className="sr-only"> ({MARKS[mark].word})</span>
          </span>
        )}
        {checkFilter && (
          <span
            className={`absolute top-1 left-1 text-[0.86rem] font-semibold ${catches ? 'text-amber' : 'text-quiet'}`}
          >
            {catches ? '◆ wet check filter' : 'check filter'}
          </span>
        )}
      </button>
    </li>
  );
});
