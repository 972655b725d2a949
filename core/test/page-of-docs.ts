import { readFileSync } from 'node:fs';

const sectionsOf = (page: string): [name: string, text: string][] =>
  page
    .split(/^## /m)
    .slice(1)
    .map((text) => [text.split('\n', 1)[0] as string, text.trim()]);

/** Tests that a page of docs/, which people read, is what the code makes of it now: bin/lib/make-docs.ts writes it anew. */
export function testPage(file: string, made: string): void {
  const page = new Map(sectionsOf(readFileSync(file, 'utf8')));
  test.each(sectionsOf(made))(`${file}: %s`, (name, text) => {
    expect(text).toBe(page.get(name));
  });
}
