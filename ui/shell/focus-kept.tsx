'use client';

import { useEffect } from 'react';

/** Where the focus was: its ancestors up to the content, each with the place among its siblings of what led to it. */
type Trail = readonly (readonly [parent: Element, place: number])[];

interface Held {
  readonly stop: HTMLElement;
  /** Disabled while it is sent, as the button of a form: a browser takes the focus from it. */
  rests: boolean;
  readonly main: HTMLElement;
  readonly trail: Trail;
  readonly path: string;
}

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

/**
 * When what has the focus goes away, as a piece of advice that is applied or a stage that is removed, what is next to it gets it;
 * what was disabled for a moment gets it back.
 */
export function FocusKept() {
  useEffect(() => {
    let held: Held | undefined;
    const hold = ({ target }: FocusEvent): void => {
      const main = target instanceof Element && target.closest<HTMLElement>('#main');
      if (main)
        held = {
          stop: target as HTMLElement,
          rests: false,
          main,
          trail: trailOf(target, main),
          path: window.location.pathname,
        };
    };
    const drop = (): void => {
      held = undefined; // the person goes somewhere else
    };
    const watch = new MutationObserver(() => {
      if (!held || document.activeElement !== document.body) return;
      if (held.stop.matches(':disabled')) held.rests = true;
      else if (held.stop.isConnected && held.rests) held.stop.focus({ preventScroll: true });
      if (held.stop.isConnected) return;
      const { trail, main, path } = held;
      held = undefined;
      if (path === window.location.pathname) nearest(trail, main).focus({ preventScroll: true });
    });
    watch.observe(document.body, { childList: true, subtree: true, attributeFilter: ['disabled'] });
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
