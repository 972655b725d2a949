'use client';

import { useRouter } from 'next/navigation';
import { parseAsString, useQueryState } from 'nuqs';
import { useEffect, useMemo, useRef, useState } from 'react';
import { siteTimeMs } from '@/core/log/site-clock';
import type { DueTask } from '@/core/maintenance/due';
import type { DueSources } from '@/core/maintenance/line-year';
import { roundsOf } from '@/core/maintenance/rounds';
import { ISOLATION } from '@/core/maintenance/task';
import { placeOf } from '@/core/plan/survey';
import { usePlan } from '@/ui/plan/plan-provider';
import { Link } from '@/ui/primitives/link';
import { InUnits } from '@/ui/units/in-units';
import { useDue } from '../due/use-due';
import { useSender } from '../outbox/use-sender';
import { RoundTask } from './round-task';

/** A round on the phone: one task a screen, in the order of the way. */
export function GoView(due: DueSources) {
  const { plan, planId } = usePlan();
  const router = useRouter();
  const { tasks, now, ready } = useDue(due);
  const sender = useSender();
  const [which] = useQueryState('round', parseAsString);
  const [only] = useQueryState('at', parseAsString);
  // The way is fixed as one sets out: what is logged on the way does not make it shorter.
  const [way, setWay] = useState<readonly DueTask[]>();
  const [at, setAt] = useState(0);
  const [said, setSaid] = useState<Record<string, 'done' | 'could not'>>({});
  const [proven, setProven] = useState(false);
  const settled = useRef(false);
  const wanted = useMemo((): readonly DueTask[] => {
    if (only) return tasks.filter((t) => t.key === only || t.stage.id === only);
    return roundsOf(plan, tasks, siteTimeMs(now)).find((r) => r.id === (which ?? 'round'))?.tasks ?? [];
  }, [plan, tasks, now, which, only]);
  useEffect(() => {
    if (settled.current) return;
    setWay(wanted);
    settled.current = ready;
  }, [wanted, ready]);
  const task = way?.[at];
  const name = only ? (task?.stage.name ?? 'Point') : which === 'shutdown' ? 'Shutdown' : 'Round';
  const next = (key: string, how: 'done' | 'could not'): void => {
    settled.current = true;
    setSaid((s) => ({ ...s, [key]: how }));
    setAt((i) => i + 1);
    window.scrollTo({ top: 0 });
  };
  return (
    <div
      data-round
      aria-busy={!ready}
      className="mx-auto flex min-h-[calc(100dvh-3rem)] w-full max-w-[30rem] flex-col bg-paper"
    >
      <header className="border-b border-hairline px-4 py-2.5">
        <div className="flex items-center gap-3">
          <p className="mr-auto font-semibold">
            {name}
            {way && task && ` · ${at + 1} of ${way.length}`}
          </p>
          <p className={sender.left > 0 ? 'text-amber' : 'text-water'} role="status">
            {sender.left === 0
              ? '● all sent'
              : sender.unstored
                ? `◌ ${sender.left} kept by this page only: leave it open`
                : `◌ ${sender.left} kept here`}
          </p>
          <Link href={`/lines/${planId}/today`} className="flex items-center text-quiet underline underline-offset-4">
            Leave
          </Link>
        </div>
        <ol className="mt-2 flex gap-1" aria-hidden>
          {way?.map((t, i) => (
            <li
              key={t.key}
              className={`h-1.5 flex-1 rounded-sm ${said[t.key] === 'done' ? 'bg-water' : said[t.key] ? 'bg-amber' : i === at ? 'bg-copper' : 'bg-hairline'}`}
            />
          ))}
        </ol>
      </header>
      {sender.refused && (
        <p role="alert" className="bg-brick-wash px-4 py-2 text-brick">
          {sender.refused.message}
        </p>
      )}
      {way === undefined ? (
        <p className="p-4 text-quiet">Loading due tasks…</p>
      ) : way.length === 0 ? (
        <div className="grid gap-3 p-4">
          <h1>{only ? 'Nothing of this point is in the routine' : 'Nothing is due'}</h1>
          <p>
            {only
              ? 'It may have been removed from the line, or the label belongs to another line. Its log is kept.'
              : 'See Today for the next due date.'}
          </p>
          <Link href={`/lines/${planId}/today`} className="button button-strong min-h-12">
            Today
          </Link>
        </div>
      ) : task ? (
        task.task.isolates && !proven ? (
          <Isolate onProven={() => setProven(true)} />
        ) : (
          <RoundTask key={task.key} task={task} log={due.log} put={sender.put} onNext={(how) => next(task.key, how)} />
        )
      ) : (
        <Finished way={way} said={said} onToday={() => router.push(`/lines/${planId}/today`)} left={sender.left} />
      )}
      {task && (
        <p className="sr-only" aria-live="polite">
          {task.stage.name}, {placeOf(plan.survey, task.stage.place ?? plan.survey.roomPlaceId).name}
        </p>
      )}
    </div>
  );
}

/** Before anything under pressure is opened: step by step, each confirmed. */
function Isolate({ onProven }: { onProven: () => void }) {
  const [done, setDone] = useState<readonly number[]>([]);
  const before = ISOLATION.slice(0, -1);
  return (
    <div className="flex flex-1 flex-col gap-4 p-4">
      <h1 className="text-[1.5rem]">Isolate and depressurise first</h1>
      <ul className="grid gap-2">
        {before.map((s, i) => (
          <li key={s}>
            <label className="flex min-h-12 cursor-pointer items-center gap-3 rounded-md border border-hairline bg-card px-3 py-2 has-checked:bg-water-wash">
              <input
                type="checkbox"
                className="size-5 shrink-0 accent-(--water)"
                checked={done.includes(i)}
                onChange={(e) => setDone((d) => (e.target.checked ? [...d, i] : d.filter((x) => x !== i)))}
              />
              <InUnits text={s} />
            </label>
          </li>
        ))}
      </ul>
      <p className="text-[0.88rem] text-quiet">
        The site’s own lock-out rules go first. Not sure: leave it shut and ask.
      </p>
      <button
        type="button"
        className="button button-strong mt-auto min-h-14 text-[1.1rem]"
        disabled={done.length < before.length}
        onClick={onProven}
      >
        Zero energy is verified
      </button>
    </div>
  );
}

function Finished({
  way,
  said,
  onToday,
  left,
}: {
  way: readonly DueTask[];
  said: Readonly<Record<string, 'done' | 'could not'>>;
  onToday: () => void;
  left: number;
}) {
  const could = way.filter((t) => said[t.key] === 'could not');
  const stopped = way.some((t) => t.task.isolates);
  return (
    <div className="flex flex-1 flex-col gap-4 p-4">
      <h1 className="text-[1.5rem]">The round is done</h1>
      <p>
        {way.length - could.length} of {way.length} done
        {could.length > 0 && `; not: ${could.map((t) => `${t.stage.name}, ${t.task.does.toLowerCase()}`).join('; ')}`}.
      </p>
      {stopped && (
        <p className="rounded-md bg-brick-wash px-3 py-2 text-brick">
          <InUnits text={ISOLATION.at(-1) ?? ''} />
        </p>
      )}
      <p className="text-quiet">
        {left > 0
          ? `${left} are saved on this phone and sent when online. Do not clear its data.`
          : 'All of it is in the log.'}
      </p>
      <button type="button" className="button button-strong mt-auto min-h-14 text-[1.1rem]" onClick={onToday}>
        Back to Today
      </button>
    </div>
  );
}
