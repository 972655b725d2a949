import type { Metadata } from 'next';
import { questionOf } from '@/core/planner/question-of';
import { RequestRefused } from '@/server/errors';
import { idSchema } from '@/server/plan-id';
import { readPlan } from '@/server/read-plan';
import { whenUp } from '@/server/when-up';
import { PlannerView } from '@/ui/planner/planner-view';
import { Frame } from '@/ui/shell/frame';

export const metadata: Metadata = { title: 'Planner' };

/** From nothing, or from a line that is there: what it tells need not be asked. One that is not to be seen is none. */
export default async function Page({ searchParams }: { searchParams: Promise<{ from?: string | string[] }> }) {
  const from = idSchema.safeParse((await searchParams).from);
  const plan = from.success ? await planOf(from.data) : undefined;
  return (
    <Frame {...(from.success && { planId: from.data })}>
      <PlannerView {...(plan && { from: { name: plan.name, question: questionOf(plan) } })} />
    </Frame>
  );
}

const planOf = (id: string) =>
  whenUp(async (who) => {
    try {
      return (await readPlan(who, id)).plan;
    } catch (error) {
      if (error instanceof RequestRefused) return undefined;
      throw error;
    }
  });
