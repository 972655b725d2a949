import type { TickName } from '@/core/plan/fit-fields';

/** What a row of the bill can be, in words. */
export const STATES: Readonly<Record<TickName | 'open', string>> = {
  open: 'to buy',
  bought: 'bought',
  waiting: 'waiting for it',
  returned: 'returned',
  shelf: 'from the shelf',
  fitted: 'fitted',
};
