import { drainAirKgPerS, isHeldOpen } from '../line/drain-air';
import type { Section } from '../line/section';
import type { Plan, Stage } from '../plan/plan';
import { allStages, runsOf, standing } from '../plan/runs';
import { freeAirKgPerM3, surroundingsOf } from '../plan/surroundings';
import { aheadOfCheck } from './compressor-unit';

/** Air that a line loses besides what its stages blow off on purpose, kg/s at its pressure. */
export interface Leaks {
  /** Back through check valves, while no compressor delivers. */
  readonly checkValvesKgPerS: number;
  /** Through joints, hoses and drains that are held open, downstream of the check valves: by day and by night. */
  readonly atRestKgPerS: number;
  /** Through all timed drains while they have power, those that are held open among them. */
  readonly drainsKgPerS: number;
}

/**
 * What leaks out of a line.
 * @source entered leaks; drains by choked flow through their bore
 * @example leaksOf(plan, section).atRestKgPerS // 0
 */
export function leaksOf(plan: Plan, section: Section): Leaks {
  const line = standing(plan);
  const around = surroundingsOf(line);
  const kgPerM3 = freeAirKgPerM3(around);
  const ahead = new Set(runsOf(line).flatMap((run) => aheadOfCheck(run).map((s) => s.id)));
  const leaks = { checkValvesKgPerS: 0, atRestKgPerS: 0, drainsKgPerS: 0 };
  for (const stage of allStages(line)) {
    const station = section.at(stage.id);
    const drain = station ? drainAirKgPerS(stage, station, around.atmosphericPa) : 0;
    const joint = leakOf(stage) * kgPerM3;
    leaks.drainsKgPerS += drain;
    if (stage.kind === 'check-valve') leaks.checkValvesKgPerS += joint;
    else if (!ahead.has(stage.id)) leaks.atRestKgPerS += joint + (isHeldOpen(stage) ? drain : 0);
  }
  return leaks;
}

/**
 * Free air that a stage loses through its joints, m³/s; 0 where it has none that leak.
 * @example leakOf(stage('receiver')) // 0
 */
export const leakOf = ({ parameters }: Stage): number => (parameters as { leakM3PerS?: number }).leakM3PerS ?? 0;
