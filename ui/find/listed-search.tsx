import { useState } from 'react';
import { SURE } from '@/core/diagnosis/finding/cause';
import type { Complaint } from '@/core/diagnosis/finding/complaint';
import { believeListed, nextLook } from '@/core/diagnosis/finding/listed';
import type { Symptom } from '@/core/diagnosis/symptom';
import type { LoggedEntry } from '@/core/log/log-entry';
import { sayText } from '@/core/quantity/say-text';
import { Headline } from '@/ui/primitives/figures';
import { InUnits } from '@/ui/units/in-units';
import { useUnits } from '@/ui/units/units';
import { Bar } from './beliefs';
import { KeepBar } from './keep-bar';
import { useRecord } from './use-record';

const ANOTHER = 'Another cause, or not the air';
const CHECK = 'look ';

/** A complaint that the line cannot calculate: the usual causes in their order, and a look that shows each. */
export function ListedSearch({
  complaint,
  symptom,
  entry,
}: {
  complaint: Complaint;
  symptom: Symptom;
  entry: LoggedEntry | undefined;
}) {
  const { say } = useUnits();
  const [seen, setSeen] = useState<ReadonlyMap<number, boolean>>(
    () => new Map(entry?.finding?.readings.map((r) => [Number(r.check.slice(CHECK.length)), r.value > 0.5])),
  );
  const record = useRecord(complaint, entry?.id);
  const believed = believeListed(symptom, seen);
  const next = nextLook(symptom, seen);
  const [top] = believed;
  const found = (top?.probability ?? 0) >= SURE;
  const titleOf = (index: number): string => symptom.causes[index]?.title ?? ANOTHER;
  const look = (index: number, shows: boolean | undefined): void => {
    const now = new Map(seen);
    if (shows === undefined) now.delete(index);
    else now.set(index, shows);
    setSeen(now);
  };
  const keep = (state: 'open' | 'found' | 'not-found') => async (who: string) => {
    const cause = sayText(titleOf(top?.index ?? -1), say);
    const steps = [...seen].map(([i, yes]) => `${sayText(titleOf(i), say)}: ${yes ? 'yes' : 'no'}`);
    await record.keep(
      who,
      complaint.stageId ?? '',
      `${cause} (${Math.round((top?.probability ?? 0) * 100)} %). Looked at: ${steps.join('; ') || 'nothing'}.`,
      {
        state,
        readings: [...seen].map(([i, yes]) => ({ check: `${CHECK}${i}`, value: yes ? 1 : 0, at: null })),
        cannot: [],
        cause: cause.slice(0, 300),
        sure: top?.probability ?? null,
      },
    );
  };
  return (
    <div className="grid max-w-3xl gap-4">
      <p className="text-quiet">
        The line cannot calculate this one: causes in the order of the trade handbook, each with a look that shows it.
      </p>
      {(found || next === undefined) && top && (
        <section aria-label="Found" aria-live="polite" className="grid gap-2 border-l-4 border-water pl-4">
          <Headline then={`${Math.round(top.probability * 100)} %`}>
            {found ? '✓' : '◆'} <InUnits text={titleOf(top.index)} />
          </Headline>
          <KeepBar
            record={record}
            actions={[{ says: 'Log what was found', act: keep(found ? 'found' : 'not-found') }]}
          />
        </section>
      )}
      <section aria-label="What is believed">
        <h2>What it may be</h2>
        <ol className="grid">
          {believed.map(({ index, probability }) => (
            <li key={index} className="grid gap-1 border-b border-hairline py-2">
              <Bar probability={probability}>
                <InUnits text={titleOf(index)} />
              </Bar>
              {index >= 0 && (
                <div className="flex flex-wrap items-center gap-2">
                  <span className="min-w-48 flex-1 text-quiet">
                    {index === next && !found && <strong className="text-ink">Look at this next. </strong>}
                    <InUnits text={symptom.causes[index]?.check ?? ''} />
                  </span>
                  {([true, false] as const).map((is) => (
                    <button
                      key={String(is)}
                      type="button"
                      className="button min-h-11"
                      aria-pressed={seen.get(index) === is}
                      onClick={() => look(index, seen.get(index) === is ? undefined : is)}
                    >
                      {is ? 'It is so' : 'It is not'}
                      <span className="sr-only">: {sayText(titleOf(index), say)}</span>
                    </button>
                  ))}
                </div>
              )}
            </li>
          ))}
        </ol>
      </section>
      {!found && next !== undefined && (
        <KeepBar record={record} actions={[{ says: 'Keep it open', act: keep('open') }]} />
      )}
    </div>
  );
}
