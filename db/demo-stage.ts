import { readLegs } from '../core/piping/read-legs';
import { newStage } from '../core/plan/edit';
import type { Fit } from '../core/plan/fit-fields';
import type { Known, Stage } from '../core/plan/plan';
import { type PlaceYear, USUAL_YEAR } from '../core/plan/survey';

// Every id is fixed, so that loading a demo again is loading the same demo.
export const demoId = (n: number): string => `d0000000-0000-4000-8000-${String(n).padStart(12, '0')}`;

type Parameters<K extends Stage['kind']> = Extract<Stage, { kind: K }>['parameters'];

/** What the jobs of a demo take was measured as free air, and its regulators hold their setting. */
const MEASURED = {
  outlet: { flowBasis: 'inlet' },
  regulator: { droopPa: 0, droopAtM3PerS: 0, passes: 'not-said' },
};

/** A stage of a demo: usual values but for those that are given, some of them known by measuring or from a nameplate. */
export function stage<K extends Stage['kind']>(
  kind: K,
  id: string,
  name: string,
  parameters: Partial<Parameters<K>> = {},
  known?: Partial<Record<keyof Parameters<K>, Known>>,
): Stage {
  const fresh = newStage(kind, id, name);
  const usual = (MEASURED as Record<string, object>)[kind];
  return { ...fresh, parameters: { ...fresh.parameters, ...usual, ...parameters }, ...(known && { known }) } as Stage;
}

/** How a place of a demo goes through the year. */
export const through = (follows: PlaceYear['follows'], more: Partial<PlaceYear> = {}): PlaceYear => ({
  ...USUAL_YEAR,
  ...more,
  follows,
});

/** A stage of a demo as it is joined, with its run as one paces it out, in metres. */
export function fitted(stage: Stage, run: string, more: Omit<Fit, 'legs'> = {}): Stage {
  const read = readLegs(run);
  if (!read.ok) throw new RangeError(read.message);
  return { ...stage, fit: { ...more, legs: read.legs } } as Stage;
}
