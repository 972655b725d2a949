import type { Metadata } from 'next';
import { readSummaryOf } from '@/server/read-log-summary';
import { publicAddress } from '@/server/share/public-address';
import { whenUp } from '@/server/when-up';
import { SheetView } from '@/ui/rounds/sheet-view';
import { DatabaseDown } from '@/ui/shell/database-down';

export const metadata: Metadata = { title: 'Round sheet' };

export default async function Page({ params }: { params: Promise<{ id: string }> }) {
  const { id } = await params;
  const log = await whenUp((who) => readSummaryOf(who, id));
  return log ? <SheetView log={log} address={publicAddress()} /> : <DatabaseDown />;
}
