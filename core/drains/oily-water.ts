import { OIL_MG } from '../equipment/supply/compressor';
import { airBalance } from '../line/balance';
import type { Section } from '../line/section';
import type { Plan, Stage } from '../plan/plan';
import { allStages, standing } from '../plan/runs';
import { WATER_KG_PER_M3 } from '../quantity/constants';
import type { WeatherRun } from '../year/run-weather';
import { caughtInAll } from '../year/series';
import { dailyKg, monthlyKg, peak, totalKg } from '../year/sums';

const RESIDENCE_S = 3600; // sixty minutes or more (trade handbook)
/** What is still in the water when its oil has floated up: the carbon’s work, kg/m³ (100 mg/L; estimate). */
const AFTER_SETTLING = 0.1;
const CARBON_HOLDS = 0.1; // of its own mass in oil (estimate; makers’ sheets differ widely)
const CARBON_AT_MOST_S = 365 * 86_400; // changed within a year in any case (trade handbook: 6–12 months)
const OIL_KG_PER_M3 = 870;

/** The oily water of a line, and what becomes of it. */
export interface OilyWater {
  readonly yearKg: number;
  readonly months: readonly number[];
  readonly wettestDayKg: number;
  /** Of all drains together, kg/s at the wettest hour. */
  readonly peakKgPerS: number;
  /** Oil that comes with it, kg a year; in the water before it is parted, kg/m³ on the year’s average. */
  readonly oilKgPerYear: number;
  readonly oilKgPerM3: number;
  /** The separator: water that its chamber must hold for an hour at the wettest hour. */
  readonly chamberM3: number;
  /** Until its carbon is full, or a year, s. Left out where there is no separator. */
  readonly carbonLastsS?: number;
  readonly separator?: Extract<Stage, { kind: 'oil-water-separator' }>;
  /** Skimmed oil to hand over, m³ a year, where it is parted; else all the water. */
  readonly toDisposeM3: number;
}

/**
 * What the drains of a line give in a year, and the oil in it: oil that the compressors carry over goes with the water, for what
 * stays in the air is little beside it.
 *
 * @returns `undefined` for compressors without oil: their condensate may still hold dust, metals and acid, so ask
 * @source carry-over by type of compressor (common practice); residence and carbon: trade handbook and estimates
 * @example oilyWater(plan, section, run).yearKg // 442
 */
export function oilyWater(plan: Plan, section: Section, run: WeatherRun): OilyWater | undefined {
  const stages = allStages(standing(plan));
  const compressors = stages.filter((s) => s.kind === 'compressor');
  if (!compressors.some((p) => OIL_MG[p.parameters.type] > 0)) return undefined;
  const all = caughtInAll(run);
  const yearKg = totalKg(all, run.load);
  const loadedS = run.load.reduce((sum, share) => sum + share * 3600, 0);
  const free = airBalance(plan, section).deliveredM3PerS;
  const given = compressors.reduce((sum, p) => sum + p.parameters.freeAirDeliveryM3PerS, 0);
  const mg =
    compressors.reduce((sum, p) => sum + OIL_MG[p.parameters.type] * p.parameters.freeAirDeliveryM3PerS, 0) / given;
  const oilKgPerYear = mg * 1e-6 * free * loadedS;
  const separator = stages.find((s) => s.kind === 'oil-water-separator');
  const peakKgPerS = peak(all, run.load)?.value ?? 0;
  const toCarbonKg = Math.min(oilKgPerYear, (AFTER_SETTLING * yearKg) / WATER_KG_PER_M3);
  return {
    yearKg,
    months: monthlyKg(all, run.load),
    wettestDayKg: Math.max(...dailyKg(all, run.load)),
    peakKgPerS,
    oilKgPerYear,
    oilKgPerM3: yearKg > 0 ? oilKgPerYear / (yearKg / WATER_KG_PER_M3) : 0,
    chamberM3: (peakKgPerS * RESIDENCE_S) / WATER_KG_PER_M3,
    ...(separator && {
      separator,
      carbonLastsS: Math.min(
        CARBON_AT_MOST_S,
        toCarbonKg > 0
          ? ((CARBON_HOLDS * separator.parameters.carbonKg) / toCarbonKg) * 365 * 86_400
          : Number.POSITIVE_INFINITY,
      ),
    }),
    toDisposeM3: separator ? oilKgPerYear / OIL_KG_PER_M3 : yearKg / WATER_KG_PER_M3,
  };
}
