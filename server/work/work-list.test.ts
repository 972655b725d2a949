import { eq } from 'drizzle-orm';
import ICAL from 'ical.js';
import type { Pool } from 'mysql2/promise';
import { DAY_MS } from '../../core/quantity/constants';
import { goodShop } from '../../core/test/good-lines';
import { database } from '../../db/client';
import { members, people, sites } from '../../db/people';
import { lineStates } from '../../db/schema';
import { clockOnTheWall } from '../clock';
import { newWorkFeed, readFeed, revokeWorkFeeds } from '../feeds';
import { logAnEntry } from '../log-an-entry';
import { ALONE, type Person } from '../people/may';
import { createPlan, savePlan } from '../save-plan';
import { listSites } from '../sites/list-sites';
import { changeSite } from '../sites/save-site';
import { closeDatabase, freshDatabase } from '../test/database';
import { staleLines, workOutStale } from './line-states';
import { workCalendar } from './work-calendar';
import { readWorkList, saveSiteOrder } from './work-list';

const uuid = (): string => crypto.randomUUID();
const SITES = [uuid(), uuid(), uuid()] as const;
const LINES = [uuid(), uuid(), uuid()] as const;
const dayAgo = (days: number) => new Date(Date.now() - days * DAY_MS).toISOString().slice(0, 10);
const begun = (startedOn: string | null, name = 'Air') => {
  const shop = goodShop();
  return { ...shop, name, routine: { ...shop.routine, startedOn } };
};
let pool: Pool;
beforeAll(async () => {
  pool = await freshDatabase('work');
  for (const [i, id] of SITES.entries()) {
    await database()
      .insert(sites)
      .values({ id, name: `Site ${i}`, at: new Date() });
    // The second has waited longest, nothing was begun on the third.
    const plan = begun([dayAgo(3), dayAgo(300), null][i] as string | null);
    await createPlan(ALONE, { id: LINES[i], siteId: id, plan });
  }
});
afterAll(() => closeDatabase(pool));
const list = (ask: Partial<Parameters<typeof readWorkList>[1]> = {}, who: Person | typeof ALONE = ALONE) =>
  readWorkList(who, { ahead: 31, order: 'date', ...ask });
const technician: Person = {
  id: uuid(),
  name: 'Noor',
  email: 'n@example.com',
  roles: new Map([[SITES[0], 'technician']]),
};

test('what is due where: the site that waited longest first, and none of other people’s sites', async () => {
  expect(await staleLines(undefined)).toBe(3);
  await workOutStale();
  const all = await list();
  expect([all.stale, all.of, all.sites.map((s) => s.name)]).toEqual([0, 2, ['Site 1', 'Site 0']]);
  const tasks = all.sites[0]?.lines[0]?.tasks ?? [];
  expect(tasks.map((t) => t.dueAt)).toEqual(tasks.map((t) => t.dueAt).toSorted());
  const ofNewer = async (ahead: 1 | 31) => (await list({ ahead, only: [SITES[0]] })).sites[0]?.lines[0]?.tasks ?? [];
  const tomorrow = new Date(Date.now() + DAY_MS).toISOString().slice(0, 10);
  expect(await ofNewer(1)).toEqual((await ofNewer(31)).filter((t) => t.dueAt < tomorrow));
  expect((await ofNewer(1)).length).toBeLessThan((await ofNewer(31)).length);
  expect((await list({}, technician)).sites.map((s) => s.name)).toEqual(['Site 0']);
  expect((await list({ only: [SITES[1]] }, technician)).sites).toEqual([]);
});

test('an entry in the log, or an edit of the line, makes it be worked out anew; a task that is done is gone from the list', async () => {
  const [line] = (await list()).sites[1]?.lines ?? [];
  const task = line?.tasks[0];
  const [stageId = '', id = ''] = task?.key.split(' ') ?? [];
  const entry = { id: uuid(), kind: 'done', stageId, task: id, result: 'ok', measuredAt: clockOnTheWall(), who: 'Ida' };
  await logAnEntry(ALONE, LINES[0], entry, Date.now() + DAY_MS);
  expect(await staleLines([SITES[0]])).toBe(1);
  expect((await list()).sites[1]?.lines[0]?.tasks[0]).toEqual(task); // as it was, until it is worked out
  await workOutStale();
  const after = (await list()).sites[1]?.lines[0]?.tasks.find((t) => t.key === task?.key);
  expect(after?.dueAt).not.toBe(task?.dueAt);
  await savePlan(ALONE, LINES[2], { writeId: uuid(), rowVersion: 1, plan: begun(dayAgo(1)) });
  expect(await staleLines(undefined)).toBe(1);
  await workOutStale();
  expect((await list()).of).toBe(3);
});

test('what is written while a line is worked out leaves it to be done again', async () => {
  await database().update(lineStates).set({ day: '' }).where(eq(lineStates.planId, LINES[1]));
  const working = workOutStale();
  const taken = async () =>
    (await database().select().from(lineStates).where(eq(lineStates.planId, LINES[1])))[0]?.claim;
  while (!(await taken())) await new Promise((r) => setTimeout(r, 5));
  await database().update(lineStates).set({ day: '', claim: '' }).where(eq(lineStates.planId, LINES[1]));
  await working;
  // The run goes on until nothing is left: the line was done a second time.
  expect(await staleLines(undefined)).toBe(0);
});

test('an order of one’s own: those named first, then by date; another person has theirs', async () => {
  const names = async (who: Person | typeof ALONE) => (await list({ order: 'own' }, who)).sites.map((s) => s.name);
  await saveSiteOrder(ALONE, { siteIds: [SITES[2], SITES[0]] });
  expect(await names(ALONE)).toEqual(['Site 2', 'Site 0', 'Site 1']);
  await saveSiteOrder(technician, { siteIds: [SITES[0]] });
  expect(await names(technician)).toEqual(['Site 0']);
  expect(await names(ALONE)).toEqual(['Site 2', 'Site 0', 'Site 1']);
  await expect(saveSiteOrder(technician, { siteIds: [SITES[1]] })).rejects.toMatchObject({ status: 404 });
  await expect(saveSiteOrder(ALONE, { siteIds: [uuid()] })).rejects.toMatchObject({ status: 404 });
  await expect(saveSiteOrder(ALONE, { siteIds: ['x'] })).rejects.toMatchObject({ status: 422 });
});

test('a site shows the worst of its lines, what is overdue and open complaints', async () => {
  const complaint = {
    id: uuid(),
    kind: 'complaint',
    stageId: '',
    what: 'Wet',
    measuredAt: clockOnTheWall(),
    who: 'Ida',
  };
  await logAnEntry(ALONE, LINES[1], complaint, Date.now() + DAY_MS);
  await workOutStale();
  const { sites: listed } = await listSites(ALONE, 'Site 1');
  expect(listed[0]).toMatchObject({ complaints: 1, verdict: 'meets' });
  expect(listed[0]?.overdue).toBeGreaterThan(0);
});

test('a calendar has the same tasks and minutes, one event a site and day; what is overdue stands on today', async () => {
  const { token } = await newWorkFeed(ALONE);
  const events = new ICAL.Component(ICAL.parse(await readFeed(token)))
    .getAllSubcomponents('vevent')
    .map((e) => new ICAL.Event(e));
  const { sites: listed, today } = await list();
  const tasks = listed.flatMap((s) => s.lines.flatMap((l) => l.tasks));
  const told = events.map((e) => Number(/: (\d+) tasks?$/.exec(e.summary)?.[1]));
  expect(told.reduce((a, b) => a + b)).toBe(tasks.length);
  const days = events.map((e) => `${e.summary.split(':')[0]} ${e.startDate.toString().slice(0, 10)}`);
  expect(new Set(days).size).toBe(events.length);
  expect(days.toSorted()[0]?.slice(-10)).toBe(today);
  expect(events.every((e) => !e.isRecurring() && e.startDate.zone?.tzid === 'floating')).toBe(true);
  const atFirst = tasks.filter((t) => t.dueAt.slice(0, 10) <= today);
  expect(atFirst.length).toBeGreaterThan(1);
  await revokeWorkFeeds(ALONE);
  await expect(readFeed(token)).rejects.toMatchObject({ status: 404 });
});

test('where people sign in, a calendar has the sites of its owner as they are today', async () => {
  process.env.COOL_DRAM_SHARE = '1';
  const id = uuid();
  await database().insert(people).values({ id, name: 'Noor', email: 'noor@example.com' });
  expect(await workCalendar(id)).not.toContain('VEVENT');
  await database().insert(members).values({ siteId: SITES[0], personId: id, role: 'technician' });
  const text = await workCalendar(id);
  delete process.env.COOL_DRAM_SHARE;
  expect([text.includes('Site 0:'), text.includes('Site 1:')]).toEqual([true, false]);
});

test('each line stands as of the day on the clock of its own site', async () => {
  // Of the IANA time zone database: 14 hours ahead of universal time, and 11 behind; so never on the same day.
  const zones = ['Pacific/Kiritimati', 'Pacific/Pago_Pago'] as const;
  for (const [i, timeZone] of zones.entries()) await changeSite(ALONE, SITES[i] as string, { timeZone });
  expect(await staleLines(undefined)).toBeGreaterThan(0);
  await workOutStale();
  expect(await staleLines(undefined)).toBe(0);
  const days = await Promise.all(
    [0, 1].map(async (i) => {
      const [row] = await database()
        .select({ day: lineStates.day })
        .from(lineStates)
        .where(eq(lineStates.planId, LINES[i] as string));
      return row?.day;
    }),
  );
  expect(days).toEqual(zones.map((zone) => clockOnTheWall(zone).slice(0, 10)));
  expect(days[0]).not.toBe(days[1]);
});

test('a time zone that is not known is refused at its field', async () => {
  await expect(changeSite(ALONE, SITES[0], { timeZone: 'Mars/Olympus' })).rejects.toMatchObject({
    status: 422,
    issues: [{ field: 'timeZone' }],
  });
});
