import type { Metadata } from 'next';
import { readLog } from '@/server/read-log';
import { whenUp } from '@/server/when-up';
import { CardsView } from '@/ui/keep/cards-view';
import { DatabaseDown } from '@/ui/shell/database-down';

export const metadata: Metadata = { title: 'Cards' };

export default async function Page({ params }: { params: Promise<{ id: string }> }) {
  const { id } = await params;
  const log = await whenUp(() => readLog(id));
  return log ? <CardsView log={log} /> : <DatabaseDown />;
}
