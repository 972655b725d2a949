import type { Metadata } from 'next';
import { whenUp } from '@/server/when-up';
import { readWorkList } from '@/server/work/work-list';
import { DatabaseDown } from '@/ui/shell/database-down';
import { Frame } from '@/ui/shell/frame';
import { WorkView } from '@/ui/work/work-view';

export const metadata: Metadata = { title: 'Work list' };
export const dynamic = 'force-dynamic';

interface Props {
  searchParams: Promise<{ days?: string | string[]; order?: string | string[] }>;
}

export default async function Page({ searchParams }: Props) {
  const { days, order: asked } = await searchParams;
  const ahead = days === '1' ? 1 : days === '31' ? 31 : 7;
  const order = asked === 'own' ? 'own' : 'date';
  const list = await whenUp((who) => readWorkList(who, { ahead, order }));
  return <Frame>{list ? <WorkView list={list} ahead={ahead} order={order} /> : <DatabaseDown />}</Frame>;
}
