import type { Pool } from 'mysql2/promise';
import type { DrainEntry } from '../core/log/drain-entry';
import { expectDrain } from '../core/log/expect-drain';
import { setParameter } from '../core/plan/edit';
import { planOf, stageOf } from '../core/test/plan-of';
import { RequestRefused } from './errors';
import { logADrain, strikeADrain } from './log-a-drain';
import { ALONE } from './people/may';
import { readLogbook } from './read-logbook';
import { createPlan, savePlan } from './save-plan';
import { closeDatabase, freshDatabase } from './test/database';

const NOW = Date.UTC(2026, 10, 17, 18);
const plan = planOf({}, stageOf('aftercooler'), stageOf('receiver'));
const uuid = (): string => crypto.randomUUID();
const entry = (change: Partial<DrainEntry> = {}): DrainEntry => ({
  id: uuid(),
  stageId: 'receiver',
  drainedAt: '2026-11-17T16:00',
  sinceAt: '2026-11-16T16:00',
  amountM3: 160e-6,
  appearance: 'clear',
  who: 'Ottilie',
  note: '',
  loadedHours: null,
  intakeTemperatureC: 25,
  intakeRelativeHumidity: 0.6,
  ...change,
});
const statusOf = (work: Promise<unknown>): Promise<unknown> =>
  work.then(
    () => 'accepted',
    (e: unknown) => (e instanceof RequestRefused ? `${e.status} ${e.issues.map((i) => i.field).join()}` : e),
  );

let pool: Pool;
let id: string;
beforeAll(async () => {
  pool = await freshDatabase('logbook');
});
beforeEach(async () => {
  id = uuid();
  await createPlan(ALONE, { id, plan });
});
afterAll(() => closeDatabase(pool));

describe('logging a drain', () => {
  test('keeps what was typed, and beside it what the plan expected', async () => {
    const mine = entry({ note: '½ cup of Öl – “rusty”', loadedHours: 3.25 });
    await logADrain(ALONE, id, mine, NOW);
    const expected = expectDrain(plan, mine);
    expect((await readLogbook(ALONE, id)).entries).toEqual([
      expect.objectContaining({
        ...mine,
        stageName: 'Receiver',
        struck: false,
        expectedKg: expected?.expectedKg,
        lowKg: expected?.lowKg,
        highKg: expected?.highKg,
        countedHours: 3.25,
      }),
    ]);
  });

  test('the same entry sent again is one entry; another under its id is refused', async () => {
    const mine = entry();
    await logADrain(ALONE, id, mine, NOW);
    await logADrain(ALONE, id, mine, NOW);
    expect((await readLogbook(ALONE, id)).entries).toHaveLength(1);
    expect(await statusOf(logADrain(ALONE, id, { ...mine, amountM3: 1e-3 }, NOW))).toBe('409 id');
  });

  test('a later edit of the plan does not rewrite what was expected then', async () => {
    await logADrain(ALONE, id, entry(), NOW);
    const [before] = (await readLogbook(ALONE, id)).entries;
    await savePlan(ALONE, id, {
      writeId: uuid(),
      rowVersion: 1,
      plan: setParameter(plan, 'receiver', 'settlingEfficiency', 0.1),
    });
    expect((await readLogbook(ALONE, id)).entries).toEqual([before]);
  });

  test('entries stay when their drain point leaves the line', async () => {
    await logADrain(ALONE, id, entry(), NOW);
    await savePlan(ALONE, id, { writeId: uuid(), rowVersion: 1, plan: planOf({}, stageOf('aftercooler')) });
    expect((await readLogbook(ALONE, id)).entries).toHaveLength(1);
  });

  test('a mistake is struck out and can be restored; it is never erased', async () => {
    const mine = entry();
    await logADrain(ALONE, id, mine, NOW);
    await strikeADrain(ALONE, id, mine.id, true);
    expect((await readLogbook(ALONE, id)).entries[0]).toMatchObject({ id: mine.id, struck: true });
    await strikeADrain(ALONE, id, mine.id, false);
    expect((await readLogbook(ALONE, id)).entries[0]).toMatchObject({ struck: false });
    expect(await statusOf(strikeADrain(ALONE, id, uuid(), true))).toBe('404 entryId');
    expect(await statusOf(strikeADrain(ALONE, uuid(), mine.id, true))).toBe('404 entryId');
  });

  test.each<[string, Partial<Record<keyof DrainEntry, unknown>>, string]>([
    ['a date in 2206', { drainedAt: '2206-11-17T16:00', sinceAt: '2206-11-16T16:00' }, '422 drainedAt'],
    ['a point that the line has not', { stageId: 'nowhere' }, '422 stageId'],
    ['the compressor, which has no drain', { stageId: 'compressor' }, '422 stageId'],
    ['a negative amount', { amountM3: -1 }, '422 amountM3'],
    ['text for a number', { amountM3: 'half a cup' }, '422 amountM3'],
    ['nobody', { who: '' }, '422 who'],
    ['a colour that nobody asked', { appearance: 'pink' }, '422 appearance'],
    ['a note of a thousand letters', { note: 'x'.repeat(1000) }, '422 note'],
  ])('%s is refused at its field and changes nothing', async (_what, change, refusal) => {
    expect(await statusOf(logADrain(ALONE, id, { ...entry(), ...change }, NOW))).toBe(refusal);
    expect((await readLogbook(ALONE, id)).entries).toHaveLength(0);
  });
});
