'use client';

import { Timer } from 'lucide-react';
import { useEffect, useState } from 'react';

/** Times how long the line is shut in; the time goes on while the page is hidden, as it counts from its start. */
export function StopWatch({ onSeconds }: { onSeconds: (seconds: number) => void }) {
  const [startedMs, setStarted] = useState<number>();
  const [nowMs, setNow] = useState(0);
  useEffect(() => {
    if (startedMs === undefined) return;
    const timer = setInterval(() => setNow(Date.now()), 1000);
    return () => clearInterval(timer);
  }, [startedMs]);
  const seconds = startedMs === undefined ? 0 : Math.max(0, Math.round((nowMs - startedMs) / 1000));
  const clock = [Math.floor(seconds / 3600), Math.floor(seconds / 60) % 60, seconds % 60]
    .map((n) => String(n).padStart(2, '0'))
    .join(':');
  return (
    <div className="flex items-center gap-3">
      <button
        type="button"
        className="button min-h-12"
        onClick={() => {
          if (startedMs === undefined) {
            setNow(Date.now());
            setStarted(Date.now());
            return;
          }
          onSeconds(Math.max(10, seconds));
          setStarted(undefined);
        }}
      >
        <Timer size={16} aria-hidden /> {startedMs === undefined ? 'Start the clock' : 'Stop, and take the time'}
      </button>
      <span className="text-[1.3rem] font-semibold" role="timer">
        {clock}
      </span>
    </div>
  );
}
