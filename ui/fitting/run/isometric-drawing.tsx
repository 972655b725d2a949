'use client';

import { type Ref, useMemo } from 'react';
import { type Drawing, isometric, type Piece } from '@/core/fitting/drawing';
import { DIRECTIONS, type Point } from '@/core/piping/legs';
import { FOOT } from '@/core/quantity/constants';
import { fromSi, unitOf } from '@/core/quantity/units';
import { useUnits } from '@/ui/units/units';
import { LegHandle } from './leg-handle';
import { apart, besides, printOf, sheetOf } from './sheet-of';

/** A piece shorter than this has no room for its length, px. */
const ROOM_FOR_LENGTH = 56;
/** More supports than this are shown of the chosen pipe alone. */
const MOST_SUPPORTS = 40;

/** The line as a single-line isometric: legs to scale with their lengths and falls, things by number, drains, heights. */
export function IsometricDrawing({
  drawing,
  names,
  chosen,
  onChoose,
  onStretch,
  svg,
}: {
  drawing: Drawing;
  names: ReadonlyMap<string, string>;
  chosen: string | undefined;
  onChoose: (stageId: string) => void;
  /** Another length of a leg of the chosen stage; nothing where it cannot be drawn. */
  onStretch: ((leg: number, lengthM: number) => void) | undefined;
  svg: Ref<SVGSVGElement>;
}) {
  const { say, number, choice } = useUnits();
  const unit = unitOf('length', choice.length);
  // As a tape is read: to the centimetre, on a long run to the decimetre.
  const dimension = (m: number): string => `${number(fromSi(m, unit, 0), m < 10 ? 2 : 1)} ${unit.symbol}`;
  const sheet = useMemo(() => sheetOf(drawing), [drawing]);
  const { scale, widthMm } = printOf(sheet);
  const { at } = sheet;
  const places = useMemo(() => apart(drawing.marks.map((m) => sheet.at(m.at))), [drawing, sheet]);
  const heights = useMemo(
    () =>
      besides(
        drawing.ends.map((e) => sheet.at(e.at)),
        places,
      ),
    [drawing, sheet, places],
  );
  // On a plant those of what is chosen: all of them would hide the pipes.
  const supports =
    drawing.supports.length > MOST_SUPPORTS ? drawing.supports.filter((s) => s.stageId === chosen) : drawing.supports;
  const numbered = useMemo(
    () =>
      new Set(
        drawing.pieces
          .filter(
            (p) =>
              p.leg === 0 &&
              drawing.marks.some((m) => m.stageId === p.stageId && m.at !== p.to && same(m.at, middle(p))),
          )
          .map((p) => `${p.stageId} 0`),
      ),
    [drawing],
  );
  const bar = barOf(sheet.pxPerM, choice.length === 'ft' ? FOOT : 1);
  return (
    <svg
      ref={svg}
      viewBox={`0 0 ${sheet.width} ${sheet.height}`}
      className="block w-full min-w-[62rem] print:min-w-0"
      style={{ '--print-width': `${widthMm}mm` } as React.CSSProperties}
      data-run-drawing
      role="group"
      aria-label={`Isometric drawing: ${drawing.marks.length} things, ${drawing.pieces.length} pieces of pipe, tube and hose`}
    >
      <g fontSize="12" fill="var(--ink)">
        {drawing.pieces.map((p) => (
          <PieceOf
            key={`${p.stageId} ${p.leg} ${p.from}`}
            piece={p}
            at={at}
            chosen={p.stageId === chosen}
            marked={numbered.has(`${p.stageId} ${p.leg}`)}
            say={dimension}
          />
        ))}
        {supports.map((s, i) => {
          const [x, y] = at(s.at);
          // biome-ignore lint/suspicious/noArrayIndexKey: two pipes may be held at one point
          return <path key={i} d={`M${x} ${y}l4 7h-8z`} fill="var(--quiet)" />;
        })}
        {drawing.marks.map((m, i) => {
          const [[x1, y1], [x2, y2]] = [at(m.at), places[i] ?? at(m.at)];
          return y1 === y2 && x1 === x2 ? null : (
            <line key={m.stageId} {...{ x1, y1, x2, y2 }} stroke="var(--edge)" strokeDasharray="2 2" />
          );
        })}
        {[...drawing.past, ...drawing.marks.map((m) => [m.from, m.at] as const)].map(([a, b]) => {
          const [[x1, y1], [x2, y2]] = [at(a), at(b)];
          return <line key={`${a} ${b}`} {...{ x1, y1, x2, y2 }} stroke="var(--edge)" strokeWidth="1.2" />;
        })}
        {drawing.marks.map(({ stageId, item, at: where, isJob }, i) => {
          const [x, y] = places[i] ?? at(where);
          const here = stageId === chosen;
          return (
            <g
              key={stageId}
              role="button"
              tabIndex={0}
              aria-label={`${item} ${names.get(stageId)}`}
              aria-pressed={here}
              onClick={() => onChoose(stageId)}
              onKeyDown={(e) => e.key === 'Enter' && onChoose(stageId)}
              className="cursor-pointer"
            >
              <title>{names.get(stageId)}</title>
              {isJob ? (
                <rect
                  x={x - 12}
                  y={y - 12}
                  width="24"
                  height="24"
                  rx="3"
                  fill={here ? 'var(--ink)' : 'var(--card)'}
                  stroke="var(--ink)"
                  strokeWidth="1.4"
                />
              ) : (
                <circle
                  cx={x}
                  cy={y}
                  r="12"
                  fill={here ? 'var(--ink)' : 'var(--card)'}
                  stroke="var(--ink)"
                  strokeWidth="1.4"
                />
              )}
              <text
                x={x}
                y={y + 4}
                textAnchor="middle"
                fontSize="11"
                fontWeight="600"
                fill={here ? 'var(--paper)' : 'var(--ink)'}
              >
                {item}
              </text>
            </g>
          );
        })}
        {drawing.ends.map(({ run, at: where }, i) => {
          const [x, y] = heights[i] ?? at(where);
          return (
            <text key={run} x={x} y={y + 4} textAnchor="middle" fontSize="11" fill="var(--quiet)">
              {Math.abs(where[2]) < 0.005 ? '±' : where[2] < 0 ? '−' : '+'}
              {dimension(Math.abs(where[2]))}
            </text>
          );
        })}
        {onStretch &&
          drawing.pieces
            .filter((p) => p.stageId === chosen && p.drawn)
            .map((p) => <LegHandle key={p.leg} piece={p} sheet={sheet} onStretch={(m) => onStretch(p.leg, m)} />)}
        <North />
        <g transform={`translate(24 ${sheet.height - 22})`}>
          <path d={`M0 0v6H${Math.round(bar * sheet.pxPerM)}V0`} fill="none" stroke="var(--ink)" />
          <text x="0" y="-5" fontSize="11" fill="var(--quiet)">
            {say(bar, 'length')} along each axis · prints 1:{scale}
            {drawing.supports.length > 0 && ` · ▲ ${drawing.supports.length} supports`}
          </text>
        </g>
      </g>
    </svg>
  );
}

const middle = ({ from, to }: Piece): Point => from.map((x, i) => (x + (to[i] as number)) / 2) as unknown as Point;
const same = (a: Point, b: Point): boolean => a.every((x, i) => Math.abs(x - (b[i] as number)) < 1e-9);

/** A round length that is long enough to read off, m. */
function barOf(pxPerM: number, unitM: number): number {
  return ([1, 2, 5, 10, 20, 50, 100, 200].find((n) => n * unitM * pxPerM >= 70) ?? 500) * unitM;
}

function PieceOf({
  piece,
  at,
  chosen,
  marked,
  say,
}: {
  piece: Piece;
  at: (p: Point) => readonly [number, number];
  chosen: boolean;
  /** Whether its number stands on its middle. */
  marked: boolean;
  say: (m: number) => string;
}) {
  const [[x1, y1], [x2, y2]] = [at(piece.from), at(piece.to)];
  const long = Math.hypot(x2 - x1, y2 - y1);
  const [mx, my] = [Math.round((x1 + x2) / 2), Math.round((y1 + y2) / 2)];
  // The words lie along the leg, never upside down, on its upper side.
  const turn = Math.round((Math.atan2(y2 - y1, x2 - x1) * 180) / Math.PI);
  const upright = turn >= 90 || turn < -90 ? turn + 180 : turn;
  const slope = piece.fall === 0 ? '' : ` · ${Number((piece.fall * 100).toFixed(1))} %`.replace('-', '−');
  return (
    <g>
      <line
        {...{ x1, y1, x2, y2 }}
        stroke="var(--copper)"
        strokeWidth={chosen ? 4 : 2.5}
        strokeLinecap="round"
        strokeDasharray={piece.drawn ? undefined : '7 5'}
      />
      {(long > ROOM_FOR_LENGTH || chosen) && (
        <text x={mx} y={my - (marked ? 16 : 7)} textAnchor="middle" transform={`rotate(${upright} ${mx} ${my})`}>
          {say(piece.lengthM)}
          {slope}
        </text>
      )}
      {piece.drain && (
        <g>
          <path d={`M${x2} ${y2}l-12 8v5`} fill="none" stroke="var(--deep)" strokeWidth="1.6" />
          <path d={`M${x2 - 18} ${y2 + 13}h12l-6 9z`} fill="var(--deep)" />
        </g>
      )}
    </g>
  );
}

const ARROW_PX = 34;

/** Which way north is on the drawing. */
function North() {
  const [x, y] = isometric(DIRECTIONS.north.is);
  const [tx, ty] = [Math.round(x * ARROW_PX), Math.round(-y * ARROW_PX)];
  return (
    <g transform="translate(28 56)" stroke="var(--ink)" fill="none" strokeWidth="1.4">
      <path d={`M0 0L${tx} ${ty}`} />
      <path d={`M${tx} ${ty}l-9 .5M${tx} ${ty}l-4.500 8`} />
      <text x={tx + 4} y={ty - 4} fontSize="12" fontWeight="600" fill="var(--ink)" stroke="none">
        N
      </text>
    </g>
  );
}
