'use client';

import { memo, type ReactNode } from 'react';
import type { StationFigure } from '@/core/line/explain';
import { explainUnit } from '@/core/line/explain-unit';
import type { Station } from '@/core/line/section';
import { formatQuantity } from '@/core/quantity/format';
import { fromSi, unitOf } from '@/core/quantity/units';
import { axisOf } from '@/ui/chart/axis';
import { usePlan } from '@/ui/plan/plan-provider';
import { useUnits } from '@/ui/units/units';
import { figureText } from '@/ui/why/why';
import { Lane } from './lane';
import type { Row } from './rows';

const HEIGHT = 140;
const WORTH_A_LABEL = 0.002; // of the water in
const WORTH_REPEATING = 0.01; // of the water in: a figure that stands over the bar before need not stand here again

const DIGIT = 7; // px
/** A figure that is wider than its bar stands on two grounds: light on dark would lose its ends. */
const HALO = { className: 'fill-deep', paintOrder: 'stroke', stroke: 'var(--card)', strokeWidth: 3 } as const;

/** Per stage: vapour in the air, drops carried along on top of it, and beside them what the drain catches. */
export const LedgerLane = memo(function LedgerLane({ row }: { row: Row }) {
  const { plan, section } = usePlan();
  const { choice } = useUnits();
  const u = unitOf('waterFlow', choice.waterFlow);
  const inUnit = (kgPerS: number): number => fromSi(kgPerS, u, 0);
  // Every run on its own scale: a branch that takes a tenth of the air must be readable too.
  const waterIn = Math.max(
    ...row.reached.map((c) => c.station.vapourKgPerS + c.station.liquidKgPerS),
    ...row.reached.map((c) => c.station.caughtKgPerS),
  );
  if (row.reached.length === 0) return null;
  const { at: y, ticks } = axisOf(0, inUnit(waterIn) || 1, HEIGHT - 8, 18);
  const number = (kgPerS: number): string => formatQuantity(kgPerS, 'waterFlow', choice).number;
  const tall = (value: number): boolean => y(0) - y(value) > 17; // room for a figure inside the bar
  const bar = Math.min(30, (Math.min(...row.cells.map((c) => c.width)) - 16) / 2);
  const fits = (text: string): boolean => text.length * DIGIT < bar;
  const narrow = bar < 24; // then figures over neighbouring bars stand apart from the middle, not over each other
  const leftOf = (s: Station, centre: number): number => (s.caughtKgPerS > 0 ? centre - bar - 1 : centre - bar / 2);
  const at = (kgPerS: number): number => y(inUnit(kgPerS));
  /** Which stages carry a figure of their own: those where it is another than the last one written. */
  const written = (value: (s: Station) => number): ReadonlySet<string> => {
    let last = Number.NEGATIVE_INFINITY;
    const ids = row.reached.filter(({ station }) => {
      if (Math.abs(value(station) - last) < WORTH_REPEATING * waterIn) return false;
      last = value(station);
      return true;
    });
    return new Set(ids.map((c) => c.stage.id));
  };
  const vapourWritten = written((s) => s.vapourKgPerS);
  const dropsWritten = written((s) => s.liquidKgPerS);
  /** One path for all bars of a colour: they all move with every keystroke, and a browser counts what it has to draw. */
  const bars = (shape: (s: Station, centre: number) => { x: number; from: number; to: number }): string =>
    row.reached
      .map(({ station, centre }) => shape(station, centre))
      .map(({ x, from, to }) => (from > to ? `M${x} ${from}h${bar}V${to}h${-bar}z` : ''))
      .join('');
  return (
    <Lane
      title="Water ledger"
      unit={`${u.symbol} while loaded`}
      height={HEIGHT}
      row={row}
      ticks={ticks}
      y={y}
      figureOf={(stageId, name) => {
        const unit = name === 'caught' && row.cells.find((c) => c.stage.id === stageId)?.unit;
        return unit ? () => explainUnit(plan, section, unit) : { stageId, name: name as StationFigure };
      }}
      note={
        <ul className="mt-2 grid gap-0.5 text-[0.72rem] leading-tight text-quiet">
          <li className="flex items-center gap-1">
            <i className="size-2 shrink-0 bg-vapour" />
            vapour
          </li>
          <li className="flex items-center gap-1">
            <i className="size-2 shrink-0 bg-drops" />
            drops
          </li>
          <li className="flex items-center gap-1">
            <i className="size-2 shrink-0 bg-caught" />
            caught
          </li>
        </ul>
      }
    >
      <path
        d={bars((s, centre) => ({ x: leftOf(s, centre), from: y(0), to: at(s.vapourKgPerS) }))}
        className="fill-vapour"
      />
      <path
        d={bars((s, centre) => ({
          x: leftOf(s, centre),
          from: at(s.vapourKgPerS),
          to: at(s.vapourKgPerS + s.liquidKgPerS),
        }))}
        className="fill-drops"
      />
      <path
        d={bars((s, centre) => ({
          x: centre + 1,
          from: y(0),
          to: s.caughtKgPerS > 0 ? Math.min(at(s.caughtKgPerS), y(0) - 1) : y(0),
        }))}
        className="fill-caught"
      />
      <g className="text-[11.500px] font-semibold">
        {row.reached.flatMap(({ stage, name, station: s, centre }) => {
          const [vapour, drops, caught] = [s.vapourKgPerS, s.liquidKgPerS, s.caughtKgPerS].map(inUnit) as [
            number,
            number,
            number,
          ];
          const collects = s.caughtKgPerS > 0;
          const middle = leftOf(s, centre) + bar / 2;
          const own = { stageId: s.stageId };
          const texts: ReactNode[] = [];
          if (collects && s.caughtKgPerS > waterIn * WORTH_A_LABEL)
            texts.push(
              figureText({
                ...own,
                name: 'caught',
                label: `Caught at ${name}: why?`,
                x: narrow ? centre + 2 : centre + 1 + bar / 2,
                y: y(caught) - 4,
                textAnchor: narrow ? 'start' : 'middle',
                className: 'fill-caught',
                children: number(s.caughtKgPerS),
              }),
            );
          const inside = tall(vapour);
          if (vapourWritten.has(s.stageId) && (inside || (!tall(drops) && stage.kind !== 'outlet'))) {
            const aside = narrow && collects && !inside;
            texts.push(
              figureText({
                ...own,
                name: 'vapour',
                label: `Vapour after ${name}: why?`,
                x: aside ? centre - 2 : middle,
                y: inside ? y(vapour) + 13 : y(vapour + drops) - 4,
                textAnchor: aside ? 'end' : 'middle',
                className: `font-normal ${inside ? 'fill-ink' : 'fill-quiet'}`,
                children: number(s.vapourKgPerS),
              }),
            );
          }
          if (tall(drops) && dropsWritten.has(s.stageId))
            texts.push(
              figureText({
                ...own,
                name: 'liquid',
                label: `Drops carried on from ${name}: why?`,
                x: middle,
                y: y(vapour + drops) + 13,
                textAnchor: 'middle',
                ...(fits(number(s.liquidKgPerS)) ? { className: 'fill-on-strong' } : HALO),
                children: number(s.liquidKgPerS),
              }),
            );
          return texts;
        })}
      </g>
    </Lane>
  );
});
