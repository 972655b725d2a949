'use client';

import { Plus } from 'lucide-react';
import { Popover } from 'radix-ui';
import { memo, useRef, useState } from 'react';
import { findKinds, findWallUnits, type KindName, kindOf } from '@/core/equipment/index';
import { WALL_UNITS, type WallUnitName } from '@/core/equipment/serving/wall-unit';
import { useKeys } from '@/ui/shell/use-keys';
import { InUnits } from '@/ui/units/in-units';
import { StageIcon } from './stage-icon';

/** The catalogue of stages that can be put into the line. */
export const InsertMenu = memo(function InsertMenu({
  after,
  onInsert,
  onInsertUnit,
}: {
  after: string;
  onInsert: (kind: KindName) => void;
  onInsertUnit: (unit: WallUnitName) => void;
}) {
  const [open, setOpen] = useState(false);
  const [word, setWord] = useState('');
  const chosen = useRef(false);
  const found = !open
    ? []
    : [
        ...findKinds(word)
          .filter((k) => k !== 'intake' && k !== 'compressor')
          .map((kind) => ({ ...kindOf(kind), id: kind, icon: kind, insert: () => onInsert(kind) })),
        ...findWallUnits(word).map((unit) => {
          const { label, does } = WALL_UNITS[unit];
          return { label, does, id: unit, icon: 'unit' as const, insert: () => onInsertUnit(unit) };
        }),
      ];
  const choose = (insert: () => void): void => {
    chosen.current = true;
    setOpen(false);
    setWord('');
    insert();
  };
  useKeys({ addStage: () => setOpen(true) });
  return (
    <Popover.Root open={open} onOpenChange={setOpen}>
      <Popover.Trigger className="button button-strong" title="Add a stage (A)">
        <Plus size={16} aria-hidden /> Add a stage
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          aria-label="Add a stage"
          align="end"
          sideOffset={6}
          collisionPadding={10}
          onCloseAutoFocus={(e) => {
            // What was added has the focus then.
            if (chosen.current) e.preventDefault();
            chosen.current = false;
          }}
          className="floating z-50 max-h-[75vh] w-[25rem] max-w-[94vw] overflow-auto p-2"
        >
          <p className="px-2 pt-1 pb-2 text-quiet">
            Charge installed after <strong>{after}</strong>
          </p>
          <input
            className="control mb-2"
            placeholder="water trap, oil cooler, pig tail …"
            aria-label="Find a stage by any name"
            value={word}
            onChange={(e) => setWord(e.target.value)}
            onKeyDown={(e) => {
              if (e.key === 'Enter' && found[0]) choose(found[0].insert);
            }}
          />
          {found.length === 0 && (
            <p className="p-2 text-quiet">No kind has that name. A “measured stage” can represent anything.</p>
          )}
          {found.map(({ id, icon, label, does, insert }) => (
            <button
              key={id}
              type="button"
              className="flex w-full items-start gap-3 rounded-sm p-2 text-left hover:bg-sunk"
              onClick={() => choose(insert)}
            >
              <span className="shrink-0">
                <StageIcon kind={icon} size={28} />
              </span>
              <span>
                <strong className="block">{label}</strong>
                <span className="text-[0.86rem] text-quiet">
                  <InUnits text={does} />
                </span>
              </span>
            </button>
          ))}
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
});
