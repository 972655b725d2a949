import type { Metadata } from 'next';
import { readSummaryOf } from '@/server/read-log-summary';
import { whenUp } from '@/server/when-up';
import { DatabaseDown } from '@/ui/shell/database-down';
import { TodayView } from '@/ui/today/today-view';

export const metadata: Metadata = { title: 'Today' };

export default async function Page({ params }: { params: Promise<{ id: string }> }) {
  const { id } = await params;
  const log = await whenUp((who) => readSummaryOf(who, id));
  return log ? <TodayView log={log} /> : <DatabaseDown />;
}
