'use client';

import dynamic from 'next/dynamic';
import {
  type KeyboardEvent,
  type MouseEvent,
  type ReactNode,
  type RefObject,
  type SVGProps,
  useRef,
  useState,
} from 'react';
import type { StationFigure } from '@/core/line/explain';
import type { Questioned } from './answer';

const asks = (event: KeyboardEvent): boolean => ['?', 'Enter', ' '].includes(event.key);

/** Keeps a key from what else listens to it: the page’s shortcuts. */
function swallow(event: KeyboardEvent): void {
  event.preventDefault();
  event.stopPropagation();
  event.nativeEvent.stopImmediatePropagation();
}

/** Fetched at the first question. */
const Answer = dynamic(() => import('./answer').then((m) => m.Answer), { ssr: false });

/** A figure that answers “why?”: click it, or focus it and press `?`. */
export function Why({ figure, children, className }: { figure: Questioned; children: ReactNode; className?: string }) {
  const [open, setOpen] = useState(false); // the answer is made only while it is open
  const anchor = useRef<HTMLButtonElement>(null);
  return (
    <>
      <button
        ref={anchor}
        type="button"
        aria-haspopup="dialog"
        aria-expanded={open}
        className={`hit-target decoration-edge decoration-dotted underline-offset-4 hover:underline ${className ?? ''}`}
        onKeyDown={(e) => {
          if (!asks(e)) return;
          swallow(e);
          setOpen(true);
        }}
        onClick={() => setOpen(true)}
        title="Why?"
      >
        {children}
      </button>
      {open && <Answer figure={figure} anchor={anchor} setOpen={setOpen} />}
    </>
  );
}

/** A number of a drawing, by whose it is and what it tells. */
export type DrawnFigure = StationFigure | 'purity';

const figureIn = (target: EventTarget): SVGTextElement | null => (target as Element).closest('text[data-figure]');

/** From the centre of a figure so far is a click meant for it: half of 24 px (WCAG 2.2, 2.5.8). */
const NEAR_PX = 12;
/** The figure next to a click: a number is not as high as a finger is wide. */
function figureNear({ currentTarget, clientX, clientY }: MouseEvent<SVGSVGElement>): SVGTextElement | null {
  const near = [...currentTarget.querySelectorAll<SVGTextElement>('text[data-figure]')].flatMap((text) => {
    const { left, right, top, bottom } = text.getBoundingClientRect();
    const off = Math.abs((top + bottom) / 2 - clientY);
    return left <= clientX && clientX <= right && off <= NEAR_PX ? [{ text, off }] : [];
  });
  const [nearest] = near.sort((a, b) => a.off - b.off);
  return nearest?.text ?? null;
}

/**
 * A drawing whose numbers ({@link figureText}) answer “why?”. It listens for all of them: there are hundreds, and they move with
 * every keystroke.
 */
export function WhyDrawing({
  figureOf = (stageId, name) => ({ stageId, name: name as StationFigure }),
  label,
  children,
  ...svg
}: {
  figureOf?: ((stageId: string, name: DrawnFigure) => Questioned) | undefined;
  label: string;
} & SVGProps<SVGSVGElement>) {
  const [asked, ask] = useState<{ figure: Questioned; anchor: RefObject<Element | null> }>();
  const open = (text: SVGTextElement | null): boolean => {
    if (!text) return false;
    const { stageId = '', figure } = text.dataset;
    ask({ figure: figureOf(stageId, figure as DrawnFigure), anchor: { current: text } });
    return true;
  };
  return (
    <>
      <svg
        {...svg}
        role="group"
        aria-label={label}
        onClick={(e) => open(figureIn(e.target) ?? figureNear(e))}
        onKeyDown={(e) => asks(e) && open(figureIn(e.target)) && swallow(e)}
      >
        {children}
      </svg>
      {asked && <Answer {...asked} setOpen={() => ask(undefined)} />}
    </>
  );
}

/**
 * A number in a {@link WhyDrawing}, named by what it is of and its unit. No stop of the tab key: the arrows of the drawing lead
 * to it. A function, not a component: there are hundreds, and nearly all change with every keystroke.
 */
export function figureText({
  stageId,
  name,
  label,
  unit = '',
  number,
  className,
  ...text
}: {
  stageId: string;
  name: DrawnFigure;
  label: string;
  unit?: string;
  number: string;
} & SVGProps<SVGTextElement>): ReactNode {
  return (
    <text
      key={`${name} ${stageId}`}
      {...text}
      data-figure={name}
      data-stage-id={stageId}
      role="button"
      tabIndex={-1}
      aria-label={`${label}: ${number} ${unit}`.trim()}
      aria-haspopup="dialog"
      className={`cursor-help hover:underline ${className ?? ''}`}
    >
      {number}
    </text>
  );
}
