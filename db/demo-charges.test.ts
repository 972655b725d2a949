import { readFileSync } from 'node:fs';
import path from 'node:path';
import { lifeBand } from '../core/desiccant/charge-life';
import { siteTimeOf } from '../core/log/site-clock';
import { livesOf } from '../core/maintenance/charge-lives';
import { dairyPlan } from './dairy';
import { demoPlan } from './demo';
import { BEADS, demoCharges } from './demo-charges';
import { SYNTHETIC, syntheticYear } from './demo-weather';

const NOW = Date.UTC(2026, 10, 23, 18);

test.each([
  { plan: demoPlan(), year: 0, beads: BEADS.workshop, state: 'learning', learnedFrom: 2 },
  { plan: dairyPlan(), year: 1, beads: BEADS.dairy, state: 'overdue', learnedFrom: 4 },
] as const)('a demo carries charges with history: $state', ({ plan, year, beads, state, learnedFrom }) => {
  const { file, name } = SYNTHETIC[year];
  const { hours } = syntheticYear(name, readFileSync(path.join(__dirname, '../weather', file), 'utf8'));
  const { charges, entries } = demoCharges(plan, hours, beads, NOW);
  const logged = entries.map((e) => ({ ...e, stageName: '', enteredAt: '', expected: [] }));
  const life = livesOf(plan, hours, charges, logged, siteTimeOf(NOW))?.find((l) => l.stageId === beads.stageId);
  expect(life?.state).toBe(state);
  expect(life?.learnedFrom).toBe(learnedFrom);
  // The truth that the log was made with, 0.70 to 0.81 of the book, lies in the band that was learned from it.
  const { low, high } = lifeBand(life?.factor ?? { ln: 9, variance: 0 });
  expect(low).toBeLessThan(0.76);
  expect(high).toBeGreaterThan(0.76);
  expect(entries.every((e) => Date.parse(`${e.measuredAt}Z`) < NOW)).toBe(true);
});
