import { buildOwnLine, expectSaved, logOf } from './own-line';
import { expect, test } from './test';

test('from the first page to a judged drain entry', async ({ page }) => {
  const line = await buildOwnLine(page);
  await expect(page.getByRole('heading', { name: 'Main line' })).toBeVisible();
  await expect(page.getByText('balances')).toBeVisible();
  await page.getByRole('link', { name: 'Logbook' }).click();
  await page.waitForURL(`**${line}/logbook`);
  await page.getByRole('radio', { name: /^Receiver/ }).check();
  await page.getByLabel('How much came out').fill('30');
  await expect(page.getByText(/^Expected /)).toBeVisible();
  await page.getByText('clear', { exact: true }).click();
  await page.getByLabel('Who').fill('Ida');
  await page.getByRole('button', { name: 'Log it' }).click();
  const judgement = page.getByRole('region', { name: 'Judgement' });
  await expect(judgement).toContainText('30.0 mL came out, clear');
  await expect(judgement).toContainText(/as expected|less than expected|more than expected/);
  await expect(page.getByRole('region', { name: 'All entries' })).toContainText('Ida');
});

test.describe('on a phone', () => {
  test.use({ viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true, colorScheme: 'dark' });
  test('by touch, in fluid ounces', async ({ page }) => {
    await buildOwnLine(page, 'Phone shop');
    await page.getByRole('link', { name: 'Logbook' }).tap();
    await page.getByRole('radio', { name: 'fl oz' }).tap();
    await page.getByLabel('How much came out').fill('2');
    await page.getByText('milky', { exact: true }).tap();
    await page.getByLabel('Who').fill('Ida');
    await page.getByRole('button', { name: 'Log it' }).tap();
    await expect(page.getByRole('region', { name: 'Judgement' })).toContainText('59.1 mL came out, milky');
  });
});

test('a plan file goes out and comes back in; a broken one is refused with its fields', async ({ page, request }) => {
  const line = await buildOwnLine(page, 'Traveller');
  await expectSaved(page);
  const file = await (await request.get(`/api/plans/${line.split('/')[2]}/file`)).json();
  const open = (plan: unknown) =>
    page.getByLabel('Open a plan file').setInputFiles({
      name: 'line.json',
      mimeType: 'application/json',
      buffer: Buffer.from(typeof plan === 'string' ? plan : JSON.stringify(plan)),
    });
  await page.goto('/');
  const alert = page.getByRole('main').getByRole('alert');
  await open('{ not json');
  await expect(alert).toContainText('not valid JSON');
  await open({ ...file, version: 9 });
  await expect(alert).toContainText('version: Unknown version');
  await open({ ...file, stages: [...file.stages, { id: 'x', kind: 'wand', name: 'Wand', parameters: {} }] });
  await expect(alert).toContainText('Unknown kind of stage');
  await open('x'.repeat(1_100_000));
  await expect(alert).toContainText('larger than 1 MB');
  await open({ ...file, name: 'Came back' });
  await expect(page.getByRole('heading', { name: 'Came back' })).toBeVisible();
});

test('a copy of a line with its log goes out and comes back in, as a line of its own or into the same', async ({
  page,
}) => {
  const line = await buildOwnLine(page, 'Reed shop');
  const seen = { id: crypto.randomUUID(), kind: 'observation', stageId: '', who: 'Ida', what: 'hums' };
  await page.request.post(`/api${line.replace('lines', 'plans')}/entries`, {
    data: { ...seen, measuredAt: '2026-11-20T08:00' },
  });
  await page.goto(`${line}/logbook/all`);
  const downloading = page.waitForEvent('download');
  await page.getByRole('link', { name: 'Copy of the line' }).click();
  const file = (await (await downloading).path()) as string;
  const take = async (as: string): Promise<string> => {
    await page.goto('/');
    await page.getByLabel('Open a plan file').setInputFiles(file);
    await page.getByRole('button', { name: as }).click();
    await page.waitForURL(/\/line$/);
    return new URL(page.url()).pathname.replace(/\/line$/, '');
  };
  const own = await take('As a new line');
  expect(own).not.toBe(line);
  expect(await logOf(page, own)).toMatchObject([{ entry: { what: 'hums' } }]);
  expect(await take('Merge it into the line')).toBe(line);
  expect(await logOf(page, line)).toHaveLength(1);
});
