import type { LoggedDrain } from '../log/judge-log';
import { wholeBalance } from './whole-balance';

const drain = (stageId: string, litres: number, expectedKg: number, drainedAt = '2026-11-30T16:00'): LoggedDrain =>
  ({ stageId, stageName: stageId, drainedAt, amountM3: litres / 1e3, expectedKg, struck: false }) as LoggedDrain;

// By hand: 0.32 kg at the separator, 0.07 in the tank, 0.06 at the dryer, 0.45 in all; its band is twice
// √((0.15·0.45)² + (0.1·0.32)² + (0.1·0.07)² + (0.1·0.06)²) = 0.150 kg.
const round = (separator: number, tank: number, dryer: number) => [
  drain('separator', separator, 0.32),
  drain('tank', tank, 0.07, '2026-11-30T15:40'),
  drain('dryer', dryer, 0.06, '2026-11-30T15:30'),
];
const isOf = (log: LoggedDrain[]) => wholeBalance(log)?.drains.map((d) => d.is);

it('agrees where each drain gives its share, also on a day that is damper than the survey', () => {
  const agrees = wholeBalance(round(0.33, 0.07, 0.06));
  expect(agrees?.verdict).toBe('agrees');
  expect([agrees?.low, agrees?.high].map((x) => x?.toFixed(2))).toEqual(['0.30', '0.60']);
  expect(wholeBalance(round(0.4, 0.09, 0.075))?.verdict).toBe('agrees');
});

it('sees water that took another way: the total right, one short and one over', () => {
  const split = wholeBalance(round(0, 0.38, 0.07));
  expect([split?.verdict, isOf(round(0, 0.38, 0.07))]).toEqual(['split', ['less', 'more', 'in line']]);
  expect(split?.says).toContain('Less than its share: separator; more: tank');
});

it('sees what goes in wrong: the total beyond its band on either side, and not on it', () => {
  expect(wholeBalance(round(0.44, 0.1, 0.07))?.verdict).toBe('total'); // 0.61
  expect(wholeBalance(round(0.43, 0.095, 0.07))?.verdict).toBe('agrees'); // 0.595
  expect(wholeBalance(round(0.2, 0.045, 0.04))?.says).toContain('gave less'); // 0.285
});

it('takes a round for what was opened within three hours, each drain once, and what is struck out for nothing', () => {
  const [separator, tank] = round(0.33, 0.07, 0.06) as [LoggedDrain, LoggedDrain];
  expect(wholeBalance([separator, { ...tank, drainedAt: '2026-11-30T13:00' }])).toBeDefined();
  expect(wholeBalance([separator, { ...tank, drainedAt: '2026-11-30T12:59' }])).toBeUndefined();
  expect(wholeBalance([separator, { ...tank, struck: true }])).toBeUndefined();
  expect(wholeBalance([separator, separator, tank])?.drains).toHaveLength(2);
});
