import { askEstimate } from './ask-estimate';
import { askFind } from './ask-find';
import { askInstruments } from './ask-instruments';
import { askOrder } from './ask-order';
import { askRoutine } from './ask-routine';
import { askSchools } from './ask-schools';
import { askSetting } from './ask-setting';
import { type CaseKind, type PracticeCase, SEASONS, type Season } from './case';
import { drawsOf } from './draws';
import type { Level, Maker } from './maker';

const MAKERS: Readonly<Record<CaseKind, Maker>> = {
  estimate: askEstimate,
  setting: askSetting,
  order: askOrder,
  find: askFind,
  routine: askRoutine,
  instruments: askInstruments,
  schools: askSchools,
};

/**
 * A case of a kind: the same for the same seed and level.
 * @param seed a whole number from 1 on
 * @example makeCase('estimate', 7).asked.form // 'number'
 */
export function makeCase(kind: CaseKind, seed: number, level: Level = 0): PracticeCase {
  const draws = drawsOf(seed);
  const season = draws.pick(Object.keys(SEASONS) as Season[]);
  return { kind, seed, level, season, ...MAKERS[kind](draws, season, level, seed) };
}
