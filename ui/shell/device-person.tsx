'use client';

import { UserRound } from 'lucide-react';
import { Dialog } from 'radix-ui';
import { useCallback, useEffect, useId, useState } from 'react';
import { Field, tied } from '@/ui/forms/field';
import { send } from '@/ui/forms/send';
import { fetchKeptPagesAnew } from '@/ui/offline/kept-pages';
import { useSignedIn } from '@/ui/people/signed-in';

/** Whoever left a shared device for so long has to enter their PIN again; as in server/people/devices.ts. */
const IDLE_MS = 15 * 60_000;

interface Somebody {
  readonly id: string;
  readonly name: string;
}

/** On a shared device: who is at work on it, and how to say that it is somebody else. */
export function DevicePerson() {
  const own = useSignedIn();
  const [open, setOpen] = useState(false);
  const isSomebody = own?.via === 'device' && !own.isNobody;
  const leave = useCallback(async (): Promise<void> => {
    if (!('refused' in (await send('DELETE', '/api/device/person')))) await drawAnew();
  }, []);
  useEffect(() => (isSomebody ? whenIdle(() => void leave()) : undefined), [isSomebody, leave]);
  if (own?.via !== 'device') return null;
  return (
    <Dialog.Root open={open} onOpenChange={setOpen}>
      <Dialog.Trigger
        aria-label={`${own.isNobody ? 'Who?' : `${own.name}:`} Say who is at work on this device`}
        className={`button min-h-9 max-w-44 min-w-0 gap-1.5 ${own.isNobody ? 'button-strong' : ''}`}
      >
        <UserRound size={16} aria-hidden className="shrink-0" />
        {own.isNobody ? (
          'Who?'
        ) : (
          <>
            <span className="truncate max-sm:hidden">{own.name}</span>
            <span className="sm:hidden">{initialsOf(own.name)}</span>
          </>
        )}
      </Dialog.Trigger>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40 bg-ink/25" />
        <Dialog.Content
          aria-describedby={undefined}
          className="floating fixed top-[8vh] left-1/2 z-50 grid max-h-[84vh] w-[24rem] max-w-[94vw] -translate-x-1/2 gap-4 overflow-auto p-4"
        >
          <Dialog.Title className="text-[1.1rem] font-semibold">Who is at work?</Dialog.Title>
          <Choose />
          {isSomebody && (
            <button type="button" className="button min-h-12" onClick={() => void leave()}>
              {own.name} leaves
            </button>
          )}
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}

const initialsOf = (name: string): string =>
  name
    .split(/\s+/)
    .map((word) => [...word][0])
    .slice(0, 2)
    .join('');

/** Everything on this device is drawn for whoever is at work now. */
async function drawAnew(): Promise<void> {
  await fetchKeptPagesAnew();
  location.reload();
}

function whenIdle(work: () => void): () => void {
  let timer = setTimeout(work, IDLE_MS);
  const busy = (): void => {
    clearTimeout(timer);
    timer = setTimeout(work, IDLE_MS);
  };
  const signs = ['pointerdown', 'keydown'] as const;
  for (const sign of signs) window.addEventListener(sign, busy);
  return () => {
    clearTimeout(timer);
    for (const sign of signs) window.removeEventListener(sign, busy);
  };
}

/** The people of the site who have a PIN; one is chosen, and types it. */
function Choose() {
  const [people, setPeople] = useState<readonly Somebody[]>();
  const [chosen, setChosen] = useState<Somebody>();
  const [error, setError] = useState<string>();
  const id = useId();
  useEffect(() => {
    void fetch('/api/device/people')
      .then(async (answer) => setPeople(answer.ok ? await answer.json() : []))
      .catch(() => setError('The server does not answer. Who is at work can be changed only with a network.'));
  }, []);
  const enter = async (form: HTMLFormElement): Promise<void> => {
    const pin = String(new FormData(form).get('pin'));
    const answer = await send('PUT', '/api/device/person', { personId: chosen?.id, pin });
    if (!('refused' in answer)) return drawAnew();
    setError(answer.refused.issues[0]?.message ?? answer.refused.message);
    form.reset();
    form.querySelector('input')?.focus();
  };
  if (!people) return <p role={error && 'alert'}>{error ?? '…'}</p>;
  if (people.length === 0)
    return (
      <p>
        Nobody of this site has a PIN yet. Whoever works here sets one in the Settings of their own phone, or after
        signing in here: <a href="/sign-in?to=/settings">Sign in</a>.
      </p>
    );
  return (
    <>
      <ul className="grid gap-2">
        {people.map((p) => (
          <li key={p.id}>
            <button
              type="button"
              aria-pressed={p.id === chosen?.id}
              className={`button min-h-12 w-full justify-start ${p.id === chosen?.id ? 'border-water bg-water-wash font-semibold' : ''}`}
              onClick={() => {
                setChosen(p);
                setError(undefined);
              }}
            >
              <span className="truncate">{p.name}</span>
            </button>
          </li>
        ))}
      </ul>
      {chosen && (
        <form
          key={chosen.id}
          className="grid gap-3"
          noValidate
          onSubmit={(e) => {
            e.preventDefault();
            void enter(e.currentTarget);
          }}
        >
          <Field id={id} label={`PIN of ${chosen.name}`} error={error}>
            <input
              {...tied(id, error)}
              name="pin"
              type="password"
              inputMode="numeric"
              autoComplete="off"
              maxLength={6}
              // biome-ignore lint/a11y/noAutofocus: whoever chose their name types their PIN next
              autoFocus
              className="control min-h-12 text-center text-[1.4rem] tracking-[0.4em]"
            />
          </Field>
          <button type="submit" className="button button-strong min-h-12">
            Go on as {chosen.name}
          </button>
        </form>
      )}
    </>
  );
}
