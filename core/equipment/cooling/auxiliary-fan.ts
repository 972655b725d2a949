import { z } from 'zod';
import type { AirStream } from '../../stream/air-stream';
import { temperatureBehindWallC } from '../../stream/wall';
import { choiceField, defineKind, type Surroundings } from '../shared/kind';

// From still to moved air: 1.8 to 4 Btu/(h·ft²·°F) on bare metal (trade handbook, estimates).
const MORE_W_PER_M2K = (4 - 1.8) * 5.678;

function outletC(air: AirStream, p: { surfaceM2: number }, around: Surroundings): number {
  return temperatureBehindWallC(air, MORE_W_PER_M2K * p.surfaceM2, around.roomTemperatureC);
}

/** A fan that blows at a bare pipe or a tank: what it takes away more than the still room does. */
export const auxiliaryFan = defineKind({
  kind: 'auxiliary-fan',
  family: 'cooling',
  label: 'Auxiliary fan',
  does: 'A fan that blows at a bare pipe, a tank or the head: it takes away more heat than the still room would.',
  alsoCalled: ['box fan', 'pedestal fan', 'extra fan'],
  equation: 'dT/dA = −ΔU·(T − room)/C with the heat of what condenses, ΔU from still to moved air',
  ids: ['fan'],
  service: ['M10'],
  cautions: ['C11', 'C12'],
  parameters: z.strictObject({
    is: choiceField({ label: 'It is', options: { on: 'running', off: 'off' } }),
    surfaceM2: z
      .number()
      .min(0.01)
      .max(50)
      .default(0.6)
      .meta({
        label: 'Metal in its wind, m²',
        help: 'Surface of the pipe or tank that it blows at: ¾ in pipe has 0.07 m² a metre, a 60-gallon tank about 2.',
        least: 0.01,
        most: 50,
        source: 'estimate',
        uncertainty: { rel: 0.4 },
      }),
  }),
  pass(inlet, p, around) {
    if (p.is === 'on') inlet.bringTo(outletC(inlet, p, around), inlet.pressurePa);
  },
  shows: (inlet, p, around) => [
    {
      label: p.is === 'on' ? 'Cools the air by' : 'Running, it would cool by',
      quantity: 'temperatureDifference',
      value: inlet.temperatureC - outletC(inlet, p, around),
    },
  ],
  whyTemperature: (inlet, p, around) => ({
    formula: 'dT/dA = −ΔU·(T − room) / C; C with the heat of what condenses',
    inputs: [
      { label: 'air in', quantity: 'temperature', value: inlet.temperatureC, from: 'stage before' },
      { label: 'room', quantity: 'temperature', value: around.roomTemperatureC, from: 'Survey' },
      { label: 'ΔU, W/(m²·K)', quantity: 'number', value: MORE_W_PER_M2K, from: 'still to moved air, estimate' },
      { label: 'A, m²', quantity: 'number', value: p.surfaceM2, from: 'this stage' },
    ],
    source: 'heat exchange with constant surroundings; U is an estimate',
  }),
});
