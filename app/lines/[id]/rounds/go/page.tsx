import type { Metadata } from 'next';
import { readSummaryOf } from '@/server/read-log-summary';
import { whenUp } from '@/server/when-up';
import { GoView } from '@/ui/rounds/go-view';
import { DatabaseDown } from '@/ui/shell/database-down';

export const metadata: Metadata = { title: 'Round' };

export default async function Page({ params }: { params: Promise<{ id: string }> }) {
  const { id } = await params;
  const log = await whenUp((who) => readSummaryOf(who, id));
  return log ? <GoView log={log} /> : <DatabaseDown />;
}
