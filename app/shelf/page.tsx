import type { Metadata } from 'next';
import { sitesOf } from '@/server/people/may';
import { listSites } from '@/server/sites/list-sites';
import { listShelf } from '@/server/sites/shelf';
import { whenUp } from '@/server/when-up';
import { ShelfView } from '@/ui/shelf/shelf-view';
import { DatabaseDown } from '@/ui/shell/database-down';
import { Frame } from '@/ui/shell/frame';

export const metadata: Metadata = { title: 'Shelf' };
export const dynamic = 'force-dynamic';

export default async function Page() {
  const read = await whenUp(async (who) => {
    const may = sitesOf(who, 'log');
    const { sites } = await listSites(who);
    return {
      items: await listShelf(who),
      sites: sites.filter((s) => !may || may.includes(s.id)).map(({ id, name }) => ({ id, name })),
    };
  });
  return <Frame>{read ? <ShelfView {...read} /> : <DatabaseDown />}</Frame>;
}
