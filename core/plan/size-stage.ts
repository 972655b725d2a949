import { CHILLED, is, TOWERS } from '../equipment/groups';
import { kindOf } from '../equipment/index';
import type { FieldMeta } from '../equipment/shared/kind';
import type { Plan, Stage } from './plan';
import { allStages, standing } from './runs';

/** So much more than the compressors deliver: a warm day and a low pressure take a third of a rating (generic tables, common practice). */
const ROOM_FOR_WARM_DAYS = 1.5;

/**
 * A new dryer by its rating, large enough for what the compressors of a line deliver; any other stage as it is.
 * @example sized(plan, newStage('refrigerated-dryer', 'd')).parameters.ratedFlowM3PerS // 0.015
 */
export function sized<S extends Stage>(plan: Plan, stage: S): S {
  if (!is([...CHILLED, 'high-inlet-dryer', ...TOWERS], stage.kind)) return stage;
  const given = allStages(standing(plan)).reduce(
    (sum, s) => sum + (s.kind === 'compressor' ? s.parameters.freeAirDeliveryM3PerS : 0),
    0,
  );
  const own = stage.parameters as { ratedFlowM3PerS: number; purgeM3PerS?: number };
  const field = kindOf(stage.kind).parameters.shape.ratedFlowM3PerS as { meta(): FieldMeta };
  const { least = 0, most = Number.POSITIVE_INFINITY } = field.meta();
  const ratedFlowM3PerS = Math.min(most, Math.max(least, ROOM_FOR_WARM_DAYS * given));
  return {
    ...stage,
    parameters: {
      ...own,
      ratedFlowM3PerS,
      ...(stage.kind === 'refrigerated-dryer' && { method: 'rated' }),
      ...(own.purgeM3PerS !== undefined && {
        purgeM3PerS: (own.purgeM3PerS * ratedFlowM3PerS) / own.ratedFlowM3PerS,
      }),
    },
  };
}
