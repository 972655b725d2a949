'use client';

import { CloudOff, CloudUpload, TriangleAlert } from 'lucide-react';
import { useSyncExternalStore } from 'react';
import { Link } from '@/ui/primitives/link';
import { useOutbox } from './outbox-state';

function listen(changed: () => void): () => void {
  window.addEventListener('online', changed);
  window.addEventListener('offline', changed);
  return () => {
    window.removeEventListener('online', changed);
    window.removeEventListener('offline', changed);
  };
}

/** Whether this device has a network at all. */
export const useOnline = (): boolean =>
  useSyncExternalStore(
    listen,
    () => navigator.onLine,
    () => true,
  );

/** How many entries wait on this device, and whether it has a network. Nothing where all is sent. */
export function OutboxChip() {
  const online = useOnline();
  const waiting = useOutbox((s) => s.items.filter((one) => !one.refused).length);
  const refused = useOutbox((s) => s.items.filter((one) => one.refused).length);
  if (online && waiting + refused === 0) return null;
  const [Icon, tone] =
    refused > 0 ? [TriangleAlert, 'text-brick'] : online ? [CloudUpload, 'text-amber'] : [CloudOff, 'text-amber'];
  const words = [
    ...(online ? [] : ['No network']),
    ...(waiting > 0 ? [`${waiting} to be sent`] : []),
    ...(refused > 0 ? [`${refused} refused`] : []),
  ].join(', ');
  return (
    <Link href="/outbox" aria-label={`Outbox: ${words}`} title={words} className={`button shrink-0 gap-1 px-2 ${tone}`}>
      <Icon size={16} aria-hidden />
      {waiting + refused > 0 && <span aria-hidden>{waiting + refused}</span>}
    </Link>
  );
}
