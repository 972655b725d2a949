import { COUPLERS } from '../equipment/serving/coupler';
import { type Conductance, pressureBehindValvePa } from '../pipe-flow/conductance';
import { PSI } from '../quantity/constants';
import { type Sized, smallestOf } from './next-size';

/** By how much more a larger body passes than a full-flow one of ¼ in, typical of makers’ sheets by ISO 6358 (estimates). */
const LARGER = [
  { body: '3/8', by: 2 },
  { body: '1/2', by: 4 },
  { body: '3/4', by: 8 },
  { body: '1', by: 14 },
] as const;
const times = ({ c, b }: Conductance, n: number): Conductance => ({ c: c * n, b });

const ROW = [
  { body: '1/4', pattern: 'standard', valve: COUPLERS.standard.valve },
  { body: '1/4', pattern: 'full-flow', valve: COUPLERS['full-flow'].valve },
  ...LARGER.map(
    ({ body, by }) => ({ body, pattern: 'full-flow', valve: times(COUPLERS['full-flow'].valve, by) }) as const,
  ),
] as const;

/** What one coupler may lose while its tool draws air: 1 psi, of 5 that hose and couplers may (common practice, no source). */
export const MOST_COUPLER_LOSS_PA = PSI;

export interface CouplerDuty {
  readonly kgPerS: number;
  /** That arrives, absolute. */
  readonly pressurePa: number;
  readonly temperatureC: number;
}

export interface CouplerAt {
  readonly body: (typeof ROW)[number]['body'];
  readonly pattern: (typeof ROW)[number]['pattern'];
  /** Infinite where the flow chokes. */
  readonly lossPa: number;
}

/**
 * The smallest quick coupler that passes a tool’s air within a pressure loss, with the ones beside it.
 * @param duty dry air, kg/s; pressure absolute, 1.1…41 bar
 * @source ISO 6358 (recalled); conductances typical (estimate)
 * @example sizeCoupler({ kgPerS: 0.0078, pressurePa: 6.2e5, temperatureC: 20 }).pattern // 'full-flow'
 */
export function sizeCoupler({
  kgPerS,
  pressurePa,
  temperatureC,
}: CouplerDuty): CouplerAt & { readonly beside: Omit<Sized<CouplerAt>, 'size'>; readonly fits: boolean } {
  const { size, down, up } = smallestOf(
    ROW.map(({ body, pattern, valve }): CouplerAt => {
      const out = pressureBehindValvePa(valve, kgPerS, pressurePa, temperatureC);
      return { body, pattern, lossPa: out === undefined ? Number.POSITIVE_INFINITY : pressurePa - out };
    }),
    (c) => c.lossPa <= MOST_COUPLER_LOSS_PA,
  );
  return { ...size, beside: { down, up }, fits: size.lossPa <= MOST_COUPLER_LOSS_PA };
}
