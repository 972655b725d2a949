import type { Metadata } from 'next';
import { redirect } from 'next/navigation';
import { isShared } from '@/server/people/is-shared';
import { invitationOf } from '@/server/people/join';
import { upForAnybody } from '@/server/when-up';
import { JoinForm } from '@/ui/people/join-form';
import { DatabaseDown } from '@/ui/shell/database-down';
import { Frame } from '@/ui/shell/frame';

export const metadata: Metadata = { title: 'New account' };
export const dynamic = 'force-dynamic';

export default async function Page({ searchParams }: { searchParams: Promise<{ code?: string | string[] }> }) {
  if (!isShared()) redirect('/');
  const { code } = await searchParams;
  const own = typeof code === 'string' ? code.slice(0, 40) : '';
  const found = await upForAnybody(async () => ({ invitation: own === '' ? undefined : await invitationOf(own) }));
  return <Frame>{found ? <JoinForm code={own} {...found} /> : <DatabaseDown />}</Frame>;
}
