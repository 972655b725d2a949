import type { Metadata } from 'next';
import { readLogbook } from '@/server/read-logbook';
import { whenUp } from '@/server/when-up';
import { LogbookView } from '@/ui/logbook/logbook-view';
import { DatabaseDown } from '@/ui/shell/database-down';

export const metadata: Metadata = { title: 'Logbook' };

interface Props {
  params: Promise<{ id: string }>;
  searchParams: Promise<{ before?: string | string[] }>;
}

export default async function Page({ params, searchParams }: Props) {
  const { id } = await params;
  const { before } = await searchParams;
  const book = await whenUp((who) => readLogbook(who, id, typeof before === 'string' ? before : ''));
  return book ? <LogbookView {...book} /> : <DatabaseDown />;
}
