'use client';

import { Command } from 'cmdk';
import { useRouter } from 'next/navigation';
import { Dialog } from 'radix-ui';
import { useEffect, useState } from 'react';
import { useHistory } from '@/ui/plan/plan-provider';
import { useLines } from './use-lines';

/** Keys of the line's pages; a page adds its own by listening for `cool-dram:act`. */
const KEYS: readonly (readonly [key: string, does: string])[] = [
  ['S', 'Survey'],
  ['L', 'Line'],
  ['J', 'Advice: how the line is judged'],
  ['V', 'Compare versions and copies'],
  ['D', 'Compressor cycle'],
  ['R', 'Water: drains, the year, the week, winter'],
  ['T', 'Today: what is due'],
  ['G', 'Rounds'],
  ['B', 'Logbook'],
  ['H', 'Desiccant & elements: what is installed, and when it is exhausted'],
  ['W', 'Dew point'],
  ['E', 'Desiccant charge: how long it lasts, drying it'],
  ['Y', 'Dryer selection: every type for one duty'],
  ['I', 'Desiccant bed'],
  ['C', 'Catalogue of kinds'],
  ['A', 'Add a stage (on the line)'],
  ['[ and ]', 'Move the selected stage'],
  ['← and →', 'Select the stage before or after'],
  ['?', 'Why? for the figure in focus; else this list'],
  ['Ctrl K', 'Find or do anything'],
  ['Ctrl Z, Ctrl Shift Z', 'Undo, redo'],
];

export function isTyping(target: EventTarget | null): boolean {
  return (
    target instanceof HTMLElement &&
    target.closest('input, textarea, select, [contenteditable="true"], [role="slider"], [role="dialog"]') !== null
  );
}

/** Ctrl K finds and does; single letters go places; `?` lists the keys. */
export function Shortcuts({ planId }: { planId: string }) {
  const router = useRouter();
  const { undo, redo } = useHistory();
  const [open, setOpen] = useState<'find' | 'keys'>();
  const lines = useLines(open === 'find');
  const base = `/lines/${planId}`;
  useEffect(() => {
    const onKey = (event: KeyboardEvent): void => {
      const key = event.key.toLowerCase();
      if ((event.ctrlKey || event.metaKey) && key === 'k') {
        event.preventDefault();
        setOpen('find');
        return;
      }
      if (isTyping(event.target)) return;
      if ((event.ctrlKey || event.metaKey) && (key === 'z' || key === 'y')) {
        event.preventDefault();
        if (key === 'y' || event.shiftKey) redo();
        else undo();
        return;
      }
      if (event.ctrlKey || event.metaKey || event.altKey || event.defaultPrevented) return;
      const places: Record<string, string> = {
        s: `${base}/survey`,
        l: `${base}/line`,
        j: `${base}/advice`,
        v: `${base}/compare`,
        d: `${base}/day`,
        r: `${base}/water`,
        t: `${base}/today`,
        g: `${base}/rounds`,
        b: `${base}/logbook`,
        h: `${base}/charges`,
        w: `/dew-point?from=${planId}`,
        e: `/beads?from=${planId}`,
        y: `/dryers?from=${planId}`,
        i: `/bed?from=${planId}`,
        c: `/catalogue?from=${planId}`,
      };
      const place = places[key];
      if (place) router.push(place);
      else if (event.key === '?') setOpen('keys');
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [base, planId, router, undo, redo]);
  const go = (href: string) => () => {
    setOpen(undefined);
    router.push(href);
  };
  const item = 'cursor-pointer rounded-sm px-3 py-2 data-[selected=true]:bg-sunk';
  return (
    <Dialog.Root open={open !== undefined} onOpenChange={(o) => !o && setOpen(undefined)}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40 bg-ink/25" />
        <Dialog.Content
          aria-describedby={undefined}
          className="floating fixed top-[12vh] left-1/2 z-50 max-h-[76vh] w-[34rem] max-w-[94vw] -translate-x-1/2 overflow-auto p-2"
        >
          <Dialog.Title className={open === 'keys' ? 'p-2 text-[1.1rem] font-semibold' : 'sr-only'}>
            {open === 'keys' ? 'Keys' : 'Find or do'}
          </Dialog.Title>
          {open === 'keys' ? (
            <dl className="grid grid-cols-[auto_1fr] gap-x-6 gap-y-2 p-2">
              {KEYS.map(([key, does]) => (
                <div key={key} className="contents">
                  <dt>
                    <kbd className="rounded-sm border border-hairline px-1.5">{key}</kbd>
                  </dt>
                  <dd>{does}</dd>
                </div>
              ))}
            </dl>
          ) : (
            <Command label="Find or do">
              <Command.Input autoFocus placeholder="Find or do…" className="control mb-2" />
              <Command.List>
                <Command.Empty className="p-3 text-quiet">Nothing by that name.</Command.Empty>
                <Command.Item className={item} onSelect={go(`${base}/survey`)}>
                  Survey: conditions, compressor, jobs
                </Command.Item>
                <Command.Item className={item} onSelect={go(`${base}/line`)}>
                  Line: where the water condenses
                </Command.Item>
                <Command.Item className={item} onSelect={go(`${base}/advice`)}>
                  Advice: what is wrong, missing or dangerous, and how to fix it
                </Command.Item>
                <Command.Item className={item} onSelect={go(`${base}/compare`)}>
                  Compare: revisions, copies, differences, cost
                </Command.Item>
                <Command.Item className={item} onSelect={go(`${base}/day`)}>
                  Compressor cycle: starts, loads, what the drains pass
                </Command.Item>
                <Command.Item className={item} onSelect={go(`${base}/today`)}>
                  Today: what is overdue, due and drifting
                </Command.Item>
                <Command.Item className={item} onSelect={go(`${base}/rounds`)}>
                  Rounds: go on one, order the way
                </Command.Item>
                <Command.Item className={item} onSelect={go(`${base}/water`)}>
                  Water: set the drains for today
                </Command.Item>
                <Command.Item className={item} onSelect={go(`${base}/water/year`)}>
                  Water through the year, hour by hour
                </Command.Item>
                <Command.Item className={item} onSelect={go(`${base}/water/week`)}>
                  This week: what to set before the humid day
                </Command.Item>
                <Command.Item className={item} onSelect={go(`${base}/water/weather`)}>
                  Weather: import a year, choose one
                </Command.Item>
                <Command.Item className={item} onSelect={go(`${base}/logbook`)}>
                  Log a drain
                </Command.Item>
                <Command.Item className={item} onSelect={go(`/dew-point?from=${planId}`)}>
                  Convert a dew point or humidity
                </Command.Item>
                <Command.Item className={item} onSelect={go(`${base}/charges`)}>
                  Desiccant & elements: what is installed, and when it is exhausted
                </Command.Item>
                <Command.Item className={item} onSelect={go(`/bed?from=${planId}`)}>
                  Desiccant bed: front, temperature, outlet air
                </Command.Item>
                <Command.Item className={item} onSelect={go(`/dryers?from=${planId}`)}>
                  Dryer selection: types side by side
                </Command.Item>
                <Command.Item className={item} onSelect={go(`/beads?from=${planId}`)}>
                  Desiccant charge: size a cartridge, dry a charge
                </Command.Item>
                <Command.Item className={item} onSelect={go(`/catalogue?from=${planId}`)}>
                  Catalogue: what each kind does, and where its values come from
                </Command.Item>
                <Command.Item
                  className={item}
                  onSelect={() => {
                    setOpen(undefined);
                    undo();
                  }}
                >
                  Undo
                </Command.Item>
                <Command.Item
                  className={item}
                  onSelect={() => {
                    setOpen(undefined);
                    redo();
                  }}
                >
                  Redo
                </Command.Item>
                <Command.Item className={item} onSelect={() => setOpen('keys')}>
                  Show the keys
                </Command.Item>
                {lines?.map((line) => (
                  <Command.Item
                    key={line.id}
                    value={`${line.shop} ${line.name} ${line.id}`}
                    className={item}
                    onSelect={go(`/lines/${line.id}/today`)}
                  >
                    Open {line.shop} · {line.name}
                  </Command.Item>
                ))}
                <Command.Item className={item} onSelect={go('/')}>
                  Start page
                </Command.Item>
              </Command.List>
            </Command>
          )}
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
