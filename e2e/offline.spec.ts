import { readFileSync } from 'node:fs';
import type { BrowserContext } from '@playwright/test';
import { answerPoint } from './round-point';
import { expect, nowMs, type Page, settled, test } from './test';

// As on a phone, with the part of the program that stays there.
test.use({ serviceWorkers: 'allow', viewport: { width: 390, height: 844 } });

const database = (signal: 'SIGUSR1' | 'SIGUSR2'): void => void process.kill(Number(process.env.SWITCH_PID), signal);
test.afterEach(() => database('SIGUSR2'));
const killWeb = (): void => void process.kill(Number(readFileSync(process.env.WEB_PID_FILE ?? '', 'utf8')), 'SIGKILL');

const DAY_MS = 86_400_000;
const siteTime = (ms: number): string => new Date(ms).toISOString().slice(0, 16);
const POINTS = 12;
const DAIRY = '/api/plans/d0000000-0000-4000-8000-000000000002/copy';

interface Kept {
  readonly entry?: { readonly id: string; readonly who: string; readonly photoId?: string | null };
}

/** What the server has of a line, as a copy of it has it. */
async function copyOf(page: Page, id: string): Promise<Kept[]> {
  const copy = await (await page.request.get(`/api/plans/${id}/copy`)).text();
  return copy
    .trim()
    .split('\n')
    .map((record) => JSON.parse(record));
}

/** A large line of one's own, opened on this device: its id, once its pages are kept. */
async function keptLine(page: Page): Promise<string> {
  const copy = await page.request.get(DAIRY);
  const made = await page.request.post('/api/copies?as=new', {
    headers: { 'content-type': 'application/x-ndjson' },
    data: await copy.body(),
  });
  const { id } = (await made.json()) as { id: string };
  await page.goto(`/lines/${id}/today`);
  const kept = () =>
    page.evaluate(async () => {
      const names = (await caches.keys()).filter((name) => name.startsWith('pages.'));
      const requests = await Promise.all(names.map(async (name) => (await caches.open(name)).keys()));
      return requests.flat().map(({ url }) => new URL(url).pathname);
    });
  const wanted = [
    '/outbox',
    ...['today', 'rounds', 'rounds/go', 'logbook', 'find', 'advice', 'fitting/parts'].map((p) => `/lines/${id}/${p}`),
  ];
  await expect.poll(kept, { timeout: 60_000 }).toEqual(expect.arrayContaining(wanted));
  return id;
}

async function openAnew(context: BrowserContext, before: Page, address: string): Promise<Page> {
  await before.close();
  const page = await context.newPage();
  await page.goto(address);
  return page;
}

test('a round of twelve points with photos in airplane mode, over a restart and a dead server: all there once', async ({
  page: first,
  context,
}) => {
  test.setTimeout(120_000);
  const id = await keptLine(first);
  await context.setOffline(true);
  let page = await openAnew(context, first, `/lines/${id}/rounds/go?round=round`);
  await expect(page.getByText('this page is the copy of')).toBeVisible();
  await settled(page);
  for (let i = 0; i < POINTS; i++) {
    const here = page.getByText(`Round · ${i + 1} of`);
    await expect(here).toBeVisible();
    await page.locator('input[type=file]').setInputFiles('docs/screenshots/line.png');
    await expect(page.getByAltText('As it will be kept')).toBeVisible();
    for (let k = 0; k < 4 && (await here.isVisible()); k++) {
      await answerPoint(page, 'Fenna', `0.2${k + 1}`); // of any unit, and not the same before and after
      await page.getByRole('button', { name: 'Log and next' }).click();
    }
  }
  await expect(page.getByText(/^◌ \d+ kept here$/)).toBeVisible();

  page = await openAnew(context, page, '/outbox');
  const waiting = page.getByRole('region', { name: 'To be sent' }).getByRole('listitem');
  // A browser may say that it has a network, and reach nobody.
  await expect(page.getByText(/This device has no network\.|the server does not answer/)).toBeVisible();
  await expect(waiting.filter({ hasText: 'Photo' })).toHaveCount(POINTS);
  const entries = (await waiting.count()) - POINTS;
  expect(entries).toBeGreaterThanOrEqual(POINTS);

  database('SIGUSR1');
  await context.setOffline(false);
  await expect(page.getByText('Not sent yet: the database does not answer.')).toBeVisible();
  // Two pages at the same time, when the server is back.
  const second = await context.newPage();
  await second.goto('/outbox');
  database('SIGUSR2');
  await expect(async () => expect(await waiting.count()).toBeLessThan(POINTS + entries)).toPass({ intervals: [20] });
  killWeb(); // in the middle of it; it is started again
  await expect(page.getByText('✓ Everything is sent.')).toBeVisible({ timeout: 60_000 });
  await expect(second.getByText('✓ Everything is sent.')).toBeVisible();

  const mine = (await copyOf(page, id)).filter(({ entry }) => entry?.who === 'Fenna');
  expect(mine).toHaveLength(entries);
  expect(new Set(mine.map(({ entry }) => entry?.id)).size).toBe(entries);
  const photos = mine.flatMap(({ entry }) => entry?.photoId ?? []);
  expect(new Set(photos).size).toBe(POINTS);
  for (const photo of photos) expect((await page.request.get(`/api/plans/${id}/photos/${photo}`)).status()).toBe(200);
});

test('what the server refuses is set apart, corrected and sent; a page that is not kept leads to those that are', async ({
  page,
  context,
}) => {
  test.setTimeout(120_000);
  const id = await keptLine(page);
  await page.goto(`/lines/${id}/logbook`);
  const form = page.getByRole('form', { name: 'Log a drain' });
  await context.setOffline(true);
  const log = async (amount: string): Promise<void> => {
    await form.getByLabel('How much came out').fill(amount);
    await form.getByText('clear', { exact: true }).click();
    await form.getByLabel('Who').fill('Ida');
    await form.getByRole('button', { name: 'Log it' }).click();
    await expect(form.getByLabel('How much came out')).toHaveValue('');
  };
  await log('120');
  // The clock of the phone goes wrong.
  await page.clock.setSystemTime(nowMs() + 2 * DAY_MS);
  await form.getByLabel('Drained at').fill(siteTime(nowMs() + DAY_MS));
  await log('130');
  await page.goto(`/lines/${id}/rounds/go?at=aftercooler`); // a code on a stage: the page is kept without its query
  await expect(page.getByText('this page is the copy of')).toBeVisible();
  await page.goto(`/lines/${id}/compare`);
  await expect(page.getByText('is not kept on this device')).toBeVisible();
  await expect(page.getByRole('region', { name: 'Open without a network' })).toContainText('Plant air');

  await context.setOffline(false);
  const refused = page.getByRole('region', { name: 'Refused by the server' });
  await expect(refused.getByRole('listitem')).toHaveCount(1);
  await expect(page.getByText('✓ Everything is sent.')).toBeVisible();
  await expect(page.getByRole('link', { name: 'Outbox: 1 refused' })).toBeVisible();
  await expect(refused).toContainText('That lies in the future.');
  await refused.getByLabel('Drained at').fill(siteTime(nowMs() - 60_000));
  await refused.getByRole('button', { name: 'Send again' }).click();
  await expect(page.getByRole('link', { name: /^Outbox/ })).toHaveCount(0);
  const mine = (await copyOf(page, id)).filter(({ entry }) => entry?.who === 'Ida');
  expect(mine).toHaveLength(2);
});

test('in the shop without signal: the list opens, what is bought is ticked, and is saved when there is signal again', async ({
  page,
  context,
}) => {
  const id = await keptLine(page);
  await context.setOffline(true);
  await page.goto(`/lines/${id}/fitting/parts`);
  await settled(page);
  const first = page.getByRole('region', { name: 'Fittings and valves' }).getByRole('combobox').first();
  await first.selectOption('bought');
  await expect(page.getByTestId('save-status')).not.toHaveText('Saved');
  await page.reload();
  await expect(first).toHaveValue('bought');
  await context.setOffline(false);
  await expect(page.getByTestId('save-status')).toHaveText('Saved', { timeout: 20_000 });
  await page.reload();
  await expect(first).toHaveValue('bought');
});

test('a fault is looked for in the basement, and what was read waits on the device', async ({ page, context }) => {
  const id = await keptLine(page);
  await context.setOffline(true);
  const below = await openAnew(context, page, `/lines/${id}/find?complaint=D13`);
  await expect(below.getByRole('region', { name: 'What is believed' })).toBeVisible();
  const leave = below.getByRole('region', { name: 'Leave it for now' });
  await leave.getByLabel('Who').fill('Mara');
  await leave.getByRole('button', { name: 'Keep it open' }).click();
  await expect(leave.getByRole('status')).toHaveText('Kept on this device; it is being sent.');
  await context.setOffline(false);
  await expect(leave.getByRole('status')).toContainText('to be gone on with');
});
