import {
  ALONG_THE_LINE,
  BY_THE_HANDBOOK,
  BY_WHAT_IT_TELLS,
  type Looked,
  lookForAll,
  lookForAnyCause,
  trueOf,
} from '../core/test/look-for';

// Prints how faults are found that were put into three lines: by the check that tells most, and along the line.
const middle = (of: readonly number[]): number => of.toSorted((a, b) => a - b)[Math.floor(of.length / 2)] ?? 0;
const mean = (of: readonly number[]): number => of.reduce((a, b) => a + b, 0) / of.length;
const say = (name: string, cases: readonly Looked[]): void => {
  const right = cases.filter((c) => c.right).length / cases.length;
  const sure = cases.filter((c) => c.sure >= 0.9);
  const held = sure.filter((c) => c.right).length / sure.length;
  console.log(
    `${name}: ${cases.length} faults, right first ${(100 * right).toFixed(0)} %, ${middle(cases.map((c) => c.checks))} checks in the middle, ` +
      `${mean(cases.map((c) => c.minutes)).toFixed(0)} min on average; of those said at 90 % or more ${(100 * held).toFixed(0)} % true`,
  );
};
const best = lookForAll(() => BY_WHAT_IT_TELLS);
const along = lookForAll(ALONG_THE_LINE);
const handbook = lookForAll(BY_THE_HANDBOOK);
say('by what tells most', best);
say('along the line', along);
say('in the order of the handbook', handbook);
const minutes = (cases: readonly Looked[]): number => mean(cases.map((c) => c.minutes));
console.log(`minutes, over those along the line: ${(minutes(best) / minutes(along)).toFixed(2)}`);
console.log(`minutes, over those in the order of the handbook: ${(minutes(best) / minutes(handbook)).toFixed(2)}`);
const any = lookForAnyCause();
for (const [from, to] of [
  [0.02, 0.2],
  [0.2, 0.5],
  [0.5, 0.7],
  [0.7, 0.9],
  [0.9, 1.01],
] as const) {
  const { said, held, n } = trueOf(any, from, to);
  console.log(`said at ${(100 * said).toFixed(0)} % (${n} times): ${(100 * held).toFixed(0)} % true`);
}
