import type { Plan, Stage } from '@/core/plan/plan';
import { stageById } from '@/core/plan/runs';
import { placeOf } from '@/core/plan/survey';
import { useUnits } from '@/ui/units/units';

/** What one sees on arriving: the air, the compressor, and the stages in their order. */
export function TheLine({
  plan,
  season,
  stages,
}: {
  plan: Plan;
  season: string;
  /** Not where their order is what is asked. */
  stages: boolean;
}) {
  const { say } = useUnits();
  const air = placeOf(plan.survey, plan.survey.intakePlaceId);
  const compressor = plan.stages.find((s) => s.kind === 'compressor') as Extract<Stage, { kind: 'compressor' }>;
  const { freeAirDeliveryM3PerS, cutInPa, cutOutPa } = compressor.parameters;
  const { loadedShare } = plan.survey.working;
  return (
    <div className="grid gap-1 text-[0.92rem]">
      <p className="text-quiet">
        Air {season}: {say(air.temperatureC, 'temperature')}, {say(air.relativeHumidity, 'share')} humidity. The
        compressor gives {say(freeAirDeliveryM3PerS, 'volumeFlow')}, from {say(cutInPa, 'pressure')} to{' '}
        {say(cutOutPa, 'pressure')}, loaded {say(loadedShare, 'share')} of the working time.
      </p>
      {stages && (
        <ol aria-label="The line" className="flex flex-wrap items-center gap-x-1.5 gap-y-1">
          {plan.stages.map((s, i) => (
            <li key={s.id} className="flex items-center gap-1.5">
              {i > 0 && (
                <span aria-hidden className="text-quiet">
                  →
                </span>
              )}
              <span className="rounded-sm border border-hairline bg-card px-1.5 py-0.5">
                {stageById(plan, s.id)?.name}
              </span>
            </li>
          ))}
        </ol>
      )}
    </div>
  );
}
