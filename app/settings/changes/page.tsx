import type { Metadata } from 'next';
import { readAudit } from '@/server/people/audit';
import { readSites } from '@/server/people/members';
import { whenUp } from '@/server/when-up';
import { ChangesView } from '@/ui/settings/changes-view';
import { DatabaseDown } from '@/ui/shell/database-down';
import { Frame } from '@/ui/shell/frame';

export const metadata: Metadata = { title: 'Changes' };
export const dynamic = 'force-dynamic';

type Asked = Promise<Record<string, string | string[] | undefined>>;

export default async function Page({ searchParams }: { searchParams: Asked }) {
  const { site, before } = await searchParams;
  const siteId = typeof site === 'string' ? site : '';
  const read = await whenUp(async (who) => {
    const page = await readAudit(who, siteId, typeof before === 'string' ? before : undefined);
    const own = (await readSites(who, siteId)).sites[0];
    return { page, site: { id: siteId, name: own?.name ?? '' } };
  });
  return <Frame>{read ? <ChangesView {...read} /> : <DatabaseDown />}</Frame>;
}
