import type { Metadata } from 'next';
import { readDueOf } from '@/server/read-due';
import { readFindings } from '@/server/read-findings';
import { whenUp } from '@/server/when-up';
import { FindView } from '@/ui/find/find-view';

export const metadata: Metadata = { title: 'Find the fault' };

export default async function Page({ params }: { params: Promise<{ id: string }> }) {
  const { id } = await params;
  const [due, findings] = await Promise.all([
    whenUp((who) => readDueOf(who, id)),
    whenUp((who) => readFindings(who, id)),
  ]);
  return <FindView findings={findings ?? []} due={due} />;
}
