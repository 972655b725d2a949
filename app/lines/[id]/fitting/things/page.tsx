import type { Metadata } from 'next';
import { shelfForLine } from '@/server/sites/shelf';
import { whenUp } from '@/server/when-up';
import { ThingsView } from '@/ui/fitting/things/things-view';

export const metadata: Metadata = { title: 'Installed' };

export default async function Page({ params }: { params: Promise<{ id: string }> }) {
  const { id } = await params;
  return <ThingsView {...((await whenUp((who) => shelfForLine(who, id))) ?? { shelf: [], sites: [] })} />;
}
