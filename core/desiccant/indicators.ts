import { dewPointFromVapourPressureC } from '../air/dew-point';
import { saturationPressurePa } from '../air/saturation';

/** How beads show that they are spent. */
export interface Indicator {
  readonly label: string;
  /** In words, as the eye sees it: dry, turning, wet. */
  readonly looks: readonly [dry: string, turning: string, wet: string];
  /** Relative humidity at which it turns, 0…1: begins, and is through. */
  readonly turns: readonly [begins: number, ends: number];
  readonly note: string;
  readonly cautions: readonly string[];
}

/** Chemistries of indicators (trade handbook; EU CLP for cobalt, recalled). Each shows relative humidity round the bead, no dew point. */
export const INDICATORS = {
  cobalt: {
    label: 'Cobalt chloride',
    looks: ['deep blue', 'violet', 'pink'],
    turns: [0.2, 0.5],
    note: 'Cobalt is suspected and partly proven to cause cancer by dust, and harms skin and lungs. Gloves, no dust, regulated waste; replace it by another dye when it is used up.',
    cautions: ['C23', 'C24'],
  },
  violet: {
    label: 'Methyl violet and kin',
    looks: ['orange', 'brownish', 'dark green'],
    turns: [0.15, 0.4],
    note: 'Over {121 °C} the dye is destroyed.',
    cautions: ['C24'],
  },
  iron: {
    label: 'Iron salt',
    looks: ['amber', 'pale amber', 'nearly colourless'],
    turns: [0.2, 0.4],
    note: 'The least harmful of them. Pale is wet here: do not take it for undyed beads.',
    cautions: ['C24'],
  },
  other: {
    label: 'Another organic dye',
    looks: ['as the label says', 'in between', 'as the label says'],
    turns: [0.15, 0.4],
    note: 'Colours are each maker’s own: green is wet with one and dry with another. Read the label, never another brand’s.',
    cautions: ['C24'],
  },
  none: {
    label: 'Undyed',
    looks: ['milky', 'a moving edge', 'glassy, darker'],
    turns: [0.4, 0.8],
    note: 'Follow the wet front: under it beads are glassy, darker and heavier; above it milky. A lamp behind the bowl shows it. Weight tells it where the bowl does not.',
    cautions: ['C24'],
  },
} as const satisfies Record<string, Indicator>;
export type IndicatorName = keyof typeof INDICATORS;

/**
 * The pressure dew point below which air may be, for all that a dry colour proves: that of the humidity at which it begins to turn.
 * @param beadsC temperature of the beads, 0…60 °C
 * @returns °C, frost point below freezing
 * @source RH = e(dew point) / e_s(beads)
 * @example provesDownToC(INDICATORS.cobalt, 20) // -3.21
 */
export const provesDownToC = (indicator: Indicator, beadsC: number): number =>
  dewPointFromVapourPressureC(indicator.turns[0] * saturationPressurePa(beadsC));
