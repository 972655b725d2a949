import type { Metadata } from 'next';
import { readSummaryOf } from '@/server/read-log-summary';
import { whenUp } from '@/server/when-up';
import { RoundsView } from '@/ui/rounds/rounds-view';
import { DatabaseDown } from '@/ui/shell/database-down';

export const metadata: Metadata = { title: 'Rounds' };

export default async function Page({ params }: { params: Promise<{ id: string }> }) {
  const { id } = await params;
  const log = await whenUp((who) => readSummaryOf(who, id));
  return log ? <RoundsView log={log} /> : <DatabaseDown />;
}
