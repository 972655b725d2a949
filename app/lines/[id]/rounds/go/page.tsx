import type { Metadata } from 'next';
import { readDueOf } from '@/server/read-due';
import { whenUp } from '@/server/when-up';
import { GoView } from '@/ui/rounds/go-view';
import { DatabaseDown } from '@/ui/shell/database-down';

export const metadata: Metadata = { title: 'Round' };

export default async function Page({ params }: { params: Promise<{ id: string }> }) {
  const { id } = await params;
  const due = await whenUp((who) => readDueOf(who, id));
  return due ? <GoView {...due} /> : <DatabaseDown />;
}
