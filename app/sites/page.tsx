import type { Metadata } from 'next';
import { sitesOf } from '@/server/people/may';
import { listSites } from '@/server/sites/list-sites';
import { whenUp } from '@/server/when-up';
import { DatabaseDown } from '@/ui/shell/database-down';
import { Frame } from '@/ui/shell/frame';
import { SitesView } from '@/ui/sites/sites-view';

export const metadata: Metadata = { title: 'Sites' };
export const dynamic = 'force-dynamic';

export default async function Page({ searchParams }: { searchParams: Promise<{ q?: string | string[] }> }) {
  const { q } = await searchParams;
  const words = typeof q === 'string' ? q.slice(0, 200) : '';
  const read = await whenUp(async (who) => ({
    list: await listSites(who, words),
    mayAdd: sitesOf(who, 'people')?.length !== 0,
  }));
  return <Frame>{read ? <SitesView {...read} words={words} /> : <DatabaseDown />}</Frame>;
}
