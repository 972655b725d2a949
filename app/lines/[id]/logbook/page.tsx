import type { Metadata } from 'next';
import { readLogbook } from '@/server/read-logbook';
import { whenUp } from '@/server/when-up';
import { LogbookView } from '@/ui/logbook/logbook-view';
import { DatabaseDown } from '@/ui/shell/database-down';

export const metadata: Metadata = { title: 'Logbook' };

export default async function Page({ params }: { params: Promise<{ id: string }> }) {
  const { id } = await params;
  const entries = await whenUp(() => readLogbook(id));
  return entries ? <LogbookView entries={entries} /> : <DatabaseDown />;
}
