import { readFileSync } from 'node:fs';
import { adviceExamples } from '../test/advice-examples';

// The page is read by people; bin/lib/make-docs.ts writes it anew where a rule is meant to say or do something else.
const rules = (page: string): [id: string, text: string][] =>
  page
    .split(/^## /m)
    .slice(1)
    .map((text) => [text.split('\n', 1)[0] as string, text.trim()]);
const page = new Map(rules(readFileSync('docs/advice-examples.md', 'utf8')));

test.each(rules(adviceExamples()))('%s says and changes what its example in docs/ has', (id, text) => {
  expect(text).toBe(page.get(id));
});
