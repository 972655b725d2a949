import type { Metadata } from 'next';
import { readEntries } from '@/server/log-an-entry';
import { readCharges } from '@/server/save-charge';
import { whenUp } from '@/server/when-up';
import { ChargesView } from '@/ui/charges/charges-view';
import { DatabaseDown } from '@/ui/shell/database-down';

export const metadata: Metadata = { title: 'Charges' };

export default async function Page({ params }: { params: Promise<{ id: string }> }) {
  const { id } = await params;
  const read = await whenUp(() => Promise.all([readCharges(id), readEntries(id)]));
  return read ? <ChargesView charges={read[0]} entries={read[1]} /> : <DatabaseDown />;
}
