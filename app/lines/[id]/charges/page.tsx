import type { Metadata } from 'next';
import { readChargeLog } from '@/server/read-lives';
import { whenUp } from '@/server/when-up';
import { ChargesView } from '@/ui/charges/charges-view';
import { DatabaseDown } from '@/ui/shell/database-down';

export const metadata: Metadata = { title: 'Desiccant & elements' };

export default async function Page({ params }: { params: Promise<{ id: string }> }) {
  const { id } = await params;
  const read = await whenUp((who) => readChargeLog(who, id));
  return read ? <ChargesView charges={read.charges} entries={read.entries} /> : <DatabaseDown />;
}
