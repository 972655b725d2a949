'use client';

import { dryerDutyAt } from '@/core/answers/dryer-duty-at';
import type { Stage } from '@/core/plan/plan';
import { FAMILIES } from '@/core/sizing/families';
import { addressOf } from '@/ui/forms/address-of';
import { usePlan } from '@/ui/plan/plan-provider';
import { Link } from '@/ui/primitives/link';
import { queryOf } from './query';

/** From a dryer of the line to all families, with the air that reaches it. */
export function DryersLink({ stage }: { stage: Stage }) {
  const { plan, planId, section } = usePlan();
  const duty = stage.kind in FAMILIES ? dryerDutyAt(plan, section, stage) : undefined;
  if (!duty) return null;
  const question = new URLSearchParams({ from: planId, look: stage.kind, ...addressOf(queryOf(duty)) });
  return (
    <Link href={`/dryers?${question}`} className="text-water underline underline-offset-4">
      Compare all dryer types for this air
    </Link>
  );
}
