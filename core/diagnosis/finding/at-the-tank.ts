import { R_DRY_AIR } from '../../air/humidity';
import { ZERO_CELSIUS_K } from '../../air/saturation';
import { leaksOf } from '../../day/leaks';
import { drainAirKgPerS } from '../../line/drain-air';
import type { Section } from '../../line/section';
import type { Plan } from '../../plan/plan';
import { allStages, runsOf, standing } from '../../plan/runs';
import { freeAirKgPerM3, surroundingsOf } from '../../plan/surroundings';

/** A tank is watched for so long while all stands, s. */
const WATCHED_S = 600;

/**
 * Pressure that the tanks of a line lose through its leaks while they are watched at rest, Pa: it falls as an exponential, as
 * long as the holes are choked, and no farther than the pressure of the room.
 * @returns 0 where nothing leaks, or there is no tank
 * @source dp/dt = −ṁ·R·T/V with ṁ in proportion to p (choked nozzle)
 * @example lostAtRestPa(plan, section, 'receiver') // 0
 */
export function lostAtRestPa(plan: Plan, section: Section, stageId: string): number {
  const at = section.at(stageId);
  const volumeM3 = allStages(standing(plan)).reduce(
    (sum, s) => sum + (s.kind === 'receiver' ? s.parameters.volumeM3 : 0),
    0,
  );
  const { checkValvesKgPerS, atRestKgPerS } = leaksOf(plan, section);
  if (!at || volumeM3 === 0) return 0;
  const { atmosphericPa } = surroundingsOf(plan);
  const heldKg = (at.pressurePa * volumeM3) / R_DRY_AIR / (at.temperatureC + ZERO_CELSIUS_K);
  const left = Math.exp((-(checkValvesKgPerS + atRestKgPerS) * WATCHED_S) / heldKg);
  return Math.min(at.pressurePa - atmosphericPa, at.pressurePa * (1 - left));
}

/**
 * What a compressor brings into the tank, as a pump-up reads it: without what is lost between them, m³/s of free air.
 * @returns nothing where the walk does not reach it
 * @example reachesTankM3PerS(plan, section, 'compressor') // 0.01
 */
export function reachesTankM3PerS(plan: Plan, section: Section, compressorId: string): number | undefined {
  const delivers = section.at(compressorId)?.dryAirKgPerS;
  const run = runsOf(standing(plan)).find((r) => r.stages.some((s) => s.id === compressorId));
  if (delivers === undefined || !run) return undefined;
  const around = surroundingsOf(plan);
  const tank = run.stages.findIndex((s) => s.kind === 'receiver');
  const lost = run.stages.slice(0, tank + 1).reduce((sum, s) => {
    const station = section.at(s.id);
    return station ? sum + station.ventedAirKgPerS + drainAirKgPerS(s, station, around.atmosphericPa) : sum;
  }, 0);
  return Math.max(0, delivers - lost) / freeAirKgPerM3(around);
}
