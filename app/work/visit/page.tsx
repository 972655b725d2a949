import type { Metadata } from 'next';
import { idSchema } from '@/server/plan-id';
import { whenUp } from '@/server/when-up';
import { readWorkList } from '@/server/work/work-list';
import { DatabaseDown } from '@/ui/shell/database-down';
import { Frame } from '@/ui/shell/frame';
import { VisitView } from '@/ui/work/visit-view';

export const metadata: Metadata = { title: 'Visit' };
export const dynamic = 'force-dynamic';

interface Props {
  searchParams: Promise<{ days?: string | string[]; sites?: string | string[] }>;
}

export default async function Page({ searchParams }: Props) {
  const { days, sites } = await searchParams;
  const ahead = days === '1' ? 1 : days === '31' ? 31 : 7;
  const only = (typeof sites === 'string' ? sites : '').split(',').filter((id) => idSchema.safeParse(id).success);
  const list = await whenUp((who) => readWorkList(who, { ahead, order: 'own', only }));
  return <Frame>{list ? <VisitView sites={list.sites} today={list.today} /> : <DatabaseDown />}</Frame>;
}
