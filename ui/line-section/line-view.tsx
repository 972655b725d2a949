'use client';

import { Printer } from 'lucide-react';
import { parseAsArrayOf, parseAsString, useQueryState } from 'nuqs';
import { memo, type RefObject, useCallback, useEffect, useMemo, useRef, useState } from 'react';
import type { KindName } from '@/core/equipment/index';
import type { WallUnitName } from '@/core/equipment/serving/wall-unit';
import { gradeLine } from '@/core/line/grade-line';
import { settleHours } from '@/core/log/unit-hours';
import { insertStage, moveStage, newStage } from '@/core/plan/edit';
import { addWallUnit, moveUnit, stagesOfUnit, unitById } from '@/core/plan/machine-units';
import { allStages, MAIN, runOfStage, runsOf, stageById } from '@/core/plan/runs';
import { sized } from '@/core/plan/size-stage';
import { AdviceBeside } from '@/ui/advice/advice-beside';
import { AfterPaint, useIsToday, usePlan } from '@/ui/plan/plan-provider';
import { useJudgements } from '@/ui/plan/use-judgements';
import { Scrolls } from '@/ui/primitives/scrolls';
import { nowOnTheWall } from '@/ui/units/when';
import { BranchEditor } from './branch-editor';
import { Conditions } from './conditions';
import { HourLook } from './hour-look';
import { InsertMenu } from './insert-menu';
import { LABELS } from './lane';
import { Lanes, Live } from './lanes';
import { Balance, Problems, Shortfall } from './line-notices';
import { OutletList } from './outlet-list';
import { Overview } from './overview';
import { PrintedLine } from './printed-line';
import { rowsFor } from './rows';
import { SectionKeys } from './section-keys';
import { SectionTable } from './section-table';
import { StageDrag } from './stage-drag';
import { StageEditor } from './stage-editor';
import { StageRow } from './stage-row';
import { UnitEditor } from './unit-editor';
import { useLineKeys } from './use-line-keys';

/** The long section of the line and of its branches, the outlets, and the selected stage or branch below. */
export function LineView() {
  return (
    <HourLook>
      <AfterPaint>
        <View />
      </AfterPaint>
    </HourLook>
  );
}

const View = memo(function View() {
  const { plan, section, edit } = usePlan();
  const isToday = useIsToday();
  const chosen = useChosen();
  const { select, stage, unit, branch, run } = chosen;
  const [opened, setOpened] = useQueryState('lanes', parseAsArrayOf(parseAsString).withDefault([]));
  const units = useOpenUnits();
  const box = useRef<HTMLDivElement>(null);
  const { room, seen } = useRoom(box);
  const rows = useMemo(() => rowsFor(plan, section, room, units.open), [plan, section, room, units.open]);
  useIntoView(box, chosen.id);
  const judgements = useJudgements();
  const grades = useMemo(() => gradeLine(plan, section), [plan, section]);
  const cells = rows.find((r) => r.run.id === run?.id)?.cells ?? [];
  useLineKeys({ selectedId: chosen.id, run, index: chosen.index, cells, stage, unit, select });
  // What was added is ready to be filled in.
  const form = useRef<HTMLDivElement>(null);
  const added = useRef<string>(undefined);
  useEffect(() => {
    if (added.current !== chosen.id) return;
    added.current = undefined;
    form.current?.focus({ preventScroll: true });
  }, [chosen.id]);
  const selectAdded = useCallback(
    (id: string): void => {
      added.current = id;
      select(id);
    },
    [select],
  );
  const place = branch ? branch.stages.length : chosen.index + 1;
  const { insert, insertUnit } = useInsert(place, run?.id ?? MAIN, selectAdded);
  const toggleLanes = useCallback(
    (id: string): void => void setOpened((is) => (is.includes(id) ? is.filter((o) => o !== id) : [...is, id])),
    [setOpened],
  );
  // Below all rows, so that they stay in view; with many rows right below its own, so that it does.
  const editsInPlace = rows.length > 5;
  const editor = (
    <div
      ref={form}
      tabIndex={-1}
      className="sticky left-0 border-t border-hairline outline-none"
      style={{ width: room + LABELS }}
    >
      <ChosenEditor chosen={chosen} units={units} verdicts={judgements} />
    </div>
  );
  return (
    <>
      <div className="flex min-h-full flex-col print:hidden">
        <div className="isolate flex flex-wrap items-center gap-x-3 gap-y-2 px-3 py-2.5">
          <h1 className="max-w-72 truncate">{plan.name}</h1>
          {isToday && <Conditions />}
          <Balance />
          <Shortfall />
          <div className="ml-auto">
            <InsertMenu
              after={stage?.kind === 'intake' ? 'the compressor' : ((stage ?? unit ?? branch)?.name ?? '')}
              onInsert={insert}
              onInsertUnit={insertUnit}
            />
          </div>
        </div>
        <Problems onSelect={select} />
        <Overview rows={rows} room={room} box={box} judgements={judgements} selected={(stage ?? unit)?.id} />
        <div className="flex border-t border-hairline max-lg:flex-col">
          <div
            ref={box}
            onScroll={(e) => {
              seen.current.from = e.currentTarget.scrollLeft;
            }}
            className="isolate min-w-0 flex-1 overflow-x-auto"
            style={{ scrollPaddingLeft: LABELS }} // what has the focus does not lie under the names of the lanes
            role="region"
            aria-label="Section of the line"
          >
            <StageDrag
              plan={plan}
              onMove={(id, to, runId) =>
                edit((p) =>
                  unitById(p, id)
                    ? moveUnit(settleHours(p, id, nowOnTheWall()), id, to, runId)
                    : moveStage(p, id, to, runId),
                )
              }
            >
              <Live rows={rows} room={room} openUnits={units.open} view={seen}>
                <SectionKeys width={(rows[0]?.total ?? 0) + LABELS}>
                  {rows.map((row) => {
                    const { id } = row.run;
                    const open = id === MAIN || opened.includes(id);
                    return (
                      <div key={id}>
                        <StageRow
                          plan={plan}
                          section={section}
                          verdicts={judgements}
                          row={row}
                          selected={(stage ?? unit ?? branch)?.id}
                          onSelect={select}
                          open={open}
                          onOpen={toggleLanes}
                        />
                        {open && <Lanes row={row} grades={grades} />}
                        {editsInPlace && id === run?.id && editor}
                      </div>
                    );
                  })}
                </SectionKeys>
              </Live>
            </StageDrag>
            {!editsInPlace && editor}
          </div>
          <div className="isolate shrink-0 border-hairline p-3 lg:w-60 lg:border-l">
            <AdviceBeside verdicts={judgements} onSelect={select} />
            <h2 className="eyebrow mb-2">Air delivered</h2>
            <OutletList judgements={judgements} selected={stage?.id} onSelect={select} />
          </div>
        </div>
        <div className="flex items-start gap-3 border-t border-hairline px-3 py-2">
          <details className="min-w-0 flex-1 py-1">
            <summary className="cursor-pointer font-medium">The section as a table</summary>
            <Scrolls label="The section as a table">
              <SectionTable />
            </Scrolls>
          </details>
          <button type="button" className="button" onClick={() => window.print()}>
            <Printer size={16} aria-hidden /> Print the line
          </button>
        </div>
      </div>
      <PrintedLine rows={rows} grades={grades} judgements={judgements} />
    </>
  );
});

/** What is chosen, as the address has it: a stage, a unit or a branch, its run, and its place there (of a unit its last). */
function useChosen() {
  const { plan } = usePlan();
  const [id, choose] = useQueryState('stage', parseAsString.withDefault(plan.stages[1]?.id ?? ''));
  const select = useCallback((id: string | undefined): void => void choose(id ?? null), [choose]);
  const branch = plan.branches.find((b) => b.id === id);
  const unit = unitById(plan, id);
  const stage = branch || unit ? undefined : (stageById(plan, id) ?? plan.stages[0]);
  const last = stage ?? (unit && stagesOfUnit(plan, unit.id).at(-1));
  const run = (last && runOfStage(plan, last.id)) ?? runsOf(plan).find((r) => r.id === (branch?.id ?? MAIN));
  const index = run?.stages.findIndex((s) => s.id === last?.id) ?? -1;
  return { id, select, stage, unit, branch, run, index };
}

/** The units whose stages are shown, as the address has them. */
function useOpenUnits() {
  const [ids, set] = useQueryState('units', parseAsArrayOf(parseAsString).withDefault([]));
  const open = useMemo(() => new Set(ids), [ids]);
  const toggle = (id: string): void => void set(open.has(id) ? ids.filter((o) => o !== id) : [...ids, id]);
  return { open, toggle };
}

function ChosenEditor({
  chosen: { select, stage, unit, branch, run },
  units,
  verdicts,
}: {
  chosen: ReturnType<typeof useChosen>;
  units: ReturnType<typeof useOpenUnits>;
  verdicts: ReturnType<typeof useJudgements>;
}) {
  if (stage) return <StageEditor key={stage.id} stageId={stage.id} verdicts={verdicts} onSelect={select} />;
  if (branch)
    return <BranchEditor key={branch.id} branch={branch} onRemoved={() => select(branch.from ?? undefined)} />;
  if (!unit) return null;
  const first = run?.stages.findIndex((s) => s.unit === unit.id) ?? -1;
  return (
    <UnitEditor
      key={unit.id}
      unit={unit}
      open={units.open.has(unit.id)}
      onToggle={() => units.toggle(unit.id)}
      onSelect={(id) => {
        if (!units.open.has(unit.id)) units.toggle(unit.id);
        select(id);
      }}
      onRemoved={() => select(run?.stages[first - 1]?.id ?? run?.from ?? undefined)}
    />
  );
}

/** Puts a new stage or unit into a run at a place, and selects it. */
function useInsert(position: number, runId: string, select: (id: string) => void) {
  const { edit, store } = usePlan();
  const insert = useCallback(
    (kind: KindName): void => {
      const same = allStages(store.getState().plan).filter((s) => s.kind === kind).length;
      const fresh = sized(store.getState().plan, newStage(kind, crypto.randomUUID()));
      const named = same ? { ...fresh, name: `${fresh.name} ${same + 1}` } : fresh;
      edit((p) => insertStage(p, named, position, runId));
      select(fresh.id);
    },
    [store, edit, select, position, runId],
  );
  const insertUnit = useCallback(
    (name: WallUnitName): void => {
      const id = crypto.randomUUID();
      edit((p) => addWallUnit(p, name, position, runId, id, () => crypto.randomUUID()));
      select(id);
    },
    [edit, select, position, runId],
  );
  return { insert, insertUnit };
}

/** The width that the row of stages has, and what of it is in view. */
function useRoom(box: RefObject<HTMLDivElement | null>) {
  const [room, setRoom] = useState(860);
  const seen = useRef({ from: 0, width: Number.POSITIVE_INFINITY });
  useEffect(() => {
    if (!box.current) return;
    const watch = new ResizeObserver(([entry]) => {
      if (!entry) return;
      seen.current.width = entry.contentRect.width;
      setRoom(entry.contentRect.width - LABELS);
    });
    watch.observe(box.current);
    return () => watch.disconnect();
  }, [box]);
  return { room, seen };
}

/** What is chosen elsewhere, in the list of outlets or by a link, comes into view. */
function useIntoView(box: RefObject<HTMLDivElement | null>, selectedId: string): void {
  useEffect(() => {
    const card = box.current?.querySelector<HTMLElement>(`[data-stage="${CSS.escape(selectedId)}"]`);
    const [view, own] = [box.current?.getBoundingClientRect(), card?.getBoundingClientRect()];
    if (!box.current || !view || !own) return;
    if (own.right > view.right) box.current.scrollLeft += own.right - view.right + own.width;
    else if (own.left < view.left + LABELS) box.current.scrollLeft -= view.left + LABELS - own.left + own.width;
  }, [box, selectedId]);
}
