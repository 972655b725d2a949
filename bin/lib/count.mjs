import { existsSync, readFileSync } from 'node:fs';
import path from 'node:path';

// Prints “N passed, N failed” over Jest and Playwright. A run without a report counts as one failure.
const folder = process.argv[2];
let passed = 0;
let failed = 0;
const read = (name) => JSON.parse(readFileSync(path.join(folder, name), 'utf8'));
if (existsSync(path.join(folder, 'jest.json'))) {
  const jest = read('jest.json');
  passed += jest.numPassedTests;
  failed += jest.numFailedTests + jest.numRuntimeErrorTestSuites;
} else failed += 1;
if (existsSync(path.join(folder, 'playwright.json'))) {
  const { stats, errors } = read('playwright.json');
  passed += stats.expected + stats.flaky;
  failed += stats.unexpected + errors.length;
}
console.log(`${passed} passed, ${failed} failed`);
process.exit(passed > 0 && failed === 0 ? 0 : 1);
