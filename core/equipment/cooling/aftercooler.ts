import { z } from 'zod';
import type { AirStream } from '../../stream/air-stream';
import { catchField, drained, drainFields, FITTED } from '../shared/drain-fields';
import { airSpaceField, choiceField, defineKind, numberField, Refusal, type Surroundings } from '../shared/kind';
import { lossFields, pressureAfterLoss } from '../shared/losses';

const COLDER_CAUSES =
  'Air cannot leave a cooler colder than the air that cools it. Usual causes: an infrared gun on bare metal (polished ' +
  'copper has an emissivity near 0.04, so the gun reads the room: put tape or matt paint on it, ε 0.95, and wait 5 min), ' +
  'a wall reading instead of an air reading, or cooling air measured in the sun or beside the compressor rather than at the fins.';

/**
 * Effectiveness of a cooler from three readings: actual over greatest possible temperature change.
 *
 * @param inletC air into the cooler
 * @param outletC air out of it
 * @param coolingC the air that it draws over its fins, not the weather station's
 * @returns 0…1
 * @throws Refusal where the readings cannot be true, with the usual causes
 * @source ε = (T_in − T_out) / (T_in − T_cool), heat-exchanger handbooks
 * @example effectivenessFromReadings(110, 37.2, 28) // 0.888
 */
export function effectivenessFromReadings(inletC: number, outletC: number, coolingC: number): number {
  if (inletC <= coolingC)
    throw new Refusal('inlet', 'The air that enters is no warmer than the cooling air: there is nothing to cool.');
  if (outletC < coolingC) throw new Refusal('outletTemperatureC', COLDER_CAUSES);
  if (outletC > inletC)
    throw new Refusal('outletTemperatureC', 'The air leaves warmer than it enters: are the two readings exchanged?');
  return (inletC - outletC) / (inletC - coolingC);
}

interface Readings {
  method: 'approach' | 'measured' | 'effectiveness';
  outletTemperatureC: number;
  approachK: number;
  effectiveness: number;
}

function outletC(inlet: AirStream, p: Readings, around: Surroundings): number {
  const cooling = around.roomTemperatureC;
  if (inlet.temperatureC <= cooling) return inlet.temperatureC;
  if (p.method === 'measured') {
    effectivenessFromReadings(inlet.temperatureC, p.outletTemperatureC, cooling);
    return p.outletTemperatureC;
  }
  if (p.method === 'approach') return Math.min(inlet.temperatureC, cooling + p.approachK);
  return inlet.temperatureC - p.effectiveness * (inlet.temperatureC - cooling);
}

/** Cools the air by the room's: most of the water condenses here, and is caught by what follows. */
export const aftercooler = defineKind({
  kind: 'aftercooler',
  family: 'cooling',
  label: 'Aftercooler',
  does: 'Cools the hot air. More than half of the water turns to drops here; a separator must catch them.',
  alsoCalled: ['cooler', 'after cooler'],
  equation: 'T₂ = room + approach, or measured, or by effectiveness; what the air cannot hold drops',
  ids: ['ac_air'],
  service: ['M09', 'M10', 'M02', 'M03', 'M04'],
  cautions: ['C09', 'C11', 'C06'],
  parameters: z.strictObject({
    method: choiceField({
      label: 'Outlet temperature',
      options: { approach: 'room + approach', measured: 'measured', effectiveness: 'by effectiveness' },
    }),
    approachK: numberField({
      label: 'Approach to the air it draws',
      quantity: 'temperatureDifference',
      least: 0,
      most: 60,
      default: 10, // 15–20 °F
      source: 'typical of a finned cooler with fan, common practice',
      uncertainty: { abs: 1.7 }, // two thermometers: ±3 °F
      reads: 'the temperature of the air that leaves it',
      when: { field: 'method', is: ['approach'] },
    }),
    outletTemperatureC: numberField({
      label: 'Measured after the cooler',
      help: '15–30 cm downstream, upstream of the separator, on tape or in a well.',
      quantity: 'temperature',
      least: -20,
      most: 200,
      default: 40,
      source: 'typical, common practice',
      uncertainty: { abs: 2.8 }, // ±5 °F
      when: { field: 'method', is: ['measured'] },
    }),
    effectiveness: numberField({
      label: 'Effectiveness',
      help: 'Share of the greatest possible cooling that it achieves.',
      quantity: 'share',
      least: 0,
      most: 1,
      default: 0.9,
      source: 'estimate',
      uncertainty: { abs: 0.03 },
      when: { field: 'method', is: ['effectiveness'] },
    }),
    airSpaceM3: airSpaceField(1e-3),
    ...lossFields(1.5e4), // 2–3 psi
    ...drainFields('none', 1e-4),
    catchEfficiency: catchField({
      label: 'Drops its own drain catches',
      default: 0.5,
      source: 'estimate',
      uncertainty: 0.2,
      when: { field: 'drain', is: FITTED },
    }),
  }),
  pass(inlet, p, around) {
    const pressurePa = pressureAfterLoss(inlet, p.pressureLossPa, p.lossAtM3PerS, around);
    inlet.bringTo(outletC(inlet, p, around), pressurePa).catchDrops(drained(p.drain, p.catchEfficiency, around));
  },
  whyTemperature(inlet, p, around) {
    const cooling = {
      label: 'cooling air',
      quantity: 'temperature',
      value: around.roomTemperatureC,
      from: 'Survey, where it stands',
    } as const;
    const arriving = {
      label: 'air in',
      quantity: 'temperature',
      value: inlet.temperatureC,
      from: 'stage before',
    } as const;
    if (p.method === 'approach')
      return {
        formula: 'cooling air + approach, never above the air in',
        inputs: [
          cooling,
          { label: 'approach', quantity: 'temperatureDifference', value: p.approachK, from: 'this stage' },
        ],
        source: 'definition of approach',
      };
    if (p.method === 'effectiveness')
      return {
        formula: 'air in − ε · (air in − cooling air)',
        inputs: [arriving, cooling, { label: 'ε', quantity: 'share', value: p.effectiveness, from: 'this stage' }],
        source: 'heat-exchanger effectiveness, handbooks',
      };
    const span = inlet.temperatureC - around.roomTemperatureC;
    return {
      formula: 'as measured; ε = (air in − air out) / (air in − cooling air)',
      inputs: [
        arriving,
        { label: 'air out', quantity: 'temperature', value: p.outletTemperatureC, from: 'this stage' },
        cooling,
        {
          label: 'effectiveness that this means',
          quantity: 'share',
          value: span > 0 ? (inlet.temperatureC - p.outletTemperatureC) / span : 0,
          from: 'computed',
        },
      ],
      source: 'entered',
    };
  },
  airSpaceM3: (p) => p.airSpaceM3,
  catches: (p, around) => ({ efficiency: drained(p.drain, p.catchEfficiency, around), source: 'estimate' }),
});
