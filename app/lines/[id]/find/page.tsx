import type { Metadata } from 'next';
import { readFindings } from '@/server/read-findings';
import { readSummaryOf } from '@/server/read-log-summary';
import { whenUp } from '@/server/when-up';
import { FindView } from '@/ui/find/find-view';

export const metadata: Metadata = { title: 'Find the fault' };

export default async function Page({ params }: { params: Promise<{ id: string }> }) {
  const { id } = await params;
  const [log, findings] = await Promise.all([
    whenUp((who) => readSummaryOf(who, id)),
    whenUp((who) => readFindings(who, id)),
  ]);
  return <FindView findings={findings ?? []} log={log} />;
}
