'use client';

import { chargeDutyAt } from '@/core/answers/charge-duty-at';
import { isBeadPlace } from '@/core/maintenance/charge-lives';
import type { Stage } from '@/core/plan/plan';
import { pathTo, standing } from '@/core/plan/runs';
import { surveyAtmosphericPa } from '@/core/plan/survey';
import { addressOf } from '@/ui/forms/address-of';
import { usePlan } from '@/ui/plan/plan-provider';
import { Link } from '@/ui/primitives/link';
import { queryOf } from './query';

/** From a place with beads in the line to its sheet, with the air that reaches it and the pressures that its housing must bear. */
export function BeadsLink({ stage }: { stage: Stage }) {
  const { plan, planId, section } = usePlan();
  if (!isBeadPlace(stage)) return null;
  const duty = chargeDutyAt(plan, section, stage);
  if (!duty) return null;
  const roomPa = surveyAtmosphericPa(plan.survey);
  const path = pathTo(standing(plan), stage.id);
  const compressor = path.find((s) => s.kind === 'compressor');
  const relief = path.find((s) => s.kind === 'receiver' && s.parameters.relief === 'own');
  const ratedPa =
    stage.kind === 'bead-cartridge'
      ? stage.parameters.ratedGaugePa && stage.parameters.ratedGaugePa + roomPa
      : stage.parameters.markedPa;
  const question = new URLSearchParams({
    from: planId,
    ...addressOf(queryOf(duty, roomPa)),
    ...(ratedPa > 0 && { marked: 'yes', rated: String(ratedPa) }),
    ...(compressor?.kind === 'compressor' && { cutout: String(compressor.parameters.cutOutPa) }),
    ...(relief?.kind === 'receiver' && {
      relief: 'yes',
      opens: String(relief.parameters.reliefSetGaugePa + roomPa),
    }),
  });
  return (
    <p className="flex flex-wrap gap-x-4 gap-y-1">
      <Link href={`/lines/${planId}/charges`} className="text-water underline underline-offset-4">
        Its charge, and when it is spent
      </Link>
      <Link href={`/beads?${question}`} className="text-water underline underline-offset-4">
        How long a charge lasts, its housing, how to dry it
      </Link>
    </p>
  );
}
