import { execFileSync, spawnSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync, symlinkSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { uniformInt } from 'pure-rand/distribution/uniformInt';
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';

// Changes one thing at a time in the code of some folders of core/ and counts how many of the changes a test notices: those of the
// folder and the examples in docstrings first, then all others of core/ and ui/ that reach the file, without the properties that draw lines for minutes. The
// same seed draws the same changes. Works in a copy of the last commit.

const [folders = 'advice,drains,maintenance,log', count = '60', seed = '1'] = process.argv.slice(2);
const root = process.cwd(); // bin/mutate goes there

/** What is changed into what; a change that the compiler would refuse is not drawn. */
const CHANGES: readonly (readonly [RegExp, string])[] = [
  // Beside a whole number the limit itself is moved; a computed real number never stands on it, so there the sides change.
  [/ < (?=[\d.]+\b|\w+\.length)/g, ' <= '],
  [/ <= (?=[\d.]+\b|\w+\.length)/g, ' < '],
  [/ > (?=[\d.]+\b|\w+\.length)/g, ' >= '],
  [/ >= (?=[\d.]+\b|\w+\.length)/g, ' > '],
  [/ < (?![\d.]+\b|\w+\.length)/g, ' >= '],
  [/ <= (?![\d.]+\b|\w+\.length)/g, ' > '],
  [/ > (?![\d.]+\b|\w+\.length)/g, ' <= '],
  [/ >= (?![\d.]+\b|\w+\.length)/g, ' < '],
  [/ === /g, ' !== '],
  [/ !== /g, ' === '],
  [/ \+ /g, ' - '],
  [/ - /g, ' + '],
  [/ \* /g, ' / '],
  [/ \/ /g, ' * '],
  [/ && /g, ' || '],
  [/ \|\| /g, ' && '],
  [/\bMath\.min\b/g, 'Math.max'],
  [/\bMath\.max\b/g, 'Math.min'],
  [/(const [A-Z][A-Z0-9_]* = )(\d[\d_.e-]*);/g, '$1($2 * 1.2);'],
];

interface Mutant {
  readonly file: string;
  readonly line: number;
  readonly was: string;
  readonly is: string;
}

/** The line without its comments and texts, each replaced by as many blanks: nothing in them is changed. */
const blanked = (line: string): string =>
  line
    .replace(/\/\/.*$|\/\*.*?\*\/|^\s*\*.*$|^\s*\/\*\*.*$/g, (m) => ' '.repeat(m.length))
    .replace(/'(?:[^'\\]|\\.)*'|`[^`]*`/g, (m) => '_'.repeat(m.length));

function mutantsOf(file: string, text: string): Mutant[] {
  return text.split('\n').flatMap((was, i) => {
    const code = blanked(was);
    // A text over several lines, and what a rule or task says rather than computes, is left alone.
    if (/^\s*(import|export type|\}? from|source|when|fix|does|says):?\b/.test(was) || code.includes('`')) return [];
    return CHANGES.flatMap(([of, into]) =>
      [...code.matchAll(of)].map((m) => ({
        file,
        line: i + 1,
        was,
        is: was.slice(0, m.index) + was.slice(m.index).replace(new RegExp(of.source), into),
      })),
    );
  });
}

const list = execFileSync('git', ['ls-files', ...folders.split(',').map((f) => `core/${f}`)], {
  cwd: root,
  encoding: 'utf8',
})
  .split('\n')
  .filter((f) => f.endsWith('.ts') && !f.endsWith('.test.ts'));
const all = list.flatMap((file) => mutantsOf(file, readFileSync(path.join(root, file), 'utf8')));
const random = xoroshiro128plus(Number(seed));
const drawn: Mutant[] = [];
while (drawn.length < Math.min(Number(count), all.length))
  drawn.push(...all.splice(uniformInt(random, 0, all.length - 1), 1));

const copy = mkdtempSync(path.join(tmpdir(), 'cool-dram-mutants.'));
process.on('exit', () => rmSync(copy, { recursive: true, force: true }));
execFileSync('git', ['clone', '--quiet', root, copy]);
symlinkSync(path.join(root, 'node_modules'), path.join(copy, 'node_modules'));

const JEST = [
  '--selectProjects',
  'core',
  '--ci',
  '--silent',
  '--bail',
  '--testPathIgnorePatterns',
  // But for the one whose pairs of screens judge what is changed here.
  '(?<!/one-figure)\\.long\\.test\\.ts$',
];
const pass = (...tests: string[]): boolean =>
  spawnSync('node_modules/.bin/jest', [...JEST, ...tests], { cwd: copy, stdio: 'ignore' }).status === 0;

if (!pass('--findRelatedTests', ...list))
  throw new Error('The tests fail without any change: bin/test core says which.');
let survived = 0;
for (const { file, line, was, is } of drawn) {
  const at = path.join(copy, file);
  const text = readFileSync(at, 'utf8');
  writeFileSync(
    at,
    text
      .split('\n')
      .with(line - 1, is)
      .join('\n'),
  );
  const noticed = !pass('--', `${path.dirname(file)}/`, 'core/test/examples') || !pass('--findRelatedTests', file);
  writeFileSync(at, text);
  if (noticed) continue;
  survived++;
  console.log(`survived: ${file}:${line}\n  - ${was.trim()}\n  + ${is.trim()}`);
}
console.log(
  `${drawn.length - survived} of ${drawn.length} changes noticed: ${Math.round((100 * (drawn.length - survived)) / drawn.length)} %`,
);
