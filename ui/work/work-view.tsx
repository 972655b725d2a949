'use client';

import { TriangleAlert } from 'lucide-react';
import { useRouter } from 'next/navigation';
import { parseAsArrayOf, parseAsString, useQueryState } from 'nuqs';
import { useEffect, useState } from 'react';
import { toast } from 'sonner';
import type { WorkTask } from '@/core/maintenance/line-state';
import { send } from '@/ui/forms/send';
import { useSignedIn } from '@/ui/people/signed-in';
import { CalendarPart } from '@/ui/primitives/calendar-part';
import { Link } from '@/ui/primitives/link';
import { SortableList } from '@/ui/primitives/sortable-list';
import { sayTime } from '@/ui/units/when';
import { minutesOf, partsOf, sayMinutes, tasksOf, type WorkSite } from './work-types';

export interface WorkList {
  readonly sites: readonly WorkSite[];
  readonly of: number;
  readonly stale: number;
  readonly today: string;
}

const AHEAD = { 1: 'today', 7: 'a week', 31: 'a month' } as const;
const POLL_MS = 3000;

/** What is due where, over all sites, and which of it becomes a visit. */
export function WorkView({ list, ahead, order }: { list: WorkList; ahead: 1 | 7 | 31; order: 'date' | 'own' }) {
  const router = useRouter();
  const via = useSignedIn()?.via;
  const [chosen, choose] = useQueryState('visit', parseAsArrayOf(parseAsString).withDefault([]));
  useEffect(() => {
    if (list.stale === 0) return;
    const again = setTimeout(() => router.refresh(), POLL_MS);
    return () => clearTimeout(again);
  }, [list, router]);
  const ask = (change: { days?: number; order?: string }): string =>
    `/work?${new URLSearchParams({ days: String(ahead), order, ...(chosen.length > 0 && { visit: chosen.join(',') }), ...Object.fromEntries(Object.entries(change).map(([k, v]) => [k, String(v)])) })}`;
  const visit = list.sites.filter((s) => chosen.includes(s.id));
  const all = visit.flatMap(tasksOf);
  return (
    <div className="mx-auto grid max-w-[60rem] gap-4 p-4 sm:p-6">
      <div className="flex flex-wrap items-center gap-x-4 gap-y-2">
        <h1 className="mr-auto">Work list</h1>
        <Choice
          label="Due within"
          options={Object.entries(AHEAD)}
          value={String(ahead)}
          to={(days) => ask({ days: Number(days) })}
        />
        <Choice
          label="Order"
          options={[
            ['date', 'by date'],
            ['own', 'my route'],
          ]}
          value={order}
          to={(o) => ask({ order: o })}
        />
      </div>
      <p role="status" className="text-quiet">
        {list.of === 0 ? 'Nothing is due in this time.' : `${list.of} ${list.of === 1 ? 'site' : 'sites'} with work`}
        {list.of > list.sites.length && `, the first ${list.sites.length} shown`}
        {list.stale > 0 && ` · ${list.stale} ${list.stale === 1 ? 'line' : 'lines'} still being calculated`}
      </p>
      {order === 'own' && list.sites.length > 1 && <Route sites={list.sites} />}
      <ul className="grid gap-3">
        {list.sites.map((site) => (
          <Site
            key={site.id}
            site={site}
            today={list.today}
            chosen={chosen.includes(site.id)}
            onChoose={(on) => void choose(on ? [...chosen, site.id] : chosen.filter((id) => id !== site.id))}
          />
        ))}
      </ul>
      {list.of === 0 && list.stale === 0 && (
        <p>
          A line is in this list once its routine is begun, on its page Today. Lines are on{' '}
          <Link href="/sites" className="text-water underline underline-offset-4">
            Sites
          </Link>
          .
        </p>
      )}
      {!via && <CalendarPart feed="/api/work-feed" />}
      {visit.length > 0 && (
        <div className="no-print sticky bottom-0 flex flex-wrap items-center gap-3 border-t border-hairline bg-paper py-3 max-sm:bottom-14">
          <p className="mr-auto">
            <strong>
              {visit.length} {visit.length === 1 ? 'site' : 'sites'}
            </strong>
            , {all.length} {all.length === 1 ? 'task' : 'tasks'}, {sayMinutes(minutesOf(...visit))} of work
          </p>
          <Link
            href={`/work/visit?days=${ahead}&sites=${visit.map((s) => s.id).join(',')}`}
            className="button button-strong min-h-11"
          >
            Plan the visit
          </Link>
        </div>
      )}
    </div>
  );
}

function Choice({
  label,
  options,
  value,
  to,
}: {
  label: string;
  options: readonly (readonly [string, string])[];
  value: string;
  to: (value: string) => string;
}) {
  return (
    <nav aria-label={label} className="flex items-center gap-1">
      <span className="mr-1 text-quiet">{label}</span>
      {options.map(([id, name]) => (
        <Link
          key={id}
          href={to(id)}
          aria-current={id === value ? 'true' : undefined}
          className={`button ${id === value ? 'border-ink bg-ink text-paper' : ''}`}
        >
          {name}
        </Link>
      ))}
    </nav>
  );
}

/** The order in which somebody drives, to be changed by hand. */
function Route({ sites }: { sites: readonly WorkSite[] }) {
  const router = useRouter();
  const [own, setOwn] = useState<readonly string[]>();
  const placed = own ? [...sites].sort((a, b) => own.indexOf(a.id) - own.indexOf(b.id)) : sites;
  const keep = async (ids: readonly string[]): Promise<void> => {
    setOwn(ids);
    const answer = await send('PUT', '/api/work-order', { siteIds: ids });
    if ('refused' in answer) toast(answer.refused.message);
    else router.refresh();
  };
  return (
    <details className="rounded-md border border-hairline bg-card px-4 py-2">
      <summary className="min-h-8 cursor-pointer py-1 font-semibold">Change my route</summary>
      <p className="text-[0.88rem] text-quiet">
        Drag the sites into the order in which you drive; or lift one with space and move it with the arrows.
      </p>
      <SortableList id="route" items={placed} onOrder={(ids) => void keep(ids)} />
    </details>
  );
}

function Site({
  site,
  today,
  chosen,
  onChoose,
}: {
  site: WorkSite;
  today: string;
  chosen: boolean;
  onChoose: (on: boolean) => void;
}) {
  const tasks = tasksOf(site);
  const overdue = tasks.filter((t) => t.dueAt < today).length;
  const parts = partsOf(tasks);
  return (
    <li className="rounded-md border border-hairline bg-card">
      <div className="flex items-start gap-3 p-3 sm:p-4">
        <input
          type="checkbox"
          className="size-[24px] shrink-0 accent-(--water)"
          aria-label={`Visit ${site.name}`}
          checked={chosen}
          onChange={(e) => onChoose(e.target.checked)}
        />
        <div className="min-w-0 flex-1">
          <div className="flex flex-wrap items-baseline gap-x-4">
            <h2 className="mr-auto min-w-0">
              <Link href={`/sites/${site.id}`} className="hover:underline">
                {site.name}
              </Link>
            </h2>
            <p>
              {overdue > 0 && (
                <span className="mr-3 text-brick">
                  <TriangleAlert size={14} className="mr-1 inline align-[-2px]" aria-hidden />
                  {overdue} overdue
                </span>
              )}
              <span className="text-quiet">{sayMinutes(minutesOf(site))}</span>
            </p>
          </div>
          <p className="text-quiet">{[site.customer, site.address].filter(Boolean).join(' · ')}</p>
          {parts.length > 0 && <p className="text-[0.92rem]">Take along: {parts.map(sayPart).join('; ')}</p>}
          <details className="mt-1">
            <summary className="min-h-8 cursor-pointer py-1 text-water">
              {tasks.length} {tasks.length === 1 ? 'task' : 'tasks'}, the first due {sayTime(firstOf(tasks))}
            </summary>
            {site.lines.map((line) => (
              <div key={line.id} className="mt-1">
                <p className="font-semibold">
                  <Link href={`/lines/${line.id}/today`} className="hover:underline">
                    {line.name}
                  </Link>
                </p>
                <ul>
                  {line.tasks.map((t) => (
                    <li
                      key={t.key}
                      className="grid grid-cols-[1fr_auto] gap-x-3 border-t border-hairline py-1 text-[0.92rem]"
                    >
                      <span className="min-w-0">
                        {t.stage}: {t.does.toLowerCase()}
                        {t.isolates && <span className="text-quiet"> · shut down</span>}
                      </span>
                      <span className={t.dueAt < today ? 'text-brick' : 'text-quiet'}>
                        {sayTime(t.dueAt).split(',')[0]}
                      </span>
                    </li>
                  ))}
                </ul>
              </div>
            ))}
          </details>
        </div>
      </div>
    </li>
  );
}

export const sayPart = ({ name, n }: { name: string; n: number }): string => (n > 1 ? `${n} × ${name}` : name);

const firstOf = (tasks: readonly WorkTask[]): string => tasks.map((t) => t.dueAt).toSorted()[0] ?? '';
