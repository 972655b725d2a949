import type { Metadata } from 'next';
import { readDueOf } from '@/server/read-due';
import { publicAddress } from '@/server/share/public-address';
import { whenUp } from '@/server/when-up';
import { SheetView } from '@/ui/rounds/sheet-view';
import { DatabaseDown } from '@/ui/shell/database-down';

export const metadata: Metadata = { title: 'Round sheet' };

export default async function Page({ params }: { params: Promise<{ id: string }> }) {
  const { id } = await params;
  const due = await whenUp((who) => readDueOf(who, id));
  return due ? <SheetView {...due} address={publicAddress()} /> : <DatabaseDown />;
}
