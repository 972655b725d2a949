import Link from 'next/link';
import { NewSite } from './new-site';

interface SiteList {
  readonly sites: readonly {
    readonly id: string;
    readonly name: string;
    readonly customer: string;
    readonly lines: number;
    readonly lastEntry: string | null;
  }[];
  readonly of: number;
}
const SOME = 12; // sites that are found by looking

/** The sites where lines stand. */
export function SitesView({ list, words, mayAdd }: { list: SiteList; words: string; mayAdd: boolean }) {
  return (
    <div className="mx-auto grid max-w-[60rem] gap-4 p-4 sm:p-6">
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
                prefetch={false}
                className="flex min-h-12 flex-wrap items-center gap-x-4 px-1 py-1.5 hover:bg-sunk"
              >
                <span className="min-w-0 flex-1 basis-56">
                  <strong className="block truncate">{site.name}</strong>
                  {site.customer && <span className="block truncate text-quiet">{site.customer}</span>}
                </span>
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
