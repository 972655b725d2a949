import { readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';

// Prints “N passed, N failed” over Jest and Playwright. A run without a report counts as one failure.
const [folder, what] = process.argv.slice(2);
let passed = 0;
let failed = 0;
const read = (name) => JSON.parse(readFileSync(path.join(folder, name), 'utf8'));
const reports = readdirSync(folder);
for (const name of reports.filter((f) => /^jest.*\.json$/.test(f))) {
  const jest = read(name);
  passed += jest.numPassedTests;
  failed += jest.numFailedTests + jest.numRuntimeErrorTestSuites;
}
if (what !== 'e2e' && !reports.includes('jest-1.json')) failed += 1;
for (const name of reports.filter((f) => /^playwright.*\.json$/.test(f))) {
  const { stats, errors } = read(name);
  passed += stats.expected + stats.flaky;
  failed += stats.unexpected + errors.length;
}
console.log(`${passed} passed, ${failed} failed`);
process.exit(passed > 0 && failed === 0 ? 0 : 1);
