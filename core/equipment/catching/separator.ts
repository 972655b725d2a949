import { z } from 'zod';
import { ratingFields } from '../shared/build-fields';
import { catchField, drainFields } from '../shared/drain-fields';
import { type Catcher, catchesDrops } from '../shared/drop-catcher';
import { freeAirM3PerS } from '../shared/free-air';
import { airSpaceField, choiceField, defineKind, numberField } from '../shared/kind';
import { lossFields } from '../shared/losses';

// How much of its best a cyclone does, by its share of rated flow: it must spin, and it must not tear the film off its
// wall. 0.95 from 0.4 to 1.0 of the rating, some 0.6 below 0.2, some 0.8 above 1.3 (estimate).
const BY_LOAD: readonly (readonly [load: number, ofBest: number])[] = [
  [0, 0.5],
  [0.2, 0.63],
  [0.4, 1],
  [1, 1],
  [1.3, 0.84],
  [2, 0.6],
];

/**
 * Share of its best that a cyclone catches at a share of its rated flow.
 * @example cycloneAtLoad(0.7) // 1
 */
export function cycloneAtLoad(load: number): number {
  const i = BY_LOAD.findIndex(([at]) => at > load);
  const [x1, y1] = BY_LOAD.at(i < 0 ? -1 : Math.max(0, i - 1)) as [number, number];
  if (i <= 0) return y1;
  const [x2, y2] = BY_LOAD[i] as [number, number];
  return y1 + ((y2 - y1) * (load - x1)) / (x2 - x1);
}

interface Rated extends Catcher {
  readonly flowRating: string;
  readonly ratedFlowM3PerS: number;
}

/** Catches drops, not vapour: the air leaves it saturated if it came saturated. */
export const separator = defineKind({
  kind: 'separator',
  family: 'catching',
  label: 'Separator',
  does: 'Spins drops out of the air right after a cooler. It cannot touch vapour.',
  alsoCalled: ['water trap', 'cyclone', 'swirl filter', 'moisture separator'],
  ids: ['sep_cyclone'],
  service: ['M02', 'M03', 'M04'],
  cautions: ['C36'],
  parameters: z.strictObject({
    efficiency: catchField({
      label: 'Drops caught',
      default: 0.95, // 30–110 % of rated flow
      source: 'typical of a cyclone, common practice',
      uncertainty: 0.03,
    }),
    flowRating: choiceField({
      label: 'At other flows',
      options: { steady: 'taken as the same', rated: 'falls off its rated flow' },
    }),
    ratedFlowM3PerS: numberField({
      label: 'Rated flow, free air',
      quantity: 'volumeFlow',
      least: 1e-4,
      most: 2,
      default: 0.01,
      source: 'from its plate',
      when: { field: 'flowRating', is: ['rated'] },
    }),
    ...drainFields('manual', 1e-4),
    airSpaceM3: airSpaceField(5e-4),
    ...lossFields(7e3), // 1 psi
    ...ratingFields(120),
  }),
  ...catchesDrops('typical of a cyclone, common practice', (p: Rated, inlet, around) =>
    p.flowRating === 'rated'
      ? p.efficiency * cycloneAtLoad(freeAirM3PerS(inlet, around) / p.ratedFlowM3PerS)
      : p.efficiency,
  ),
  airSpaceM3: (p) => p.airSpaceM3,
});
