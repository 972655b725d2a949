import type { Metadata } from 'next';
import { readSite } from '@/server/sites/list-sites';
import { whenUp } from '@/server/when-up';
import { DatabaseDown } from '@/ui/shell/database-down';
import { Frame } from '@/ui/shell/frame';
import { SiteView } from '@/ui/sites/site-view';

export const metadata: Metadata = { title: 'Site' };
export const dynamic = 'force-dynamic';

export default async function Page({ params }: { params: Promise<{ siteId: string }> }) {
  const { siteId } = await params;
  const site = await whenUp((who) => readSite(who, siteId));
  return <Frame>{site ? <SiteView key={siteId} site={site} /> : <DatabaseDown />}</Frame>;
}
