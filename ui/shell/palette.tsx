'use client';

import { Command } from 'cmdk';
import { useRouter } from 'next/navigation';
import { Dialog } from 'radix-ui';
import { useState } from 'react';
import { useHistory } from '@/ui/plan/plan-provider';
import { LetterKeysChoice } from './letter-keys';
import { hrefOf, PLACES } from './places';
import { ACTS } from './use-keys';
import { useLines } from './use-lines';

/** The search for screens, lines and actions, or the list of keys. */
export function Palette({
  planId,
  open,
  setOpen,
}: {
  planId: string;
  open: 'find' | 'keys';
  setOpen: (open: 'find' | 'keys' | undefined) => void;
}) {
  const router = useRouter();
  const [before] = useState(() => document.activeElement); // has the focus again when this closes
  const { undo, redo } = useHistory();
  const lines = useLines(open === 'find');
  const go = (href: string) => () => {
    setOpen(undefined);
    router.push(href);
  };
  const item = 'cursor-pointer rounded-sm px-3 py-2 data-[selected=true]:bg-sunk';
  return (
    <Dialog.Root open onOpenChange={(o) => !o && setOpen(undefined)}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40 bg-ink/25" />
        <Dialog.Content
          aria-describedby={undefined}
          onCloseAutoFocus={() => (before as HTMLOrSVGElement | null)?.focus({ preventScroll: true })}
          className="floating fixed top-[12vh] left-1/2 z-50 max-h-[76vh] w-[40rem] max-w-[94vw] -translate-x-1/2 overflow-auto p-2"
        >
          <Dialog.Title className={open === 'keys' ? 'p-2 text-[1.1rem] font-semibold' : 'sr-only'}>
            {open === 'keys' ? 'Keys' : 'Find or do'}
          </Dialog.Title>
          {open === 'keys' ? (
            <div className="grid gap-x-8 gap-y-2 p-2 sm:grid-cols-2">
              <div className="sm:col-span-2">
                <LetterKeysChoice />
              </div>
              <dl className="grid grid-cols-[auto_1fr] content-start gap-x-4 gap-y-2">
                {PLACES.map((p) => p.key && <Key key={p.key} shown={p.key} does={p.name} />)}
              </dl>
              <dl className="grid grid-cols-[auto_1fr] content-start gap-x-4 gap-y-2">
                {Object.values(ACTS).map(({ shown, does }) => (
                  <Key key={shown} shown={shown} does={does} />
                ))}
              </dl>
            </div>
          ) : (
            <Command label="Find or do">
              <Command.Input autoFocus placeholder="Find or do…" className="control mb-2" />
              <Command.List>
                <Command.Empty className="p-3 text-quiet">Nothing by that name.</Command.Empty>
                {PLACES.map((p) => (
                  <Command.Item key={p.path} className={item} onSelect={go(hrefOf(p, planId))}>
                    {p.name}: {p.says}
                  </Command.Item>
                ))}
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

function Key({ shown, does }: { shown: string; does: string }) {
  return (
    <div className="contents">
      <dt>
        <kbd className="rounded-sm border border-hairline px-1.5">{shown}</kbd>
      </dt>
      <dd>{does}</dd>
    </div>
  );
}
