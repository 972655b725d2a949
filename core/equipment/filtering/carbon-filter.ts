import { z } from 'zod';
import { relativeHumidity, vapourFractionFromRatio } from '../../air/humidity';
import type { AirStream } from '../../stream/air-stream';
import { builtField, plateFlow, ratingFields } from '../shared/build-fields';
import { freeAirM3PerS } from '../shared/free-air';
import { defineKind, numberField } from '../shared/kind';
import { elementFields, LOSS_GROWS, newElement, pressureAfterLoss } from '../shared/losses';

const LEAVES_MG = 0.004; // 0.003–0.005 mg/m³ with cartridges (common practice)
const TOO_HUMID = 0.7; // above some 70 % its pores fill with water (estimate)
const TOO_WARM_C = 38; // below 100 °F is best (common practice)

/** Capacity for oil: 10–20 % of its mass at 70 °F, halved with every 20 °F (estimate). */
const capacity = (temperatureC: number): number => 0.15 * 2 ** (-(temperatureC - 21) / 11.1);

const humidityOf = (air: AirStream): number =>
  relativeHumidity(
    vapourFractionFromRatio(air.vapourKgPerS / air.dryAirKgPerS),
    air.temperatureC,
    air.pressurePa,
    air.basis,
  );

/**
 * Loaded seconds that a charge of carbon lasts: by its mass, the oil vapour that reaches it, and warmth.
 * @param freeAirM3PerS of the air that passes
 * @source capacity 10–20 % of its mass at 70 °F, halved with every 20 °F (estimate)
 * @example carbonLastsS({ carbonKg: 1, oilMgPerM3: 0.5 }, 20, 0.01) // 3.19e7
 */
export const carbonLastsS = (
  p: { readonly carbonKg: number; readonly oilMgPerM3: number },
  temperatureC: number,
  freeAirM3PerS: number,
): number => (p.carbonKg * 1e6 * capacity(temperatureC)) / (p.oilMgPerM3 * freeAirM3PerS);

/** Takes up oil vapour and smell from air that is already clean and dry. */
export const carbonFilter = defineKind({
  kind: 'carbon-filter',
  family: 'catching',
  label: 'Activated carbon',
  does: 'Adsorbs oil vapour and odour, downstream of a 0.01 µm coalescer and in dry air. It shows no sign when it is exhausted.',
  equation: 'oil vapour to 0.004 mg/m³ while dry and cool; hours = mass · capacity(T) / (oil · flow)',
  alsoCalled: ['charcoal filter', 'carbon tower', 'odour filter'],
  ids: ['flt_carbon'],
  service: ['M14'],
  cautions: ['C15', 'C24', 'C07'],
  parameters: z.strictObject({
    carbonKg: numberField({
      label: 'Carbon',
      quantity: 'mass',
      least: 0.02,
      most: 500,
      default: 0.3,
      source: 'estimate of a cartridge',
    }),
    oilMgPerM3: z
      .number()
      .min(0.001)
      .max(10)
      .default(0.3)
      .meta({ label: 'Oil vapour that reaches it, mg/m³', least: 0.001, most: 10, source: 'estimate at 21 °C' }),
    ...elementFields(5e3, 5e3), // 0.5–1 psi
    ...ratingFields(50),
    ...plateFlow(),
    counted: builtField('Its hours are', { no: 'not counted', yes: 'counted' }),
  }),
  pass(inlet, p, around) {
    inlet.expandTo(pressureAfterLoss(inlet, p.pressureLossPa, p.lossAtM3PerS, around, LOSS_GROWS.media));
  },
  cleans(dirt, _p, air) {
    if (air.relativeHumidity > TOO_HUMID || air.temperatureC > TOO_WARM_C || dirt.oilMg > 5)
      dirt.oilWhy = `${dirt.oilWhy}; the carbon is too wet, too warm or too oily to count`;
    else if (dirt.oilMg > LEAVES_MG) [dirt.oilMg, dirt.oilWhy] = [LEAVES_MG, 'activated carbon, while it is fresh'];
    dirt.shed(2, 'carbon dust: a dust filter belongs downstream of it');
  },
  shows(inlet, p, around) {
    const humidity = humidityOf(inlet);
    const seconds = carbonLastsS(p, inlet.temperatureC, freeAirM3PerS(inlet, around));
    return [
      { label: 'Lasts about', figure: 'life', quantity: 'time', value: seconds },
      ...(humidity > TOO_HUMID
        ? [{ label: 'Too humid', quantity: 'share' as const, value: humidity, warns: true }]
        : []),
      ...(inlet.temperatureC > TOO_WARM_C
        ? [{ label: 'Too warm', quantity: 'temperature' as const, value: inlet.temperatureC, warns: true }]
        : []),
    ];
  },
  wider: newElement,
});
