import { z } from 'zod';
import { CFM } from '../../quantity/constants';
import type { AirStream } from '../../stream/air-stream';
import { platePressure } from '../shared/build-fields';
import { catchField, drained, drainFields, FITTED } from '../shared/drain-fields';
import { airSpaceField, defineKind, numberField } from '../shared/kind';
import { lossFields, pressureAfterLoss } from '../shared/losses';
import { leakThroughTube } from '../shared/tube-leak';

const FREE_AIR_KG_PER_M3 = 1.189; // dry air at 20 °C and 1 bar
const RATED_SPAN_K = 80; // air in above water in, at which an approach is stated (estimate)
const GROWS = 0.4; // NTU falls with the flow to this power (trade handbook, estimate)

interface Settings {
  waterC: number;
  approachK: number;
  ratedFlowM3PerS: number;
}

/** T₂ − T_w = (T₁ − T_w)·exp(−NTU), the NTU from the rated approach. */
function outletC(air: AirStream, p: Settings): number {
  const flow = Math.max(1e-9, air.dryAirKgPerS / FREE_AIR_KG_PER_M3) / p.ratedFlowM3PerS;
  const ntu = Math.log(RATED_SPAN_K / p.approachK) * flow ** -GROWS;
  return p.waterC + Math.max(0, air.temperatureC - p.waterC) * Math.exp(-ntu);
}

/** Cools the air with water, whatever the room. */
export const waterCooler = defineKind({
  kind: 'water-cooler',
  family: 'cooling',
  label: 'Water-cooled aftercooler',
  does: 'Cools the air with water through tubes or plates: as cold as the water lets it, whatever the room.',
  alsoCalled: ['shell and tube', 'plate cooler', 'water cooler'],
  equation: 'T₂ = T_w + (T₁ − T_w)·e^−NTU, NTU from the rated approach, ∝ flow^−0.4',
  ids: ['ac_water'],
  service: ['M02', 'M03', 'M04'],
  cautions: ['C09', 'C07', 'C35'],
  parameters: z.strictObject({
    waterC: numberField({
      label: 'Water in',
      quantity: 'temperature',
      least: 1,
      most: 60,
      default: 22,
      source: 'typical, common practice',
      uncertainty: { abs: 1 },
    }),
    approachK: numberField({
      label: 'Approach to the water at rated flow',
      quantity: 'temperatureDifference',
      least: 1,
      most: 40,
      default: 5.6, // 10 °F, 5–20
      source: 'typical, common practice',
      uncertainty: { abs: 2 },
      reads: 'the temperature of the air that leaves it',
    }),
    ratedFlowM3PerS: numberField({
      label: 'Rated flow',
      help: 'Free air.',
      quantity: 'volumeFlow',
      least: 1e-3,
      most: 2,
      default: 200 * CFM,
      source: 'typical of a plant',
    }),
    ...drainFields('level', 1e-3),
    catchEfficiency: catchField({
      label: 'Drops its own drain catches',
      default: 0.9,
      source: 'estimate: with the separator built on',
      uncertainty: 0.05,
      when: { field: 'drain', is: FITTED },
    }),
    airSpaceM3: airSpaceField(8e-3),
    ...lossFields(1.4e4), // 1–3 psi
    waterGaugePa: platePressure('Pressure of the water, at most', 'Above the atmosphere.'),
    tubeLeakKgPerS: numberField({
      label: 'Cooling water that gets in, with the air let off',
      help: 'At its drain, with the compressor stopped and its air let off: nothing comes from sound tubes.',
      quantity: 'waterFlow',
      least: 0,
      most: 1,
      default: 0,
      source: 'assumed tight',
    }),
  }),
  pass(inlet, p, around) {
    const pressurePa = pressureAfterLoss(inlet, p.pressureLossPa, p.lossAtM3PerS, around);
    leakThroughTube(inlet, p, around)
      .bringTo(Math.min(inlet.temperatureC, outletC(inlet, p)), pressurePa)
      .catchDrops(drained(p.drain, p.catchEfficiency, around));
  },
  airSpaceM3: (p) => p.airSpaceM3,
  catches: (p, around) => ({ efficiency: drained(p.drain, p.catchEfficiency, around), source: 'estimate' }),
  shows: (_inlet, p, around) => [
    p.tubeLeakKgPerS > 0
      ? { label: 'A tube leaks', text: 'take it out of service: its cooling water gets into the air', warns: true }
      : { label: 'Leak test', text: 'condensate that runs on with the compressor off is cooling water: a tube leaks' },
    ...(around.roomTemperatureC < 2
      ? [{ label: 'The room freezes', text: 'drain the water side when it stands', warns: true }]
      : []),
    ...(p.waterC < around.roomTemperatureC - 5
      ? [{ label: 'Colder than the room', text: 'the pipe downstream of it warms up again: no more water falls there' }]
      : []),
  ],
  whyTemperature: (inlet, p) => ({
    formula: 'water in + (air in − water in) · exp(−NTU)',
    inputs: [
      { label: 'air in', quantity: 'temperature', value: inlet.temperatureC, from: 'stage before' },
      { label: 'water in', quantity: 'temperature', value: p.waterC, from: 'this stage' },
      { label: 'approach, rated', quantity: 'temperatureDifference', value: p.approachK, from: 'this stage' },
    ],
    source: 'heat-exchanger effectiveness, handbooks; 80 K span at rating (estimate)',
  }),
});
