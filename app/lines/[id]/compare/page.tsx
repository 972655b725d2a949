import type { Metadata } from 'next';
import { limitedRole } from '@/server/people/may';
import { listProposals } from '@/server/proposals';
import { readChosen } from '@/server/read-chosen';
import { listPlans } from '@/server/read-plan';
import { listRevisions } from '@/server/save-revision';
import { whenUp } from '@/server/when-up';
import { CompareView } from '@/ui/compare/compare-view';
import { DatabaseDown } from '@/ui/shell/database-down';

export const metadata: Metadata = { title: 'Compare' };

export default async function Page({
  params,
  searchParams,
}: {
  params: Promise<{ id: string }>;
  searchParams: Promise<{ with?: string | string[] }>;
}) {
  const { id } = await params;
  const asked = [(await searchParams).with ?? []].flat().join(',');
  const read = await whenUp(async (who) => ({
    revisions: await listRevisions(who, id),
    lines: (await listPlans(who)).lines.filter((l) => l.id !== id),
    others: await readChosen(who, id, asked),
    proposals: await listProposals(who, id),
    decides: (await limitedRole(who, id)) === undefined,
  }));
  return read ? <CompareView {...read} /> : <DatabaseDown />;
}
