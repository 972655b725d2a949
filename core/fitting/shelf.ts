import { z } from 'zod';
import { KINDS, type KindName } from '../equipment/index';
import { endInWords, endSchema } from '../piping/ends';
import { dayField } from '../plan/date-fields';
import type { Fitting } from '../plan/fit-fields';
import { thingSchema } from '../plan/thing-fields';
import type { BillItem } from './bill-rows';

/** What is owned and not fitted. */
export const shelfItemSchema = z
  .strictObject({
    name: z.string().trim().min(1, 'Say what it is.').max(120, 'At most 120 characters.'),
    count: z.int('Whole pieces.').min(1, 'At least one.').max(100_000, 'At most 100,000.'),
    /** Where it lies. */
    place: z.string().trim().max(80, 'At most 80 characters.').default(''),
    /** One of its ends, to find it by. */
    end: endSchema.nullable().default(null),
    boughtOn: dayField.nullable().default(null),
    /** What it is kept for. */
    for: z.string().trim().max(120, 'At most 120 characters.').default(''),
    /** What was taken down from a line, with its plate and where it was; it is one piece. */
    loose: z
      .strictObject({ kind: z.enum(Object.keys(KINDS) as [KindName, ...KindName[]]), thing: thingSchema })
      .nullable()
      .default(null),
  })
  .refine(({ count, loose }) => loose === null || count === 1, {
    path: ['count'],
    message: 'A thing with a plate is one piece.',
  });
export type ShelfItem = z.infer<typeof shelfItemSchema>;

const plain = (text: string): string => text.toLowerCase().replaceAll(/[{}]/g, '').trim();

/**
 * Whether a shelf has an item by every word of a search: in its name, its end, its place, or what it is kept for.
 * @example isFound({ name: 'Hex nipple 1/2 in NPT', count: 2, place: 'Drawer 3', end: null, boughtOn: null, for: '', loose: null }, '1/2 drawer') // true
 */
export function isFound(item: ShelfItem, words: string): boolean {
  const text = plain(
    `${item.name} ${item.end ? endInWords(item.end) : ''} ${item.place} ${item.for} ${item.loose ? `${item.loose.thing.maker} ${item.loose.thing.model} ${item.loose.thing.serial}` : ''}`,
  );
  return plain(words)
    .split(/\s+/)
    .every((word) => text.includes(word));
}

/**
 * Whether an item of the shelf is what a row of the bill asks for, by its name.
 * @example isSameAs({ label: 'Spare: Float drain' }, { name: 'float drain' }) // true
 */
export const isSameAs = ({ label }: Pick<BillItem, 'label'>, { name }: Pick<ShelfItem, 'name'>): boolean =>
  plain(name) === plain(label).replace(/^spare: /, '');

/**
 * How many of a row of the bill lie on the shelf: what buying it would double.
 * @example ownedOf({ label: 'Float drain' }, [{ name: 'float drain', count: 2 }]) // 2
 */
export const ownedOf = (row: Pick<BillItem, 'label'>, shelf: readonly Pick<ShelfItem, 'name' | 'count'>[]): number =>
  shelf.reduce((sum, item) => sum + (isSameAs(row, item) ? item.count : 0), 0);

/**
 * What need not be bought, as it lies on the shelf: rows of a bill that are not ticked, with how many of each can be taken.
 * What two rows ask for goes to the first.
 * @example takenFrom([{ name: 'Union', count: 1, loose: null }], [{ key: 'a', label: 'Union', count: 3 }], {})[0].count // 1
 */
export function takenFrom<Row extends Pick<BillItem, 'key' | 'label' | 'count'>>(
  shelf: readonly Pick<ShelfItem, 'name' | 'count' | 'loose'>[],
  rows: readonly Row[],
  ticks: Fitting['ticks'],
): Row[] {
  const left = shelf.filter((i) => i.loose === null).map(({ name, count }) => ({ name, count }));
  return rows.flatMap((row) => {
    if (ticks[row.key]) return [];
    let count = 0;
    for (const item of left.filter((i) => isSameAs(row, i))) {
      const some = Math.min(item.count, row.count - count);
      item.count -= some;
      count += some;
    }
    return count > 0 ? [{ ...row, count }] : [];
  });
}
