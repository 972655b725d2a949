'use client';

import { parseAsString, useQueryState } from 'nuqs';
import { useEffect, useMemo, useRef, useState } from 'react';
import type { KindName } from '@/core/equipment/index';
import { insertStage, moveStage, newStage } from '@/core/line/edit';
import { imbalance } from '@/core/line/walk';
import { usePlan } from '@/ui/plan/plan-provider';
import { isTyping } from '@/ui/shell/shortcuts';
import { useUnits } from '@/ui/units/units';
import { Why } from '@/ui/why/why';
import { columnsFor } from './columns';
import { Conditions } from './conditions';
import { DryMarginLane } from './dry-margin-lane';
import { InsertMenu } from './insert-menu';
import { LABELS } from './lane';
import { LedgerLane } from './ledger-lane';
import { OutletList } from './outlet-list';
import { PressureLane } from './pressure-lane';
import { StageEditor } from './stage-editor';
import { StageRow } from './stage-row';

/** The long section of the line, the outlets at its end, and the selected stage below. */
export function LineView() {
  const { plan, section, edit } = usePlan();
  const [selectedId, select] = useQueryState('stage', parseAsString.withDefault(plan.stages[1]?.id ?? ''));
  const index = Math.max(
    0,
    plan.stages.findIndex((s) => s.id === selectedId),
  );
  const selected = plan.stages[index];
  const [room, setRoom] = useState(860);
  const box = useRef<HTMLDivElement>(null);
  useEffect(() => {
    if (!box.current) return;
    const watch = new ResizeObserver(([entry]) => entry && setRoom(entry.contentRect.width - LABELS));
    watch.observe(box.current);
    return () => watch.disconnect();
  }, []);
  const columns = useMemo(() => columnsFor(plan.stages, room), [plan.stages, room]);

  useEffect(() => {
    const onKey = (event: KeyboardEvent): void => {
      if (isTyping(event.target) || event.ctrlKey || event.metaKey || event.altKey || event.defaultPrevented) return;
      const step =
        event.key === 'ArrowRight' || event.key === ']' ? 1 : event.key === 'ArrowLeft' || event.key === '[' ? -1 : 0;
      if (step === 0 || !selected) return;
      event.preventDefault();
      if (event.key.startsWith('Arrow'))
        void select(plan.stages[Math.min(plan.stages.length - 1, Math.max(0, index + step))]?.id ?? null);
      else edit((p) => moveStage(p, selected.id, index + step));
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [plan.stages, selected, index, edit, select]);

  const insert = (kind: KindName): void => {
    const same = plan.stages.filter((s) => s.kind === kind).length;
    const fresh = newStage(kind, crypto.randomUUID());
    edit((p) => insertStage(p, same ? { ...fresh, name: `${fresh.name} ${same + 1}` } : fresh, index + 1));
    void select(fresh.id);
  };
  return (
    <div className="flex min-h-full flex-col">
      <div className="flex flex-wrap items-center gap-x-3 gap-y-2 px-3 py-2.5">
        <h1 className="max-w-72 truncate">{plan.name}</h1>
        <Conditions />
        <Balance />
        <div className="ml-auto">
          <InsertMenu
            after={selected?.kind === 'intake' ? 'the compressor' : (selected?.name ?? '')}
            onInsert={insert}
          />
        </div>
      </div>
      {section.problem && (
        <p role="alert" className="mx-3 mb-2 rounded-md bg-brick-wash px-3 py-2 text-brick">
          <button
            type="button"
            className="font-semibold underline"
            onClick={() => void select(section.problem?.stageId ?? null)}
          >
            {plan.stages.find((s) => s.id === section.problem?.stageId)?.name}
          </button>
          : {section.problem.message}
        </p>
      )}
      <div className="flex border-t border-hairline max-lg:flex-col">
        <div
          ref={box}
          className="min-w-0 flex-1 overflow-x-auto"
          // biome-ignore lint/a11y/noNoninteractiveTabindex: a region that scrolls must be reachable by keyboard
          tabIndex={0}
          role="region"
          aria-label="Section of the line"
        >
          <div style={{ width: columns.total + LABELS }}>
            <StageRow
              plan={plan}
              section={section}
              columns={columns}
              selected={selected?.id}
              onSelect={(id) => void select(id)}
              onMove={(id, to) => edit((p) => moveStage(p, id, to))}
            />
            <DryMarginLane plan={plan} section={section} columns={columns} />
            <PressureLane plan={plan} section={section} columns={columns} />
            <LedgerLane plan={plan} section={section} columns={columns} />
          </div>
          <div className="sticky left-0 border-t border-hairline" style={{ width: room + LABELS }}>
            {selected && (
              <StageEditor
                key={selected.id}
                stage={selected}
                onRemoved={() => void select(plan.stages[index - 1]?.id ?? null)}
              />
            )}
          </div>
        </div>
        <div className="shrink-0 border-hairline p-3 lg:w-60 lg:border-l">
          <h2 className="eyebrow mb-2">Air delivered</h2>
          <OutletList selected={selected?.id} onSelect={(id) => void select(id)} />
        </div>
      </div>
    </div>
  );
}

/** Water in and where it went; it must balance, and the page says that it does. */
function Balance() {
  const { section } = usePlan();
  const { say } = useUnits();
  const { ledger } = section;
  const frozen = ledger.frozenKgPerS > 0 ? ` + ${say(ledger.frozenKgPerS, 'waterFlow')} frozen` : '';
  return (
    <p className="text-quiet">
      <Why figure={{ name: 'waterIn' }} className="font-semibold text-ink">
        {say(ledger.waterInKgPerS, 'waterFlow')}
      </Why>{' '}
      in = <Why figure={{ name: 'caughtInAll' }}>{say(ledger.caughtKgPerS, 'waterFlow')}</Why> caught +{' '}
      <Why figure={{ name: 'vapourOut' }}>{say(ledger.vapourOutKgPerS, 'waterFlow')}</Why> vapour +{' '}
      <Why figure={{ name: 'dropsOut' }}>{say(ledger.liquidOutKgPerS, 'waterFlow')}</Why> drops{frozen}
      {!section.problem &&
        (imbalance(ledger) < 1e-9 ? (
          <span className="text-water"> · balances</span>
        ) : (
          <span className="text-brick"> · does not balance</span>
        ))}
    </p>
  );
}
