'use client';

import { useRouter } from 'next/navigation';
import { parseAsString, useQueryState } from 'nuqs';
import { useMemo } from 'react';
import type { DrainJudgement } from '@/core/log/judge-drain';
import type { LoggedDrain } from '@/core/log/judge-log';
import { judgeLogged } from '@/core/log/judge-log';
import type { DrainPage } from '@/core/log/log-pages';
import { drainPoints } from '@/core/plan/edit';
import { usePlan } from '@/ui/plan/plan-provider';
import { sayTime } from '../units/when';
import { DrainForm } from './drain-form';
import { EntryList } from './entry-list';
import { History } from './history';
import { JudgementCard } from './judgement-card';
import { LogTabs } from './log-tabs';
import { Verdict } from './verdict';
import { WholeBalance } from './whole-balance';

/** Log a drain, see what should have come out, and be told what a difference means. */
export function LogbookView({ entries, drained, next }: DrainPage) {
  const { plan, planId } = usePlan();
  const router = useRouter();
  const points = drainPoints(plan);
  const [chosen, choose] = useQueryState('point', parseAsString.withDefault(points[0]?.id ?? ''));
  const [opened, open] = useQueryState('entry', parseAsString);
  const [before, page] = useQueryState('before', parseAsString.withOptions({ shallow: false, history: 'push' }));
  const pointId =
    points.some((p) => p.id === chosen) || entries.some((e) => e.stageId === chosen) ? chosen : (points[0]?.id ?? '');
  const standing = useMemo(() => entries.filter((e) => !e.struck), [entries]);
  const judged = useMemo(
    () => new Map(entries.map((e) => [e.id, judgeLogged(plan, standing.includes(e) ? standing : [...standing, e], e)])),
    [entries, standing, plan],
  );
  const here = entries.filter((e) => e.stageId === pointId);
  const shown = entries.find((e) => e.id === opened) ?? here.find((e) => !e.struck);
  const showsPoint = shown?.stageId === pointId ? shown : here.find((e) => !e.struck);
  const judgement = showsPoint && judged.get(showsPoint.id);
  const name = points.find((p) => p.id === pointId)?.name ?? here[0]?.stageName ?? '';
  if (points.length === 0 && entries.length === 0)
    return (
      <div className="max-w-prose p-6">
        <h1>Logbook</h1>
        <p className="mt-2">
          Drains are logged here, and each is compared with what the line should have given. This line has no drain yet:
          add a separator or a receiver on the Line page, with a drain.
        </p>
      </div>
    );
  return (
    <div className="mx-auto grid max-w-[1400px] items-start gap-x-6 gap-y-5 p-4 lg:grid-cols-[26rem_1fr]">
      <div className="flex flex-wrap items-center gap-4 lg:col-span-2">
        <h1>Logbook</h1>
        <LogTabs />
      </div>
      <DrainForm
        entries={standing}
        lastDrained={drained}
        pointId={pointId}
        onPoint={(id) => {
          void choose(id);
          void open(null);
        }}
        // The address first: a change of it while the page is fetched anew would discard what is fetched.
        onLogged={(id) => void open(id).then(() => router.refresh())}
      />
      <div className="grid min-w-0 gap-5">
        <OutOfBand
          entries={standing}
          judged={judged}
          opened={showsPoint?.id}
          onOpen={(e) => {
            void choose(e.stageId);
            void open(e.id);
          }}
        />
        <WholeBalance entries={standing} />
        {showsPoint && judgement && <JudgementCard entry={showsPoint} judgement={judgement} />}
        {here.length > 0 ? (
          <section aria-label={`History of ${name}`}>
            <h2 className="mb-2">{name}: what came out against what should have</h2>
            <History entries={here.filter((e) => !e.struck)} judged={judged} />
          </section>
        ) : (
          <p className="rounded-md border border-dashed border-hairline p-4 text-quiet">
            Nothing logged at {name} yet. Open its drain, catch the water in a jug and type how much it was: the first
            entry is judged at once, and from the second on you see a history.
          </p>
        )}
        <EntryList
          planId={planId}
          entries={entries}
          judged={judged}
          opened={showsPoint?.id}
          onOpen={(e) => {
            void choose(e.stageId);
            void open(e.id);
          }}
          onChanged={() => router.refresh()}
        />
        {(before !== null || next) && (
          <div className="flex flex-wrap gap-3">
            {before !== null && (
              <button type="button" className="button" onClick={() => void page(null)}>
                Newest
              </button>
            )}
            {next && (
              <button type="button" className="button" onClick={() => void page(next)}>
                Older
              </button>
            )}
          </div>
        )}
      </div>
    </div>
  );
}

const LATELY = 12; // entries looked back on

/** What fell outside its band lately, so that it is not overlooked further down. */
function OutOfBand({
  entries,
  judged,
  opened,
  onOpen,
}: {
  entries: readonly LoggedDrain[];
  judged: ReadonlyMap<string, DrainJudgement>;
  opened: string | undefined;
  onOpen: (entry: LoggedDrain) => void;
}) {
  const odd = entries.slice(0, LATELY).filter((e) => ['less', 'more'].includes(judged.get(e.id)?.verdict ?? ''));
  if (odd.length === 0) return null;
  return (
    <section aria-label="Recent entries outside the band" className="flex flex-wrap items-center gap-2">
      <h2 className="mr-1 text-[0.9rem]">Recent entries outside the band</h2>
      {odd.map((e) => (
        <button
          key={e.id}
          type="button"
          aria-pressed={opened === e.id}
          className="button min-h-9 text-[0.85rem] aria-pressed:border-ink"
          onClick={() => onOpen(e)}
        >
          {e.stageName}, {sayTime(e.drainedAt).replace(/,.*/, '')}{' '}
          <Verdict of={judged.get(e.id)?.verdict ?? 'less'} short />
        </button>
      ))}
    </section>
  );
}
