'use client';

import { toast } from 'sonner';
import type { DrainJudgement } from '@/core/log/judge-drain';
import type { LoggedDrain } from '@/core/log/judge-log';
import { useUnits } from '@/ui/units/units';
import { sayTime } from '../units/when';
import { Verdict } from './verdict';

/** Every drain of the line, newest first. A mistake is struck out, not erased. */
export function EntryList({
  planId,
  entries,
  judged,
  opened,
  onOpen,
  onChanged,
}: {
  planId: string;
  entries: readonly LoggedDrain[];
  judged: ReadonlyMap<string, DrainJudgement>;
  opened: string | undefined;
  onOpen: (entry: LoggedDrain) => void;
  onChanged: () => void;
}) {
  const { say } = useUnits();
  const strike = async (entry: LoggedDrain): Promise<void> => {
    const answer = await fetch(`/api/plans/${planId}/drains/${entry.id}`, {
      method: 'PATCH',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ struck: !entry.struck }),
    }).catch(() => undefined);
    if (answer?.ok) onChanged();
    else toast.error('Nothing was changed: the server or its database does not answer. Try again in a moment.');
  };
  if (entries.length === 0) return null;
  return (
    <section aria-label="All entries" className="@container">
      <h2 className="mb-2">All entries</h2>
      <ul className="border-t border-hairline">
        {entries.map((e) => {
          const judgement = judged.get(e.id);
          return (
            <li
              key={e.id}
              className={`grid grid-cols-[1fr_auto] items-center gap-x-2 border-b border-hairline ${opened === e.id ? 'bg-sunk' : ''}`}
            >
              <button
                type="button"
                onClick={() => onOpen(e)}
                className={`grid min-h-11 grid-cols-2 items-center gap-x-3 px-2 py-1.5 text-left @4xl:grid-cols-[9.5rem_1fr_6rem_9.5rem_10.5rem] ${e.struck ? 'line-through text-quiet **:text-quiet' : ''}`}
              >
                <span className="text-quiet">{sayTime(e.drainedAt)}</span>
                <span className="truncate font-medium @max-4xl:text-right">{e.stageName}</span>
                <span className="font-semibold @4xl:text-right">{say(e.amountM3, 'drained')}</span>
                <span className="text-quiet @max-4xl:text-right">
                  of {say(e.lowKg / 1000, 'drained').replace(/ .*/, '')}–{say(e.highKg / 1000, 'drained')}
                </span>
                <span className="@max-4xl:col-span-2">{judgement && <Verdict of={judgement.verdict} />}</span>
                <span className="col-span-full truncate text-[0.82rem] text-quiet">
                  {e.appearance} · {e.who}
                  {e.note && ` · ${e.note}`}
                </span>
              </button>
              <button
                type="button"
                className="button min-h-8 text-[0.82rem]"
                onClick={() => void strike(e)}
                aria-label={`${e.struck ? 'Restore' : 'Strike out'} the entry of ${sayTime(e.drainedAt)}`}
              >
                {e.struck ? 'Restore' : 'Strike out'}
              </button>
            </li>
          );
        })}
      </ul>
    </section>
  );
}
