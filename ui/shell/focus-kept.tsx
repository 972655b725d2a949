'use client';

import { useEffect } from 'react';

/** Where the focus was: its ancestors up to the content, each with the place among its siblings of what led to it. */
type Trail = readonly (readonly [parent: Element, place: number])[];

const STOPS = 'a[href], button:not([disabled]), input:not([disabled]), select, textarea, summary, [tabindex="0"]';

function trailOf(stop: Element, main: Element): Trail {
  const trail: [Element, number][] = [];
  for (let at = stop; at !== main && at.parentElement; at = at.parentElement)
    trail.push([at.parentElement, [...at.parentElement.children].indexOf(at)]);
  return trail;
}

/** What stands now where the focus was, or next before it; else the nearest heading, or the whole content. */
function nearest(trail: Trail, main: HTMLElement): HTMLElement {
  for (const [parent, place] of trail) {
    if (!parent.isConnected) continue;
    const children = [...parent.children];
    for (const child of [...children.slice(place), ...children.slice(0, place).reverse()]) {
      const stops = child.matches(STOPS) ? [child] : [...child.querySelectorAll(STOPS)];
      const stop = stops.find((s) => s.getClientRects().length > 0);
      if (stop instanceof HTMLElement) return stop;
    }
  }
  return main;
}

/** When what has the focus goes away, as a piece of advice that is applied or a stage that is removed, what is next to it gets it. */
export function FocusKept() {
  useEffect(() => {
    let held: { readonly stop: Element; readonly main: HTMLElement; readonly trail: Trail; path: string } | undefined;
    const hold = ({ target }: FocusEvent): void => {
      const main = target instanceof Element && target.closest<HTMLElement>('#main');
      if (main) held = { stop: target, main, trail: trailOf(target, main), path: window.location.pathname };
    };
    const drop = (): void => {
      held = undefined; // the person goes somewhere else
    };
    const watch = new MutationObserver(() => {
      if (!held || held.stop.isConnected || document.activeElement !== document.body) return;
      const { trail, main, path } = held;
      held = undefined;
      if (path === window.location.pathname) nearest(trail, main).focus({ preventScroll: true });
    });
    watch.observe(document.body, { childList: true, subtree: true });
    document.addEventListener('focusin', hold);
    document.addEventListener('pointerdown', drop);
    return () => {
      watch.disconnect();
      document.removeEventListener('focusin', hold);
      document.removeEventListener('pointerdown', drop);
    };
  }, []);
  return null;
}
