import { lifeBand, UNSURE } from '../../desiccant/charge-life';
import type { Shown } from './kind';

/**
 * How long a filling lasts that takes up or dissolves in water, as hours of air, with the band in which four in five lie.
 * @param takesKg water that it can take until it is changed
 * @param kgPerS water that comes while air flows; nothing comes of 0
 * @example mediaLife('Life', 0.5, 1e-5)[0].label // 'Life'
 */
export function mediaLife(label: string, takesKg: number, kgPerS: number): Shown[] {
  if (!(kgPerS > 0) || !(takesKg > 0)) return [];
  const { low, mid, high } = lifeBand({
    ln: Math.log(takesKg / kgPerS),
    variance: UNSURE.place ** 2 + UNSURE.charge ** 2,
  });
  return [
    { label, figure: 'life', quantity: 'time', value: mid },
    { label: '… one in ten no longer than', quantity: 'time', value: low },
    { label: '… nine in ten no longer than', quantity: 'time', value: high },
  ];
}
