import { sitesOf, type Who } from '@/server/people/may';
import { idSchema } from '@/server/plan-id';
import { listPlans } from '@/server/read-plan';
import { readSite } from '@/server/sites/list-sites';
import { listTemplates } from '@/server/sites/templates';
import { whenUp } from '@/server/when-up';
import { DatabaseDown } from '@/ui/shell/database-down';
import { Frame } from '@/ui/shell/frame';
import { StartView } from '@/ui/start/start-view';

export const dynamic = 'force-dynamic';

/** Whether somebody may begin lines, may only see them, or is on no site. */
function seenBy(who: Who): 'plans' | 'reads' | 'nothing' {
  if (sitesOf(who, 'read')?.length === 0) return 'nothing';
  return sitesOf(who, 'plan')?.length === 0 ? 'reads' : 'plans';
}

export default async function Page({
  searchParams,
}: {
  searchParams: Promise<Record<string, string | string[] | undefined>>;
}) {
  const { q, site } = await searchParams;
  const siteId = idSchema.safeParse(site).data;
  const words = typeof q === 'string' ? q.slice(0, 200) : '';
  const read = await whenUp(async (who) => ({
    list: await listPlans(who, words),
    sees: seenBy(who),
    templates: await listTemplates(who),
    climate: siteId === undefined ? null : (await readSite(who, siteId)).climate,
  }));
  return <Frame>{read ? <StartView {...read} words={words} siteId={siteId} /> : <DatabaseDown />}</Frame>;
}
