'use client';

import { useEffect } from 'react';
import { tinykeys } from 'tinykeys';
import { letterKeysOn } from './letter-keys';

/** What keys do besides going to a place: the keys, how they are shown, and what they do. */
export const ACTS = {
  addStage: { keys: ['a'], shown: 'A', does: 'Add a stage (on the line)' },
  moveBack: { keys: ['['], shown: '[', does: 'Move the selected stage upstream' },
  moveOn: { keys: [']'], shown: ']', does: 'Move the selected stage downstream' },
  back: { keys: ['ArrowLeft'], shown: '←', does: 'Select the stage upstream' },
  on: { keys: ['ArrowRight'], shown: '→', does: 'Select the stage downstream' },
  runAbove: { keys: ['ArrowUp'], shown: '↑', does: 'Select the run above' },
  runBelow: { keys: ['ArrowDown'], shown: '↓', does: 'Select the run below' },
  listKeys: { keys: ['?', 'Shift+?'], shown: '?', does: 'Why? for the figure in focus; else this list' },
  find: { keys: ['$mod+k'], shown: 'Ctrl K', does: 'Find or do anything' },
  undo: { keys: ['$mod+z'], shown: 'Ctrl Z', does: 'Undo' },
  redo: { keys: ['$mod+Shift+z', '$mod+y'], shown: 'Ctrl Shift Z', does: 'Redo' },
} as const;
export type Act = keyof typeof ACTS;

const within = (target: EventTarget | null, selector: string): boolean =>
  target instanceof Element && target.closest(selector) !== null;
const isTyping = (target: EventTarget | null): boolean =>
  within(target, 'input, textarea, select, [contenteditable="true"], [role="slider"], [role="dialog"]');
/** A control keeps letters for itself, but for the stages of a section, which `a` and the brackets are about. */
const isControl = (target: EventTarget | null): boolean =>
  within(target, 'button, a, summary, [role="button"], [role="menu"], [role="listbox"]') &&
  !within(target, '[data-keys]');

type OnKey = (event: KeyboardEvent) => void;

/**
 * What keys do while a component stands; not while somebody types, but for the search. Single characters can be switched off,
 * and do nothing where a control has the focus.
 * @param keys further keys, by the letter
 */
export function useKeys(acts: Partial<Record<Act, OnKey>>, keys: Readonly<Record<string, OnKey>> = {}): void {
  useEffect(() => {
    const bound: Record<string, OnKey> = {};
    const bind = (key: string, does: OnKey, whileTyping: boolean): void => {
      const isCharacter = key.length === 1 || key === 'Shift+?';
      bound[key] = (event) => {
        if (event.defaultPrevented || (!whileTyping && isTyping(event.target))) return;
        if (isCharacter && (!letterKeysOn() || isControl(event.target))) return;
        event.preventDefault();
        does(event);
      };
    };
    for (const [key, does] of Object.entries(keys)) bind(key, does, false);
    for (const [act, does] of Object.entries(acts))
      for (const key of ACTS[act as Act].keys) bind(key, does, act === 'find');
    return tinykeys(window, bound, { ignore: (event) => event.isComposing });
  });
}
