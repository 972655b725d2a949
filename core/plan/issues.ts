import type { z } from 'zod';

/** A field and what is wrong with it, in words that the person can act on. */
export interface FieldIssue {
  readonly field: string;
  readonly message: string;
}

/**
 * Field names and messages of a failed Zod check, with what was given where it is short.
 * @example issuesOf(surveySchema.safeParse({}).error, {})[0].field // 'shop'
 */
export function issuesOf(error: z.ZodError, input: unknown): FieldIssue[] {
  return error.issues.flatMap((issue) => {
    if (issue.code === 'unrecognized_keys')
      return issue.keys.map((key) => ({
        field: [...issue.path, key].join('.'),
        message: 'This field is not known here.',
      }));
    return [{ field: issue.path.join('.') || '(body)', message: `${issue.message}${given(input, issue.path)}` }];
  });
}

/** What is never repeated: a message may be read over a shoulder. */
const SECRET: readonly unknown[] = ['password', 'pin'];

function given(input: unknown, path: readonly PropertyKey[]): string {
  if (SECRET.includes(path.at(-1))) return '';
  let value = input;
  for (const key of path) value = (value as Record<PropertyKey, unknown> | null | undefined)?.[key];
  const told = typeof value === 'string' ? value.slice(0, 40) : '';
  const text = told.trim() !== '' ? `“${told}”` : typeof value === 'number' ? String(value) : '';
  return text && ` Given: ${text}.`;
}
