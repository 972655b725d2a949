import type { Metadata } from 'next';
import { readLog } from '@/server/read-log';
import { whenUp } from '@/server/when-up';
import { TrialView } from '@/ui/logbook/trial-view';
import { DatabaseDown } from '@/ui/shell/database-down';

export const metadata: Metadata = { title: 'Before and after' };

export default async function Page({ params }: { params: Promise<{ id: string }> }) {
  const { id } = await params;
  const log = await whenUp(() => readLog(id));
  return log ? <TrialView log={log} /> : <DatabaseDown />;
}
