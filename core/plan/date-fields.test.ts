import { dayField, monthDayField, timeField } from './date-fields';
import { idField } from './survey';

const ok = (field: { safeParse(x: unknown): { success: boolean } }, text: string): boolean =>
  field.safeParse(text).success;

test.each([
  ['1989-12-31', false],
  ['1990-01-01', true],
  ['2028-02-29', true],
  ['2026-02-29', false],
  ['2026-02-31', false],
  ['2026-13-01', false],
  ['2026-00-10', false],
  ['2100-12-31', true],
  ['2101-01-01', false],
  ['9999-99-99', false],
])('the day %s: %s', (day, is) => {
  expect([ok(dayField, day), ok(timeField, `${day}T07:30`)]).toEqual([is, is]);
});

test('a time has hours and minutes; a day of the year may be 29 February, not the 30th', () => {
  expect(['23:59', '24:00', '07:60', '7:30'].map((t) => ok(timeField, `2026-11-28T${t}`))).toEqual([
    true,
    false,
    false,
    false,
  ]);
  expect(['02-29', '02-30', '04-31', '12-31'].map((d) => ok(monthDayField, d))).toEqual([true, false, false, true]);
});

test('an id is no name that every object has', () => {
  for (const id of ['constructor', '__proto__', 'toString', 'hasOwnProperty', 'valueOf'])
    expect(ok(idField, id)).toBe(false);
  for (const id of ['receiver', 'd0000000-0000-4000-8000-000000000001', 'a_b']) expect(ok(idField, id)).toBe(true);
});
