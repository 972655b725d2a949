import { execFileSync, spawnSync } from 'node:child_process';
import path from 'node:path';
import { planOfCheck } from '../core/test/condensate-check';
import { type Check, checksOf, expectCheck } from '../core/test/reference';

const WALK = path.join(__dirname, 'walk');
const run = (input: string, ...flags: string[]) => spawnSync(WALK, [...flags, '-'], { input, encoding: 'utf8' });

describe('bin/walk', () => {
  const check = checksOf(6).find((c) => c.id === 'G06-13-shop100_90F68_sep95') as Check;

  const bases = [
    ['real', [], '_real_kg_h'],
    ['ideal', ['--ideal'], '_kg_h'],
  ] as const;
  for (const [basis, flags, suffix] of bases)
    test.each(checksOf(6))(`prints the section of $id on the ${basis} basis ($provenance)`, (c) => {
      const input = JSON.stringify(planOfCheck(c));
      const section = JSON.parse(execFileSync(WALK, [...flags, '-'], { input, encoding: 'utf8' }));
      expect(section).toMatchObject({ format: 'cool-dram-section', version: 1, basis });
      expectCheck(section.ledger.caughtKgPerS * 3600, c, `total_removed${suffix}`);
      expectCheck(section.ledger.vapourOutKgPerS * 3600, c, `vapour_out${suffix}`);
      expect(section.ledgerImbalance).toBeLessThan(1e-9);
    });

  test.each([
    ['{', /not valid JSON/],
    ['{"format":"recipe"}', /Not a plan file/],
    [JSON.stringify({ ...planOfCheck(check), version: 7 }), /Unknown version/],
  ])('refuses %.30s with a message and exit code 2', (input, message) => {
    const { status, stderr, stdout } = run(input);
    expect({ status, stdout }).toEqual({ status: 2, stdout: '' });
    expect(stderr).toMatch(message);
  });
});
