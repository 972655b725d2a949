'use client';

import { format } from 'date-fns';
import { useEffect, useState } from 'react';
import { drainPoints } from '@/core/plan/edit';
import type { Plan } from '@/core/plan/plan';
import { allStages } from '@/core/plan/runs';
import { Field, tied } from '@/ui/forms/field';
import type { Waiting } from '@/ui/outbox/outbox';
import { useOnline } from '@/ui/outbox/outbox-chip';
import { discard, put, sendNow, useOutbox } from '@/ui/outbox/outbox-state';
import { useSignedIn } from '@/ui/people/signed-in';
import { openedLines } from './kept-lines';
import { keptPaths } from './kept-pages';

const WHAT = { entries: 'Log entry', drains: 'Drain', charges: 'Desiccant charge', photos: 'Photo' } as const;
const whatOf = ({ to }: Waiting): string => WHAT[to.split('/')[0] as keyof typeof WHAT];

/** When it was made, as its form had it. */
function whenOf({ body }: Waiting): string | undefined {
  if (body instanceof Blob) return undefined;
  const at = body.drainedAt ?? body.measuredAt;
  return typeof at === 'string' ? format(new Date(at), 'EEE d MMM, HH:mm') : undefined;
}

/** What this device still has to send, what was refused, and which lines open without a network. */
export function OutboxView() {
  const items = useOutbox((s) => s.items);
  const delayed = useOutbox((s) => s.delayed);
  const online = useOnline();
  const [waiting, refused] = [items.filter((one) => !one.refused), items.filter((one) => one.refused)];
  const why = [...new Set(delayed.values())].join('; ');
  return (
    <div className="grid max-w-3xl gap-6 p-4 sm:p-6">
      <div className="grid gap-1">
        <h1>Outbox</h1>
        <p className="text-quiet">
          What is logged on this device and not yet in the log of its line. It is kept here until the server has it,
          also when this page is closed.
        </p>
      </div>
      <NotKept />
      {!online && (
        <p role="status" className="rounded-md bg-amber-wash px-3 py-2 text-amber">
          This device has no network. Everything is sent by itself once it has.
        </p>
      )}
      <section className="grid gap-2" aria-labelledby="to-be-sent">
        <div className="flex flex-wrap items-center gap-3">
          <h2 id="to-be-sent" className="mr-auto">
            To be sent
          </h2>
          {waiting.length > 0 && (
            <button type="button" className="button" onClick={() => void sendNow()}>
              Send now
            </button>
          )}
        </div>
        {waiting.length === 0 ? (
          <p className="text-water">✓ Everything is sent.</p>
        ) : (
          <>
            {why && online && <p className="text-amber">Not sent yet: {why}. It is sent again by itself.</p>}
            <ul className="border-t border-hairline">
              {waiting.map((one) => (
                <li key={one.id} className="border-b border-hairline py-2">
                  <Told one={one} />
                </li>
              ))}
            </ul>
          </>
        )}
      </section>
      {refused.length > 0 && (
        <section className="grid gap-2" aria-labelledby="refused">
          <h2 id="refused">Refused by the server</h2>
          <p className="text-quiet">Kept here until you correct or discard it. The others are sent all the same.</p>
          <ul className="grid gap-3">
            {refused.map((one) => (
              <Refused key={one.id} one={one} />
            ))}
          </ul>
        </section>
      )}
      <KeptLines />
    </div>
  );
}

/** Where this page stands in for one that was asked for. */
function NotKept() {
  const [elsewhere, setElsewhere] = useState(false);
  useEffect(() => setElsewhere(location.pathname !== '/outbox'), []);
  return (
    elsewhere && (
      <p role="alert" className="rounded-md bg-brick-wash px-3 py-2 text-brick">
        No answer from the server, and the page that you asked for is not kept on this device. Below is what is.
      </p>
    )
  );
}

function Told({ one }: { one: Waiting }) {
  return (
    <div className="grid grid-cols-[1fr_auto] gap-x-3">
      <p className="min-w-0">
        <strong>{whatOf(one)}</strong> · {one.about?.stage}
      </p>
      <p className="text-quiet">{whenOf(one) ?? `${Math.ceil((one.body as Blob).size / 1000)} kB`}</p>
      <p className="col-span-2 min-w-0 text-[0.88rem] text-quiet">
        {one.about?.line}
        {one.by && `, by ${one.by.name}`}
      </p>
    </div>
  );
}

/** Words for the fields that a server may find wrong. */
const FIELDS: Readonly<Record<string, string>> = {
  drainedAt: 'Drained at',
  sinceAt: 'Collected since',
  measuredAt: 'Measured at',
  who: 'Who',
  note: 'Note',
  what: 'What',
};

/** Something refused: why, the fields that were wrong, and what can be done about it. */
function Refused({ one }: { one: Waiting }) {
  const own = useSignedIn();
  const { body, refused } = one;
  const [typed, setTyped] = useState<Readonly<Record<string, string>>>({});
  const isTheirs = one.by !== undefined && one.by.id !== own?.id;
  const correctable =
    body instanceof Blob
      ? []
      : (refused?.issues ?? []).filter(({ field }) => FIELDS[field] && typeof body[field] === 'string');
  const noStage = (refused?.issues ?? []).some(({ field }) => field === 'stageId');
  const others = (refused?.issues ?? []).filter((issue) => !correctable.includes(issue));
  const again = (): void => {
    const changed = Object.fromEntries(Object.entries(typed).filter(([, text]) => text !== ''));
    const { id, order, planId, refused: _, ...outgoing } = one;
    void put(planId, { ...outgoing, body: body instanceof Blob ? body : { ...body, ...changed } });
  };
  return (
    <li className="grid gap-2 rounded-md border border-hairline bg-card p-3">
      <Told one={one} />
      <p className="text-brick">
        {refused?.message} {others.map(({ message }) => message).join(' ')}
      </p>
      {noStage && (
        <StageChoice one={one} value={typed.stageId} onStage={(stageId) => setTyped((t) => ({ ...t, stageId }))} />
      )}
      {correctable.map(({ field, message }) => (
        <Field key={field} id={`${one.id}.${field}`} label={FIELDS[field] as string} error={message}>
          <input
            {...tied(`${one.id}.${field}`, message)}
            type={field.endsWith('At') ? 'datetime-local' : 'text'}
            className="control"
            value={typed[field] ?? String((body as Record<string, unknown>)[field])}
            onChange={(e) => setTyped((t) => ({ ...t, [field]: e.target.value }))}
          />
        </Field>
      ))}
      {isTheirs ? (
        <p className="text-quiet">{one.by?.name} wrote it, and has to sign in to send it.</p>
      ) : (
        <div className="flex flex-wrap gap-2">
          <button type="button" className="button button-strong" onClick={again}>
            Send again
          </button>
          <button type="button" className="button" onClick={() => void discard(one.id)}>
            Discard for good
          </button>
        </div>
      )}
    </li>
  );
}

/** The stages that the line has now, where the one of an entry is gone. */
function StageChoice({
  one: { id, planId, to },
  value,
  onStage,
}: {
  one: Waiting;
  value: string | undefined;
  onStage: (stageId: string) => void;
}) {
  const [plan, setPlan] = useState<Plan>();
  useEffect(() => {
    void fetch(`/api/plans/${planId}`)
      .then((answer) => answer.json())
      .then((answer: { plan?: Plan }) => setPlan(answer.plan))
      .catch(() => undefined);
  }, [planId]);
  if (!plan) return null;
  return (
    <Field id={`${id}.stage`} label="Which stage it belongs to">
      <select
        {...tied(`${id}.stage`, undefined)}
        className="control"
        value={value ?? ''}
        onChange={(e) => onStage(e.target.value)}
      >
        <option value="">as it was</option>
        {(to === 'drains' ? drainPoints(plan) : allStages(plan)).map((stage) => (
          <option key={stage.id} value={stage.id}>
            {stage.name}
          </option>
        ))}
      </select>
    </Field>
  );
}

/** Lines whose pages are on this device. */
function KeptLines() {
  const [lines, setLines] = useState<ReturnType<typeof openedLines>>();
  useEffect(() => {
    void keptPaths().then((paths) => setLines(openedLines().filter(({ id }) => paths.includes(`/lines/${id}/today`))));
  }, []);
  if (!lines) return null;
  return (
    <section className="grid gap-2" aria-labelledby="kept-lines">
      <h2 id="kept-lines">Open without a network</h2>
      {lines.length === 0 ? (
        <p className="text-quiet">
          No line yet. A line that is opened on this device, over HTTPS, is kept with its rounds, forms and last
          readings.
        </p>
      ) : (
        <ul className="border-t border-hairline">
          {lines.map(({ id, name }) => (
            <li key={id} className="flex min-h-12 flex-wrap items-center gap-x-4 border-b border-hairline py-1">
              <span className="mr-auto min-w-0 font-semibold">{name}</span>
              {[
                ['Today', 'today'],
                ['Round', 'rounds/go'],
                ['Find the fault', 'find'],
                ['Logbook', 'logbook'],
              ].map(([label, page]) => (
                // A whole page, as only those are kept.
                <a
                  key={page}
                  href={`/lines/${id}/${page}`}
                  className="flex min-h-12 items-center underline underline-offset-4"
                >
                  {label}
                </a>
              ))}
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}
