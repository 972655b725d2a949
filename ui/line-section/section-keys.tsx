'use client';

import { useDndContext } from '@dnd-kit/core';
import type { KeyboardEvent, ReactNode } from 'react';

/** What the arrows do: so many places along a row, or so many rows on. */
const STEPS: Readonly<Record<string, { along: number } | { across: number }>> = {
  ArrowLeft: { along: -1 },
  ArrowRight: { along: 1 },
  ArrowUp: { across: -1 },
  ArrowDown: { across: 1 },
};

type Stop = HTMLElement | SVGElement;
const centreOf = (stop: Stop): number => {
  const { left, width } = stop.getBoundingClientRect();
  return left + width / 2;
};

/** Where an arrow leads from what has the focus: along its row (`data-row`), or to the nearest of the row above or below. */
function stopAfter(box: Element, from: Stop, step: { along: number } | { across: number }): Stop | undefined {
  const rows = [...box.querySelectorAll('[data-row]')]
    .map((row) => [...row.querySelectorAll<Stop>('button, [data-figure]')].sort((a, b) => centreOf(a) - centreOf(b)))
    .filter((row) => row.length > 0);
  const at = rows.findIndex((row) => row.includes(from));
  if ('along' in step) return rows[at]?.[rows[at].indexOf(from) + step.along];
  const x = centreOf(from);
  const off = (stop: Stop): number => Math.abs(centreOf(stop) - x);
  return rows[at + step.across]?.toSorted((a, b) => off(a) - off(b))[0];
}

/**
 * The section of the line as one stop of the tab key, at the stage that is chosen. Arrows go on from there: along the stages,
 * which chooses them, and down to the figures.
 */
export function SectionKeys({ width, children }: { width: number; children: ReactNode }) {
  const { active } = useDndContext(); // then the arrows move what is lifted
  const go = (event: KeyboardEvent<HTMLDivElement>): void => {
    const step = STEPS[event.key];
    const from = (event.target as Element).closest<Stop>('button, [data-figure]');
    if (!step || !from?.closest('[data-row]') || active || event.altKey || event.ctrlKey || event.metaKey) return;
    event.preventDefault();
    event.stopPropagation();
    event.nativeEvent.stopImmediatePropagation(); // the page listens for arrows too
    const next = stopAfter(event.currentTarget, from, step);
    next?.focus();
    if (next instanceof HTMLElement && next.dataset.stage !== undefined) next.click();
  };
  return (
    // biome-ignore lint/a11y/noStaticElementInteractions: it listens for what its buttons and figures do not take
    <div data-keys style={{ width }} onKeyDown={go}>
      {children}
    </div>
  );
}
