'use client';

import { Download, Printer } from 'lucide-react';
import { useState } from 'react';
import { ISOLATION } from '@/core/maintenance/task';
import { rememberLine } from '@/ui/offline/kept-lines';
import { keepPages } from '@/ui/offline/kept-pages';
import { Cautions } from '@/ui/primitives/cautions';
import { Link } from '@/ui/primitives/link';
import { InUnits } from '@/ui/units/in-units';
import { sayTime } from '@/ui/units/when';
import { minutesOf, partsOf, sayMinutes, tasksOf, type WorkSite } from './work-types';
import { sayPart } from './work-view';

/** The sheet of a day: sites in order, their rounds one after another, what to take along, and cautions. */
export function VisitView({ sites, today }: { sites: readonly WorkSite[]; today: string }) {
  const all = sites.flatMap(tasksOf);
  const parts = partsOf(all);
  const cautions = [...new Set(all.flatMap((t) => t.cautions))];
  return (
    <div className="mx-auto grid max-w-[54rem] gap-5 p-4 sm:p-6 print:p-0">
      <div className="flex flex-wrap items-center gap-3">
        <div className="mr-auto">
          <p className="no-print">
            <Link href="/work" className="text-water underline underline-offset-4">
              Work list
            </Link>
          </p>
          <h1>Visit</h1>
          <p className="text-quiet">
            {sites.length} {sites.length === 1 ? 'site' : 'sites'}, {all.length} tasks,{' '}
            {sayMinutes(minutesOf(...sites))} of work without the way · due as of{' '}
            {sayTime(`${today}T00:00`).split(',')[0]}
          </p>
        </div>
        <KeepAll sites={sites} />
        <button type="button" className="button no-print" onClick={() => window.print()}>
          <Printer size={15} aria-hidden /> Print
        </button>
      </div>
      {sites.length === 0 && <p>None of these sites has work in this time.</p>}
      {parts.length > 0 && (
        <section aria-label="Take along">
          <h2>Take along</h2>
          <ul className="columns-1 sm:columns-2">
            {parts.map((part) => (
              <li key={part.name} className="flex gap-2">
                <span aria-hidden>☐</span> {sayPart(part)}
              </li>
            ))}
          </ul>
        </section>
      )}
      {cautions.length > 0 && <Cautions ids={cautions} columns />}
      <ol className="grid gap-5">
        {sites.map((site, i) => (
          <li key={site.id} className="break-inside-avoid-page border-t border-hairline pt-3">
            <h2>
              {i + 1}. {site.name} <span className="font-normal text-quiet">· {sayMinutes(minutesOf(site))}</span>
            </h2>
            {[site.customer, site.address, site.contacts, site.notes].filter(Boolean).map((text) => (
              <p key={text} className="whitespace-pre-line text-quiet">
                {text}
              </p>
            ))}
            {site.lines.map((line) => (
              <Line key={line.id} line={line} />
            ))}
          </li>
        ))}
      </ol>
      {all.some((t) => t.isolates) && (
        <section aria-label="Before a shutdown" className="break-inside-avoid-page">
          <h2>Before a shutdown</h2>
          <ol className="list-decimal pl-5">
            {ISOLATION.map((step) => (
              <li key={step}>
                <InUnits text={step} />
              </li>
            ))}
          </ol>
          <p className="text-quiet">The site’s own lock-out rules go first.</p>
        </section>
      )}
    </div>
  );
}

/** A line of a visit: its round and its shutdown, with a way to start each on the phone. */
function Line({ line }: { line: WorkSite['lines'][number] }) {
  return (
    <div className="mt-2">
      <h3>{line.name}</h3>
      {[
        ['round', 'Round', line.tasks.filter((t) => !t.isolates)] as const,
        ['shutdown', 'Shutdown', line.tasks.filter((t) => t.isolates)] as const,
      ].map(
        ([id, name, tasks]) =>
          tasks.length > 0 && (
            <div key={id} className="mt-1">
              <p className="flex items-center gap-3">
                <strong>{name}</strong>
                <a
                  href={`/lines/${line.id}/rounds/go?round=${id}`}
                  className="no-print flex min-h-11 items-center text-water underline underline-offset-4"
                >
                  Start it
                </a>
              </p>
              <ul>
                {tasks.map((t) => (
                  <li key={t.key} className="flex gap-2 border-t border-hairline py-1 text-[0.92rem]">
                    <span aria-hidden>☐</span>
                    <span className="min-w-0 flex-1">
                      {t.stage}: {t.does.toLowerCase()}
                    </span>
                    <span className="text-quiet">{t.minutes} min</span>
                  </li>
                ))}
              </ul>
            </div>
          ),
      )}
    </div>
  );
}

/** Puts every line of the visit on this device, for where there is no signal. */
function KeepAll({ sites }: { sites: readonly WorkSite[] }) {
  const [asked, setAsked] = useState(false);
  const keep = (): void => {
    setAsked(true);
    for (const { id, name } of sites.flatMap((s) => s.lines)) {
      rememberLine(id, name);
      void keepPages(id, true).catch(() => undefined);
    }
  };
  return (
    <button type="button" className="button no-print" onClick={keep} disabled={asked}>
      <Download size={15} aria-hidden /> {asked ? 'Being kept on this device' : 'Keep for no signal'}
    </button>
  );
}
