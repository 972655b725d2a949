import { ALONG_THE_LINE, BY_WHAT_IT_TELLS, type Looked, lookForAll } from '../core/test/look-for';

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
const [best, along] = [lookForAll(() => BY_WHAT_IT_TELLS), lookForAll(ALONG_THE_LINE)];
say('by what tells most', best);
say('along the line', along);
const ratio = mean(best.map((c) => c.minutes)) / mean(along.map((c) => c.minutes));
console.log(`minutes, the first over the second: ${ratio.toFixed(2)}`);
