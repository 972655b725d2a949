import { z } from 'zod';
import { CFM } from '../../quantity/constants';
import { ratingFields } from '../shared/build-fields';
import { freeAirM3PerS } from '../shared/free-air';
import { defineKind } from '../shared/kind';
import { lossFields, pressureAfterLoss } from '../shared/losses';

const DROP_MG = 43; // 20 drops to the mL of oil of 0.87 g/mL (estimate)

/** Oil in the air downstream of it, mg/m³. */
const oilMgPerM3 = (dropsPerMinute: number, freeAirM3: number): number => (dropsPerMinute * DROP_MG) / (freeAirM3 * 60);

/** Drips oil into the air for the tools downstream of it, and oils everything there for good. */
export const lubricator = defineKind({
  kind: 'lubricator',
  family: 'serving',
  label: 'Lubricator',
  does: 'Drips oil into the air for the tools downstream of it. Everything downstream of it stays oily: never for paint or blasting.',
  equation: 'oil = drops/min · 43 mg / (free air · 60 s); p₂ = p₁ − loss',
  alsoCalled: ['oiler', 'FRL oiler', 'mist lubricator'],
  ids: ['lub'],
  service: ['T02'],
  cautions: ['C15', 'C07'],
  parameters: z.strictObject({
    dropsPerMinute: z
      .number()
      .min(0)
      .max(60)
      .default(1)
      .meta({ label: 'Drops a minute', least: 0, most: 60, source: '1 for every 10–20 cfm, common practice' }),
    ...lossFields(7e3),
    ...ratingFields(50),
  }),
  pass(inlet, p, around) {
    inlet.expandTo(pressureAfterLoss(inlet, p.pressureLossPa, p.lossAtM3PerS, around));
  },
  cleans(dirt) {
    // Even at a drop an hour it is above the last class of ISO 8573-1.
    [dirt.oilMg, dirt.oilWhy] = [Math.max(dirt.oilMg, 50), 'the lubricator oils all that is downstream of it'];
  },
  shows(inlet, p, around) {
    const free = freeAirM3PerS(inlet, around);
    const usual = free / (15 * CFM);
    return [
      { label: 'Oil in the air, mg/m³', quantity: 'number', value: oilMgPerM3(p.dropsPerMinute, free) },
      { label: 'Usual here, drops a minute', quantity: 'number', value: usual, warns: p.dropsPerMinute > 3 * usual },
    ];
  },
});
