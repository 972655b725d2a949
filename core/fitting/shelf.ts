import { z } from 'zod';
import { endInWords, endSchema } from '../piping/ends';
import { dayField } from '../plan/date-fields';
import type { BillItem } from './bill';

/** What is owned and not fitted. */
export const shelfItemSchema = z.strictObject({
  name: z.string().trim().min(1, 'Say what it is.').max(120, 'At most 120 characters.'),
  count: z.int('Whole pieces.').min(1, 'At least one.').max(100_000, 'At most 100,000.'),
  /** Where it lies. */
  place: z.string().trim().max(80, 'At most 80 characters.').default(''),
  /** One of its ends, to find it by. */
  end: endSchema.nullable().default(null),
  boughtOn: dayField.nullable().default(null),
  /** What it is kept for. */
  for: z.string().trim().max(120, 'At most 120 characters.').default(''),
});
export type ShelfItem = z.infer<typeof shelfItemSchema>;

const plain = (text: string): string => text.toLowerCase().replaceAll(/[{}]/g, '').trim();

/**
 * Whether a shelf has an item by every word of a search: in its name, its end, its place, or what it is kept for.
 * @example isFound({ name: 'Hex nipple 1/2 in NPT', count: 2, place: 'Drawer 3', end: null, boughtOn: null, for: '' }, '1/2 drawer') // true
 */
export function isFound(item: ShelfItem, words: string): boolean {
  const text = plain(`${item.name} ${item.end ? endInWords(item.end) : ''} ${item.place} ${item.for}`);
  return plain(words)
    .split(/\s+/)
    .every((word) => text.includes(word));
}

/**
 * How many of a row of the bill lie on the shelf, by its name: what buying it would double.
 * @example ownedOf({ label: 'Float drain' }, [{ name: 'float drain', count: 2 }]) // 2
 */
export function ownedOf(
  { label }: Pick<BillItem, 'label'>,
  shelf: readonly Pick<ShelfItem, 'name' | 'count'>[],
): number {
  const wanted = plain(label).replace(/^spare: /, '');
  return shelf.reduce((sum, { name, count }) => (plain(name) === wanted ? sum + count : sum), 0);
}
