import { Link } from '@/ui/primitives/link';
import { NewSite } from './new-site';

interface SiteList {
  readonly sites: readonly {
    readonly id: string;
    readonly name: string;
    readonly customer: string;
    readonly lines: number;
    readonly lastEntry: string | null;
    readonly overdue: number;
    readonly complaints: number;
    readonly verdict: keyof typeof OUTLETS | null;
    readonly waterShare: number | null;
  }[];
  readonly of: number;
}
/** The worst outlet of a site. */
const OUTLETS = {
  meets: { says: '● outlets met', tone: 'text-water' },
  open: { says: '◆ an outlet is borderline', tone: 'text-amber' },
  fails: { says: '▲ an outlet is not met', tone: 'text-brick' },
} as const;
/** Water that differs by more than so much from what is expected is named; a choice of ours, as drains are judged. */
const USUAL_SHARE = 0.25;
const SOME = 12; // sites that are found by looking

/** How the lines of a site stand, as far as they were worked out. */
function State({ site }: { site: SiteList['sites'][number] }) {
  const { overdue, complaints, verdict, waterShare } = site;
  const unusual = waterShare !== null && Math.abs(waterShare - 1) > USUAL_SHARE;
  return (
    <span className="flex min-w-0 flex-1 basis-72 flex-wrap gap-x-3 text-[0.92rem]">
      {verdict && <span className={OUTLETS[verdict].tone}>{OUTLETS[verdict].says}</span>}
      {overdue > 0 && <span className="text-brick">{overdue} overdue</span>}
      {complaints > 0 && (
        <span className="text-brick">
          {complaints} open {complaints === 1 ? 'complaint' : 'complaints'}
        </span>
      )}
      {unusual && <span className="text-amber">water {Math.round(waterShare * 100)} % of expected</span>}
    </span>
  );
}

/** The sites where lines stand. */
export function SitesView({ list, words, mayAdd }: { list: SiteList; words: string; mayAdd: boolean }) {
  return (
    <div className="mx-auto grid max-w-[68rem] gap-4 p-4 sm:p-6">
      <div className="flex flex-wrap items-start justify-between gap-3">
        <h1>Sites</h1>
        {(list.of > SOME || words !== '') && (
          <search>
            <form className="flex gap-2">
              <input
                name="q"
                type="search"
                aria-label="Find a site by name, customer or address"
                defaultValue={words}
                className="control w-56"
              />
              <button type="submit" className="button">
                Find
              </button>
            </form>
          </search>
        )}
      </div>
      {list.sites.length === 0 ? (
        <p className="text-quiet">
          {words === '' ? 'You are on no site.' : 'No site has that in its name, customer or address.'}
        </p>
      ) : (
        <ul className="border-t border-hairline">
          {list.sites.map((site) => (
            <li key={site.id} className="border-b border-hairline">
              <Link
                href={`/sites/${site.id}`}
                className="flex min-h-12 flex-wrap items-center gap-x-4 px-1 py-1.5 hover:bg-sunk"
              >
                <span className="min-w-0 flex-1 basis-56">
                  <strong className="block truncate">{site.name}</strong>
                  {site.customer && <span className="block truncate text-quiet">{site.customer}</span>}
                </span>
                <State site={site} />
                <span className="w-20 shrink-0 text-right max-sm:w-auto">
                  {site.lines} {site.lines === 1 ? 'line' : 'lines'}
                </span>
                <span className="w-44 shrink-0 text-right text-quiet max-sm:w-auto">
                  {site.lastEntry ? `last entry ${site.lastEntry.slice(0, 10)}` : 'no entry yet'}
                </span>
              </Link>
            </li>
          ))}
        </ul>
      )}
      {list.of > list.sites.length && (
        <p className="text-quiet">
          The first {list.sites.length} by name, of {list.of}.
        </p>
      )}
      {mayAdd && <NewSite />}
    </div>
  );
}
