import type { Metadata } from 'next';
import { readDueOf } from '@/server/read-due';
import { whenUp } from '@/server/when-up';
import { DatabaseDown } from '@/ui/shell/database-down';
import { TodayView } from '@/ui/today/today-view';

export const metadata: Metadata = { title: 'Today' };

export default async function Page({ params }: { params: Promise<{ id: string }> }) {
  const { id } = await params;
  const due = await whenUp((who) => readDueOf(who, id));
  return due ? <TodayView {...due} /> : <DatabaseDown />;
}
