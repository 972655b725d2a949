import { createServer } from 'node:http';
import type { AddressInfo } from 'node:net';
import { DEMO } from './own-line';
import { expect, settled, test } from './test';

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
  for (const what of ['script-src', 'style-src'])
    expect(new RegExp(`${what} ([^;]*)`).exec(policy)?.[1]).not.toContain('unsafe');
  expect(await answer?.headerValue('x-content-type-options')).toBe('nosniff');
});

test('no page breaks its own rules, nor does what opens on it', async ({ page }) => {
  const broken: string[] = [];
  page.on('console', (m) => m.text().includes('Content Security Policy') && broken.push(m.text()));
  for (const path of ['/', '/dew-point', '/bed', ...['line', 'today', 'water', 'charges'].map((p) => `${DEMO}/${p}`)]) {
    await page.goto(path);
    await settled(page);
  }
  await page.getByRole('button', { name: 'Light or dark' }).click();
  await page.keyboard.press('Control+k');
  await expect(page.getByRole('dialog')).toBeVisible();
  await page.keyboard.press('Escape');
  await page.getByRole('banner').getByRole('button').first().click();
  await expect(page.getByRole('menu')).toBeVisible();
  // The page behind an open menu does not scroll: a style that its library puts into the page.
  await expect(page.locator('body')).toHaveCSS('overflow', 'hidden');
  expect(broken).toEqual([]);
});
