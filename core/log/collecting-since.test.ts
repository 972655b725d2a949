import { goodShop, working } from '../test/good-lines';
import { collectingSince } from './collecting-since';

const plan = working({ startsAtH: 8 })(goodShop());
const drained = [
  { stageId: 'tank', at: '2026-11-26T16:00' },
  { stageId: 'tank', at: '2026-11-25T16:00' },
  { stageId: 'other', at: '2026-11-27T09:00' },
];

test('water collects from the last drain before the time, of this point, whatever the order of the log', () => {
  expect(collectingSince(plan, drained, 'tank', '2026-11-27T10:00')).toBe('2026-11-26T16:00');
  expect(collectingSince(plan, drained, 'tank', '2026-11-26T16:00')).toBe('2026-11-25T16:00');
});

test('of a point that was never drained, from the start of the working day; in its first hour, of the day before', () => {
  expect(collectingSince(plan, [], 'tank', '2026-11-27T09:01')).toBe('2026-11-27T08:00');
  expect(collectingSince(plan, [], 'tank', '2026-11-27T09:00')).toBe('2026-11-26T08:00');
});
