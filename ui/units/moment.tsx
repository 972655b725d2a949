import { useSyncExternalStore } from 'react';
import { sayMoment } from './when';

const never = () => () => {};

/** A moment on the clock of this device. The server does not know it: until the scripts run it stands there as a date. */
export function Moment({ at, className }: { at: string; className?: string }) {
  const text = useSyncExternalStore(
    never,
    () => sayMoment(at),
    () => at.slice(0, 10),
  );
  return (
    <time dateTime={at} className={className}>
      {text}
    </time>
  );
}
