import ICAL from 'ical.js';
import type { Pool } from 'mysql2/promise';
import sharp from 'sharp';
import { findingsOf } from '../core/diagnosis/findings';
import { walk } from '../core/line/walk';
import { verdictOfReading } from '../core/log/expect-reading';
import type { LogEntry } from '../core/log/log-entry';
import { standingEntries } from '../core/log/log-entry';
import { dueOn } from '../core/maintenance/due-on';
import { all, goodShop } from '../core/test/good-lines';
import { calendarText } from './calendar/calendar-text';
import { newFeed, readFeed, revokeFeeds } from './feeds';
import { keepAPhoto, readPhoto } from './keep-a-photo';
import { logAnEntry } from './log-an-entry';
import { ALONE } from './people/may';
import { readLogSummary } from './read-log-summary';
import { createPlan } from './save-plan';
import { closeDatabase, freshDatabase } from './test/database';
import { pictureOf } from './test/picture';
import { readEntries } from './test/whole-log';

const uuid = (): string => crypto.randomUUID();
const NOW = Date.UTC(2026, 10, 27, 12);
const plan = all(goodShop(), (p) => ({ ...p, routine: { ...p.routine, startedOn: '2026-11-01' } }));
let pool: Pool;
const planId = uuid();
beforeAll(async () => {
  pool = await freshDatabase('log');
  await createPlan(ALONE, { id: planId, plan });
});
afterAll(() => closeDatabase(pool));
const entry = (change: Partial<LogEntry> = {}): Record<string, unknown> => ({
  id: uuid(),
  kind: 'reading',
  stageId: 'refrigerated-dryer',
  measuredAt: '2026-11-27T08:00',
  who: 'Yusra',
  instrument: 'good',
  readings: [{ of: 'dew-point', value: 4 }],
  ...change,
});
const refused = (work: Promise<unknown>) =>
  work.then(
    () => 'not refused',
    (e: unknown) => e,
  );

test('an entry is kept once with what the plan expects; its reading is judged, and points to causes where it is out', async () => {
  const one = entry();
  await logAnEntry(ALONE, planId, one, NOW);
  await logAnEntry(ALONE, planId, one, NOW);
  const wet = entry({ readings: [{ of: 'dew-point', value: 25 }] });
  await logAnEntry(ALONE, planId, wet, NOW);
  const log = await readEntries(planId);
  expect(log).toHaveLength(2);
  const [second, first] = [log.find((e) => e.id === wet.id), log.find((e) => e.id === one.id)];
  const dew = walk(plan).at('refrigerated-dryer')?.pressureDewPointC as number;
  expect(first?.expected[0]?.value).toBeCloseTo(dew, 6);
  expect(verdictOfReading(4, first?.expected[0] as never)).toBe('as expected');
  expect(findingsOf(plan, first as never)).toEqual([]);
  expect(findingsOf(plan, second as never)[0]).toMatchObject({ symptom: { id: 'D19' } });
  expect(await refused(logAnEntry(ALONE, planId, { ...one, who: 'Bram' }, NOW))).toMatchObject({ status: 409 });
});

test('a correction is an entry of its own: both stay, the newer one stands', async () => {
  const wrong = entry({ readings: [{ of: 'dew-point', value: 3 }] });
  await logAnEntry(ALONE, planId, wrong, NOW);
  const right = entry({ readings: [{ of: 'dew-point', value: 5 }], amends: wrong.id as string });
  await logAnEntry(ALONE, planId, right, NOW);
  const log = await readEntries(planId);
  expect(log.some((e) => e.id === wrong.id)).toBe(true);
  expect(standingEntries(log).some((e) => e.id === wrong.id)).toBe(false);
  expect(await refused(logAnEntry(ALONE, planId, entry({ amends: uuid() }), NOW))).toMatchObject({ status: 422 });
});

test.each<[string, Partial<LogEntry>, RegExp]>([
  ['a reading in the future', { measuredAt: '2026-12-24T08:00' }, /future/],
  ['a dew point of 900 °C', { readings: [{ of: 'dew-point', value: 900 }] }, /cannot be/],
  ['900 L from a drain', { readings: [{ of: 'amount', value: 0.9 }] }, /cannot be/],
  ['a stage that is gone', { stageId: 'gone' }, /no such stage any more/],
  ['nobody', { who: ' ' }, /Say who/],
  ['could not, without a reason', { kind: 'done', task: 'M03', readings: [], result: 'could-not' }, /in the way/],
  ['postponed without a day', { kind: 'put-off', task: 'M03', readings: [], what: 'parts' }, /until when/],
  ['31 February', { measuredAt: '2026-02-31T08:00' }, /Not a date/],
])('%s is refused in words, and nothing is written', async (_what, change, message) => {
  const before = await readEntries(planId);
  const error = await refused(logAnEntry(ALONE, planId, entry(change), NOW));
  expect(error).toMatchObject({ status: 422, message: expect.stringMatching(message) });
  expect(await readEntries(planId)).toEqual(before);
});

test('a task that is done is not due any more; postponed it waits', async () => {
  const due = async () =>
    dueOn({ plan, log: await readLogSummary(planId, plan), weather: undefined, now: '2026-11-27T09:00' });
  const state = async (task: string) =>
    (await due()).find((t) => t.stage.id === 'separator' && t.task.id === task)?.state;
  expect(await state('M03')).toBe('overdue');
  await logAnEntry(
    ALONE,
    planId,
    entry({ kind: 'done', stageId: 'separator', task: 'M03', readings: [], result: 'ok' }),
    NOW,
  );
  expect(await state('M03')).toBe('later');
  await logAnEntry(
    ALONE,
    planId,
    entry({
      kind: 'put-off',
      stageId: 'receiver',
      task: 'M28',
      readings: [],
      what: 'inspector comes',
      until: '2027-01-10T00:00',
    }),
    NOW,
  );
  expect((await due()).find((t) => t.task.id === 'M28')?.state).toBe('postponed');
});

test('a photo is a small JPEG, kept once, and only shown with its line', async () => {
  const id = uuid();
  const jpeg = await pictureOf('gauge', 2000);
  const send = (body: Buffer) =>
    keepAPhoto(ALONE, planId, id, new Request('http://x', { method: 'PUT', body: new Uint8Array(body) }));
  expect(
    await refused(keepAPhoto(ALONE, planId, uuid(), new Request('http://x', { method: 'PUT', body: 'no picture' }))),
  ).toMatchObject({ status: 422 });
  expect(await refused(send(Buffer.alloc(2_000_000)))).toMatchObject({ status: 413 });
  await send(jpeg);
  await send(jpeg);
  const kept = await readPhoto(ALONE, planId, id);
  const made = await sharp(kept).metadata();
  expect(made).toMatchObject({ format: 'jpeg', width: 1600, height: 800 });
  expect(made).not.toHaveProperty('exif'); // where it was taken
  const huge = await pictureOf('wall', 7200); // 26 million pixels, a little file
  for (const wrong of [jpeg.subarray(0, 400), huge, await sharp(jpeg).png().toBuffer(), Buffer.alloc(0)])
    expect(await refused(send(wrong))).toMatchObject({ status: 422 });
  expect(await refused(readPhoto(ALONE, uuid(), id))).toMatchObject({ status: 404 });
  const other = uuid();
  await createPlan(ALONE, { id: other, plan });
  expect(await refused(logAnEntry(ALONE, other, entry({ photoId: id }), NOW))).toMatchObject({
    status: 422,
    issues: [{ field: 'photoId' }],
  });
  await logAnEntry(ALONE, planId, entry({ photoId: id }), NOW);
  expect(await refused(send(await pictureOf('another', 2000)))).toMatchObject({ status: 409 });
});

describe('the calendar, read by a parser of the registry', () => {
  const occurrences = (text: string, uid: string, count: number): string[] => {
    const events = new ICAL.Component(ICAL.parse(text)).getAllSubcomponents('vevent').map((e) => new ICAL.Event(e));
    const event = events.find((e) => e.uid.startsWith(uid));
    const next = event?.iterator();
    return Array.from({ length: count }, () => String(next?.next() ?? ''));
  };

  test('a task at half past seven stays at half past seven when the clocks change, and keeps off the weekend', () => {
    const text = calendarText('Line', [
      {
        uid: 'daily',
        title: 'Round',
        text: 'Receiver: drain',
        starts: '2026-03-26T07:30',
        minutes: 15,
        repeats: { weekdays: [1, 2, 3, 4, 5] },
      },
      {
        uid: 'thirty',
        title: 'Round',
        text: 'Fins',
        starts: '2026-03-20T07:30',
        minutes: 20,
        repeats: { everyDays: 30 },
      },
    ]);
    // The clocks of most of Europe change on 29 March 2026.
    expect(occurrences(text, 'daily', 4)).toEqual([
      '2026-03-26T07:30:00',
      '2026-03-27T07:30:00',
      '2026-03-30T07:30:00',
      '2026-03-31T07:30:00',
    ]);
    expect(occurrences(text, 'thirty', 2)).toEqual(['2026-03-20T07:30:00', '2026-04-19T07:30:00']);
    expect(text).not.toMatch(/DTSTART[^\r\n]*Z/);
  });

  test('its address is secret, not kept as it is, and gives nothing once it is taken back', async () => {
    const { token } = await newFeed(ALONE, planId);
    const [kept] = await pool.query('SELECT token FROM feeds');
    expect(JSON.stringify(kept)).not.toContain(token);
    const text = await readFeed(token);
    const events = new ICAL.Component(ICAL.parse(text)).getAllSubcomponents('vevent');
    expect(events.length).toBeGreaterThan(3);
    expect(text).toContain('Round');
    const [one, two] = [uuid(), uuid()];
    for (const id of [one, two]) await createPlan(ALONE, { id, plan });
    const uids = async (id: string) =>
      [...(await readFeed((await newFeed(ALONE, id)).token)).matchAll(/^UID:.*$/gm)].map(String);
    expect(new Set([...(await uids(one)), ...(await uids(two))]).size).toBe(2 * (await uids(one)).length); // RFC 5545, 3.8.4.7
    expect(await uids(one)).toEqual(await uids(one));
    const swapped = token.replace(/[a-z]/, (c) => c.toUpperCase());
    expect(await refused(readFeed(swapped))).toMatchObject({ status: 404 });
    expect(await revokeFeeds(ALONE, planId)).toEqual({ revoked: 1 });
    expect(await refused(readFeed(token))).toMatchObject({ status: 404 });
    const made = await Promise.all(Array.from({ length: 10 }, () => newFeed(ALONE, planId)));
    expect(new Set(made.map((m) => m.token)).size).toBe(10);
    expect(await refused(newFeed(ALONE, planId))).toMatchObject({ status: 409 });
  });

  test('thirty wrong addresses or readings a minute are answered, one more is not', async () => {
    for (let i = 0; i < 30; i++) expect(await refused(readFeed(`guess ${i}`, 'x'))).toMatchObject({ status: 404 });
    expect(await refused(readFeed('guess', 'x'))).toMatchObject({ status: 429 });
    const id = uuid();
    await createPlan(ALONE, { id, plan });
    const { token } = await newFeed(ALONE, id);
    expect(await readFeed(token, 'x')).toContain('BEGIN:VCALENDAR'); // a right one is not taken for a wrong one
    for (let i = 0; i < 29; i++) await readFeed(token);
    expect(await refused(readFeed(token))).toMatchObject({ status: 429 });
  });
});

test('what was measured in other air is compared with the walk in that air', async () => {
  const id = uuid();
  await createPlan(ALONE, { id, plan });
  const at = { stageId: 'intake', readings: [{ of: 'temperature' as const, value: 5 }] };
  await logAnEntry(ALONE, id, entry({ ...at, intakeTemperatureC: 5, intakeRelativeHumidity: 0.5 }), NOW);
  await logAnEntry(ALONE, id, entry({ ...at, measuredAt: '2026-11-27T07:00' }), NOW);
  expect((await readEntries(id)).map((e) => e.expected[0]?.value)).toEqual([5, 24]);
});
