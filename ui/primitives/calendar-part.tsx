'use client';

import { useState } from 'react';

/** Work in a calendar: a file, or a private address that a calendar program reads again and again. */
export function CalendarPart({ feed, file }: { feed: string; file?: string }) {
  const [address, setAddress] = useState<string>();
  const [told, tell] = useState<string>();
  const ask = async (method: 'POST' | 'DELETE'): Promise<void> => {
    const answer = await fetch(feed, { method }).catch(() => undefined);
    const body = await answer?.json().catch(() => undefined);
    if (!answer?.ok) return tell(body?.error?.message ?? 'No answer from the program. Nothing was changed.');
    if (method === 'DELETE') {
      setAddress(undefined);
      return tell('All addresses are revoked.');
    }
    setAddress(`${location.origin}/api/feeds/${body.token}.ics`);
    tell(undefined);
  };
  return (
    <section aria-label="Calendar" className="grid gap-2 text-[0.9rem]">
      <h2>Calendar</h2>
      <div className="flex flex-wrap gap-2">
        {file && (
          <a className="button" href={file} download="routine.ics">
            Calendar file
          </a>
        )}
        <button type="button" className="button" onClick={() => void ask('POST')}>
          New private address
        </button>
      </div>
      {address && (
        <>
          <p>
            <code className="text-[0.8rem] break-all">{address}</code>
          </p>
          <p className="text-quiet">
            Copy it now: it is shown only once. Anyone with it can read the calendar; earlier addresses still work.
          </p>
        </>
      )}
      <p>
        <button
          type="button"
          className="min-h-target text-water underline underline-offset-4"
          onClick={() => void ask('DELETE')}
        >
          Revoke all addresses
        </button>
      </p>
      {told && <p role="status">{told}</p>}
    </section>
  );
}
