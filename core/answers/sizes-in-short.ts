import type { StageOf } from '../advice/line-facts';
import { DESICCANT, DRYERS, is } from '../equipment/groups';
import { walk } from '../line/walk';
import type { Plan } from '../plan/plan';
import { allStages, standing } from '../plan/runs';
import { surroundingsAt } from '../plan/surroundings';
import { surveyAtmosphericPa } from '../plan/survey';
import { FREE_AIR_KG_PER_M3 } from '../quantity/constants';
import { sizeAftercooler } from '../sizing/size-aftercooler';
import { sizeReceiver } from '../sizing/size-receiver';
import { sizeSeparator } from '../sizing/size-separator';
import { type Conditions, inConditions } from './conditions';

/** The hottest air that what follows the cooler bears, °C (trade handbook). */
export const HOTTEST_C = { refrigerated: 49, desiccant: 38 } as const;
/** Most starts an hour for a motor, up to 5 hp and above (common practice). */
const STARTS = { small: 10, large: 6 } as const;
const SMALL_M3_PER_S = 0.01; // some 20 cfm: 5 hp

export interface SizesInShort {
  readonly inletC: number;
  readonly cooler: ReturnType<typeof sizeAftercooler>;
  readonly separator: ReturnType<typeof sizeSeparator>;
  readonly receiver: ReturnType<typeof sizeReceiver>;
  readonly startsPerHour: number;
  /** What stands there now, where it does. */
  readonly has: {
    readonly approachK: number | undefined;
    readonly ratedM3PerS: number | undefined;
    readonly volumeM3: number | undefined;
  };
}

/**
 * Cooler, separator and tank for the first compressor of a line on the hottest day.
 * @returns `undefined` without a compressor that delivers
 * @source the sizes of core/sizing, for the air that leaves the compressor
 * @example sizesInShort(plan, hottestOf(plan)).receiver.volumeM3 // 0.908
 */
export function sizesInShort(plan: Plan, hottest: Conditions): SizesInShort | undefined {
  const day = standing(inConditions(plan, hottest));
  const section = walk(day);
  const stages = allStages(day);
  const find = <K extends 'compressor' | 'aftercooler' | 'separator' | 'receiver'>(kind: K): StageOf<K> | undefined =>
    stages.find((s): s is StageOf<K> => s.kind === kind);
  const compressor = find('compressor');
  const hot = section.at(compressor?.id);
  if (!compressor || !hot || hot.dryAirKgPerS <= 0) return undefined;
  const { cutInPa, cutOutPa } = compressor.parameters;
  const passesM3PerS = hot.dryAirKgPerS / FREE_AIR_KG_PER_M3;
  const dryer = stages.find((s) => is(DRYERS, s.kind));
  const follows = dryer && is([...DESICCANT, 'membrane'], dryer.kind) ? 'desiccant' : 'refrigerated';
  const cooler = sizeAftercooler({
    dryAirKgPerS: hot.dryAirKgPerS,
    humidityRatio: (hot.vapourKgPerS + hot.liquidKgPerS) / hot.dryAirKgPerS,
    inletC: hot.temperatureC,
    pressurePa: hot.pressurePa,
    coolingC: surroundingsAt(day, compressor).roomTemperatureC,
    hottestOutC: HOTTEST_C[follows],
  });
  const startsPerHour = passesM3PerS <= SMALL_M3_PER_S ? STARTS.small : STARTS.large;
  const [hasCooler, hasSeparator, hasTank] = [find('aftercooler'), find('separator'), find('receiver')];
  const leaves = section.at(hasCooler?.id);
  return {
    inletC: hot.temperatureC,
    cooler,
    separator: sizeSeparator({ passesM3PerS, pressurePa: cutInPa, dropsKgPerS: cooler.condensesKgPerS }),
    receiver: sizeReceiver({
      deliversM3PerS: compressor.parameters.freeAirDeliveryM3PerS,
      bandPa: Math.max(1e4, cutOutPa - cutInPa),
      startsPerHour,
      burstM3PerS: 0,
      burstLastsS: 60,
      burstFallsPa: Math.max(1e4, cutOutPa - cutInPa),
      atmosphericPa: surveyAtmosphericPa(day.survey),
    }),
    startsPerHour,
    has: {
      approachK: hasCooler && leaves && leaves.temperatureC - surroundingsAt(day, hasCooler).roomTemperatureC,
      ratedM3PerS: hasSeparator?.parameters.ratedFlowM3PerS,
      volumeM3: hasTank?.parameters.volumeM3,
    },
  };
}
