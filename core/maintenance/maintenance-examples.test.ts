import { readFileSync } from 'node:fs';
import { maintenanceExamples } from '../test/maintenance-examples';

// The page is read by people; bin/lib/make-docs.ts writes it anew where a task or a drain is meant to be judged otherwise.
const lines = (page: string): [name: string, text: string][] =>
  page
    .split(/^## /m)
    .slice(1)
    .map((text) => [text.split('\n', 1)[0] as string, text.trim()]);
const page = new Map(lines(readFileSync('docs/maintenance-examples.md', 'utf8')));

test.each(lines(maintenanceExamples()))('%s: tasks, drains and winter as in docs/', (name, text) => {
  expect(text).toBe(page.get(name));
});
