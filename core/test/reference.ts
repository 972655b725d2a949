import { readFileSync } from 'node:fs';

/** Check values computed apart from this program; `provenance` says how far to trust each. See reference/README.md. */
export interface Check {
  readonly id: string;
  readonly group: number;
  readonly inputs: Record<string, number> & { readonly [key: string]: unknown };
  readonly expected: Record<string, number>;
  readonly tolerance: Record<string, { rel?: number; abs?: number }>;
  readonly provenance: string;
}

const all = JSON.parse(readFileSync('reference/checks.json', 'utf8')) as Check[];

export function checksOf(group: number): Check[] {
  return all.filter((c) => c.group === group);
}

/** Passes if the value is within the check's relative or absolute tolerance of what it expects. */
export function expectCheck(got: number, check: Check, key: string): void {
  const wanted = check.expected[key];
  // Without a tolerance the case is a band of plausibility.
  if (check.tolerance === null) {
    const { min, max } = wanted as unknown as { min: number; max: number };
    if (!(got >= min && got <= max)) throw new Error(`${check.id} ${key}: got ${got}, want ${min} to ${max}`);
    return;
  }
  const want = wanted as number;
  const { rel = 0, abs = 0 } = check.tolerance[key] ?? {};
  const allowed = Math.max(rel * Math.abs(want), abs);
  if (!(Math.abs(got - want) <= allowed))
    throw new Error(`${check.id} ${key}: got ${got}, want ${want} ± ${allowed} (${check.provenance})`);
}
