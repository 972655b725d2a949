import type { Stage } from './plan';
import { type Thing, thingSchema } from './thing-fields';

/** What a thing carries with it on a shelf: what it is, and its plate. */
export interface Loose {
  readonly kind: Stage['kind'];
  readonly thing: Thing;
}

/**
 * A thing as it leaves its line: where it was is written down with it.
 * @param line the line that it leaves
 * @param today YYYY-MM-DD
 * @example takenDown(stage('receiver'), { planId: 'a', name: 'Line' }, '2026-11-30').thing.stays.length // 1
 */
export function takenDown(
  stage: Stage,
  line: { readonly planId: string; readonly name: string },
  today: string,
): Loose {
  const { installedOn, ...thing } = stage.thing ?? thingSchema.parse({});
  const stay = {
    ...{ planId: line.planId, line: line.name, stageId: stage.id, stage: stage.name, to: today },
    ...(installedOn !== undefined && installedOn <= today && { from: installedOn }),
  };
  return { kind: stage.kind, thing: { ...thing, stays: [...thing.stays, stay] } };
}

/**
 * A thing as it is installed.
 * @param today YYYY-MM-DD
 * @example installed(takenDown(stage('receiver'), { planId: 'a', name: 'Line' }, '2026-11-29'), '2026-11-30').installedOn // '2026-11-30'
 */
export const installed = ({ thing }: Loose, today: string): Thing => ({ ...thing, installedOn: today });
