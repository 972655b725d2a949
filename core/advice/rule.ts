import type { Plan } from '../plan/plan';
import { sayText } from '../quantity/say-text';
import type { QuantityName } from '../quantity/units';
import type { LineFacts } from './line-facts';

/** must: it will not do the job, or it is dangerous; should: trouble is likely; note: worth knowing. */
export type GradeOfAdvice = 'must' | 'should' | 'note';

/** A value in the units of whoever reads. */
export type Say = (si: number, quantity: QuantityName) => string;
/** A sentence; with figures, it needs the units of its reader. */
export type Sentence = string | ((sayIn: Say) => string);

/** What fixes a fault: an edit of the plan, applied as one step that can be undone. */
export interface Fix {
  /** What is done, as the words on its button. */
  readonly does: string;
  /** @param newId makes ids for stages that are new */
  readonly edit: (plan: Plan, newId: () => string) => Plan;
  /** It says what somebody has looked at or will enter: nobody’s to do in passing. */
  readonly states?: true;
  /** The same with stages of the line moved there instead of new ones put in, as far as it has any. */
  readonly moves?: (plan: Plan, newId: () => string) => readonly Plan[];
}

/** One place at which a rule speaks. */
export interface Finding {
  /** The stages that it speaks of; where it is shown, first. None: it speaks of the whole line. */
  readonly stageIds: readonly string[];
  readonly what: Sentence;
  readonly why: Sentence;
  readonly fixes?: readonly Fix[];
}

/** What an experienced technician would look for. */
export interface Rule {
  /** S and O by the trade handbook, A beyond it. */
  readonly id: string;
  readonly grade: GradeOfAdvice;
  /** A danger: it cannot be set aside, and no line on which it stands is ready. */
  readonly stop?: true;
  /** When it speaks, for the table in docs/advice.md. */
  readonly when: string;
  /** What to do about it, whatever buttons there are. */
  readonly fix: string;
  readonly source: string;
  /** It finds what does nothing: after all fixes it may be taken out, where nothing else asks for it. */
  readonly idle?: true;
  readonly finds: (line: LineFacts) => readonly Finding[];
}

/**
 * A sentence with its figures in the units of its reader.
 * @example sayIn((units) => `below ${units(3, 'temperature')}`, say) // 'below 3.0 °C'
 */
export const sayIn = (sentence: Sentence, units: Say): string =>
  typeof sentence === 'string' ? sayText(sentence, units) : sentence(units);
