import { readFileSync, writeFileSync } from 'node:fs';
import path from 'node:path';

/** What the figures of a worked example come to: on paper, and by the program. */
export type Worked = Record<string, readonly [paper: number, program: number]>;

const ROW = /^\| ([^|]+) \| ([\d.]+) \| ([\d.]+) \|$/gm;

/**
 * Holds the table of a worked example in docs/ to what its formulas and the program come to, to the digits that are printed.
 * With UPDATE_EXAMPLES=1 the digits are written anew; the words round them are read by a person.
 */
export function expectWorkedTable(file: string, computed: Worked): void {
  const at = path.join(__dirname, '../../docs', file);
  const page = readFileSync(at, 'utf8');
  const printed = (name: string, k: 0 | 1, was: string): string =>
    ((computed[name] ?? [Number.NaN, Number.NaN])[k] as number).toFixed(was.split('.')[1]?.length ?? 0);
  const now = page.replace(ROW, (_row, name, a, b) => `| ${name} | ${printed(name, 0, a)} | ${printed(name, 1, b)} |`);
  expect([...page.matchAll(ROW)].map((r) => r[1])).toEqual(Object.keys(computed));
  if (process.env.UPDATE_EXAMPLES) writeFileSync(at, now);
  else expect(page.match(ROW)).toEqual(now.match(ROW));
}
