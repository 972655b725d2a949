import type { ShelfItem } from '../core/fitting/shelf';
import { end } from '../core/piping/ends';
import { demoId } from './demo-stage';

const item = (n: number, name: string, count: number, place: string, more: Partial<ShelfItem> = {}) => ({
  id: demoId(4000 + n),
  item: { name, count, place, end: null, boughtOn: null, for: '', loose: null, ...more },
});

/** What the demos have on the shelf. */
export const DEMO_SHELF: readonly { readonly id: string; readonly item: ShelfItem }[] = [
  item(1, 'Wall bracket', 4, 'Pump room, shelf 2', { boughtOn: '2026-03-12' }),
  item(2, 'Float drain', 1, 'Pump room, shelf 2', { for: 'spare of the cyclone', boughtOn: '2025-11-03' }),
  item(3, 'Hex nipple 1/2 in BSPT', 3, 'Drawer 4', { end: end('bspt', '1/2', 'male') }),
  item(4, 'Union 1/2 in BSPT', 1, 'Drawer 4', { end: end('bspt', '1/2', 'female') }),
  item(5, 'Element for Coalescer 1 µm', 1, 'Pump room, cupboard', { boughtOn: '2026-06-20' }),
  item(6, 'Pressure gauge, bottom port', 2, 'Drawer 1', { end: end('bspt', '1/4', 'male') }),
];
