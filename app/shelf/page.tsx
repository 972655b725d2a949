import type { Metadata } from 'next';
import { listShelf, shelfSites } from '@/server/sites/shelf';
import { whenUp } from '@/server/when-up';
import { ShelfView } from '@/ui/shelf/shelf-view';
import { DatabaseDown } from '@/ui/shell/database-down';
import { Frame } from '@/ui/shell/frame';

export const metadata: Metadata = { title: 'Shelf' };
export const dynamic = 'force-dynamic';

export default async function Page() {
  const read = await whenUp(async (who) => {
    return { items: await listShelf(who), sites: await shelfSites(who) };
  });
  return <Frame>{read ? <ShelfView {...read} /> : <DatabaseDown />}</Frame>;
}
