import { CHILLED, DESICCANT, is } from '../equipment/groups';
import type { Stage } from '../plan/plan';
import type { Option, Position } from './positions';

/** Whether the stages before it allow a stage: what is faulted in any line whatever. */
export function allowed(stage: Stage, before: readonly Stage[], oiled: boolean): boolean {
  if (isFine(stage)) return before.some(isGeneral);
  if (oiled && is(SPOILT_BY_OIL, stage.kind)) return before.some(isFine);
  if (is(CHILLED, stage.kind)) return !before.some(isDesiccant);
  return true;
}

const SPOILT_BY_OIL = [...DESICCANT, 'membrane', 'carbon-filter'] as const;
const isGeneral = (s: Stage): boolean => s.kind === 'coalescing-filter' && s.parameters.grade === 'general';
const isFine = (s: Stage): boolean => s.kind === 'coalescing-filter' && s.parameters.grade === 'fine';
const isDesiccant = (s: Stage): boolean => is(DESICCANT, s.kind);

/** All choices of some positions that the order allows. */
export function* choicesOf(
  positions: readonly Position[],
  oiled: boolean,
): Generator<{ readonly choices: number[]; readonly options: readonly Option[]; readonly stages: readonly Stage[] }> {
  const choices: number[] = [];
  const options: Option[] = [];
  function* from(i: number, stages: readonly Stage[]): ReturnType<typeof choicesOf> {
    const position = positions[i];
    if (!position) {
      yield { choices: [...choices], options: [...options], stages };
      return;
    }
    for (const [k, option] of position.options.entries()) {
      if (option.stages.some((s) => !allowed(s, stages, oiled))) continue;
      choices[i] = k;
      options[i] = option;
      yield* from(i + 1, [...stages, ...option.stages]);
    }
  }
  yield* from(0, []);
}
