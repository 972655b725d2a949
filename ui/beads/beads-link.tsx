'use client';

import Link from 'next/link';
import { humidityAt } from '@/core/line/section';
import { loadedHoursPerDay } from '@/core/line/working-day';
import type { Stage } from '@/core/plan/plan';
import { pathTo, standing } from '@/core/plan/runs';
import { surveyAtmosphericPa } from '@/core/plan/survey';
import { volumeFlowM3PerS } from '@/core/quantity/flow-basis';
import { usePlan } from '@/ui/plan/plan-provider';
import { FLOW_BASIS } from './query';

/** From a place with beads in the line to its sheet, with the air that reaches it and the pressures that its housing must bear. */
export function BeadsLink({ stage }: { stage: Stage }) {
  const { plan, planId, section } = usePlan();
  const line = standing(plan);
  const path = pathTo(line, stage.id);
  const before = path.at(-2);
  const air = before && section.at(before.id);
  const isCartridge = stage.kind === 'bead-cartridge';
  if (!air || !(isCartridge || (stage.kind === 'home-made-housing' && stage.parameters.filling === 'gel'))) return null;
  const roomPa = surveyAtmosphericPa(plan.survey);
  const compressor = path.find((s) => s.kind === 'compressor');
  const relief = path.find((s) => s.kind === 'receiver' && s.parameters.relief === 'own');
  const ratedPa = isCartridge
    ? stage.parameters.ratedGaugePa && stage.parameters.ratedGaugePa + roomPa
    : stage.parameters.markedPa;
  const question = new URLSearchParams({
    from: planId,
    atm: String(roomPa),
    medium: isCartridge ? stage.parameters.medium : 'silica',
    kg: String(stage.parameters.massKg),
    flow: String(volumeFlowM3PerS(air.dryAirKgPerS, FLOW_BASIS, 1)),
    day: String(loadedHoursPerDay(plan) * 3600),
    c: String(air.temperatureC),
    pa: String(air.pressurePa),
    rh: String(Math.min(1, humidityAt(air, air.temperatureC, air.pressurePa))),
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
