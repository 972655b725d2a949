'use client';

import Link from 'next/link';
import { loadedHoursPerDay } from '@/core/line/day';
import type { Stage } from '@/core/line/plan';
import { pathTo, standing } from '@/core/line/runs';
import { humidityAt } from '@/core/line/section';
import { volumeFlowM3PerS } from '@/core/quantity/flow-basis';
import { usePlan } from '@/ui/plan/plan-provider';
import { FLOW_BASIS } from './query';

/** From a cartridge of the line to its sheet, with the air that reaches it. */
export function BeadsLink({ stage }: { stage: Extract<Stage, { kind: 'bead-cartridge' }> }) {
  const { plan, planId, section } = usePlan();
  const before = pathTo(standing(plan), stage.id).at(-2);
  const air = before && section.at(before.id);
  if (!air) return null;
  const { medium, massKg } = stage.parameters;
  const question = new URLSearchParams({
    from: planId,
    medium,
    kg: String(massKg),
    flow: String(volumeFlowM3PerS(air.dryAirKgPerS, FLOW_BASIS, 1)),
    day: String(loadedHoursPerDay(plan) * 3600),
    c: String(air.temperatureC),
    pa: String(air.pressurePa),
    rh: String(Math.min(1, humidityAt(air, air.temperatureC, air.pressurePa))),
  });
  return (
    <Link href={`/beads?${question}`} className="text-water underline underline-offset-4">
      How long its charge lasts, and how to dry it
    </Link>
  );
}
