import { Link } from '@/ui/primitives/link';
import { SiteClimate, SiteDetails } from './site-details';
import { SiteLines } from './site-lines';
import { SitePhotos } from './site-photos';
import type { SitePage } from './site-types';

/** A site: its lines, and what one has to know to go there. */
export function SiteView({ site }: { site: SitePage }) {
  return (
    <div className="mx-auto grid max-w-[60rem] items-start gap-x-8 gap-y-6 p-4 sm:p-6 md:grid-cols-[1fr_22rem]">
      <div className="md:col-span-2">
        <p>
          <Link href="/sites" className="text-water underline underline-offset-4">
            All sites
          </Link>
        </p>
        <h1 className="break-words">{site.name}</h1>
      </div>
      <div className="grid min-w-0 gap-6">
        <SiteLines site={site} />
        {site.members.length > 0 && (
          <section aria-label="People">
            <h2>People</h2>
            <p>{site.members.map((m) => `${m.name} (${m.role})`).join(', ')}</p>
            <p>
              <Link href={`/settings?site=${site.id}`} className="text-water underline underline-offset-4">
                Invite or change them in Settings
              </Link>
            </p>
          </section>
        )}
      </div>
      <div className="grid min-w-0 gap-6">
        <SiteDetails site={site} />
        <SiteClimate site={site} />
        <SitePhotos site={site} />
      </div>
    </div>
  );
}
