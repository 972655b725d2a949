import type { Basis } from '../air/enhancement-factor';
import { WATER_CLASS_DEW_POINT_C } from '../purity/iso-8573';
import type { Band } from '../quantity/derivation';
import type { QuantityName } from '../quantity/units';
import type { Plan, Stage } from './plan';
import { type Pick, propagateAll } from './propagate';
import { allStages, standing } from './runs';
import { humidityAt, type Section, type Station } from './section';
import { surroundingsOf } from './walk';

/** `meets` and `fails` hold even at the edge of the uncertainty; in between the figure is `open`. */
export type Verdict = 'meets' | 'fails' | 'open';

/** What a job needs and what it gets. */
export interface OutletJudgement {
  readonly stageId: string;
  readonly verdict: Verdict;
  readonly quantity: QuantityName;
  readonly limit: number;
  readonly gets: number;
  readonly low: number;
  readonly high: number;
  /** Drops arrive with the air. */
  readonly liquidKgPerS: number;
  readonly pressure: { readonly needsPa: number; readonly getsPa: number; readonly enough: boolean };
  /** Which reading would settle an open verdict, or what stands behind a failed one. */
  readonly note?: string;
}

export type OutletStage = Extract<Stage, { kind: 'outlet' }>;

/** A dry margin that no thermometer could tell from none, K. */
export const CLOSED_K = 0.05;

function criterion(stage: OutletStage, basis: Basis): { quantity: QuantityName; limit: number; pick: Pick } {
  const p = stage.parameters;
  const at =
    (read: (station: Station, plan: Plan) => number): Pick =>
    (section, plan) => {
      const station = section.at(stage.id);
      return station && read(station, plan);
    };
  switch (p.need) {
    case 'no-liquid':
      // Judged on the dry margin, turned round so that, as everywhere here, less is better.
      return {
        quantity: 'temperatureDifference',
        limit: 0,
        pick: at((st) => st.pressureDewPointC - st.temperatureC),
      };
    case 'humidity-in-line':
      return {
        quantity: 'share',
        limit: p.relativeHumidity,
        pick: at((st) => humidityAt(st, st.temperatureC, st.pressurePa, basis)),
      };
    case 'humidity-expanded':
      return {
        quantity: 'share',
        limit: p.relativeHumidity,
        pick: at((st, plan) => {
          const around = surroundingsOf(plan, basis);
          return humidityAt(st, around.roomTemperatureC, around.atmosphericPa, basis);
        }),
      };
    case 'iso-class':
      return {
        quantity: 'temperature',
        limit: WATER_CLASS_DEW_POINT_C[p.waterClass],
        pick: at((st) => st.pressureDewPointC),
      };
    default:
      return { quantity: 'temperature', limit: p.dewPointC, pick: at((st) => st.pressureDewPointC) };
  }
}

function verdictOf(need: OutletStage['parameters']['need'], wet: boolean, band: Band, limit: number): Verdict {
  if (wet) return 'fails';
  if (need === 'no-liquid') return band.high <= -CLOSED_K ? 'meets' : 'open';
  if (band.low > limit) return 'fails';
  return band.high <= limit ? 'meets' : 'open';
}

/**
 * Judges the outlets of a line with the uncertainty of what each gets: it meets the need only if it would at the worse edge of the
 * band, fails only if it would at the better one, and is open in between.
 * @returns by stage id; an outlet before which the walk stops is left out
 * @source verdicts with uncertainty: common practice; classes: ISO 8573-1:2010 (recalled)
 */
export function judgeOutlets(plan: Plan, section: Section, basis: Basis = 'real'): Map<string, OutletJudgement> {
  const outlets = allStages(standing(plan)).filter((s): s is OutletStage => s.kind === 'outlet');
  const criteria = outlets.map((stage) => criterion(stage, basis));
  const bands = propagateAll(
    plan,
    criteria.map((c) => c.pick),
    basis,
  );
  return new Map(
    outlets.flatMap((stage, i) => {
      const station = section.at(stage.id);
      const [band, asked] = [bands[i], criteria[i]];
      return station && band && asked ? [[stage.id, judged(stage, station, band, asked)] as const] : [];
    }),
  );
}

function judged(
  stage: OutletStage,
  station: Station,
  band: Band,
  { quantity, limit }: { quantity: QuantityName; limit: number },
): OutletJudgement {
  const wet = station.liquidKgPerS > 0;
  const verdict = verdictOf(stage.parameters.need, wet, band, limit);
  const largest = band.drivers[0]?.label;
  const note = wet
    ? 'drops arrive with the air.'
    : verdict === 'open'
      ? stage.parameters.need === 'no-liquid' && band.value > -CLOSED_K
        ? 'saturated, the first degree of cooling drops water.'
        : `check ${largest ?? 'the inputs'}.`
      : undefined;
  const needsPa = stage.parameters.leastPressurePa;
  return {
    stageId: stage.id,
    verdict,
    quantity,
    limit,
    gets: band.value,
    low: band.low,
    high: band.high,
    liquidKgPerS: station.liquidKgPerS,
    pressure: { needsPa, getsPa: station.pressurePa, enough: station.pressurePa >= needsPa },
    ...(note && { note }),
  };
}
