import { demandM3PerS } from '../network/demand';
import type { Plan } from '../plan/plan';
import { allStages, standing } from '../plan/runs';
import { freeAirKgPerM3, surroundingsOf } from '../plan/surroundings';
import { type Derivation, input } from '../quantity/derivation';
import { drainAirKgPerS } from './drain-air';
import type { Section } from './section';

/** Air that the compressors give and where it goes, m³/s of free air. */
export interface AirBalance {
  readonly deliveredM3PerS: number;
  /** What the jobs take on average. */
  readonly usedM3PerS: number;
  /** Purge, sweep, samples, leaks of couplers and what timed drains blow: lost at any hour. */
  readonly lostM3PerS: number;
  /** Of that, what timed drains blow. */
  readonly drainsM3PerS: number;
  /** What stays, or what is short. */
  readonly leftM3PerS: number;
  /** Where the jobs and losses ask for more for ever: the pressure that they take it down to, and the share of it that is left. */
  readonly fallsToPa?: number;
}

/**
 * Holds what the line gives away against what the compressors deliver.
 * Where more is asked for than there is, the pressure falls until the rest takes no more than comes: tools without a
 * regulator, leaks and nozzles take air in proportion to the absolute pressure.
 *
 * @source balance of mass; flow through tools and leaks ∝ absolute pressure (choked flow; common practice)
 * @example airBalance(plan, section).leftM3PerS // 0.00575
 */
export function airBalance(plan: Plan, section: Section): AirBalance {
  const line = standing(plan);
  const around = surroundingsOf(line);
  const kgPerM3 = freeAirKgPerM3(around);
  const deliveredM3PerS = section.dryAirKgPerS / kgPerM3;
  const usedM3PerS = demandM3PerS(line);
  const drainsM3PerS =
    allStages(line).reduce((sum, s) => {
      const station = section.at(s.id);
      return station ? sum + drainAirKgPerS(s, station, around.atmosphericPa) : sum;
    }, 0) / kgPerM3;
  const lostM3PerS = section.stations.reduce((sum, s) => sum + s.ventedAirKgPerS, 0) / kgPerM3 + drainsM3PerS;
  const leftM3PerS = deliveredM3PerS - usedM3PerS - lostM3PerS;
  const compressor = allStages(line).find((s) => s.kind === 'compressor');
  const asked = usedM3PerS + lostM3PerS;
  return {
    deliveredM3PerS,
    usedM3PerS,
    lostM3PerS,
    drainsM3PerS,
    leftM3PerS,
    ...(leftM3PerS < 0 &&
      compressor?.kind === 'compressor' && {
        fallsToPa: Math.max(around.atmosphericPa, (compressor.parameters.cutInPa * deliveredM3PerS) / asked),
      }),
  };
}

/**
 * “Why?” for the pressure that the line falls to.
 * @example explainFall(plan, airBalance(plan, section)).value // 0
 */
export function explainFall(plan: Plan, balance: AirBalance): Derivation {
  const compressor = allStages(plan).find((s) => s.kind === 'compressor');
  return {
    title: 'Pressure that the line falls to',
    quantity: 'pressure',
    value: balance.fallsToPa ?? 0,
    formula: 'cut-in pressure, absolute × delivered / (used + lost)',
    inputs: [
      input(
        'cuts in at',
        'pressure',
        compressor?.kind === 'compressor' ? compressor.parameters.cutInPa : 0,
        'compressor',
      ),
      input('delivered', 'volumeFlow', balance.deliveredM3PerS, 'all compressors, loaded'),
      input('used on average', 'volumeFlow', balance.usedM3PerS, 'jobs: flow × time'),
      input('purge, sweep, leaks', 'volumeFlow', balance.lostM3PerS - balance.drainsM3PerS, 'the line'),
      input('timed drains', 'volumeFlow', balance.drainsM3PerS, 'bore, seconds open, interval'),
    ],
    source: 'tools, leaks and nozzles take air in proportion to absolute pressure (choked flow; common practice)',
    note: 'Tools downstream of a regulator take no less until the line is below its setting: then their flow falls too.',
  };
}
