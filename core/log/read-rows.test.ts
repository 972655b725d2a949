import { goodShop } from '../test/good-lines';
import { readRows } from './read-rows';

const HEAD = ['Time', 'Point', 'Reading', 'Value', 'Who', 'Note'];
const ids = async (text: string): Promise<string> => {
  const hash = [...text]
    .reduce((a, c) => (a * 31 + c.charCodeAt(0)) >>> 0, 7)
    .toString(16)
    .padStart(12, '0');
  return `00000000-0000-4000-8000-${hash}`;
};
const read = (rows: string[][], head = HEAD) => readRows(goodShop(), head, rows, ids, 101325);

test('rows in any unit, any way of writing the point; the same row twice is one entry', async () => {
  const row = ['2026-11-20 08:00', 'Coalescing filter', 'Pressure drop', '3 psi', 'Bram', "'=1+1"];
  const got = await read([row, row, ['20.11.2026 09:30', 'separator', 'temperature', '95F', '', '']]);
  expect(got[0]).toMatchObject({ row: 2, entry: { stageId: 'coalescing-filter', who: 'Bram', what: '=1+1' } });
  expect(
    'entry' in (got[0] as object) && (got[0] as { entry: { readings: { value: number }[] } }).entry.readings[0]?.value,
  ).toBeCloseTo(20684, 0);
  expect(got[1]).toEqual({ row: 3, problem: 'the same as a row before' });
  expect(got[2]).toMatchObject({ entry: { who: 'imported', measuredAt: '2026-11-20T09:30' } });
});

test.each([
  [['yesterday', 'separator', 'temperature', '30', '', ''], /no such time/],
  [['2026-11-20 08:00', 'Boiler', 'temperature', '30', '', ''], /no point “Boiler”/],
  [['2026-11-20 08:00', 'separator', 'colour', '30', '', ''], /no such reading/],
  [['2026-11-20 08:00', 'separator', 'temperature', 'warm', '', ''], /warm/],
  [['2026-11-20 08:00', 'separator', 'temperature', '4000', '', ''], /cannot be/],
])('%j is named with its row', async (row, problem) => {
  const [got] = await read([row]);
  expect(got).toMatchObject({ row: 2, problem: expect.stringMatching(problem) });
});

test('without its columns it says which it needs', async () => {
  expect(await read([['1']], ['a'])).toEqual([
    { row: 1, problem: expect.stringMatching(/“time”, “point”, “reading”, “value”/) },
  ]);
});
