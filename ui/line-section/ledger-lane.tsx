'use client';

import { memo, type ReactNode } from 'react';
import type { StationFigure } from '@/core/line/explain';
import { explainUnit } from '@/core/line/explain-unit';
import { formatQuantity } from '@/core/quantity/format';
import { fromSi, unitOf } from '@/core/quantity/units';
import { usePlan } from '@/ui/plan/plan-provider';
import { useUnits } from '@/ui/units/units';
import { figureText } from '@/ui/why/why';
import { Lane } from './lane';
import { HEIGHT, LedgerBars } from './ledger-bars';
import type { ReachedCell, Row } from './rows';

const WORTH_A_LABEL = 0.002; // of the water in

/** A figure that is wider than its bar stands on two grounds: light on dark would lose its ends. */
const HALO = { className: 'fill-deep', paintOrder: 'stroke', stroke: 'var(--card)', strokeWidth: 3 } as const;

const KEY = (
  <ul className="mt-2 grid gap-0.5 text-[0.86rem] leading-tight text-quiet">
    {(
      [
        ['vapour', 'bg-vapour'],
        ['drops', 'bg-drops'],
        ['caught', 'bg-caught'],
      ] as const
    ).map(([name, colour]) => (
      <li key={name} className="flex items-center gap-1">
        <i className={`size-2 shrink-0 ${colour}`} />
        {name}
      </li>
    ))}
  </ul>
);

/** Per stage: vapour in the air, drops carried along on top of it, and beside them what the drain catches. */
export const LedgerLane = memo(function LedgerLane({ row }: { row: Row }) {
  const { plan, section } = usePlan();
  const { choice } = useUnits();
  if (row.reached.length === 0) return null;
  const u = unitOf('waterFlow', choice.waterFlow);
  const bars = new LedgerBars(row, (kgPerS) => fromSi(kgPerS, u, 0));
  const number = (kgPerS: number): string => formatQuantity(kgPerS, 'waterFlow', choice).number;
  return (
    <Lane
      title="Water ledger"
      unit={`${u.symbol} while loaded`}
      height={HEIGHT}
      row={row}
      ticks={bars.ticks}
      y={bars.y}
      figureOf={(stageId, name) => {
        const unit = name === 'caught' && row.cells.find((c) => c.stage.id === stageId)?.unit;
        return unit ? () => explainUnit(plan, section, unit) : { stageId, name: name as StationFigure };
      }}
      note={KEY}
    >
      <BarPaths bars={bars} />
      <g className="text-[12px] font-semibold">
        {row.reached.flatMap((cell) => [
          caughtFigure(bars, cell, number, u.symbol),
          vapourFigure(bars, cell, number, u.symbol),
          dropsFigure(bars, cell, number, u.symbol),
        ])}
      </g>
    </Lane>
  );
});

function BarPaths({ bars }: { bars: LedgerBars }) {
  const floor = bars.at(0);
  return (
    <>
      <path
        d={bars.path((s, centre) => ({ x: bars.leftOf(s, centre), from: floor, to: bars.at(s.vapourKgPerS) }))}
        className="fill-vapour"
      />
      <path
        d={bars.path((s, centre) => ({
          x: bars.leftOf(s, centre),
          from: bars.at(s.vapourKgPerS),
          to: bars.at(s.vapourKgPerS + s.liquidKgPerS),
        }))}
        className="fill-drops"
      />
      <path
        d={bars.path((s, centre) => ({
          x: centre + 1,
          from: floor,
          to: s.caughtKgPerS > 0 ? Math.min(bars.at(s.caughtKgPerS), floor - 1) : floor,
        }))}
        className="fill-caught"
      />
    </>
  );
}

type Figure = (bars: LedgerBars, cell: ReachedCell, number: (kgPerS: number) => string, unit: string) => ReactNode;

const caughtFigure: Figure = (bars, { name, station: s, centre }, number, unit) =>
  s.caughtKgPerS > bars.mostKgPerS * WORTH_A_LABEL &&
  figureText({
    stageId: s.stageId,
    name: 'caught',
    label: `Caught at ${name}`,
    x: bars.narrow ? centre + 2 : centre + 1 + bars.width / 2,
    y: bars.at(s.caughtKgPerS) - 4,
    textAnchor: bars.narrow ? 'start' : 'middle',
    className: 'fill-caught',
    number: number(s.caughtKgPerS),
    unit,
  });

const vapourFigure: Figure = (bars, { stage, name, station: s, centre }, number, unit) => {
  const inside = bars.isTall(s.vapourKgPerS);
  const fits = inside || (!bars.isTall(s.liquidKgPerS) && stage.kind !== 'outlet');
  if (!bars.vapourWritten.has(s.stageId) || !fits) return null;
  const aside = bars.narrow && s.caughtKgPerS > 0 && !inside;
  return figureText({
    stageId: s.stageId,
    name: 'vapour',
    label: `Vapour after ${name}`,
    x: aside ? centre - 2 : bars.leftOf(s, centre) + bars.width / 2,
    y: inside ? bars.at(s.vapourKgPerS) + 13 : bars.at(s.vapourKgPerS + s.liquidKgPerS) - 4,
    textAnchor: aside ? 'end' : 'middle',
    className: `font-normal ${inside ? 'fill-ink' : 'fill-quiet'}`,
    number: number(s.vapourKgPerS),
    unit,
  });
};

const dropsFigure: Figure = (bars, { name, station: s, centre }, number, unit) => {
  if (!bars.isTall(s.liquidKgPerS) || !bars.dropsWritten.has(s.stageId)) return null;
  const text = number(s.liquidKgPerS);
  return figureText({
    stageId: s.stageId,
    name: 'liquid',
    label: `Drops carried on from ${name}`,
    x: bars.leftOf(s, centre) + bars.width / 2,
    y: bars.at(s.vapourKgPerS + s.liquidKgPerS) + 13,
    textAnchor: 'middle',
    ...(bars.fits(text) ? { className: 'fill-on-strong' } : HALO),
    number: text,
    unit,
  });
};
