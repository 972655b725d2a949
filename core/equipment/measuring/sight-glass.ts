import { z } from 'zod';
import { relativeHumidity, vapourFractionFromRatio } from '../../air/humidity';
import { choiceField, defineKind } from '../shared/kind';

// Relative humidity over which the dye turns, from first change to full (common practice).
const DYES = {
  cobalt: { label: 'blue when dry, pink when wet', from: 0.2, to: 0.5, dry: 'blue', wet: 'pink' },
  violet: { label: 'orange when dry, green when wet', from: 0.15, to: 0.4, dry: 'orange', wet: 'green' },
  iron: { label: 'amber when dry, pale when wet', from: 0.2, to: 0.4, dry: 'amber', wet: 'pale' },
} as const;

/** A glass with beads in the air: their colour tells the humidity near them, not the dew point of a dryer. */
export const sightGlass = defineKind({
  kind: 'sight-glass',
  family: 'serving',
  label: 'Sight glass',
  does: 'A glass that shows beads, or the air. The colour tells the humidity near the beads; dry colour does not prove −40.',
  equation: 'colour by relative humidity in the line, from first change to full',
  alsoCalled: ['moisture indicator', 'indicator beads', 'window'],
  cautions: ['C21', 'C23'],
  parameters: z.strictObject({
    dye: choiceField({
      label: 'Beads',
      options: { cobalt: DYES.cobalt.label, violet: DYES.violet.label, iron: DYES.iron.label },
    }),
  }),
  // It only looks: what it tells is in `shows`.
  pass() {},
  shows(inlet, p) {
    const { from, to, dry, wet } = DYES[p.dye];
    const x = vapourFractionFromRatio(inlet.vapourKgPerS / inlet.dryAirKgPerS);
    const humidity = relativeHumidity(x, inlet.temperatureC, inlet.pressurePa, inlet.basis);
    const colour = humidity < from ? dry : humidity > to ? wet : `turning, ${dry} to ${wet}`;
    return [
      { label: 'The beads show', text: colour, warns: humidity > from },
      { label: 'Humidity at them', quantity: 'share', value: humidity },
    ];
  },
});
