import { listPlans } from '@/server/read-plan';
import { whenUp } from '@/server/when-up';
import { DatabaseDown } from '@/ui/shell/database-down';
import { Frame } from '@/ui/shell/frame';
import { StartView } from '@/ui/start/start-view';

export const dynamic = 'force-dynamic';

export default async function Page({ searchParams }: { searchParams: Promise<{ q?: string | string[] }> }) {
  const { q } = await searchParams;
  const words = typeof q === 'string' ? q.slice(0, 200) : '';
  const list = await whenUp((who) => listPlans(who, words));
  return <Frame>{list ? <StartView list={list} words={words} /> : <DatabaseDown />}</Frame>;
}
