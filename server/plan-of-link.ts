import type { Plan } from '../core/plan/plan';
import { RequestRefused } from './errors';
import { idSchema } from './plan-id';
import { readPlan } from './read-plan';
import { whenUp } from './when-up';

/** The line that a page was opened from, by its address. One that may not be seen, or is no more, is none. */
export async function planOfLink(
  from: string | string[] | undefined,
): Promise<{ planId: string | undefined; plan: Plan | undefined }> {
  const planId = idSchema.safeParse(from).data;
  if (planId === undefined) return { planId, plan: undefined };
  const plan = await whenUp(async (who) => {
    try {
      return (await readPlan(who, planId)).plan;
    } catch (error) {
      if (error instanceof RequestRefused) return undefined;
      throw error;
    }
  });
  return { planId, plan };
}
