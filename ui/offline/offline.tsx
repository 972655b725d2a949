'use client';

import { useEffect, useState } from 'react';
import { EVERYBODY, keepSignedIn, keptSignedIn } from '@/ui/outbox/outbox';
import { startSending } from '@/ui/outbox/outbox-state';
import { useSignedIn } from '@/ui/people/signed-in';
import { forgetKeptPages } from './kept-pages';

/** When the page that was loaded was copied. Read at once: where its query is another, it is drawn anew without the mark. */
const COPY_OF = typeof document === 'undefined' ? undefined : document.documentElement.dataset.copyOf;

/** Who sends: who is signed in; on a page that is a copy, who was last. Pages of whoever was before are let go of. */
async function ownIdOf(own: string | undefined): Promise<string | undefined> {
  try {
    if (own === undefined) return await keptSignedIn();
    if (await keepSignedIn(own)) await forgetKeptPages();
  } catch {
    // A browser without a store keeps nothing.
  }
  return own;
}

/** Keeps the program on this device, and sends what waits, on every page. */
export function Offline() {
  const account = useSignedIn();
  const own = account?.via === 'device' ? EVERYBODY : account?.id;
  useEffect(() => {
    let stop = (): void => undefined;
    let left = false;
    void ownIdOf(own).then((id) => {
      if (!left) stop = startSending(id);
    });
    return () => {
      left = true;
      stop();
    };
  }, [own]);
  useEffect(() => {
    if (process.env.NODE_ENV === 'production')
      void navigator.serviceWorker?.register('/service-worker.js', { scope: '/' }).catch(() => undefined);
  }, []);
  return <CopyNotice />;
}

/** Says of a page that came from this device that it is a copy, and from when. */
function CopyNotice() {
  const [from, setFrom] = useState<string>();
  useEffect(() => {
    if (COPY_OF)
      setFrom(new Date(COPY_OF).toLocaleString([], { weekday: 'short', hour: '2-digit', minute: '2-digit' }));
  }, []);
  if (from === undefined) return null;
  return (
    <p role="status" className="no-print border-b border-hairline bg-amber-wash px-4 py-1.5 text-amber">
      No answer from the server: this page is the copy of {from} on this device. What you log is kept and sent later.
    </p>
  );
}
