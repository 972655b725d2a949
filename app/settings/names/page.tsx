import type { Metadata } from 'next';
import { readTypedNames } from '@/server/people/names';
import { whenUp } from '@/server/when-up';
import { NamesView } from '@/ui/settings/names-view';
import { DatabaseDown } from '@/ui/shell/database-down';
import { Frame } from '@/ui/shell/frame';

export const metadata: Metadata = { title: 'Names in the log' };
export const dynamic = 'force-dynamic';

export default async function Page({ searchParams }: { searchParams: Promise<{ site?: string | string[] }> }) {
  const { site } = await searchParams;
  const siteId = typeof site === 'string' ? site : '';
  const read = await whenUp((who) => readTypedNames(who, siteId));
  return <Frame>{read ? <NamesView siteId={siteId} {...read} /> : <DatabaseDown />}</Frame>;
}
