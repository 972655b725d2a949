import type { ReactNode } from 'react';
import { limitedRole } from '@/server/people/may';
import { readPlan } from '@/server/read-plan';
import { whenUp } from '@/server/when-up';
import { KeepLine } from '@/ui/offline/keep-line';
import { PlanProvider } from '@/ui/plan/plan-provider';
import { DatabaseDown } from '@/ui/shell/database-down';
import { Frame } from '@/ui/shell/frame';
import { LineSwitcher } from '@/ui/shell/line-switcher';
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
  const read = await whenUp(async (who) => ({ stored: await readPlan(who, id), role: await limitedRole(who, id) }));
  if (!read)
    return (
      <Frame planId={id}>
        <DatabaseDown />
      </Frame>
    );
  return (
    <PlanProvider key={id} planId={id} {...read}>
      <Frame planId={id} title={<LineSwitcher planId={id} />} actions={<SaveStatus />}>
        <SaveNotice />
        {children}
      </Frame>
      <Shortcuts planId={id} />
      <KeepLine planId={id} />
    </PlanProvider>
  );
}
