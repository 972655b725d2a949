import { chokedKgPerS } from '../pipe-flow/conductance';
import { FREE_AIR_KG_PER_M3 } from '../quantity/constants';
import { type Sized, smallestOf } from './next-size';

/** Port sizes of regulators with their sonic conductance, dm³/(s·bar), typical of makers’ sheets by ISO 6358 (estimate). */
export const REGULATORS = [
  { port: '1/4', conductance: 5 },
  { port: '3/8', conductance: 10 },
  { port: '1/2', conductance: 18 },
  { port: '3/4', conductance: 35 },
  { port: '1', conductance: 60 },
  { port: '1-1/2', conductance: 130 },
  { port: '2', conductance: 220 },
] as const;
export type RegulatorSize = (typeof REGULATORS)[number];
/** A size with its droop at the flow that is asked about; infinite where it chokes. */
export type RegulatorAt = RegulatorSize & { readonly droopHerePa: number };
/** Of what it passes while it chokes, the most that a regulator should pass: beyond it its droop grows steeply (estimate). */
const MOST_OF_CHOKED = 0.35;
/** Droop at a usual full flow, 5–15 psi (common practice): the middle, at the flow for which it is sized. */
const DROOP_PA = 35_000;

export interface RegulatorDuty {
  readonly kgPerS: number;
  /** That arrives, absolute: at cut-in. */
  readonly supplyPa: number;
  readonly temperatureC: number;
}

/**
 * The smallest regulator for a flow, with the sizes beside it and its droop at that flow.
 * @param duty dry air, kg/s; supply 1.5…41 bar absolute
 * @source sonic conductance, ISO 6358 (recalled); ports and droop typical (estimate)
 * @example sizeRegulator({ kgPerS: 0.0078, supplyPa: 7.5e5, temperatureC: 30 }).port // '1/4'
 */
export function sizeRegulator({ kgPerS, supplyPa, temperatureC }: RegulatorDuty): RegulatorSize & {
  readonly usedShare: number;
  readonly droopPa: number;
  readonly droopAtM3PerS: number;
  readonly droopHerePa: number;
  readonly beside: Omit<Sized<RegulatorAt>, 'size'>;
} {
  const most = ({ conductance }: RegulatorSize): number =>
    chokedKgPerS({ c: conductance * 1e-8, b: 0.3 }, supplyPa, temperatureC);
  const { size, down, up } = smallestOf<RegulatorSize>(REGULATORS, (r) => kgPerS <= MOST_OF_CHOKED * most(r));
  const here = (r: RegulatorSize): RegulatorAt => {
    const share = kgPerS / most(r);
    return { ...r, droopHerePa: share < 1 ? (DROOP_PA * share) / MOST_OF_CHOKED : Number.POSITIVE_INFINITY };
  };
  return {
    ...here(size),
    usedShare: kgPerS / most(size),
    droopPa: DROOP_PA,
    droopAtM3PerS: (MOST_OF_CHOKED * most(size)) / FREE_AIR_KG_PER_M3,
    beside: { down: down && here(down), up: up && here(up) },
  };
}
