import { format } from 'date-fns';

/** The axes of the logbook’s charts. */
export const TIME_AXIS = {
  dataKey: 'at',
  type: 'number',
  scale: 'time',
  domain: ['dataMin', 'dataMax'],
  tickFormatter: (at: number): string => format(at, 'd MMM'),
  stroke: 'var(--quiet)',
  tick: { fontSize: 11, fill: 'var(--quiet)' },
  minTickGap: 28,
  padding: { left: 12, right: 12 },
} as const;
export const VALUE_AXIS = { width: 52, stroke: 'var(--quiet)', tick: { fontSize: 11, fill: 'var(--quiet)' } } as const;
