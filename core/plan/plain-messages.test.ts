import { z } from 'zod';
import { issuesOf } from './issues';
import { speakPlainly } from './plain-messages';

const schema = z.strictObject({
  count: z.int().min(1).max(9),
  share: z.number().max(1),
  name: z.string().min(2).max(4),
  kind: z.enum(['float', 'timer']),
  at: z.iso.date(),
  days: z.array(z.number()).max(2),
  of: z.discriminatedUnion('what', [z.object({ what: z.literal('a') }), z.object({ what: z.literal('b') })]),
  own: z.string().min(1, 'Say why.'),
});

test('what a schema says without words of its own is a sentence, and no talk of a validator', () => {
  speakPlainly();
  const said = (input: object) =>
    Object.fromEntries(
      issuesOf(schema.safeParse(input).error as z.ZodError, {}).map(({ field, message }) => [field, message]),
    );
  expect(said({ count: 'x', share: Number.NaN, name: 3, kind: 'ball', at: 'June', days: 1, of: {}, own: '' })).toEqual({
    count: 'A number is needed.',
    share: 'A number is needed.',
    name: 'A text is needed.',
    kind: 'One of: float, timer.',
    at: 'It is written in another way than is understood here.',
    days: 'A list is needed.',
    'of.what': 'It is none of the kinds that are known here.',
    own: 'Say why.',
  });
  expect(
    said({ count: 1.5, share: 2, name: 'x', days: [1, 2, 3], of: { what: 'a' }, own: 'so', at: '2026-06-01' }),
  ).toEqual({
    count: 'A whole number is needed.',
    share: 'At most 1.',
    name: 'At least 2 characters.',
    kind: 'One of: float, timer.',
    days: 'At most 2 entries.',
  });
  // A file in which half is missing says so, and names no type of a language.
  expect(JSON.stringify(issuesOf(schema.safeParse({}).error as z.ZodError, {}))).not.toMatch(
    /expected|received|undefined|NaN/,
  );
});
