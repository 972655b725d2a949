import { z } from 'zod';
import { CP_DRY_AIR } from '../../air/enthalpy';
import { CFM } from '../../quantity/constants';
import type { AirStream } from '../../stream/air-stream';
import { temperatureBehindWallC } from '../../stream/wall';
import { askedField } from '../shared/build-fields';
import { catchField, drained, drainFields, FITTED } from '../shared/drain-fields';
import { airSpaceField, choiceField, defineKind, numberField, type Surroundings } from '../shared/kind';
import { lossFields, pressureAfterLoss } from '../shared/losses';

const WINDS = {
  fan: 'its own fan, running',
  pump: 'the compressor’s flywheel or motor fan',
  none: 'no wind at all',
} as const;
// Transfer units by the wind, over those with a fan: downstream of a belt guard the approach is about twice (30 against 15–20 °F,
// common practice), in still air the transfer falls four to five times (estimate).
const BY_WIND = { fan: 1, pump: 0.65, none: 0.22 } as const;
const FREE_AIR_KG_PER_M3 = 1.189; // dry air at 20 °C and 1 bar

function ntu(air: AirStream, p: { wind: keyof typeof WINDS; transferUnits: number; atFlowM3PerS: number }): number {
  const flow = air.dryAirKgPerS / FREE_AIR_KG_PER_M3;
  return p.transferUnits * BY_WIND[p.wind] * (Math.max(flow, 1e-9) / p.atFlowM3PerS) ** -0.4;
}

function outletC(air: AirStream, p: Parameters<typeof ntu>[1], around: Surroundings): number {
  return temperatureBehindWallC(air, ntu(air, p) * air.dryAirKgPerS * CP_DRY_AIR, around.roomTemperatureC);
}

/** A finned cooler made for oil or water, used for air: as good as its wind, and only as safe as its rating. */
export const fluidCooler = defineKind({
  kind: 'fluid-cooler',
  family: 'cooling',
  label: 'Fluid cooler',
  does: 'A finned cooler made for oil, in the air flow of a fan or of the compressor. Its effect depends on that air flow, its safety on its rating.',
  alsoCalled: ['oil cooler', 'transmission cooler', 'belt-guard cooler', 'heat exchanger', 'intercooler'],
  equation: 'dT/dA = −U·(T − room)/C with the heat of what condenses; U·A = NTU·m·cp, NTU ∝ flow^−0.4, by the wind',
  ids: ['ac_fluid', 'ac_belt'],
  service: ['M09', 'M10', 'M40'],
  cautions: ['C06', 'C09', 'C11'],
  parameters: z.strictObject({
    wind: choiceField({ label: 'Wind', options: WINDS }),
    transferUnits: z
      .number()
      .min(0.1)
      .max(10)
      .default(3)
      .meta({
        label: 'Transfer units with the fan (NTU)',
        least: 0.1,
        most: 10,
        source: 'estimate: 2.5–4 at 15 cfm',
        uncertainty: { rel: 0.25 },
      }),
    atFlowM3PerS: numberField({
      label: '… at a flow of',
      quantity: 'volumeFlow',
      least: 1e-4,
      most: 1,
      default: 15 * CFM,
      source: 'estimate',
    }),
    ...drainFields('none', 1e-4),
    catchEfficiency: catchField({
      label: 'Drops its own drain catches',
      default: 0.5,
      source: 'estimate',
      uncertainty: 0.2,
      when: { field: 'drain', is: FITTED },
    }),
    airSpaceM3: airSpaceField(8e-4),
    ...lossFields(1.4e4), // 1–3 psi: its ports decide
    rating: askedField('Its maker', { stated: 'states its burst pressure', none: 'says nothing of air' }),
  }),
  pass(inlet, p, around) {
    const pressurePa = pressureAfterLoss(inlet, p.pressureLossPa, p.lossAtM3PerS, around);
    inlet
      .bringTo(outletC(inlet, p, around), inlet.pressurePa)
      .expandTo(pressurePa)
      .catchDrops(drained(p.drain, p.catchEfficiency, around));
  },
  whyTemperature: (inlet, p, around) => ({
    formula:
      'dT/dA = −U·(T − room) / C; U·A = NTU·m·cp, NTU ∝ flow^−0.4, by the wind; C with the heat of what condenses',
    inputs: [
      { label: 'air in', quantity: 'temperature', value: inlet.temperatureC, from: 'stage before' },
      { label: 'room', quantity: 'temperature', value: around.roomTemperatureC, from: 'Survey' },
      { label: 'NTU here', quantity: 'number', value: ntu(inlet, p), from: 'transfer units, flow and wind' },
    ],
    source: 'heat-exchanger effectiveness, handbooks; the NTU is an estimate: measure the outlet',
  }),
  airSpaceM3: (p) => p.airSpaceM3,
  catches: (p, around) => ({ efficiency: drained(p.drain, p.catchEfficiency, around), source: 'estimate' }),
});
