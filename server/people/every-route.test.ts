import { readdirSync } from 'node:fs';
import path from 'node:path';
import { eq } from 'drizzle-orm';
import type { Pool } from 'mysql2/promise';
import { goodShop } from '../../core/test/good-lines';
import { database } from '../../db/client';
import { devices, guestLinks, members, people, ROLES, type Role, sites } from '../../db/people';
import { plans, revisions, shelfItems, sitePhotos, templates, weatherYears } from '../../db/schema';
import { keepAPhoto } from '../keep-a-photo';
import { keepFile } from '../kept-files';
import { logADrain } from '../log-a-drain';
import { propose } from '../proposals';
import { createPlan } from '../save-plan';
import { saveRevision } from '../save-revision';
import { saveWeather } from '../save-weather';
import { putOnShelf } from '../sites/shelf';
import { keepSitePhoto } from '../sites/site-photos';
import { saveTemplate } from '../sites/templates';
import { closeDatabase, freshDatabase } from '../test/database';
import { madeUpWeather } from '../test/made-up-weather';
import { pictureOf } from '../test/picture';
import { newDevice } from './devices';
import { newGuestLink } from './guest-links';
import { codeFor, join } from './join';
import { ALONE } from './may';
import { signIn } from './sign-in';

// Each route, asked by each role on its own site and on another one, by somebody of no site, and by nobody.

let asking = new Headers();
jest.mock('next/headers', () => ({ headers: async () => asking }));

const uuid = (): string => crypto.randomUUID();
const ALL: readonly Role[] = ROLES;
const LOGGERS: readonly Role[] = ['owner', 'planner', 'technician'];
const PLANNERS: readonly Role[] = ['owner', 'planner'];
const OWNERS: readonly Role[] = ['owner'];

/** What stands on a site, by its ids. */
interface There {
  siteId: string;
  plan: string;
  drain: string;
  revision: string;
  photo: string;
  weather: string;
  person: string;
  link: string;
  device: string;
  template: string;
  item: string;
  file: string;
  proposal: string;
}
interface Ask {
  readonly may: readonly Role[];
  readonly params?: (t: There) => Record<string, string>;
  readonly body?: (t: There) => unknown;
  readonly query?: string | ((t: There) => string);
  /** What a foreign one answers; 404 where nothing else is said, `none` where nothing of a site is asked for. */
  readonly foreign?: number | 'none';
}

const HERE = '2026-11-20T08:00';
const drainOf = (id = uuid()) => ({
  id,
  stageId: 'receiver',
  drainedAt: HERE,
  sinceAt: '2026-11-19T08:00',
  amountM3: 1e-3,
  appearance: 'clear',
  who: 'typed',
  note: '',
  loadedHours: null,
  intakeTemperatureC: 20,
  intakeRelativeHumidity: 0.5,
});
const entryBody = () => ({
  id: uuid(),
  kind: 'reading',
  stageId: 'refrigerated-dryer',
  measuredAt: HERE,
  who: 'typed',
  instrument: 'good',
  readings: [{ of: 'dew-point', value: 4 }],
});
const ofPlan = (t: There) => ({ id: t.plan });

const ROUTES: Readonly<Record<string, Ask>> = {
  'GET /api/plans': { may: ALL, foreign: 'none' },
  'POST /api/plans': {
    may: PLANNERS,
    body: (t) => ({ id: uuid(), plan: goodShop(), siteId: t.siteId }),
  },
  'GET /api/plans/[id]': { may: ALL, params: ofPlan },
  'PUT /api/plans/[id]': {
    may: PLANNERS,
    params: ofPlan,
    body: () => ({ writeId: uuid(), rowVersion: 1, plan: goodShop() }),
  },
  'DELETE /api/plans/[id]': { may: OWNERS, params: ofPlan },
  'POST /api/plans/[id]/restore': { may: OWNERS, params: ofPlan },
  'GET /api/plans/[id]/calendar': { may: ALL, params: ofPlan },
  'GET /api/plans/[id]/charges': { may: ALL, params: ofPlan },
  'POST /api/plans/[id]/charges': {
    may: LOGGERS,
    params: ofPlan,
    body: () => ({
      id: uuid(),
      name: uuid().slice(0, 8),
      medium: 'silica',
      dyed: true,
      massKg: 1,
      batch: '',
      boughtAt: HERE,
      openedAt: null,
      timesBefore: 0,
    }),
  },
  'GET /api/plans/[id]/copy': { may: OWNERS, params: ofPlan },
  'GET /api/plans/[id]/drains': { may: ALL, params: ofPlan },
  'POST /api/plans/[id]/drains': { may: LOGGERS, params: ofPlan, body: () => drainOf() },
  'GET /api/plans/[id]/drains/[entryId]': { may: ALL, params: (t) => ({ id: t.plan, entryId: t.drain }) },
  'PATCH /api/plans/[id]/drains/[entryId]': {
    may: LOGGERS,
    params: (t) => ({ id: t.plan, entryId: t.drain }),
    body: () => ({ struck: true }),
  },
  'GET /api/plans/[id]/entries': { may: ALL, params: ofPlan },
  'POST /api/plans/[id]/entries': { may: LOGGERS, params: ofPlan, body: entryBody },
  'POST /api/plans/[id]/feed': { may: LOGGERS, params: ofPlan },
  'DELETE /api/plans/[id]/feed': { may: LOGGERS, params: ofPlan },
  'GET /api/plans/[id]/file': { may: ALL, params: ofPlan },
  'GET /api/plans/[id]/photos/[photoId]': { may: ALL, params: (t) => ({ id: t.plan, photoId: t.photo }) },
  'PUT /api/plans/[id]/photos/[photoId]': { may: LOGGERS, params: (t) => ({ id: t.plan, photoId: uuid() }) },
  'GET /api/plans/[id]/files/[fileId]': { may: ALL, params: (t) => ({ id: t.plan, fileId: t.file }) },
  'PUT /api/plans/[id]/files/[fileId]': { may: LOGGERS, params: (t) => ({ id: t.plan, fileId: uuid() }) },
  'POST /api/plans/[id]/proposals': {
    may: LOGGERS,
    params: ofPlan,
    body: () => ({ id: uuid(), base: goodShop(), plan: { ...goodShop(), name: 'Other' }, note: 'Why not' }),
  },
  'PATCH /api/plans/[id]/proposals/[proposalId]': {
    may: PLANNERS,
    params: (t) => ({ id: t.plan, proposalId: t.proposal }),
    body: () => ({ state: 'declined' }),
  },
  'GET /api/plans/[id]/revisions': { may: ALL, params: ofPlan },
  'POST /api/plans/[id]/revisions': {
    may: PLANNERS,
    params: ofPlan,
    body: () => ({ id: uuid(), name: uuid(), plan: goodShop() }),
  },
  'GET /api/plans/[id]/revisions/[revisionId]': {
    may: ALL,
    params: (t) => ({ id: t.plan, revisionId: t.revision }),
  },
  'GET /api/plans/[id]/table': { may: OWNERS, params: ofPlan },
  'GET /api/weather': { may: ALL, foreign: 'none' },
  'POST /api/weather': {
    may: PLANNERS,
    body: () => ({ id: uuid(), year: madeUpWeather('New') }),
    foreign: 'none',
  },
  'GET /api/weather/[id]': { may: ALL, params: (t) => ({ id: t.weather }) },
  'DELETE /api/weather/[id]': { may: PLANNERS, params: (t) => ({ id: t.weather }) },
  'GET /api/weather/nearest': { may: ALL, query: '?temperatureC=30&relativeHumidity=0.5', foreign: 'none' },
  'GET /api/sites': { may: ALL, foreign: 'none' },
  'POST /api/sites': { may: OWNERS, body: () => ({ id: uuid(), name: 'Hall' }), foreign: 'none' },
  'GET /api/sites/[siteId]': { may: ALL, params: (t) => ({ siteId: t.siteId }) },
  'PATCH /api/sites/[siteId]': {
    may: OWNERS,
    params: (t) => ({ siteId: t.siteId }),
    body: () => ({ notes: 'Key at the gate.' }),
  },
  'PUT /api/plans/[id]/site': { may: OWNERS, params: ofPlan, body: () => ({ siteId: OWN }) },
  'POST /api/work-feed': { may: ALL, foreign: 'none' },
  'DELETE /api/work-feed': { may: ALL, foreign: 'none' },
  'PUT /api/work-order': { may: ALL, body: (t) => ({ siteIds: [t.siteId] }) },
  'POST /api/sites/[siteId]/links': {
    may: OWNERS,
    params: (t) => ({ siteId: t.siteId }),
    body: () => ({ name: 'A customer', days: 30 }),
  },
  'DELETE /api/sites/[siteId]/links/[linkId]': {
    may: OWNERS,
    params: (t) => ({ siteId: t.siteId, linkId: t.link }),
  },
  'POST /api/sites/[siteId]/devices': {
    may: OWNERS,
    params: (t) => ({ siteId: t.siteId }),
    body: () => ({ name: 'Pump room' }),
  },
  'DELETE /api/sites/[siteId]/devices/[deviceId]': {
    may: OWNERS,
    params: (t) => ({ siteId: t.siteId, deviceId: t.device }),
  },
  'PUT /api/pin': { may: ALL, body: () => ({ pin: '4711' }), foreign: 'none' },
  'DELETE /api/pin': { may: ALL, foreign: 'none' },
  'POST /api/plans/[id]/archive': { may: OWNERS, params: ofPlan },
  'DELETE /api/plans/[id]/archive': { may: OWNERS, params: ofPlan },
  'POST /api/sites/[siteId]/templates': {
    may: PLANNERS,
    params: (t) => ({ siteId: t.siteId }),
    body: (t) => ({ id: uuid(), name: 'Small shop', planId: t.plan }),
  },
  'GET /api/sites/[siteId]/templates/[templateId]': {
    may: ALL,
    params: (t) => ({ siteId: t.siteId, templateId: t.template }),
  },
  'DELETE /api/sites/[siteId]/templates/[templateId]': {
    may: PLANNERS,
    params: (t) => ({ siteId: t.siteId, templateId: t.template }),
  },
  'PUT /api/sites/[siteId]/shelf/[itemId]': {
    may: LOGGERS,
    params: (t) => ({ siteId: t.siteId, itemId: uuid() }),
    body: () => ({ name: 'Float drain', count: 2 }),
  },
  'PATCH /api/sites/[siteId]/shelf/[itemId]': {
    may: LOGGERS,
    params: (t) => ({ siteId: t.siteId, itemId: t.item }),
    body: () => ({ by: 1 }),
  },
  'DELETE /api/sites/[siteId]/shelf/[itemId]': {
    may: LOGGERS,
    params: (t) => ({ siteId: t.siteId, itemId: t.item }),
  },
  'GET /api/sites/[siteId]/photos/[photoId]': {
    may: ALL,
    params: (t) => ({ siteId: t.siteId, photoId: t.photo }),
  },
  'PUT /api/sites/[siteId]/photos/[photoId]': {
    may: LOGGERS,
    params: (t) => ({ siteId: t.siteId, photoId: uuid() }),
  },
  'DELETE /api/sites/[siteId]/photos/[photoId]': {
    may: OWNERS,
    params: (t) => ({ siteId: t.siteId, photoId: t.photo }),
  },
  'PUT /api/sites/[siteId]/names': {
    may: OWNERS,
    params: (t) => ({ siteId: t.siteId }),
    body: (t) => ({ name: 'typed', personId: t.person }),
  },
  'POST /api/sites/[siteId]/invitations': {
    may: OWNERS,
    params: (t) => ({ siteId: t.siteId }),
    body: () => ({ role: 'viewer' }),
  },
  'PATCH /api/sites/[siteId]/members/[personId]': {
    may: OWNERS,
    params: (t) => ({ siteId: t.siteId, personId: t.person }),
    body: () => ({ role: 'viewer' }),
  },
  'DELETE /api/sites/[siteId]/members/[personId]': {
    may: OWNERS,
    params: (t) => ({ siteId: t.siteId, personId: t.person }),
  },
  'POST /api/sites/[siteId]/members/[personId]/recovery': {
    may: OWNERS,
    params: (t) => ({ siteId: t.siteId, personId: t.person }),
  },
  'GET /api/sites/[siteId]/changes': { may: OWNERS, params: (t) => ({ siteId: t.siteId }) },
  'GET /api/sites/[siteId]/changes/table': { may: OWNERS, params: (t) => ({ siteId: t.siteId }) },
  'GET /api/sign-ins': { may: ALL, foreign: 'none' },
  'DELETE /api/sign-ins/[which]': { may: ALL, params: () => ({ which: uuid() }), foreign: 'none' },
};
/** Routes that tell nothing of a line, and copies, which have tests of their own below. */
const OTHERS = [
  'DELETE /api/device/person',
  'DELETE /api/passkeys/[id]',
  'GET /api/certificate',
  'GET /api/device/people',
  'POST /api/copies',
  'POST /api/faults',
  'GET /api/feeds/[token]',
  'GET /api/forecast',
  'GET /api/health',
  'POST /api/forgotten',
  'POST /api/join',
  'POST /api/passkeys',
  'POST /api/passkeys/begin',
  'POST /api/renew',
  'POST /api/sign-in',
  'POST /api/sign-in/passkey',
  'POST /api/sign-in/passkey/begin',
  'POST /api/sign-out',
  'PUT /api/device/person',
];

const root = path.join(__dirname, '../..');
type Handler = (request: Request, context: { params: Promise<Record<string, string>> }) => Promise<Response>;
const handlers = new Map<string, Handler>(
  readdirSync(path.join(root, 'app/api'), { recursive: true, encoding: 'utf8' })
    .filter((file) => path.basename(file) === 'route.ts')
    .flatMap((file) => {
      const found = require(path.join(root, 'app/api', file)) as Record<string, Handler>;
      const address = `/api/${path.dirname(file)}`;
      return ['GET', 'POST', 'PUT', 'PATCH', 'DELETE'].flatMap((method): [string, Handler][] => {
        const handler = found[method];
        return handler ? [[`${method} ${address}`, handler]] : [];
      });
    }),
);

const [OWN, FOREIGN] = [uuid(), uuid()];
let pool: Pool;
let [own, foreign] = [{} as There, {} as There];
const cookies = new Map<string, string>();

async function newPerson(siteId: string, role: Role): Promise<{ id: string; cookie: string }> {
  const email = `${uuid()}@example.com`;
  const account = await join({
    code: await codeFor(siteId, role),
    name: `The ${role}`,
    email,
    password: 'a good secret',
  });
  const { cookies: made } = await signIn(account, new Headers(), '');
  const [person] = await database().select().from(people).where(eq(people.email, email));
  return { id: person?.id ?? '', cookie: made.map((c) => c.split(';')[0]).join('; ') };
}

async function fill(siteId: string): Promise<There> {
  const [plan, drain, revision, photoId, weather, person] = Array.from({ length: 6 }, uuid) as [
    string,
    string,
    string,
    string,
    string,
    string,
  ];
  await createPlan(ALONE, { id: plan, plan: goodShop(), siteId });
  await logADrain(ALONE, plan, drainOf(drain));
  await saveRevision(ALONE, plan, { id: revision, name: 'First', plan: goodShop() });
  await keepAPhoto(ALONE, plan, photoId, await photo());
  await saveWeather(ALONE, { id: weather, year: madeUpWeather('Here') });
  await database().update(weatherYears).set({ siteId }).where(eq(weatherYears.id, weather));
  await database()
    .insert(people)
    .values({ id: person, name: 'Noor', email: `${person}@example.com` });
  await database().insert(members).values({ siteId, personId: person, role: 'technician' });
  const [proposal, template, item, file] = [uuid(), uuid(), uuid(), uuid()];
  await keepFile(ALONE, plan, file, await photo());
  await putOnShelf(ALONE, siteId, item, { name: 'Float drain', count: 2 });
  await saveTemplate(ALONE, siteId, { id: template, name: 'Small shop', planId: plan });
  await keepSitePhoto(ALONE, siteId, photoId, await photo());
  await propose(ALONE, plan, { id: proposal, base: goodShop(), plan: { ...goodShop(), name: 'Other' }, note: 'Why' });
  const { body: made } = await newDevice(ALONE, siteId, { name: 'Pump room' });
  const { id: device } = made as { id: string };
  const { id: link } = await newGuestLink(ALONE, siteId, { name: 'A customer', days: 30 });
  return {
    siteId,
    plan,
    drain,
    revision,
    photo: photoId,
    weather,
    person,
    link,
    device,
    proposal,
    template,
    item,
    file,
  };
}
const photo = async (): Promise<Request> =>
  new Request('http://127.0.0.1/', { method: 'PUT', body: new Uint8Array(await pictureOf('gauge')) });

beforeAll(async () => {
  process.env.COOL_DRAM_SHARE = '1';
  process.env.COOL_DRAM_SECRET = 'only of this test, and long enough for it';
  pool = await freshDatabase('people');
  await database()
    .insert(sites)
    .values([OWN, FOREIGN].map((id) => ({ id, name: 'A site' })));
  for (const role of ROLES) cookies.set(role, (await newPerson(OWN, role)).cookie);
  const gone = await newPerson(OWN, 'planner');
  await database().delete(members).where(eq(members.personId, gone.id));
  cookies.set('gone', gone.cookie);
});
beforeEach(async () => {
  await database().delete(weatherYears);
  await database().delete(guestLinks);
  for (const table of [devices, sitePhotos, templates, shelfItems]) await database().delete(table);
  [own, foreign] = [await fill(OWN), await fill(FOREIGN)];
});
afterAll(async () => {
  delete process.env.COOL_DRAM_SHARE;
  await closeDatabase(pool);
});

async function ask(route: string, who: string, t: There, headers: Record<string, string> = {}): Promise<number> {
  const { params, body, query = '' } = ROUTES[route] as Ask;
  const method = route.split(' ')[0] as string;
  const isPhoto = /^PUT .*\/(photos|files)\//.test(route);
  const init = isPhoto
    ? await photo()
    : new Request(`http://127.0.0.1/${typeof query === 'string' ? query : query(t)}`, {
        method,
        headers: { 'content-type': 'application/json' },
        ...(body && { body: JSON.stringify(body(t)) }),
      });
  asking = new Headers({ cookie: cookies.get(who) ?? '', ...headers });
  const request = new Request(init, {
    headers: { ...Object.fromEntries(init.headers), cookie: cookies.get(who) ?? '' },
  });
  const answer = await (handlers.get(route) as Handler)(request, { params: Promise.resolve(params?.(t) ?? {}) });
  await answer.arrayBuffer();
  return answer.status;
}

test('every route is in the table', () => {
  expect([...handlers.keys()].toSorted()).toEqual([...Object.keys(ROUTES), ...OTHERS].toSorted());
});

test.each(Object.entries(ROUTES))('%s', async (route, { may, foreign: other = 404 }) => {
  const answers: Record<string, number> = {};
  // Who may not first, so that what is removed by those who may is still there.
  for (const role of ROLES.toReversed()) answers[role] = await ask(route, role, own);
  expect(ROLES.filter((role) => answers[role] !== 403)).toEqual(may);
  // Whoever does it second may find it done: removed, or saved by the first.
  expect(may.some((role) => (answers[role] as number) < 300)).toBe(true);
  if (other !== 'none')
    for (const role of ROLES) expect([role, await ask(route, role, foreign)]).toEqual([role, other]);
  expect(await ask(route, 'nobody', own)).toBe(401);
  if (other !== 'none') expect(await ask(route, 'gone', own)).toBe(404);
});

test('a list shows the lines and the weather of one’s own sites alone', async () => {
  asking = new Headers({ cookie: cookies.get('viewer') ?? '' });
  const read = async (route: string) => {
    const answer = await (handlers.get(route) as Handler)(new Request('http://127.0.0.1/'), {
      params: Promise.resolve({}),
    });
    return JSON.stringify(await answer.json());
  };
  for (const route of ['GET /api/plans', 'GET /api/weather', 'GET /api/sites']) {
    const text = await read(route);
    const [mine, theirs] = [own, foreign].map((t) => [t.plan, t.weather, t.siteId].some((id) => text.includes(id)));
    expect([route, mine, theirs]).toEqual([route, true, false]);
  }
});

test('a line that comes from another site brings the weather that it goes by', async () => {
  const plan = goodShop();
  const climate = { ...plan.survey.climate, from: 'file' as const, yearId: foreign.weather };
  const id = uuid();
  await createPlan(ALONE, { id, siteId: FOREIGN, plan: { ...plan, survey: { ...plan.survey, climate } } });
  const asked = { ...own, weather: foreign.weather };
  expect(await ask('GET /api/weather/[id]', 'viewer', asked)).toBe(404);
  await database().update(plans).set({ siteId: OWN }).where(eq(plans.id, id));
  expect(await ask('GET /api/weather/[id]', 'viewer', asked)).toBe(200);
  expect(await ask('DELETE /api/weather/[id]', 'owner', asked)).toBe(404);
});

test('an entry carries the name of who is signed in, whatever was typed', async () => {
  expect(await ask('POST /api/plans/[id]/entries', 'technician', own)).toBe(201);
  const answer = await (handlers.get('GET /api/plans/[id]/entries') as Handler)(new Request('http://127.0.0.1/'), {
    params: Promise.resolve({ id: own.plan }),
  });
  expect(((await answer.json()) as { entries: { who: string }[] }).entries[0]?.who).toBe('The technician');
});

test('what another wrote on the same device is not written under one’s own name', async () => {
  const by = (id: string | undefined) =>
    ask('POST /api/plans/[id]/entries', 'technician', own, { 'x-written-by': id ?? '' });
  const [technician] = await database().select().from(people).where(eq(people.name, 'The technician'));
  expect([await by('somebody-else'), await by(technician?.id)]).toEqual([401, 201]);
});

test('a copy goes in where its reader may plan, and not over a line of another site', async () => {
  const copy = async (who: string, as: string, lines: string) => {
    asking = new Headers({ cookie: cookies.get(who) ?? '' });
    const answer = await (handlers.get('POST /api/copies') as Handler)(
      new Request(`http://127.0.0.1/?as=${as}`, {
        method: 'POST',
        headers: { 'content-type': 'application/x-ndjson' },
        body: lines,
      }),
      { params: Promise.resolve({}) },
    );
    return answer.status;
  };
  const line = { of: 'line', format: 'cool-dram-line', version: 1, madeAt: new Date().toISOString(), plan: goodShop() };
  const text = (id: string) => `${JSON.stringify({ ...line, id })}\n${JSON.stringify({ of: 'end', records: 1 })}\n`;
  expect(await copy('technician', 'new', text(uuid()))).toBe(403);
  expect(await copy('planner', 'new', text(uuid()))).toBe(201);
  expect(await copy('planner', 'merge', text(own.plan))).toBe(201);
  expect(await copy('planner', 'merge', text(foreign.plan))).toBe(404);
  expect(await database().$count(revisions, eq(revisions.planId, foreign.plan))).toBe(1);
});
