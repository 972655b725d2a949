import type { ReactNode } from 'react';
import { zoneOfLine } from '@/server/clock';
import { ALONE, limitedRole } from '@/server/people/may';
import { openProposals } from '@/server/proposals';
import { readPlan } from '@/server/read-plan';
import { whenUp } from '@/server/when-up';
import { KeepLine } from '@/ui/offline/keep-line';
import { PlanProvider } from '@/ui/plan/plan-provider';
import { SiteZone } from '@/ui/plan/site-zone';
import { DatabaseDown } from '@/ui/shell/database-down';
import { Frame } from '@/ui/shell/frame';
import { LineSwitcher } from '@/ui/shell/line-switcher';
import { ProposedNotice } from '@/ui/shell/propose';
import { SaveNotice, SaveStatus } from '@/ui/shell/save-status';
import { Shortcuts } from '@/ui/shell/shortcuts';

export const dynamic = 'force-dynamic';

export default async function LineLayout({
  params,
  children,
}: {
  params: Promise<{ id: string }>;
  children: ReactNode;
}) {
  const { id } = await params;
  const read = await whenUp(async (who) => ({
    stored: await readPlan(who, id),
    role: await limitedRole(who, id),
    proposed: who === ALONE ? 0 : await openProposals(id),
    zone: await zoneOfLine(id),
  }));
  if (!read)
    return (
      <Frame planId={id}>
        <DatabaseDown />
      </Frame>
    );
  const { proposed, zone, ...line } = read;
  return (
    <PlanProvider key={id} planId={id} {...line}>
      <SiteZone zone={zone} />
      <Frame planId={id} title={<LineSwitcher planId={id} />} actions={<SaveStatus />}>
        <SaveNotice />
        {proposed > 0 && !line.role && <ProposedNotice planId={id} count={proposed} />}
        {children}
      </Frame>
      <Shortcuts planId={id} />
      <KeepLine planId={id} />
    </PlanProvider>
  );
}
