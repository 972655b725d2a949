import { useCallback, useEffect, useRef, useState } from 'react';
import type { DrainEntry } from '@/core/log/drain-entry';
import { readStored, store } from '@/ui/browser-store';
import { whyUnsaved } from '@/ui/plan/why-unsaved';

const RETRY_MS = 2000;

/**
 * Sends an entry until it is acknowledged. While nobody answers it is kept in this browser and sent again, under the same
 * id, so that it is one entry however often it is sent; a reload takes it up again.
 */
export function useDrainSender(planId: string, onLogged: (entryId: string) => void) {
  const [message, setMessage] = useState<string>();
  const [sending, setSending] = useState(false);
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined);
  const logged = useRef(onLogged);
  logged.current = onLogged;
  const key = `cool-dram.pending-drain.${planId}`;

  const send = useCallback(
    async (entry: DrainEntry, onField: (field: string, message: string) => void): Promise<void> => {
      const stored = store(key, JSON.stringify(entry));
      setSending(true);
      const answer = await fetch(`/api/plans/${planId}/drains`, {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify(entry),
        signal: AbortSignal.timeout(10_000),
      }).catch(() => undefined);
      const body = await answer?.json().catch(() => undefined);
      if (answer && answer.status < 500) {
        store(key, undefined);
        setSending(false);
        setMessage(answer.ok ? undefined : body?.error?.message);
        if (answer.ok) logged.current(entry.id);
        else for (const issue of body?.error?.issues ?? []) onField(issue.field, issue.message);
        return;
      }
      const kept = stored ? 'in this browser' : 'by this page only: leave it open';
      setMessage(`Not saved yet: ${whyUnsaved(body)}. Your entry is kept ${kept}. It is sent again by itself.`);
      timer.current = setTimeout(() => void send(entry, onField), RETRY_MS);
    },
    [planId, key],
  );

  useEffect(() => {
    const pending = readStored(key);
    if (pending) void send(JSON.parse(pending) as DrainEntry, () => {});
    return () => clearTimeout(timer.current);
  }, [key, send]);
  return { send, sending, message };
}
