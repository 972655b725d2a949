import { z } from 'zod';

const NEEDED: Readonly<Record<string, string>> = {
  number: 'A number is needed.',
  int: 'A whole number is needed.',
  string: 'A text is needed.',
  boolean: 'Yes or no is needed: true or false.',
  array: 'A list is needed.',
  object: 'A group of fields is needed.',
};
const COUNTED: Readonly<Record<string, string>> = { string: ' characters', array: ' entries' };
const MOST_NAMED = 12;

/**
 * What a schema that has no words of its own says of a value, so that the person can act on it.
 * @returns nothing for what has only words of its own
 * @example plainMessage({ code: 'invalid_type', expected: 'number', input: Number.NaN }) // 'A number is needed.'
 */
export function plainMessage(issue: z.core.$ZodRawIssue): string | undefined {
  switch (issue.code) {
    case 'invalid_type':
      return issue.input === undefined
        ? 'It is missing.'
        : (NEEDED[issue.expected] ?? 'Another kind of value is needed.');
    case 'too_small':
      return `At least ${issue.minimum}${COUNTED[issue.origin] ?? ''}.`;
    case 'too_big':
      return `At most ${issue.maximum}${COUNTED[issue.origin] ?? ''}.`;
    case 'invalid_value':
      return issue.values.length > MOST_NAMED ? 'Not one of the choices.' : `One of: ${issue.values.join(', ')}.`;
    case 'invalid_format':
      return 'It is written in another way than is understood here.';
    case 'invalid_union':
      return 'It is none of the kinds that are known here.';
    default:
      return undefined;
  }
}

/**
 * Lets all schemas say what is wrong in plain words, where they have none of their own.
 * @example speakPlainly() === undefined // true
 */
export const speakPlainly = (): void => void z.config({ customError: plainMessage });
