import type { QuantityName } from '../quantity/units';

/** What each school would give on this line, measured. */
const MEASURES = {
  intoTank: { label: 'Water carried over from compressor and cooler', quantity: 'waterFlow' },
  drops: { label: 'Drops that reach the jobs', quantity: 'waterFlow' },
  dewPointC: { label: 'Worst dew point at a job', quantity: 'temperature' },
  spareK: { label: 'Above the dew point where it is coldest', quantity: 'temperatureDifference' },
  weakestPa: { label: 'Pressure at the weakest job', quantity: 'pressure' },
  airLost: { label: 'Air lost', quantity: 'volumeFlow' },
  oilMg: { label: 'Oil that reaches the jobs, mg/m³', quantity: 'number' },
  left: { label: 'Water that the oven leaves in dyed gel, of its weight', quantity: 'share' },
} as const satisfies Record<string, { label: string; quantity: QuantityName | 'number' }>;
export type Measure = keyof typeof MEASURES;
/**
 * What a measure of a line is called, and the quantity that it is in.
 * @example measureOf('dewPointC').label // 'Worst dew point at a job'
 */
export const measureOf = (m: Measure): { label: string; quantity: QuantityName | 'number' } => MEASURES[m];
