import { createServer } from 'node:http';
import type { AddressInfo } from 'node:net';
import { expect, test } from './test';

test('a page of another origin, and a name that is not ours, are refused; what is ours is shown under a strict policy', async ({
  page,
  request,
  baseURL,
}) => {
  const id = crypto.randomUUID();
  const { plan } = await (await request.get('/api/plans/d0000000-0000-4000-8000-000000000001')).json();
  const foreign = createServer((_, answer) =>
    answer.writeHead(200, { 'content-type': 'text/html' }).end('<title>foreign</title>'),
  ).listen(0, '127.0.0.1');
  await new Promise((resolve) => foreign.once('listening', resolve));
  await page.goto(`http://127.0.0.1:${(foreign.address() as AddressInfo).port}/`);
  // What a form of any page can send without asking: plain text, whose answer it may not read.
  const refused = page.waitForResponse((answer) => answer.url().endsWith('/api/plans'));
  await page.evaluate(
    ([url, body]) => fetch(`${url}/api/plans`, { method: 'POST', mode: 'no-cors', body }).then(() => undefined),
    [baseURL ?? '', JSON.stringify({ id, plan })] as const,
  );
  expect((await refused).status()).toBe(403);
  expect((await request.get(`/api/plans/${id}`)).status()).toBe(404);
  foreign.close();

  for (const path of ['/', '/api/plans', '/lines/x/line'])
    expect((await request.get(path, { headers: { host: 'evil.test' } })).status()).toBe(403);
  const answer = await page.goto('/');
  const policy = (await answer?.headerValue('content-security-policy')) ?? '';
  expect(policy).toContain("frame-ancestors 'none'");
  expect(/script-src ([^;]*)/.exec(policy)?.[1]).not.toContain('unsafe');
  expect(await answer?.headerValue('x-content-type-options')).toBe('nosniff');
});
