import { execFileSync } from 'node:child_process';
import path from 'node:path';

const ROOT = path.join(__dirname, '..');
const node = (script: string): string =>
  execFileSync('node', ['--input-type=module', '-e', script], { cwd: ROOT, encoding: 'utf8' }).trim();

jest.setTimeout(120_000);

test('the core computes without the app, from what is built of it', () => {
  execFileSync('npm', ['run', 'build:core'], { cwd: ROOT, stdio: 'ignore' });
  // Saturated vapour over water at 20 °C: 2338.8 Pa (Hyland & Wexler, ASHRAE Fundamentals ch. 1).
  expect(
    node(`import { saturationPressurePa } from 'cool-dram-core/air/saturation'; console.log(saturationPressurePa(20))`),
  ).toMatch(/^2338\.8/);
  const section = JSON.parse(
    execFileSync('node', ['core/dist/command/walk.js', 'docs/examples/receiver.json'], { cwd: ROOT, encoding: 'utf8' }),
  );
  expect(section.problems).toEqual([]);
  expect(Math.abs(section.ledgerImbalance)).toBeLessThan(1e-9);
});
