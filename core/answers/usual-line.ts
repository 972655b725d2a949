import { SEA_LEVEL_PA } from '../air/atmosphere';
import { insertStage, newStage } from '../plan/edit';
import type { Plan } from '../plan/plan';
import { startPlan } from '../plan/start-plan';
import { CFM, PSI } from '../quantity/constants';

/** What dries the air of the usual line. */
export type UsualDryer = 'refrigerated-dryer' | 'bead-cartridge';

const ROOM = { id: 'room', name: 'Compressor room', temperatureC: 30, relativeHumidity: 0.55 };

/**
 * The line that stands in where nobody opened one: 5 hp, 60 gal, cooler and separator, spray gun (common practice, no source).
 * @example usualLine('bead-cartridge').stages.at(-3).kind // 'bead-cartridge'
 */
export function usualLine(dryer: UsualDryer): Plan {
  let n = 0;
  const started = startPlan(
    {
      shop: 'Typical shop',
      lineName: 'Typical line',
      intakeTemperatureC: 27,
      intakeRelativeHumidity: 0.65,
      compressor: {
        type: 'piston2',
        freeAirDeliveryM3PerS: 16 * CFM,
        cutInPa: SEA_LEVEL_PA + 95 * PSI,
        cutOutPa: SEA_LEVEL_PA + 125 * PSI,
      },
      receiverVolumeM3: 0.2271,
      has: { aftercooler: true, refrigeratedDryer: dryer === 'refrigerated-dryer' },
      job: 'solvent-spray',
      distanceM: 10,
    },
    () => `usual-${++n}`,
  );
  const plan = {
    ...started,
    survey: { ...started.survey, places: [...started.survey.places, ROOM], roomPlaceId: ROOM.id },
  };
  if (dryer === 'refrigerated-dryer') return plan;
  const regulator = plan.stages.findIndex((s) => s.kind === 'regulator');
  return insertStage(plan, newStage('bead-cartridge', 'usual-beads'), regulator);
}
