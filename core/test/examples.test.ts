import { execFileSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import path from 'node:path';

// The examples of docstrings hold: `@example f(1, 2) // 3.14`, several in a line parted by `; `. A number is right to half a unit
// of its last digit; what is in quotes is the same text. Prose without `//` is for readers.

const ROOT = path.join(__dirname, '../..');
const FILES = execFileSync('git', ['ls-files', 'core/*.ts'], { cwd: ROOT, encoding: 'utf8' })
  .split('\n')
  .filter((f) => f.endsWith('.ts') && !/\.test\.ts$|core\/test\/|\.d\.ts$/.test(f));

const examplesOf = (file: string): (readonly [file: string, expression: string, value: string])[] =>
  [...readFileSync(path.join(ROOT, file), 'utf8').matchAll(/@example (.+? \/\/ .+?)(?:\s*\*\/)?$/gm)].flatMap(
    ([, line]) =>
      (line as string).split(/; (?=\w+\()/).map((one) => {
        const [expression = '', value = ''] = one.split(' // ');
        return [file, expression, value] as const;
      }),
  );

/** Digits, with spaces between thousands. */
const NUMBER = /^-?\d[\d ]*(?:\.(\d+))?(?:e(-?\d+))?/;

function expectValue(got: unknown, value: string): void {
  const quoted = /^'(.*?)'/.exec(value);
  const number = NUMBER.exec(value);
  if (quoted || !number) {
    expect(quoted ? got : JSON.stringify(got)).toBe(quoted?.[1] ?? value);
    return;
  }
  const [text, decimals = '', exponent = '0'] = number;
  const wanted = Number(text.replace(/ /g, ''));
  const halfUnit = 0.5 * 10 ** (Number(exponent) - decimals.length);
  expect(Math.abs((got as number) - wanted)).toBeLessThanOrEqual(halfUnit * (1 + 1e-9));
}

test.each(FILES.flatMap(examplesOf))('%s: %s is %s', (file, expression, value) => {
  const own = require(path.join(ROOT, file)) as Record<string, unknown>;
  const run = new Function(...Object.keys(own), `return ${expression}`) as (...of: unknown[]) => unknown;
  expectValue(run(...Object.values(own)), value);
});
