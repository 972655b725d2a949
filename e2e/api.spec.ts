import { DEMO } from './own-line';
import { expect, test } from './test';

const DEMO_API = `/api${DEMO.replace('lines', 'plans')}`;

test('bad requests get a 4xx that names the field, never a 500', async ({ request }) => {
  const good = await (await request.get(`${DEMO_API}/file`)).json();
  const put = (data: unknown, id = DEMO_API) => request.put(id, { data: data as object });
  const write = { writeId: crypto.randomUUID(), rowVersion: 1 };
  const humid = structuredClone(good);
  humid.survey.places[0].relativeHumidity = 1.4;
  const cases = [
    [await put({ ...write, plan: humid }), 422, 'plan.survey.places.0.relativeHumidity'],
    [await put({ ...write, plan: { ...good, version: 7 } }), 422, 'plan.version'],
    [await put({ ...write, rowVersion: 'x', plan: good }), 422, 'rowVersion'],
    [await put({ ...write, rowVersion: 99, plan: good }), 409, 'rowVersion'],
    [await put({ ...write, plan: good }, '/api/plans/nonsense'), 422, 'id'],
    [await put({ ...write, plan: good }, `/api/plans/${crypto.randomUUID()}`), 404, 'id'],
    [
      await request.put(DEMO_API, { data: Buffer.from('{"a":'), headers: { 'content-type': 'application/json' } }),
      400,
      '(body)',
    ],
    [await request.post(`${DEMO_API}/drains`, { data: { id: 'x' } }), 422, 'id'],
    [await request.patch(`${DEMO_API}/drains/7`, { data: { struck: true } }), 422, 'entryId'],
    [await request.patch(`${DEMO_API}/drains/${crypto.randomUUID()}`, { data: { struck: 'no' } }), 422, 'struck'],
    [await request.post('/api/plans', { data: { id: 1 } }), 422, 'id'],
    [await request.post('/api/faults', { data: { ruleId: 7, message: 'x' } }), 422, 'ruleId'],
    [await request.post('/api/plans', { data: { x: 'y'.repeat(10_000_000) } }), 413, '(body)'],
    [await request.post('/api/plans', { data: '{}', headers: { 'content-type': 'text/plain' } }), 415, 'content-type'],
  ] as const;
  for (const [answer, status, field] of cases) {
    const body = await answer.json();
    expect(answer.status(), JSON.stringify(body)).toBe(status);
    expect(body.error.message).toBeTruthy();
    expect(body.error.issues.map((i: { field: string }) => i.field)).toContain(field);
  }
});

test('a connection rests longer than a proxy lets it, so that no request meets one that is being closed', async ({
  request,
}) => {
  const nginxS = 60; // keepalive_timeout of ngx_http_upstream_module by default
  const { 'keep-alive': rest } = (await request.get('/api/health')).headers();
  expect(Number(/timeout=(\d+)/.exec(rest ?? '')?.[1])).toBeGreaterThan(nginxS);
});

test('a wrong address is a page that says so', async ({ page }) => {
  for (const address of ['/lines/42/line', `/lines/${crypto.randomUUID()}/line`, '/nowhere']) {
    const answer = await page.goto(address);
    expect(answer?.status()).toBe(404);
    await expect(page.getByText('There is nothing at this address')).toBeVisible();
  }
});
