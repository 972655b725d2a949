import { gradeLine } from '../line/grade-line';
import { walk } from '../line/walk';
import { expectReadings } from '../log/expect-reading';
import { logEntrySchema } from '../log/log-entry';
import { goodShop } from '../test/good-lines';
import { findingsOf } from './findings';

test('oil that is read in the air is judged by what filters should pass: ten times as much points to its causes', () => {
  const plan = goodShop();
  const should = (gradeLine(plan, walk(plan)).get('fine')?.dirt.oilMg ?? 0) * 1e-6;
  const findings = (value: number) => {
    const entry = logEntrySchema.parse({
      id: '00000000-0000-4000-8000-000000000001',
      kind: 'reading',
      stageId: 'fine',
      measuredAt: '2026-11-05T08:00',
      who: 'me',
      instrument: 'good',
      readings: [{ of: 'oil-content', value }],
    });
    return findingsOf(plan, { ...entry, stageName: 'fine', enteredAt: '', expected: expectReadings(plan, entry) });
  };
  expect(findings(should)).toEqual([]);
  expect(findings(10 * should)[0]?.symptom?.id).toBe('D35');
});
