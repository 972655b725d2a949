import { pressureDewPointC } from '../air/dew-point';
import type { Basis } from '../air/enhancement-factor';
import { vapourFractionFromRelativeHumidity } from '../air/humidity';
import type { Surroundings } from '../equipment/shared/kind';
import type { Stage } from '../plan/plan';
import { surroundingsAt } from '../plan/surroundings';
import { WATER_CLASS_DEW_POINT_C } from '../purity/iso-8573';
import type { QuantityName } from '../quantity/units';
import type { ReadFigure } from './propagate';
import { humidityAt, type Station } from './section';

export type OutletStage = Extract<Stage, { kind: 'outlet' }>;

/** A dry margin that no thermometer could tell from none, K. */
export const CLOSED_K = 0.05;

/** What a shop gauge cannot tell apart, 1 psi (common practice): a pressure missed by less is not missed. */
export const GAUGE_TELLS_PA = 6895;

export interface Criterion {
  readonly quantity: QuantityName;
  readonly limit: number;
  readonly pick: ReadFigure;
}

/** What an outlet is judged by. Less is better, everywhere. */
export interface OutletCriterion {
  readonly quantity: QuantityName;
  readonly limit: number;
  readonly read: (station: Station, around: Surroundings) => number;
}

/**
 * By how much the air of an outlet is above its dew point once hose and tool have brought it to the room, K; below 0 it drops
 * water.
 * @example dryMarginK(section.at('outlet'), around) // 16.6
 */
export function dryMarginK(station: Station, { roomTemperatureC }: { readonly roomTemperatureC: number }): number {
  return Math.min(station.temperatureC, roomTemperatureC) - station.pressureDewPointC;
}

/**
 * Whether drops arrive, or form in the hose or the tool because the dew point is above the room.
 * @example isWet(section.at('outlet'), around) // false
 */
export function isWet(station: Station, around: { readonly roomTemperatureC: number }): boolean {
  return station.liquidKgPerS > 0 || dryMarginK(station, around) < -CLOSED_K;
}

/**
 * What an outlet is judged by; two criteria where it asks for a humidity and nobody knows on which basis.
 * @example outletCriteria(stage('outlet')).length // 1
 */
export function outletCriteria(stage: OutletStage): [OutletCriterion, OutletCriterion?] {
  const p = stage.parameters;
  const inLine: OutletCriterion = {
    quantity: 'share',
    limit: p.relativeHumidity,
    read: (st, { basis }) => humidityAt(st, st.temperatureC, st.pressurePa, basis),
  };
  const expanded: OutletCriterion = {
    quantity: 'share',
    limit: p.relativeHumidity,
    read: (st, around) => humidityAt(st, around.roomTemperatureC, around.atmosphericPa, around.basis),
  };
  const dewPoint = (limit: number): OutletCriterion => ({
    quantity: 'temperature',
    limit,
    read: (st) => st.pressureDewPointC,
  });
  switch (p.need) {
    case 'no-liquid':
      // Judged on the dry margin, turned round.
      return [{ quantity: 'temperatureDifference', limit: 0, read: (st, around) => -dryMarginK(st, around) }];
    case 'humidity-in-line':
      return [inLine];
    case 'humidity-expanded':
      return [expanded];
    case 'humidity-unknown':
      return [inLine, expanded];
    case 'iso-class':
      return [dewPoint(WATER_CLASS_DEW_POINT_C[p.waterClass])];
    default:
      return [dewPoint(p.dewPointC)];
  }
}

/** The same as what a walk is asked for. */
export function criteriaOf(stage: OutletStage, basis: Basis): Criterion[] {
  return outletCriteria(stage)
    .filter((c) => c !== undefined)
    .map((c) => ({
      ...c,
      pick: (section, plan) => {
        const station = section.at(stage.id);
        return station && c.read(station, surroundingsAt(plan, stage, basis));
      },
    }));
}

/**
 * The pressure dew point that an outlet asks for, °C; of a humidity, the one at which the air of that place has it. Where
 * nobody knows on which basis, the harder of the two: in the line.
 * @returns `undefined` where it only asks for no drops
 * @example askedDewPointC(stage('outlet').parameters, section.at('outlet'), around) // 7
 */
export function askedDewPointC(
  p: OutletStage['parameters'],
  air: { readonly temperatureC: number; readonly pressurePa: number },
  around: { readonly roomTemperatureC: number; readonly atmosphericPa: number },
): number | undefined {
  const of = (temperatureC: number, pa: number): number =>
    pressureDewPointC(vapourFractionFromRelativeHumidity(p.relativeHumidity, temperatureC, pa), air.pressurePa);
  switch (p.need) {
    case 'no-liquid':
      return undefined;
    case 'dew-point':
      return p.dewPointC;
    case 'iso-class':
      return WATER_CLASS_DEW_POINT_C[p.waterClass];
    case 'humidity-expanded':
      return of(around.roomTemperatureC, around.atmosphericPa);
    default:
      return of(air.temperatureC, air.pressurePa);
  }
}
