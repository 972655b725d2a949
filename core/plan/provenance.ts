import { fieldsOf, kindOf } from '../equipment/index';
import type { Known, Plan, Stage } from './plan';
import { withStage } from './runs';

/** Where a number of a stage comes from: `typical` is its kind’s default, `assumed` one that somebody changed without saying more. */
export type Provenance = Known | 'typical' | 'assumed';

/**
 * Where a parameter of a stage comes from. A field that only a measuring can fill is measured without being told.
 * @example provenanceOf(stage('receiver'), 'volumeM3') // 'assumed'
 */
export function provenanceOf(stage: Stage, field: string): Provenance {
  const known = stage.known?.[field];
  if (known) return known;
  const value = (stage.parameters as Record<string, unknown>)[field];
  const standard = (kindOf(stage.kind).parameters.parse({}) as Record<string, unknown>)[field];
  if (value === standard) return 'typical';
  const meta = fieldsOf(stage.kind).find(([name]) => name === field)?.[1];
  return meta?.when?.is.includes('measured') ? 'measured' : 'assumed';
}

/**
 * Says how a number of a stage is known; `undefined` takes it back.
 * @example setKnown(plan, 'receiver', 'volumeM3', 'measured').stages[4].known.volumeM3 // 'measured'
 */
export function setKnown(plan: Plan, stageId: string, field: string, known: Known | undefined): Plan {
  return withStage(plan, stageId, (stage) => {
    const { [field]: _, ...others } = stage.known ?? {};
    const all = known ? { ...others, [field]: known } : others;
    const { known: __, ...plain } = stage;
    return (Object.keys(all).length > 0 ? { ...plain, known: all } : plain) as Stage;
  });
}
