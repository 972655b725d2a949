import { R_DRY_AIR } from '../../air/humidity';
import { ZERO_CELSIUS_K } from '../../air/saturation';
import type { Placed } from '../../fault/fault';
import type { Section } from '../../line/section';
import { orificeKgPerS } from '../../pipe-flow/orifice';
import type { Plan } from '../../plan/plan';
import { stageById } from '../../plan/runs';
import { surroundingsOf } from '../../plan/surroundings';

/** A tank is watched for so long while all stands, s. */
const WATCHED_S = 600;

/**
 * Pressure that a tank loses through the leaks of its faults while it is watched at rest, Pa: it falls as an exponential, as
 * long as the holes are choked, and no farther than the pressure of the room.
 * @returns 0 where nothing leaks, or there is no tank
 * @source dp/dt = −ṁ·R·T/V with ṁ in proportion to p (choked nozzle)
 * @example lostAtRestPa(plan, section, 'receiver', []) // 0
 */
export function lostAtRestPa(plan: Plan, section: Section, stageId: string, faults: readonly Placed[]): number {
  const at = section.at(stageId);
  const { volumeM3 = 0 } = (stageById(plan, stageId)?.parameters ?? {}) as { volumeM3?: number };
  const boreM = Math.hypot(...faults.map((f) => f.fault.leakM?.(f.size) ?? 0));
  if (!at || boreM === 0 || volumeM3 === 0) return 0;
  const { atmosphericPa } = surroundingsOf(plan);
  const kgPerS = orificeKgPerS(boreM, at.pressurePa, atmosphericPa, at.temperatureC);
  const perS = (kgPerS * R_DRY_AIR * (at.temperatureC + ZERO_CELSIUS_K)) / (volumeM3 * at.pressurePa);
  return Math.min(at.pressurePa - atmosphericPa, at.pressurePa * (1 - Math.exp(-perS * WATCHED_S)));
}
