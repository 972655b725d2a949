'use client';

import { Timer } from 'lucide-react';
import { useEffect, useState } from 'react';

const SETTLE_MS = 5 * 60_000; // a cheap sensor wants about five minutes in moving air (common practice, no source)

/** Counts down while the sensor settles, and says when to read it. */
export function SettleTimer({ place }: { place: string }) {
  const [until, setUntil] = useState<number>();
  const [now, setNow] = useState(0);
  useEffect(() => {
    if (until === undefined) return;
    const timer = setInterval(() => setNow(Date.now()), 250);
    return () => clearInterval(timer);
  }, [until]);
  if (until === undefined)
    return (
      <button
        type="button"
        className="button"
        onClick={() => {
          setNow(Date.now());
          setUntil(Date.now() + SETTLE_MS);
        }}
      >
        <Timer size={15} aria-hidden /> Let the sensor settle, 5 min
      </button>
    );
  const left = Math.max(0, Math.ceil((until - now) / 1000));
  return (
    <button
      type="button"
      className={`button ${left === 0 ? 'border-water bg-water-wash text-water' : ''}`}
      onClick={() => setUntil(undefined)}
    >
      <Timer size={15} aria-hidden />
      <span role="timer" aria-label={`Settling at ${place}`}>
        {left > 0
          ? `${Math.floor(left / 60)}:${String(left % 60).padStart(2, '0')} left · stop`
          : 'Settled: read it and type it in'}
      </span>
    </button>
  );
}
