import { CHILLED, DESICCANT, is } from '../equipment/groups';
import type { Stage } from '../plan/plan';
import type { Option, Position } from './positions';

/** Whether the stages before it allow a stage: what is faulted in any line whatever. */
export function allowed(stage: Stage, before: readonly Stage[], oiled: boolean): boolean {
  const has = (test: (s: Stage) => boolean): boolean => before.some(test);
  const coalescer = (grade: string) => (s: Stage) => s.kind === 'coalescing-filter' && s.parameters.grade === grade;
  if (stage.kind === 'coalescing-filter' && stage.parameters.grade === 'fine') return has(coalescer('general'));
  if (oiled && is([...DESICCANT, 'membrane', 'carbon-filter'], stage.kind)) return has(coalescer('fine'));
  if (is(CHILLED, stage.kind)) return !has((s) => is(DESICCANT, s.kind));
  return true;
}

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
