import type { Metadata } from 'next';
import { questionOf } from '@/core/planner/question-of';
import { planOfLink } from '@/server/plan-of-link';
import { PlannerView } from '@/ui/planner/planner-view';
import { Frame } from '@/ui/shell/frame';

export const metadata: Metadata = { title: 'Planner' };

/** From nothing, or from a line that is there: what it tells need not be asked. */
export default async function Page({ searchParams }: { searchParams: Promise<{ from?: string | string[] }> }) {
  const { planId, plan } = await planOfLink((await searchParams).from);
  return (
    <Frame {...(planId !== undefined && { planId })}>
      <PlannerView {...(planId !== undefined && plan && { from: { id: planId, plan, question: questionOf(plan) } })} />
    </Frame>
  );
}
