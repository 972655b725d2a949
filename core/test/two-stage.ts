import { CFM, PSI } from '../quantity/constants';

/** A 5 hp compressor of two stages, usual in a small shop. */
export const TWO_STAGE = {
  type: 'piston2',
  freeAirDeliveryM3PerS: 18 * CFM,
  cutInGaugePa: 135 * PSI,
  cutOutGaugePa: 175 * PSI,
} as const;
