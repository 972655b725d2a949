'use client';

import { useTheme } from 'next-themes';
import { type KeyboardEvent, type PointerEvent, type RefObject, useEffect, useRef, useState } from 'react';
import { MONTHS, sayHour } from '@/core/year/calendar';
import type { Series } from '@/core/year/series';
import { useUnits } from '@/ui/units/units';
import { rampOf } from './ramp';

const HOURS = 24;
const SHUT = 0.3; // how much of its colour an hour has in which nobody works

export interface MapMark {
  readonly day: number;
  readonly label: string;
}

/**
 * A quantity hour by hour: a column a day, a row an hour of the clock; paler where nobody works. An hour is chosen by
 * pointing, or with the arrow keys.
 */
export function DayMap({
  series,
  load,
  marks = [],
  todayHour,
  onChoose,
  dayLabel,
}: {
  series: Series;
  load: Float32Array;
  marks?: readonly MapMark[];
  todayHour?: number | undefined;
  onChoose?: ((hour: number) => void) | undefined;
  /** For stretches that are no year: what a column is called. */
  dayLabel?: ((day: number) => string) | undefined;
}) {
  const { say } = useUnits();
  const [at, setAt] = useState<number>();
  const { values } = series;
  const days = Math.ceil(values.length / HOURS);
  const [smallest, most] = ends(values);
  const least = series.isWater ? 0 : smallest;
  const canvas = usePainted(series, load, least, most, days);
  const hourUnder = (event: PointerEvent<HTMLElement>): number => {
    const box = event.currentTarget.getBoundingClientRect();
    const day = Math.min(days - 1, Math.max(0, Math.floor(((event.clientX - box.left) / box.width) * days)));
    const hour = Math.min(23, Math.max(0, Math.floor(((event.clientY - box.top) / box.height) * HOURS)));
    return Math.min(values.length - 1, day * HOURS + hour);
  };
  const onKey = (event: KeyboardEvent): void => {
    const step = { ArrowLeft: -24, ArrowRight: 24, ArrowUp: -1, ArrowDown: 1 }[event.key];
    if (event.key === 'Enter' && at !== undefined) onChoose?.(at);
    if (step === undefined) return;
    event.preventDefault();
    setAt((h) => Math.min(values.length - 1, Math.max(0, (h ?? todayHour ?? 0) + step * (event.shiftKey ? 7 : 1))));
  };
  const words = (h: number): string => {
    const value = values[h] as number;
    const when = dayLabel ? `${dayLabel(Math.floor(h / 24))}, ${String(h % 24).padStart(2, '0')}:00` : sayHour(h);
    const shut = (load[h] as number) > 0 ? '' : ', nobody works';
    return `${when}: ${Number.isNaN(value) ? 'not calculated' : value === Number.POSITIVE_INFINITY ? 'drops arrive' : say(value, series.quantity)}${shut}`;
  };
  return (
    <figure className="min-w-0">
      <div className="grid grid-cols-[1.6rem_1fr] gap-x-1.5">
        <div className="relative text-right text-[0.72rem] text-quiet" aria-hidden>
          {[0, 6, 12, 18].map((h) => (
            <span key={h} className="absolute right-0 -translate-y-1/2" style={{ top: `${(100 * h) / 24}%` }}>
              {String(h).padStart(2, '0')}
            </span>
          ))}
        </div>
        <div
          role="slider"
          tabIndex={0}
          aria-label={`${series.name}, hour by hour`}
          aria-valuemin={0}
          aria-valuemax={values.length - 1}
          aria-valuenow={at ?? todayHour ?? 0}
          aria-valuetext={words(at ?? todayHour ?? 0)}
          className={`relative h-36 ${onChoose ? 'cursor-crosshair' : ''}`}
          onPointerMove={(e) => setAt(hourUnder(e))}
          onPointerLeave={() => setAt(undefined)}
          onClick={(e) => onChoose?.(hourUnder(e as unknown as PointerEvent<HTMLElement>))}
          onKeyDown={onKey}
        >
          <canvas
            ref={canvas}
            width={days}
            height={HOURS}
            className="absolute inset-0 size-full [image-rendering:pixelated]"
          />
          {marks.map((m) => (
            <i
              key={`${m.day}${m.label}`}
              className="absolute -top-1 -bottom-1 w-px bg-copper"
              style={{ left: `${(100 * m.day) / days}%` }}
              aria-hidden
            />
          ))}
          {todayHour !== undefined && (
            <i
              className="absolute -top-1 -bottom-1 w-1 border-x border-ink"
              style={{ left: `${(100 * Math.floor(todayHour / 24)) / days}%` }}
              aria-hidden
            />
          )}
          {at !== undefined && (
            <i
              className="pointer-events-none absolute size-2 -translate-x-1/2 -translate-y-1/2 border-2 border-ink bg-paper"
              style={{
                left: `${(100 * (Math.floor(at / 24) + 0.5)) / days}%`,
                top: `${(100 * ((at % 24) + 0.5)) / 24}%`,
              }}
              aria-hidden
            />
          )}
        </div>
        <DayNames days={days} dayLabel={dayLabel} />
        <MarkNames marks={marks} todayHour={todayHour} days={days} />
      </div>
      <figcaption className="mt-1 flex flex-wrap items-center gap-x-4 gap-y-1 text-[0.8rem] text-quiet">
        <Legend
          least={say(least, series.quantity)}
          most={Number.isFinite(most) ? say(most, series.quantity) : 'drops'}
        />
        <span>paler: nobody works</span>
        <output className="ml-auto font-medium text-ink" aria-live="off">
          {at !== undefined && words(at)}
          {at !== undefined && onChoose && (
            <span className="font-normal text-quiet"> · press to see the line then</span>
          )}
        </output>
      </figcaption>
    </figure>
  );
}

/** Least and greatest of what is finite. */
function ends(values: ArrayLike<number>): [number, number] {
  let [least, most] = [Number.POSITIVE_INFINITY, Number.NEGATIVE_INFINITY];
  for (let h = 0; h < values.length; h++) {
    const v = values[h] as number;
    if (!Number.isFinite(v)) continue;
    if (v < least) least = v;
    if (v > most) most = v;
  }
  return least <= most ? [least, most] : [0, 0];
}

/** A canvas with the hours in the colours of the theme. */
function usePainted(
  { values }: Series,
  load: Float32Array,
  least: number,
  most: number,
  days: number,
): RefObject<HTMLCanvasElement | null> {
  const { resolvedTheme } = useTheme();
  const canvas = useRef<HTMLCanvasElement>(null);
  // biome-ignore lint/correctness/useExhaustiveDependencies: the theme changes the colours that are read from the page
  useEffect(() => {
    const element = canvas.current;
    const ctx = element?.getContext('2d');
    if (!element || !ctx) return;
    const ramp = rampOf(element);
    const paper = getComputedStyle(element).getPropertyValue('--paper').trim();
    const ground = [1, 3, 5].map((k) => Number.parseInt(paper.slice(k, k + 2), 16));
    const image = ctx.createImageData(days, HOURS);
    for (let h = 0; h < values.length; h++) {
      const value = values[h] as number;
      const share = value === Number.POSITIVE_INFINITY ? 1 : most > least ? (value - least) / (most - least) : 0;
      const colour = Number.isNaN(value) ? ground : ramp(share);
      const open = (load[h] as number) > 0 ? 1 : SHUT;
      const k = 4 * ((h % HOURS) * days + Math.floor(h / HOURS));
      for (let c = 0; c < 3; c++)
        image.data[k + c] = (ground[c] as number) + ((colour[c] as number) - (ground[c] as number)) * open;
      image.data[k + 3] = 255;
    }
    ctx.putImageData(image, 0, 0);
  }, [values, load, least, most, days, resolvedTheme]);
  return canvas;
}

function DayNames({ days, dayLabel }: { days: number; dayLabel: ((day: number) => string) | undefined }) {
  return (
    <div className="relative col-start-2 mt-1 h-4 text-[0.72rem] text-quiet" aria-hidden>
      {dayLabel
        ? Array.from({ length: days }, (_, d) => (
            <span key={dayLabel(d)} className="absolute" style={{ left: `${(100 * d) / days}%` }}>
              {dayLabel(d)}
            </span>
          ))
        : MONTHS.map((m, i) => (
            <span key={m} className="absolute" style={{ left: `${(100 * i) / 12}%` }}>
              {m}
            </span>
          ))}
    </div>
  );
}

function MarkNames({
  marks,
  todayHour,
  days,
}: {
  marks: readonly MapMark[];
  todayHour: number | undefined;
  days: number;
}) {
  if (marks.length === 0 && todayHour === undefined) return null;
  return (
    <div className="relative col-start-2 h-4 text-[0.74rem]" aria-hidden>
      {todayHour !== undefined && (
        <span
          className="absolute -translate-x-1/2 font-semibold"
          style={{ left: `${Math.min(96, Math.max(4, (100 * Math.floor(todayHour / 24)) / days))}%` }}
        >
          today
        </span>
      )}
      {marks.map((m) => (
        <span
          key={`${m.day}${m.label}`}
          className={`absolute whitespace-nowrap text-copper ${m.day > days * 0.75 ? '-translate-x-full pr-1' : 'pl-1'}`}
          style={{ left: `${(100 * m.day) / days}%` }}
        >
          {m.label}
        </span>
      ))}
    </div>
  );
}

/** The colours from the least to the most. */
function Legend({ least, most }: { least: string; most: string }) {
  return (
    <span className="flex items-center gap-2">
      {least}
      <i
        className="inline-block h-2.5 w-28 rounded-sm"
        style={{
          background: 'linear-gradient(90deg, var(--wet-0), var(--wet-1), var(--wet-2), var(--wet-3), var(--wet-4))',
        }}
        aria-hidden
      />
      {most}
    </span>
  );
}
