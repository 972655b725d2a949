import { readFileSync } from 'node:fs';
import path from 'node:path';
import { CORE_FILES, evaluate } from './example-value';

// The examples of docstrings hold: `@example f(1, 2) // 3.14`, several in a line parted by `; `. A number is right to half a unit
// of its last digit; what is in quotes is the same text. Prose without `//` is for readers.

const ROOT = path.join(__dirname, '../..');
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

test.each(CORE_FILES.flatMap(examplesOf))('%s: %s is %s', async (file, expression, value) => {
  expectValue(await evaluate(file, expression), value);
});
