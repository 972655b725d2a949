import type { Metadata } from 'next';
import { listShelf } from '@/server/sites/shelf';
import { whenUp } from '@/server/when-up';
import { PartsView } from '@/ui/fitting/parts/parts-view';

export const metadata: Metadata = { title: 'Parts' };

export default async function Page() {
  // Without a database the bill is there all the same.
  return <PartsView shelf={(await whenUp(listShelf)) ?? []} />;
}
