import { randomUUID } from 'node:crypto';

const VALUES: readonly unknown[] = [
  null,
  -1,
  0,
  1e308,
  -1e308,
  1e-308,
  '',
  'x'.repeat(3000),
  '\ud800',
  '__proto__',
  'constructor',
  true,
  [],
  {},
  '2026-02-31',
  '9999-99-99',
  '💧',
  '<script>',
  "'; DROP TABLE plans; --",
];
const IDS = ['%', '%E0%A4%A', '%00', '..%2f..', '__proto__', 'constructor', 'null', '0'.repeat(5000), '%F0%9F%98%80'];
const QUERIES = [
  '?a',
  '?flow=abc',
  '?flow=1&flow=2',
  '?flow=1e999',
  '?flow=-1',
  '?stage=__proto__',
  '?stage=%E0%A4%A',
  '?day=999999',
  '?hour=abc',
  '?look=constructor',
  '?c=1e308&pa=1e308',
  '?medium=__proto__',
  '?temperatureC=abc&relativeHumidity=2',
  '?at=2026-13-45',
  `?d=${'x'.repeat(9000)}`,
  '?as=both',
  '?from=..',
  '?q=%25&kind=__proto__',
];
const BODIES = [
  '',
  'null',
  '[]',
  '0',
  '"x"',
  '{',
  '{"id":1}',
  '{"__proto__":{"a":1}}',
  '['.repeat(20_000),
  '{"a":'.repeat(20_000),
  '{"id":"\\ud800"}',
  '\u0000',
  '{"plan":{"stages":{"length":1e9}}}',
  '1e999',
];
const SITE = '5c7e1b0a-0000-4000-8000-000000000001'; // the first of an installation
const PAGES = [
  '',
  '/sites',
  '/work',
  '/settings',
  '/outbox',
  '/dew-point',
  '/beads',
  '/dryers',
  '/planner',
  '/sizes',
  '/practice',
  '/answers',
  '/answers/hottest-day',
  '/shelf',
  '/answers/water-today',
  '/bed',
  '/catalogue',
];
const LINE_PAGES = [
  'find',
  'survey',
  'line',
  'advice',
  'compare',
  'day',
  'today',
  'rounds',
  'rounds/go',
  'rounds/sheet',
  'rounds/cards',
  'logbook',
  'logbook/all',
  'logbook/trial',
  'charges',
  'fitting',
  'fitting/joints',
  'fitting/parts',
  'fitting/assembly',
  'fitting/leak-test',
  'fitting/things',
  'water',
  'water/plan',
  'water/weather',
  'water/week',
  'water/winter',
  'water/year',
];
const PLAN_PARTS = ['', '/drains', '/entries', '/charges', '/revisions', '/feed', '/calendar', '/file', '/copy'];
const BATCH = 8;

type Path = readonly (string | number)[];
function fieldsIn(value: unknown, path: Path = []): Path[] {
  if (typeof value !== 'object' || value === null) return [path];
  return [...(path.length > 0 ? [path] : []), ...Object.entries(value).flatMap(([k, v]) => fieldsIn(v, [...path, k]))];
}
function changed(of: object, path: Path, value: unknown): unknown {
  const copy = structuredClone(of) as Record<string, unknown>;
  let at = copy;
  for (const key of path.slice(0, -1)) at = at[key] as Record<string, unknown>;
  at[path.at(-1) as string] = value;
  return copy;
}

const sayOf = (path: Path, value: unknown): string => `${path.join('.')} = ${JSON.stringify(value)?.slice(0, 30)}`;

export interface Fuzzed {
  requests: number;
  /** Plans that were strange and accepted, and pages of them that were opened. */
  accepted: number;
  pages: number;
  readonly wrong: string[];
}

type Ask = readonly [method: string, path: string, body?: string];

/** How much is asked, and by which chance. */
interface HowMuch {
  readonly requests: number;
  readonly pages: number;
  readonly chance: () => number;
}

/** Every address with every strange thing that a client can send; then pages of strange plans that were accepted. */
export async function fuzz(
  url: string,
  planId: string,
  plan: object,
  { requests, pages: mostPages, chance }: HowMuch,
): Promise<Fuzzed> {
  const done: Fuzzed = { requests: 0, accepted: 0, pages: 0, wrong: [] };
  const ask = async ([method, path, body]: Ask): Promise<{ status: number; text: string }> => {
    done.requests++;
    const headers = new Headers();
    if (body !== undefined)
      headers.set('content-type', path.includes('copies') ? 'application/x-ndjson' : 'application/json');
    const init = { method, headers, ...(body !== undefined && { body }), redirect: 'manual' } as const;
    // A connection that was kept may be closed at the very moment at which it is used again: asked anew, as browsers do.
    const again = (error: { cause?: { code?: string } }) =>
      error.cause?.code === 'UND_ERR_SOCKET' ? fetch(url + path, init) : Promise.reject(error);
    const answer = await fetch(url + path, init)
      .catch(again)
      .catch((error) => ({ status: 0, text: async () => String(error.cause ?? error) }));
    const text = await answer.text();
    if (answer.status === 0 || answer.status >= 500)
      done.wrong.push(
        `${answer.status} ${method} ${path.slice(0, 100)} ${(body ?? '').slice(0, 100)}: ${text.slice(0, 100)}`,
      );
    return { status: answer.status, text };
  };
  const each = async <T>(of: readonly T[], work: (one: T, i: number) => Promise<unknown>): Promise<void> => {
    let next = 0;
    const go = async (): Promise<void> => {
      for (let i = next++; i < of.length; i = next++) await work(of[i] as T, i);
    };
    await Promise.all(Array.from({ length: BATCH }, go));
  };
  const pick = <T>(of: readonly T[]): T => of[Math.floor(chance() * of.length)] as T;
  // With less to ask, a part of each kind of question.
  const some = <T>(of: readonly T[]): T[] =>
    requests >= 20_000 ? [...of] : of.filter(() => chance() < requests / 20_000);

  const ofPlan = (id: string) => PLAN_PARTS.map((part) => `/api/plans/${id}${part}`);
  const pages = [...PAGES, ...LINE_PAGES.map((p) => `/lines/${planId}/${p}`)];
  const paths = IDS.flatMap((id) => [
    ...ofPlan(id),
    `/lines/${id}/line`,
    `/api/weather/${id}`,
    `/api/feeds/${id}`,
    `/guest/${id}`,
    `/sites/${id}`,
    `/settings?site=${id}`,
    `/api/sites/${id}`,
    `/api/sites/${id}/photos/${id}`,
    `/${id}`,
  ]);
  const asked: Ask[] = [
    ...paths.map((p): Ask => ['GET', p]),
    ...[...pages, '/api/weather/nearest', '/api/forecast', '/api/weather'].flatMap((p) =>
      QUERIES.map((q): Ask => ['GET', p + q]),
    ),
  ];
  const writes: [string, string][] = [
    ['POST', '/api/plans'],
    ['PUT', `/api/plans/${planId}`],
    ['POST', '/api/weather'],
    ['POST', '/api/faults'],
    ['POST', '/api/copies?as=new'],
    ['POST', '/api/copies?as=merge'],
    ['PUT', `/api/plans/${planId}/photos/${planId}`],
    ['PUT', `/api/plans/${planId}/files/${planId}`],
    ...['links', 'devices', 'templates', 'invitations'].map((of): [string, string] => [
      'POST',
      `/api/sites/${SITE}/${of}`,
    ]),
    ['PUT', `/api/sites/${SITE}/names`],
    ['PATCH', `/api/sites/${SITE}`],
    ['PUT', `/api/sites/${SITE}/photos/${planId}`],
    ['POST', `/api/plans/${planId}/proposals`],
    ['PATCH', `/api/plans/${planId}/proposals/${planId}`],
    ['PUT', '/api/work-order'],
    ['PUT', '/api/pin'],
    ['PUT', '/api/device/person'],
    ['POST', '/api/passkeys'],
    ['POST', '/api/sign-in/passkey'],
    ['POST', '/api/forgotten'],
    ['POST', '/api/join'],
    ...PLAN_PARTS.slice(1, 5).map((part): [string, string] => ['POST', `/api/plans/${planId}${part}`]),
  ];
  for (const [method, path] of writes) for (const body of BODIES) asked.push([method, path, body]);
  await each(some(asked), ask);

  // Entries, drains and charges with each field changed; then the plan itself.
  const entry = {
    id: '',
    kind: 'reading',
    stageId: '',
    task: null,
    measuredAt: '2026-11-20T08:00',
    who: 'x',
    result: null,
    chargeId: null,
    what: '',
    readings: [{ of: 'temperature', value: 20 }],
    instrument: 'hand',
    intakeTemperatureC: null,
    intakeRelativeHumidity: null,
    until: null,
    symptom: null,
    amends: null,
    photoId: null,
  };
  const charge = {
    id: '',
    name: 'x',
    medium: 'silica',
    dyed: false,
    massKg: 2,
    batch: '',
    boughtAt: '2026-11-01T08:00',
    openedAt: null,
    timesBefore: 0,
  };
  const strange: Ask[] = [];
  for (const [part, of] of [
    ['entries', entry],
    ['charges', charge],
  ] as const)
    for (const path of fieldsIn(of))
      for (const value of VALUES) {
        const body = changed(
          { ...of, id: randomUUID(), ...(part === 'charges' && { name: randomUUID() }) },
          path,
          value,
        );
        strange.push(['POST', `/api/plans/${planId}/${part}`, JSON.stringify(body)]);
      }
  await each(some(strange), ask);

  // Each field of a plan with each value; then two fields at a time, by chance.
  const fields = fieldsIn(plan);
  const plans: [unknown, string][] = some(
    fields.flatMap((path) =>
      VALUES.map((value): [unknown, string] => [changed(plan, path, value), sayOf(path, value)]),
    ),
  );
  while (done.requests + plans.length + mostPages < requests) {
    const [one, two] = [pick(fields), pick(fields)];
    const [value, other] = [pick(VALUES), pick(VALUES)];
    const first = changed(plan, one, value) as object;
    try {
      plans.push([changed(first, two, other), `${sayOf(one, value)}, ${sayOf(two, other)}`]);
    } catch {
      // the second field went with the first
    }
  }
  const accepted: [id: string, said: string][] = [];
  await each(plans, async ([strangePlan, said]) => {
    const id = randomUUID();
    const { status } = await ask(['POST', '/api/plans', JSON.stringify({ id, plan: strangePlan })]);
    if (status === 201) accepted.push([id, said]);
  });
  done.accepted = accepted.length;
  const opened = accepted.filter((_, i) => i % Math.ceil(accepted.length / mostPages) === 0);
  await each(opened, async ([id, said], i) => {
    const page = LINE_PAGES[i % LINE_PAGES.length];
    done.pages++;
    const { status, text } = await ask(['GET', `/lines/${id}/${page}`]);
    const words = text.replace(/<script[\s\S]*?<\/script>/g, '');
    const broken =
      status !== 200
        ? `status ${status}`
        : (/>[^<]*\b(?:NaN|Infinity)\b/.exec(words)?.[0] ?? /cannot be shown/.exec(words)?.[0]);
    if (broken) done.wrong.push(`page ${page} of a plan with ${said}: ${broken}`);
  });
  return done;
}
