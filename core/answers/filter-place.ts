import { saturatedHumidityRatio } from '../air/humidity';
import { DRYERS, FILTERS, is } from '../equipment/groups';
import { walk } from '../line/walk';
import type { Plan, Stage } from '../plan/plan';
import { allStages, pathTo, standing } from '../plan/runs';
import { surroundingsAt } from '../plan/surroundings';
import { oilVapourLimit } from '../purity/dirt';
import { type Conditions, inConditions } from './conditions';

/** The air downstream of a stage, as a filter there would get it. */
export interface FilterPlace {
  readonly stage: Stage;
  readonly temperatureC: number;
  /** Drops that arrive, and water that passes as vapour and condenses further on, while the compressor runs loaded, kg/s. */
  readonly dropsKgPerS: number;
  readonly condensesLaterKgPerS: number;
  /** Oil that no coalescer holds there, for it is vapour, mg/m³ (estimate). */
  readonly oilVapourMg: number;
}

export interface FilterPlaces {
  /** From the compressor up to the first dryer or regulator, in the order of flow. */
  readonly places: readonly FilterPlace[];
  readonly best: FilterPlace | undefined;
  /** Filters that stand on the way there, with the place that each gets its air from. */
  readonly filters: readonly { readonly stage: Stage; readonly behind: string; readonly isTooHot: boolean }[];
}

/** Beside the air’s way, not on it. */
const BESIDE = ['oil-water-separator', 'gauge', 'relief-valve', 'sight-glass', 'test-point'] as const;
/** Warmer than the coolest place by so much, a filter still catches nearly as well (estimate). */
const NEARLY_K = 1.5;

/** Up to where a filter protects what follows: the first dryer, or what brings the air to the job. */
function wayOf(line: Plan): readonly Stage[] {
  const outlets = allStages(line).filter((s) => s.kind === 'outlet');
  const most = outlets.toSorted((a, b) => b.parameters.flowM3PerS - a.parameters.flowM3PerS)[0];
  const path = most ? pathTo(line, most.id) : line.stages;
  const from = path.findIndex((s) => s.kind === 'compressor');
  const end = path.findIndex((s, i) => i > from && (is(DRYERS, s.kind) || s.kind === 'regulator'));
  return path.slice(Math.max(0, from), end < 0 ? path.length : end).filter((s) => !is(BESIDE, s.kind));
}

/**
 * Where a filter catches most: the coolest place upstream of the dryer or the regulator, for what is still vapour passes it.
 * @source what condenses later: saturation at the coldest place further on; oil vapour by temperature (estimate)
 * @example filterPlace(plan, conditionsOf(plan)).best.stage.id // 'isolating-valve'
 */
export function filterPlace(plan: Plan, conditions: Conditions): FilterPlaces {
  const day = inConditions(plan, conditions);
  const section = walk(day);
  const line = standing(day);
  const way = wayOf(line);
  const coldestC = Math.min(...allStages(line).map((s) => surroundingsAt(line, s).roomTemperatureC));
  const places = way.flatMap((stage): FilterPlace[] => {
    const air = section.at(stage.id);
    if (!air) return [];
    const later = air.vapourKgPerS - air.dryAirKgPerS * saturatedHumidityRatio(coldestC, air.pressurePa);
    return [
      {
        stage,
        temperatureC: air.temperatureC,
        dropsKgPerS: air.liquidKgPerS,
        condensesLaterKgPerS: air.temperatureC > coldestC ? Math.max(0, later) : 0,
        oilVapourMg: oilVapourLimit(air.temperatureC),
      },
    ];
  });
  const coolestC = Math.min(...places.map((p) => p.temperatureC));
  const isCool = (p: FilterPlace): boolean => p.temperatureC <= coolestC + NEARLY_K;
  return {
    places,
    best: places.findLast((p) => isCool(p) && !is(FILTERS, p.stage.kind)) ?? places.findLast(isCool),
    filters: way.flatMap((stage, i) => {
      const behind = places.find((p) => p.stage.id === way[i - 1]?.id);
      return behind && is(FILTERS, stage.kind)
        ? [{ stage, behind: behind.stage.id, isTooHot: !isCool(behind) && behind.condensesLaterKgPerS > 0 }]
        : [];
    }),
  };
}
