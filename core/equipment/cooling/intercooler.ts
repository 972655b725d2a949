import { z } from 'zod';
import type { AirStream } from '../../stream/air-stream';
import { catchField, drained, drainFields } from '../shared/drain-fields';
import { defineKind, numberField, type Surroundings } from '../shared/kind';

/** Pressure between two stages that share the work evenly: the geometric mean of intake and delivery, absolute. */
export function betweenStagesPa(inlet: AirStream, around: Surroundings): number {
  return Math.sqrt(around.atmosphericPa * inlet.pressurePa);
}

/** The drain of the cooler between two stages of a compressor: a wet day drops water there already. */
export const intercooler = defineKind({
  kind: 'intercooler',
  family: 'cooling',
  label: 'Intercooler',
  does: 'The cooler between two stages of a compressor. On a wet day water condenses there, before the line begins.',
  alsoCalled: ['interstage cooler', 'moisture trap between stages'],
  equation:
    'what p_i = √(p_atm·p) and its temperature cannot hold falls out; the air leaves as the second stage delivers it',
  ids: ['intercooler'],
  service: ['M09'],
  cautions: ['C09', 'C11', 'C07'],
  needs: { before: 'a two-stage compressor; it stands directly downstream of it on the line', after: 'nothing' },
  parameters: z.strictObject({
    approachK: numberField({
      label: 'Comes to the room within',
      quantity: 'temperatureDifference',
      least: 3,
      most: 60,
      default: 17, // 30 °F
      source: 'typical of a fin tube in the flywheel’s wind, common practice',
      uncertainty: { abs: 6 },
    }),
    efficiency: catchField({
      label: 'Drops its trap catches',
      default: 0.7,
      source: 'estimate',
      uncertainty: 0.2,
    }),
    ...drainFields('unloader', 2e-4),
  }),
  pass(inlet, p, around) {
    const { temperatureC, pressurePa } = inlet;
    const cold = Math.min(temperatureC, around.roomTemperatureC + p.approachK);
    inlet
      .bringTo(cold, betweenStagesPa(inlet, around))
      .catchDrops(drained(p.drain, p.efficiency, around))
      .bringTo(temperatureC, pressurePa);
  },
  catches: (p, around) => ({ efficiency: drained(p.drain, p.efficiency, around), source: 'estimate' }),
  shows: (inlet, _p, around) => [
    { label: 'Pressure between the stages', quantity: 'pressure', value: betweenStagesPa(inlet, around) },
  ],
});
