import type { Metadata } from 'next';
import { shelfForLine } from '@/server/sites/shelf';
import { whenUp } from '@/server/when-up';
import { PartsView } from '@/ui/fitting/parts/parts-view';

export const metadata: Metadata = { title: 'Parts' };

export default async function Page({ params }: { params: Promise<{ id: string }> }) {
  const { id } = await params;
  // Without a database the bill is there all the same.
  return <PartsView {...((await whenUp((who) => shelfForLine(who, id))) ?? { shelf: [], sites: [] })} />;
}
