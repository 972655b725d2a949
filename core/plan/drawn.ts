import { fieldsOf, type KindName } from '../equipment/index';
import { type Leg, measuresOf } from '../piping/legs';
import type { Fit } from './fit-fields';

/** As much of a stage as its drawn run concerns. */
interface Fitted {
  readonly kind: KindName;
  readonly fit?: Fit | undefined;
}

/** Kinds whose run can be drawn. */
export const DRAWN_KINDS = ['pipe', 'cooling-run', 'hose'] as const satisfies readonly KindName[];
/**
 * Whether the run of a stage can be drawn.
 * @example isDrawable({ kind: 'pipe' }) // true
 */
export const isDrawable = (stage: Pick<Fitted, 'kind'>): boolean =>
  (DRAWN_KINDS as readonly string[]).includes(stage.kind);

/** What the legs of a run say of its parameters: length, bends, low points with a drain, the least fall. */
function drawnParameters(kind: KindName, legs: readonly Leg[]): Readonly<Record<string, number | string>> {
  const { lengthM, bends, drains, leastFall, undrained } = measuresOf(legs);
  const most = fieldsOf(kind).find(([name]) => name === 'lengthM')?.[1].most ?? Infinity;
  const length = { lengthM: Math.min(most, lengthM) };
  if (kind === 'hose') return { ...length, hangs: undrained.length > 0 ? 'loops' : 'falls' };
  const sloped = { ...length, legs: drains, fall: Math.max(0, leastFall) };
  return kind === 'pipe' ? { ...sloped, elbows: bends } : sloped;
}

/**
 * A stage with the parameters that its drawn run has: the legs are the one source of them. Without legs it is as it was.
 * @example withDrawn({ ...newStage('hose', 'h'), fit: { legs: [{ to: 'up', lengthM: 3, fall: 0 }] } }).parameters.lengthM // 3
 */
export function withDrawn<S extends Fitted & { readonly parameters: object }>(stage: S): S {
  const legs = stage.fit?.legs;
  if (!legs || !isDrawable(stage)) return stage;
  return { ...stage, parameters: { ...stage.parameters, ...drawnParameters(stage.kind, legs) } };
}

/**
 * Whether a parameter comes from the drawn run.
 * @example isDrawn({ ...newStage('hose', 'h'), fit: { legs: [{ to: 'up', lengthM: 3, fall: 0 }] } }, 'lengthM') // true
 */
export function isDrawn(stage: Fitted, field: string): boolean {
  const legs = stage.fit?.legs;
  return legs !== undefined && isDrawable(stage) && field in drawnParameters(stage.kind, legs);
}
