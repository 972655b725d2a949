'use client';

import { ENTRY_KINDS, RESULTS } from '@/core/log/log-entry';
import { READINGS } from '@/core/log/readings';
import { taskById } from '@/core/maintenance/tasks';
import type { Past } from '@/core/plan/thing-fields';
import { useUnits } from '@/ui/units/units';
import { sayTime } from '@/ui/units/when';

const known = <T,>(table: Readonly<Record<string, T>>, key: string): T | undefined =>
  Object.hasOwn(table, key) ? table[key] : undefined;

/** What was logged of a thing in the lines that it left, the newest first. */
export function PastLog({ past }: { past: readonly Past[] }) {
  const { say } = useUnits();
  return (
    <details>
      <summary className="min-h-target cursor-pointer font-medium">Its log there: {past.length}</summary>
      <ul className="mt-1">
        {past.map((e) => (
          <li key={`${e.at} ${e.kind} ${e.what}`} className="border-b border-hairline py-1.5">
            <span className="text-quiet">{sayTime(e.at)} · </span>
            {[
              known(ENTRY_KINDS, e.kind) ?? e.kind,
              e.task !== null && taskById(e.task)?.does,
              e.result !== null && known(RESULTS, e.result),
              ...e.readings.flatMap(({ of, value }) => {
                const reading = known(READINGS, of);
                return reading ? [`${reading.label.toLowerCase()} ${say(value, reading.quantity)}`] : [];
              }),
              e.what,
              e.who,
            ]
              .filter(Boolean)
              .join(' · ')}
          </li>
        ))}
      </ul>
    </details>
  );
}
