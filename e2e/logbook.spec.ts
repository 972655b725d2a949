import { format } from 'date-fns';
import { buildOwnLine, DEMO } from './own-line';
import { expect, nowMs, test } from './test';

test('the demo’s stuck float is found, with its check and its caution', async ({ page }) => {
  await page.goto(`${DEMO}/logbook`);
  await page
    .getByRole('region', { name: 'Recent entries outside the band' })
    .getByRole('button', { name: /Cyclone/ })
    .first()
    .click();
  const judgement = page.getByRole('region', { name: 'Judgement' });
  await expect(judgement).toContainText('less than expected');
  await expect(judgement.getByRole('listitem').first()).toContainText('The float drain is stuck shut or blocked');
  await expect(judgement).toContainText('prove zero pressure');
  await expect(judgement.getByRole('note', { name: 'Cautions' }).first()).toBeVisible();
  await judgement.getByRole('button', { name: /mL to/ }).click();
  await expect(page.getByRole('dialog', { name: 'Why this figure' })).toContainText('working hours · share loaded');
  await page.keyboard.press('Escape');
  await expect(
    page
      .getByRole('region', { name: /^History of Cyclone/ })
      .locator('svg path')
      .first(),
  ).toBeVisible();
});

test('@date an entry says what is missing, by cups it adds up, and a mistake is struck out', async ({ page }) => {
  await buildOwnLine(page);
  await page.keyboard.press('b');
  await page.getByRole('button', { name: 'Log it' }).click();
  for (const message of ['Type how much came out', 'Say how it looked', 'Say who drained it'])
    await expect(page.locator('#main')).toContainText(message);
  await page.getByRole('radio', { name: 'cups' }).click();
  await page.getByLabel('One cup holds').fill('8 fl oz');
  await page.getByLabel('How much came out').fill('half');
  await expect(page.locator('#main')).toContainText('is not a number');
  await page.getByLabel('How much came out').fill('1,5');
  await page.getByText('oily', { exact: true }).click();
  await page.getByLabel('Who').fill('Bram');
  await page.getByLabel('Drained at').fill('2206-01-05T10:00');
  await page.getByRole('button', { name: 'Log it' }).click();
  await expect(page.locator('#main')).toContainText(/future|More than 366 days/);
  const yesterday = format(nowMs() - 86_400_000, 'yyyy-MM-dd');
  await page.getByLabel('The time before').fill(`${yesterday}T08:00`);
  await page.getByLabel('Drained at').fill(`${yesterday}T12:00`);
  await page.getByText('Hours, intake air, note').click();
  await page.getByLabel('Loaded hours').fill('9');
  await page.getByRole('button', { name: 'Log it' }).click();
  await expect(page.locator('#main')).toContainText('More loaded hours than have passed');
  await page.getByLabel('Loaded hours').fill('2,5');
  let letThrough = (): void => {};
  const held = new Promise<void>((done) => {
    letThrough = done;
  });
  await page.route(/_next\/static\/.*\.js/, (route) => held.then(() => route.continue()));
  await page.getByRole('button', { name: 'Log it' }).click();
  await expect(page.getByRole('region', { name: 'Judgement' })).toContainText('355 mL came out, oily');
  await expect(page.getByRole('region', { name: 'Judgement' })).toContainText('2.5 h loaded');
  await expect(page.getByRole('region', { name: 'Judgement' })).toContainText('Do not pour oily condensate');

  // The chart comes later, into the room that is kept for it: nothing moves under the pointer.
  const entries = page.getByRole('region', { name: 'All entries' });
  const before = await entries.boundingBox();
  letThrough();
  await expect(page.getByRole('region', { name: /^History of/ }).locator('svg')).toBeVisible();
  expect(await entries.boundingBox()).toEqual(before);
  await entries.getByRole('button', { name: /^Strike out/ }).click();
  await expect(entries.getByRole('button', { name: /^Restore/ })).toBeVisible();
  await page.reload();
  await entries.getByRole('button', { name: /^Restore/ }).click();
  await expect(entries.getByRole('button', { name: /^Strike out/ })).toBeVisible();
});
