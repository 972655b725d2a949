import { z } from 'zod';
import { relativeHumidity, vapourFractionFromRatio } from '../../air/humidity';
import {
  BEADS_RH,
  BULK_KG_PER_M3,
  heldWater,
  MEDIA,
  type Medium,
  OVEN_ROOM,
  ovenHumidity,
  usableWater,
} from '../../desiccant/isotherm';
import { CONTACT_FOR_DEEP_S, HOT_INLET_C } from '../../desiccant/size-cartridge';
import { actualFlowM3PerS, leavingRatio, passingShare, warmedByUptakeK } from '../../desiccant/uptake';
import type { AirStream } from '../../stream/air-stream';
import { builtField, plateFlow, ratingFields } from '../shared/build-fields';
import { choiceField, defineKind, numberField, Refusal, type Surroundings } from '../shared/kind';
import { lossFields, pressureAfterLoss } from '../shared/losses';
import { mediaLife } from '../shared/media-life';

const SPENT_RH = 0.95;
/** Of vapour that comes saturated at 35 °C, what passes in the contact that leaves −40 °C. */
const PASSES_AT_CONTACT = 12.84 / 5628; // e(−40 °C, ice) / e(35 °C), Pa
const MOST_WARMER_K = 30;

interface Bed {
  readonly medium: Medium;
  readonly massKg: number;
  readonly spentShare: number;
  /** Relative humidity with which the charge was in balance when it was put in. */
  readonly balanceRh: number;
}

/** The bed lies between the air that enters and the room (estimate). */
const bedC = (air: AirStream, around: Surroundings): number => (air.temperatureC + around.roomTemperatureC) / 2;

/**
 * Humidity ratio that a bed leaves: by the contact that is left in front of its transfer zone, and the state of its
 * charge. It dries well until the front comes near its end, and then quickly worse (estimate of shape).
 */
export function bedLeaves(air: AirStream, bed: Bed, around: Surroundings): number {
  const contactS = bed.massKg / BULK_KG_PER_M3[bed.medium] / actualFlowM3PerS(air);
  const load = CONTACT_FOR_DEEP_S / Math.max(contactS * (1 - bed.spentShare), 1e-6);
  const balance = bed.balanceRh + (SPENT_RH - bed.balanceRh) * bed.spentShare ** 6;
  return leavingRatio(air, balance, bedC(air, around), passingShare(PASSES_AT_CONTACT, load));
}

/** Relative humidity of a stream where it is, 0…1. */
export const humidityOf = (air: AirStream): number =>
  Math.min(
    1,
    relativeHumidity(
      vapourFractionFromRatio(air.vapourKgPerS / air.dryAirKgPerS),
      air.temperatureC,
      air.pressurePa,
      air.basis,
    ),
  );

/** What a charge is in balance with: as the maker sealed it, or as far as an oven could dry it. */
export function chargeHumidity(p: { medium: Medium; charge: string; ovenC: number }): number {
  if (p.charge !== 'oven') return BEADS_RH[p.medium];
  return Math.max(BEADS_RH[p.medium], ovenHumidity(p.ovenC, OVEN_ROOM.temperatureC, OVEN_ROOM.relativeHumidity));
}

const bedOf = (p: { medium: Medium; massKg: number; spentShare: number; charge: string; ovenC: number }): Bed => ({
  ...p,
  balanceRh: chargeHumidity(p),
});

/** Beads that take up vapour until they are spent. First model: the state of the charge is entered. */
export const beadCartridge = defineKind({
  kind: 'bead-cartridge',
  family: 'drying',
  label: 'Bead cartridge',
  does: 'Beads adsorb vapour until they are exhausted. They dry below freezing without power.',
  equation: 'w₂ = w* + (w₁ − w*)·e^−NTU, w* by the state of the charge; warmed by 2.6 MJ/kg',
  ids: ['des_cart'],
  alsoCalled: ['desiccant', 'silica gel', 'bead dryer', 'bead drum', 'desiccant snake'],
  service: ['M21', 'M22'],
  cautions: ['C07', 'C21', 'C24', 'C23'],
  parameters: z.strictObject({
    medium: choiceField({ label: 'Beads', options: MEDIA }),
    massKg: numberField({
      label: 'Dry beads',
      quantity: 'mass',
      least: 0.05,
      most: 500,
      default: 0.907, // 2 lb
      source: 'typical, common practice',
      uncertainty: { rel: 0.1 },
    }),
    charge: choiceField({
      label: 'The charge was',
      options: { new: 'sealed by its maker', oven: 'dried in an oven' },
    }),
    ovenC: numberField({
      label: 'Oven at',
      help: 'A cool oven leaves much of the water in. Never one used for food; never beads with oil in them.',
      quantity: 'temperature',
      least: 40,
      most: 320,
      default: 120,
      source: 'limit of dyed gel 121 °C (250 °F), common practice',
      when: { field: 'charge', is: ['oven'] },
    }),
    spentShare: numberField({
      label: 'Spent so far',
      help: 'By colour, wet front or weight: 0 when fresh, 100 % when exhausted.',
      quantity: 'share',
      least: 0,
      most: 1,
      default: 0.3,
      source: 'default: look at the beads',
      uncertainty: { abs: 0.15 },
    }),
    ...lossFields(1.4e4), // 1–3 psi
    ...ratingFields(49),
    ...plateFlow(),
    oily: builtField('The beads are', { no: 'clean', yes: 'oily or brown' }),
  }),
  pass(inlet, p, around) {
    const pressurePa = pressureAfterLoss(inlet, p.pressureLossPa, p.lossAtM3PerS, around);
    if (inlet.temperatureC > HOT_INLET_C)
      throw new Refusal(
        'medium',
        'Air over {66 °C} reaches the beads: they adsorb almost nothing there. Cool it first.',
      );
    inlet.expandTo(pressurePa);
    const ratio = bedLeaves(inlet, bedOf(p), around);
    const warmer = warmedByUptakeK(inlet, ratio);
    inlet.adsorbTo(ratio).bringTo(inlet.temperatureC + Math.min(warmer, MOST_WARMER_K), pressurePa);
  },
  cleans: (dirt) => dirt.shed(3, 'dust of the beads: a dust filter belongs downstream of it'),
  shows(inlet, p, around) {
    const air = inlet.copy().expandTo(pressureAfterLoss(inlet, p.pressureLossPa, p.lossAtM3PerS, around));
    const takes = air.vapourKgPerS + air.liquidKgPerS - bedLeaves(air, bedOf(p), around) * air.dryAirKgPerS;
    const kept = heldWater(p.medium, chargeHumidity(p));
    // What an oven left in it over a new charge is not taken up again.
    const left = Math.max(0, kept - heldWater(p.medium, BEADS_RH[p.medium]));
    const usable = Math.max(0, usableWater(p.medium, humidityOf(inlet)) - left) * p.massKg;
    return [
      { label: 'Takes up', quantity: 'waterFlow', value: Math.max(0, takes) },
      ...mediaLife('Exhausted after, loaded', usable * (1 - p.spentShare), takes),
      ...(p.charge === 'oven'
        ? [{ label: 'Water that the oven left', quantity: 'share' as const, value: kept, warns: kept > 0.02 }]
        : []),
      ...(inlet.liquidKgPerS > 0
        ? [{ label: 'Drops reach the beads', text: 'they burst gel: catch them first', warns: true }]
        : []),
    ];
  },
  whyTemperature: (inlet, p, around) => ({
    formula: 'air in + heat of uptake · water taken up / cp, at most {30 K}',
    inputs: [
      { label: 'air in', quantity: 'temperature', value: inlet.temperatureC, from: 'stage before' },
      {
        label: 'contact, s',
        quantity: 'number',
        value: p.massKg / BULK_KG_PER_M3[p.medium] / actualFlowM3PerS(inlet),
        from: 'beads / bulk density / actual flow',
      },
      { label: 'bed at', quantity: 'temperature', value: bedC(inlet, around), from: 'between air and room' },
    ],
    source: '2.6 MJ per kg of water, typical of bead handbooks; the rest is an estimate',
    note: 'What leaves is as dry as the contact time and the state of the charge allow.',
  }),
});
