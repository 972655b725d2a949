'use client';

import Link from 'next/link';
import { askedBehind } from '@/core/advice/dryers';
import { LineFacts } from '@/core/advice/line-facts';
import { humidityAt } from '@/core/line/section';
import type { Stage } from '@/core/plan/plan';
import { pathTo, standing } from '@/core/plan/runs';
import { surroundingsAt } from '@/core/plan/surroundings';
import { surveyAtmosphericPa } from '@/core/plan/survey';
import { hoursPerWeek } from '@/core/plan/working-time';
import { WORKING_WEEKS } from '@/core/quantity/constants';
import { volumeFlowM3PerS } from '@/core/quantity/flow-basis';
import { FAMILIES } from '@/core/sizing/families';
import { usePlan } from '@/ui/plan/plan-provider';
import { FLOW_BASIS } from './query';

/** From a dryer of the line to all families, with the air that reaches it. */
export function DryersLink({ stage }: { stage: Stage }) {
  const { plan, planId, section } = usePlan();
  const before = pathTo(standing(plan), stage.id).at(-2);
  const air = before && section.at(before.id);
  if (!(stage.kind in FAMILIES) || !air) return null;
  const { working, money } = { working: plan.survey.working, money: plan.money };
  const room = surroundingsAt(plan, stage).roomTemperatureC;
  const { wantedC, coldestRoomC, coldestAfterC } = askedBehind(new LineFacts(plan, section), stage);
  const question = new URLSearchParams({
    from: planId,
    atm: String(surveyAtmosphericPa(plan.survey)),
    look: stage.kind,
    flow: String(volumeFlowM3PerS(air.dryAirKgPerS, FLOW_BASIS, 1)),
    load: String(working.loadedShare),
    c: String(air.temperatureC),
    pa: String(air.pressurePa),
    rh: String(Math.min(1, humidityAt(air, air.temperatureC, air.pressurePa))),
    room: String(room),
    hot: String(room + 10),
    want: String(wantedC),
    cold: String(coldestRoomC),
    after: String(coldestAfterC),
    hours: String(hoursPerWeek(working) * WORKING_WEEKS * 3600),
    kwh: String(money.perKWh),
    hour: String(money.perHour),
  });
  return (
    <Link href={`/dryers?${question}`} className="text-water underline underline-offset-4">
      Compare all dryer types for this air
    </Link>
  );
}
