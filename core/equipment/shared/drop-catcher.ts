import type { AirStream } from '../../stream/air-stream';
import { type Drain, drained } from './drain-fields';
import type { Surroundings } from './kind';
import { LOSS_GROWS, type LosesPressure, pressureAfterLoss } from './losses';

export interface Catcher extends LosesPressure {
  readonly efficiency: number;
  readonly drain: Drain;
}

/**
 * What all kinds do that catch drops and nothing else: the air loses some pressure, and a share of its drops where a
 * drain lets them out. Vapour passes: the dew point stays.
 * @example Object.keys(catchesDrops('common practice')) // ["equation","pass","catches"]
 */
export function catchesDrops<P extends Catcher>(
  source: string,
  efficiencyOf?: (p: P, inlet: AirStream, around: Surroundings) => number,
) {
  return {
    equation: 'caught = share · drops; vapour unchanged; p₂ = p₁ − loss',
    pass(inlet: AirStream, p: P, around: Surroundings): void {
      const efficiency = efficiencyOf ? efficiencyOf(p, inlet, around) : p.efficiency;
      const share = drained(p.drain, efficiency, around);
      inlet
        .expandTo(pressureAfterLoss(inlet, p.pressureLossPa, p.lossAtM3PerS, around, LOSS_GROWS.media))
        .catchDrops(share);
    },
    catches: (p: P, around: Surroundings) => ({ efficiency: drained(p.drain, p.efficiency, around), source }),
  };
}
