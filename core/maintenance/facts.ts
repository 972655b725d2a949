import { LineFacts } from '../advice/line-facts';
import { compressorCycle } from '../day/cycle';
import { handDraining } from '../drains/by-hand';
import { collectingStages, type DrainDuty, dutyOf, stopsPerDay } from '../drains/duty';
import type { PointYear } from '../drains/point-year';
import { kindOf } from '../equipment/index';
import { airBalance } from '../line/balance';
import type { Section } from '../line/section';
import type { Plan, Stage } from '../plan/plan';
import { allStages, pathTo, standing } from '../plan/runs';
import { surveyAtmosphericPa } from '../plan/survey';
import { hoursPerWeek } from '../plan/working-time';

/** What a date asks of the year at a drain. */
export type DrainYear = Pick<PointYear, 'days' | 'frostDays'>;

/** What the intervals of a line’s tasks turn on. */
export interface MaintenanceFacts {
  readonly plan: Plan;
  readonly line: LineFacts;
  readonly section: Section;
  /** On average over all days of the week. */
  readonly loadedHPerDay: number;
  readonly startsPerDay: number;
  readonly duties: ReadonlyMap<string, DrainDuty>;
  readonly years: ReadonlyMap<string, DrainYear>;
  /** When the charge that is in is exhausted, as estimated, ms of the shop’s clock; by its place. */
  readonly spentAt: ReadonlyMap<string, number>;
}

/**
 * @param years what a year of weather brings to each drain; empty where there is none
 * @example maintenanceFacts(plan, section).startsPerDay // 57.3
 */
export function maintenanceFacts(
  plan: Plan,
  section: Section,
  years: ReadonlyMap<string, DrainYear> = new Map(),
  spentAt: ReadonlyMap<string, number> = new Map(),
): MaintenanceFacts {
  const { working } = plan.survey;
  const line = new LineFacts(plan, section);
  const duties = new Map(
    collectingStages(plan).flatMap((s) => {
      const d = dutyOf(plan, section, s);
      return d ? [[s.id, d] as const] : [];
    }),
  );
  const any = [...duties.values()][0];
  const worked = hoursPerWeek(working);
  return {
    plan,
    line,
    section,
    loadedHPerDay: (worked * working.loadedShare) / 7,
    startsPerDay: any ? (stopsPerDay(any) * worked) / 7 / Math.max(1, any.workedHoursPerDay) : startsOf(plan, section),
    duties,
    years,
    spentAt,
  };
}

function startsOf(plan: Plan, section: Section): number {
  const stages = allStages(standing(plan));
  const [compressor, tank] = [stages.find((s) => s.kind === 'compressor'), stages.find((s) => s.kind === 'receiver')];
  if (!compressor || !tank) return 0;
  const b = airBalance(plan, section);
  const { cutInPa, cutOutPa, freeAirDeliveryM3PerS } = compressor.parameters;
  const cycle = compressorCycle(
    tank.parameters.volumeM3,
    cutInPa,
    cutOutPa,
    freeAirDeliveryM3PerS,
    b.usedM3PerS + b.lostM3PerS,
    surveyAtmosphericPa(plan.survey),
  );
  return (cycle.startsPerHour * hoursPerWeek(plan.survey.working)) / 7;
}

/**
 * Tasks of a stage, by its kind.
 * @example serviceOf(stage('beads')).length // 2
 */
export const serviceOf = (stage: Stage): readonly string[] => kindOf(stage.kind).service ?? [];

/** Days in which the sump of a drain fills to its mark, by today’s water; `undefined` where nothing comes. */
export function fillDays(facts: MaintenanceFacts, stageId: string): number | undefined {
  const d = facts.duties.get(stageId);
  if (!d || d.nowKgPerS <= 0) return undefined;
  const { perDay } = handDraining(d.nowKgPerS, d.stage.parameters.sumpM3, d.loadedShare, d.workedHoursPerDay);
  return perDay > 0 ? 1 / perDay : undefined;
}

/** More water than this is drops, kg/s: what is left is rounding. */
export const DROPS_KG_PER_S = 1e-9;

/** What comes before a stage that ought to: whether drops reach it, and whether anything catches oil upstream of it. */
export function neglectBefore(facts: MaintenanceFacts, stage: Stage): { drops: boolean; oil: boolean } {
  const before = pathTo(facts.plan, stage.id).slice(0, -1);
  const inlet = facts.line.inlet(stage);
  return {
    drops: (inlet?.liquidKgPerS ?? 0) > DROPS_KG_PER_S,
    oil: facts.line.oiled && !before.some((s) => s.kind === 'coalescing-filter'),
  };
}
