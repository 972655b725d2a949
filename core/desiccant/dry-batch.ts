import { BULK_KG_PER_M3, HEAT_OF_ADSORPTION, heldWater, type Medium, OVEN_ROOM, ovenHumidity } from './isotherm';

/** A charge of beads that is to be dried. */
export interface Batch {
  readonly medium: Medium;
  readonly dyed: boolean;
  /** Brown, or smelling of oil. */
  readonly oily: boolean;
  /** Salt that dissolves, and no beads at all. */
  readonly pellets?: boolean;
  readonly dryKg: number;
  /** Water in it, kg per kg of dry beads. */
  readonly loaded: number;
  readonly layerM: number;
}

/** What practitioners quote: 135 °F for 1½ h, 300 °F for 2 h, 400 °F for ½ to 1 h. */
export const QUOTED = [
  { ovenC: (135 - 32) / 1.8, hours: 1.5 },
  { ovenC: (300 - 32) / 1.8, hours: 2 },
  { ovenC: (400 - 32) / 1.8, hours: 0.75 },
] as const;

/** What a medium bears, and what suits it, °C (trade handbook): gel 230–300 °F, with dye at most 250; alumina 350–450 °F; sieve 450–600 °F. */
const BEARS_C: Record<Medium, number> = { silica: 149, alumina: 260, sieve: 371 };
const DYE_BEARS_C = 121;
const SUITS: Record<Medium, { ovenC: number; leastC: number; hours: number }> = {
  silica: { ovenC: 140, leastC: 110, hours: 3 },
  alumina: { ovenC: 200, leastC: 177, hours: 3 },
  sieve: { ovenC: 288, leastC: 232, hours: 4 },
};
const DYED_SUITS = { ovenC: 115, leastC: 110, hours: 4 };
export const LAYER_MOST_M = 0.0254; // one inch, trade handbook
/** Hotter than this no oven of a shop goes; the field refuses it. */
export const OVEN_MOST_C = 320;
const HEAT_TRANSFER = 20; // W/(m²·K), free air over a tray; assumed, reference group 12
const BEADS_C = 75; // while they dry in a hot oven; assumed, reference group 12
const CP_BEADS = 900; // J/(kg·K), reference group 12
const ROOM_C = OVEN_ROOM.temperatureC;

/**
 * What an oven is set to for a medium, and for how long at least.
 * @returns oven, °C; hours; the coolest oven that is worth it, °C
 * @source as beside its numbers
 * @example suitsBatch({ medium: 'silica', dyed: true }) // {"ovenC":115,"leastC":110,"hours":4}
 */
export const suitsBatch = (b: Pick<Batch, 'medium' | 'dyed'>) =>
  b.medium === 'silica' && b.dyed ? DYED_SUITS : SUITS[b.medium];

/**
 * The hottest that a charge bears, °C.
 * @source as beside its numbers
 */
export const batchBearsC = (b: Pick<Batch, 'medium' | 'dyed'>): number =>
  b.dyed ? Math.min(DYE_BEARS_C, BEARS_C[b.medium]) : BEARS_C[b.medium];

/**
 * Hours in which an oven brings a layer to where it can go, by the heat that air gives to a tray: an order of magnitude.
 * @param drives water to drive off, kg per kg of dry beads
 * @param areaM2 of the tray
 * @param heatJPerKg of desorption: of what is dried
 * @returns h; infinite where there is no heat to give
 * @source t = (m·w·Δh + m·cp·ΔT) / (h·A·(T oven − T beads)), reference group 12, heat transfer and beads’ temperature assumed
 */
export function dryingHours(
  dryKg: number,
  drives: number,
  areaM2: number,
  ovenC: number,
  heatJPerKg: number = HEAT_OF_ADSORPTION.silica,
): number {
  const beadsC = Math.min(BEADS_C, (ovenC + ROOM_C) / 2);
  const watt = HEAT_TRANSFER * areaM2 * (ovenC - beadsC);
  const joule = dryKg * (drives * heatJPerKg + CP_BEADS * (ovenC - ROOM_C));
  return watt > 0 ? joule / watt / 3600 : Number.POSITIVE_INFINITY;
}

export interface BatchResult {
  /** Why it is not done at all. */
  readonly refused?: string;
  /** Why the charge suffers. */
  readonly ruins?: string;
  /** Water that stays, kg per kg of dry beads: after the time given, and after any time. */
  readonly leaves: number;
  readonly leavesAtBest: number;
  readonly hoursNeeded: number;
  readonly says: string;
}

/**
 * What a time in an oven leaves in a charge, and whether it should be in there.
 * @param ovenC 30…320 °C
 * @param hours above 0
 * @source balance with the oven’s air (isotherm, ovenHumidity); time by {@link dryingHours}; limits of the trade handbook
 * @example dryBatch({ medium: 'silica', dyed: false, oily: false, dryKg: 2, loaded: 0.2, layerM: 0.03 }, 150, 3).leaves // 0.00237
 */
export function dryBatch(batch: Batch, ovenC: number, hours: number): BatchResult {
  const humidity = ovenHumidity(ovenC, ROOM_C, OVEN_ROOM.relativeHumidity);
  const leavesAtBest = Math.min(batch.loaded, heldWater(batch.medium, humidity));
  const areaM2 = batch.dryKg / BULK_KG_PER_M3[batch.medium] / batch.layerM;
  const hoursNeeded = dryingHours(
    batch.dryKg,
    batch.loaded - leavesAtBest,
    areaM2,
    ovenC,
    HEAT_OF_ADSORPTION[batch.medium],
  );
  const leaves = batch.loaded - (batch.loaded - leavesAtBest) * Math.min(1, hours / hoursNeeded);
  const suits = suitsBatch(batch);
  const bears = batchBearsC(batch);
  const result = { leaves, leavesAtBest, hoursNeeded };
  if (batch.pellets)
    return {
      ...result,
      refused:
        'Salt pellets dissolve as they dry the air: heat does not restore them, and their brine corrodes the oven. Drain the tower, and top it up.',
      says: '',
    };
  if (batch.oily)
    return {
      ...result,
      refused:
        'Beads with oil in them smoke and can burn in an oven, and heat does not restore them. Discard them as oily waste, and find the oil.',
      says: '',
    };
  if (batch.medium === 'sieve' && ovenC < suits.leastC)
    return {
      ...result,
      refused:
        'Molecular sieve gives its water up only above about {232 °C}: a cool oven has almost no effect. Replace it.',
      says: '',
    };
  return {
    ...result,
    ...(ovenC > bears + 0.5 && {
      ruins:
        batch.dyed && ovenC <= BEARS_C[batch.medium] + 0.5
          ? 'The dye fails above {121 °C}: the beads may dry, but no longer change colour.'
          : 'Above the limit of this medium: it cracks and loses capacity.',
    }),
    says:
      ovenC < suits.leastC - 0.5
        ? 'Dries in part only, however long it stays in: the oven’s air is too humid for more.'
        : hours < hoursNeeded
          ? 'Not long enough for this layer: weigh it, and go on until the weight stays.'
          : 'Enough: weigh it, and once more half an hour later.',
  };
}
