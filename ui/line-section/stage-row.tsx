'use client';

import { useDroppable } from '@dnd-kit/core';
import { horizontalListSortingStrategy, SortableContext } from '@dnd-kit/sortable';
import { ChevronDown, ChevronRight } from 'lucide-react';
import { memo, useMemo } from 'react';
import type { Verdicts } from '@/core/line/judge-outlet';
import type { Section } from '@/core/line/section';
import { FIRST_FREE_POSITION } from '@/core/plan/edit';
import type { MachineUnit, Plan } from '@/core/plan/plan';
import { MAIN, stageById } from '@/core/plan/runs';
import { type Grade, gradeOf } from '@/ui/advice/grade-mark';
import { adviceWith } from '@/ui/plan/advice-of';
import { useUnits } from '@/ui/units/units';
import { LABELS } from './lane';
import type { Cell, Row } from './rows';
import { absenceOf, StageCard } from './stage-card';

interface Props {
  plan: Plan;
  section: Section;
  verdicts: Verdicts;
  row: Row;
  selected: string | undefined;
  onSelect: (id: string) => void;
  /** Of a branch: whether its lanes are shown. */
  open?: boolean;
  onOpen?: (runId: string) => void;
}

/** The stages of a run in the order in which the air meets them, on one copper pipe. */
export const StageRow = memo(function StageRow({
  plan,
  section,
  verdicts,
  row,
  selected,
  onSelect,
  open,
  onOpen,
}: Props) {
  const { run, cells } = row;
  const isMain = run.id === MAIN;
  const { setNodeRef } = useDroppable({ id: run.id });
  const wet = (i: number): boolean =>
    (i < 0 ? (row.arrives?.liquidKgPerS ?? 0) : (cells[i]?.station?.liquidKgPerS ?? 0)) > 0;
  const fixed = run.from === null ? FIRST_FREE_POSITION : 0;
  // The gravest comes first.
  const marks = new Map<string, Grade>();
  for (const a of adviceWith(verdicts, plan).advice) {
    const [stageId] = a.finding.stageIds;
    if (stageId !== undefined && a.dismissed === undefined && !marks.has(stageId)) marks.set(stageId, gradeOf(a));
  }
  const markOf = ({ stage, unit }: Cell): Grade | undefined => {
    if (!unit) return marks.get(stage.id);
    return [...marks].find(([id]) => holds(plan, unit, id))?.[1];
  };
  const order = cells.map((c) => c.id).join(' ');
  // biome-ignore lint/correctness/useExhaustiveDependencies: of another identity only if the order is another
  const items = useMemo(() => cells.map((c) => c.id), [order]);
  return (
    <div data-row className="flex border-b border-hairline">
      <div className="sticky left-0 z-30 shrink-0 bg-paper py-2 pl-3" style={{ width: LABELS }}>
        {isMain ? (
          <>
            <h2 className="text-[0.86rem] leading-tight">Stages</h2>
            <p className="text-[0.86rem] text-quiet">air flows right</p>
          </>
        ) : (
          <button
            type="button"
            tabIndex={-1}
            className="flex min-h-target items-center gap-1 text-left text-[0.86rem] leading-tight text-quiet"
            aria-expanded={open}
            onClick={() => onOpen?.(run.id)}
          >
            {open ? <ChevronDown size={14} aria-hidden /> : <ChevronRight size={14} aria-hidden />}
            <span>
              <strong className="line-clamp-2 break-words">{run.name}</strong>
              {open ? 'close lanes' : 'open lanes'}
            </span>
          </button>
        )}
      </div>
      <div ref={setNodeRef} className="relative" style={{ width: row.total, paddingLeft: row.left }}>
        {!isMain && <BranchLabel plan={plan} section={section} row={row} selected={selected} onSelect={onSelect} />}
        <OpenUnits plan={plan} row={row} selected={selected} onSelect={onSelect} />
        <SortableContext items={items} strategy={horizontalListSortingStrategy}>
          <ol className="isolate flex" aria-label={isMain ? 'Main run' : run.name}>
            {cells.map((cell, i) => (
              <StageCard
                key={cell.id}
                id={cell.id}
                name={cell.name}
                icon={cell.unit ? 'unit' : cell.stage.kind}
                absent={absenceOf(cell)}
                checkFilter={!cell.unit && cell.stage.checkFilter === true}
                width={cell.width}
                catches={(cell.station?.caughtKgPerS ?? 0) > 0}
                fixed={i < fixed}
                wet={wet(i)}
                wetBefore={wet(i - 1)}
                mark={
                  section.problems.some((p) => p.stageId === cell.stage.id || holds(plan, cell.unit, p.stageId))
                    ? 'refuses'
                    : markOf(cell)
                }
                selected={selected === cell.id || holds(plan, cell.unit, selected)}
                first={i === 0 && run.from === null}
                last={i === cells.length - 1 && run.into === null}
                compact={!isMain}
                branches={plan.branches.some((b) => b.from === cell.stage.id || holds(plan, cell.unit, b.from))}
                onSelect={onSelect}
              />
            ))}
            {cells.length === 0 && (
              <li className="grid h-[78px] items-center px-3 text-[0.86rem] text-quiet">
                bare pipe: drop a stage here
              </li>
            )}
          </ol>
        </SortableContext>
      </div>
    </div>
  );
});

/** Whether a stage is part of a closed unit. */
function holds(plan: Plan, unit: MachineUnit | undefined, stageId: string | null | undefined): boolean {
  return unit !== undefined && stageById(plan, stageId)?.unit === unit.id;
}

/** A bracket over the stages of each unit that is open, with its name; click it for the unit’s own settings. */
function OpenUnits({ plan, row, selected, onSelect }: Omit<Props, 'section' | 'verdicts'>) {
  return plan.units.map((unit) => {
    const own = row.cells.filter((c) => c.stage.unit === unit.id && !c.unit);
    const [first, last] = [own[0], own.at(-1)];
    if (!first || !last) return null;
    return (
      <button
        key={unit.id}
        type="button"
        tabIndex={selected === unit.id ? 0 : -1}
        aria-pressed={selected === unit.id}
        onClick={() => onSelect(unit.id)}
        className={`absolute z-20 min-h-4 truncate border-t-2 px-1 text-left text-[0.86rem] leading-4 hover:bg-sunk ${selected === unit.id ? 'border-copper bg-card font-semibold' : 'border-edge text-quiet'}`}
        style={{
          left: first.left + 4,
          width: last.left + last.width - first.left - 8,
          top: row.run.id === MAIN ? 0 : 26,
        }}
      >
        {unit.name}
      </button>
    );
  });
}

/** What the branch is and where it hangs; click it for its settings. */
function BranchLabel({ plan, section, row, selected, onSelect }: Omit<Props, 'verdicts'>) {
  const { say } = useUnits();
  const { run } = row;
  const from = stageById(plan, run.from)?.name;
  const into = stageById(plan, run.into)?.name;
  const first = row.reached[0]?.station;
  const share = first && section.dryAirKgPerS > 0 ? first.dryAirKgPerS / section.dryAirKgPerS : 0;
  return (
    <button
      type="button"
      tabIndex={selected === run.id ? 0 : -1}
      aria-pressed={selected === run.id}
      onClick={() => onSelect(run.id)}
      className={`flex min-h-[26px] max-w-full items-baseline gap-2 truncate border-l-[3px] border-copper px-2 pt-1 text-left text-[0.86rem] ${selected === run.id ? 'bg-card' : 'hover:bg-sunk'}`}
    >
      <strong>{run.name}</strong>
      <span className="truncate text-quiet">
        {run.from === null ? 'its own pump' : `from ${from ?? 'nothing'}`}
        {run.from !== null && run.into !== null && run.split === 'entered'
          ? ` · ${run.share === 0 ? 'shut' : `${say(run.share, 'share')} of what passes`}`
          : first && ` · ${share < 0.0005 ? 'no flow' : `${say(share, 'share')} of the air`}`}
        {into && `, joins ahead of ${into}`}
      </span>
    </button>
  );
}
