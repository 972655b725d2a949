'use client';

import type { DayRemark } from '@/core/day/judge-day';
import { stageById } from '@/core/plan/runs';
import { spell } from '@/core/quantity/spell';
import { usePlan } from '@/ui/plan/plan-provider';
import { Link } from '@/ui/primitives/link';
import { useUnits } from '@/ui/units/units';
import { clock } from './day-series';

/** Findings in the day, each at its stage. */
export function Remarks({ remarks }: { remarks: readonly DayRemark[] }) {
  const { plan, planId } = usePlan();
  const { say } = useUnits();
  const words = ({ what: w }: DayRemark): string => {
    switch (w.name) {
      case 'too-many-starts':
        return `starts ${w.starts} times in an hour; its motor allows ${w.limit}. A receiver of ${say(w.enoughM3, 'volume')}, a wider band, or letting it run on unloaded would help.`;
      case 'over-duty':
        return `is loaded ${say(w.share, 'share')} of its busiest hour; its limit is ${say(w.limit, 'share')}. It will overheat: less use, fewer leaks, or a larger compressor.`;
      case 'cannot-keep-up':
        return `cannot keep up from ${clock(w.fromS)} on: the jobs take ${say(w.shortM3PerS, 'volumeFlow')} more than it delivers, and the receiver falls to ${say(w.lowestPa, 'pressure')}.`;
      case 'too-low':
        return `needs ${say(w.needsPa, 'pressure')}; for ${spell(w.seconds)} of its use the receiver itself has less.`;
      case 'sump-full':
        return `is full at ${clock(w.atS)}; from then on ${say(w.kg / 1000, 'drained')} goes on with the air. Drain it more often, or let a float do it.`;
      case 'pan-over':
        return `drains into a catch pan that is full at ${clock(w.atS)}; ${say(w.kg / 1000, 'drained')} runs over. Empty it at noon, or pipe it away.`;
      case 'pulse-too-small':
        return `collects ${say(w.perCycleKg / 1000, 'drained')} between two stops; its drain passes ${say(w.pulseKg / 1000, 'drained')} each time. It does not keep up.`;
      case 'never-rests':
        return 'is drained by the unloader, and the compressor never unloads: it never opens.';
      case 'never-depressurised':
        return 'drains only when the line loses its pressure, and this line stays charged: it never opens, and its bowl is full.';
      case 'long-hiss':
        return `takes ${spell(w.seconds)} to blow off what stands upstream of the check valve; more than 20 s and the compressor may start against pressure (common practice).`;
      case 'small-receiver':
        return `is small for this compressor: it fills from cut-in to cut-out in ${spell(w.cycleS)}.`;
      case 'lake':
        return `is large for this compressor: ${spell(w.fillS)} to fill from empty, longer than the day.`;
    }
  };
  if (remarks.length === 0)
    return (
      <p className="text-water">✓ The compressor, the drains and the jobs work through this day without a problem.</p>
    );
  return (
    <ul className="grid gap-1" aria-label="Findings">
      {remarks.map((r) => (
        <li key={`${r.stageId} ${r.what.name}`} className="rounded-sm bg-amber-wash px-3 py-1.5">
          <span className="text-amber" aria-hidden>
            ◆{' '}
          </span>
          <Link href={`/lines/${planId}/line?stage=${r.stageId}`} className="font-semibold underline">
            {stageById(plan, r.stageId)?.name}
          </Link>{' '}
          {words(r)}
        </li>
      ))}
    </ul>
  );
}
