import { pressureBehindHosePa } from '../equipment/serving/hose-flow';
import { Refusal } from '../equipment/shared/kind';
import { INCH } from '../quantity/constants';
import { AirStream } from '../stream/air-stream';
import { type Sized, smallestOf } from './next-size';

/** Bores of hose, and of the inserts that go with them, m: ¼ to 2 in (common practice; inserts estimated). */
const HOSES = [1 / 4, 5 / 16, 3 / 8, 1 / 2, 3 / 4, 1, 1.25, 1.5, 2].map((inch) => ({
  boreM: inch * INCH,
  insertBoreM: 0.79 * inch * INCH, // of ⅜ in hose, 7.5 mm of 9.5 (estimate)
}));
/** What a hose may lose while its tool draws air: 5 psi (common practice, no source). */
export const MOST_HOSE_LOSS_PA = 34_500;

export interface HoseDuty {
  readonly kgPerS: number;
  readonly temperatureC: number;
  /** At its end, absolute: what the tool needs. */
  readonly pressurePa: number;
  readonly lengthM: number;
  readonly mostLossPa?: number;
}

export interface HoseAt {
  readonly boreM: number;
  readonly insertBoreM: number;
  /** Infinite where the flow chokes. */
  readonly lossPa: number;
}

function hoseAt(
  { kgPerS, temperatureC, pressurePa, lengthM }: HoseDuty,
  { boreM, insertBoreM }: (typeof HOSES)[number],
): HoseAt {
  const startsPa = pressurePa + MOST_HOSE_LOSS_PA;
  const air = new AirStream('real', kgPerS, 0, temperatureC, startsPa);
  try {
    const out = pressureBehindHosePa(air, { boreM, insertBoreM, lengthM }, { atmosphericPa: 0 } as never);
    return { boreM, insertBoreM, lossPa: startsPa - out };
  } catch (error) {
    if (!(error instanceof Refusal)) throw error;
    return { boreM, insertBoreM, lossPa: Number.POSITIVE_INFINITY };
  }
}

/**
 * The narrowest hose that brings a tool its air within a pressure loss, with the sizes beside it.
 * @param duty dry air, kg/s; pressure absolute, 1.1…41 bar; length 0.1…100 m
 * @source Darcy–Weisbach with the inserts at its ends (core/equipment/serving/hose-flow)
 * @example sizeHose({ kgPerS: 0.0078, temperatureC: 20, pressurePa: 3.8e5, lengthM: 7.62 }).boreM // 0.0095
 */
export function sizeHose(
  duty: HoseDuty,
): HoseAt & { readonly beside: Omit<Sized<HoseAt>, 'size'>; readonly fits: boolean } {
  const most = duty.mostLossPa ?? MOST_HOSE_LOSS_PA;
  const { size, down, up } = smallestOf(
    HOSES.map((h) => hoseAt(duty, h)),
    (h) => h.lossPa <= most,
  );
  return { ...size, beside: { down, up }, fits: size.lossPa <= most };
}
