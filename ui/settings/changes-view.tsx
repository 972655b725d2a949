'use client';

import { format } from 'date-fns';
import { sayKept } from '@/core/quantity/kept-figure';
import { Link } from '@/ui/primitives/link';
import { useUnits } from '@/ui/units/units';

interface AuditPage {
  readonly entries: readonly {
    readonly id: string;
    readonly at: string;
    readonly who: string;
    readonly planId: string | null;
    readonly about: string;
    readonly says: readonly string[];
  }[];
  readonly next: string | undefined;
}

/** Who changed what on a site, before and after, the newest first. */
export function ChangesView({ page, site }: { page: AuditPage; site: { id: string; name: string } }) {
  const { say } = useUnits();
  return (
    <div className="mx-auto grid max-w-[60rem] gap-4 p-4 sm:p-6">
      <div className="flex flex-wrap items-center justify-between gap-3">
        <h1>Changes on {site.name}</h1>
        <a className="button" href={`/api/sites/${site.id}/changes/table`} download="changes.csv">
          Export as a table
        </a>
      </div>
      {page.entries.length === 0 && (
        <p className="text-quiet">Nothing was changed yet. Plans, weather and people are listed here from now on.</p>
      )}
      <ol className="border-t border-hairline">
        {page.entries.map((e) => (
          <li key={e.id} className="grid gap-x-4 border-b border-hairline py-2 sm:grid-cols-[11rem_1fr]">
            <p className="text-quiet max-sm:flex max-sm:gap-2">
              <span className="block" suppressHydrationWarning>
                {format(new Date(e.at), 'd MMM yyyy HH:mm')}
              </span>
              <span className="block truncate">{e.who}</span>
            </p>
            <div className="min-w-0">
              <p className="truncate font-semibold">
                {e.planId ? (
                  <Link href={`/lines/${e.planId}/line`} className="text-water underline underline-offset-4">
                    {e.about}
                  </Link>
                ) : (
                  e.about
                )}
              </p>
              {e.says.map((text) => (
                <p key={text}>{sayKept(text, say)}</p>
              ))}
            </div>
          </li>
        ))}
      </ol>
      {page.next && (
        <p>
          <Link className="button" href={`/settings/changes?site=${site.id}&before=${encodeURIComponent(page.next)}`}>
            Older
          </Link>
        </p>
      )}
    </div>
  );
}
