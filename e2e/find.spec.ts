import { buildOwnLine } from './own-line';
import { expect, settled, test } from './test';

test('from a complaint in people’s words to the drain that stays shut, and into the log', async ({ page }) => {
  const line = await buildOwnLine(page);
  await page.keyboard.press('u');
  await page.waitForURL(/\/find$/);
  await settled(page);
  await page.getByLabel('What is wrong? Search').fill('no water');
  await page.getByLabel('Where it shows').selectOption({ label: 'Separator' });
  await page.getByRole('link', { name: /^No water in the tank any more/ }).click();
  const believed = page.getByRole('region', { name: 'What is believed' });
  await expect(believed.getByRole('listitem').first()).toContainText('Separator: its drain stays shut');

  // A reading that is none, one that cannot be, and the true one.
  const check = page.getByRole('region', { name: 'Water that stands behind its drain: Separator' });
  const take = check.getByRole('button', { name: 'Take this reading' });
  await check.getByLabel(/^It reads/).fill('much');
  await take.click();
  await expect(check.getByRole('alert')).toContainText('“much” is not a number');
  await check.getByLabel(/^It reads/).fill('-3');
  await take.click();
  await expect(check.getByRole('alert')).toContainText('Less than nothing');
  await check.getByLabel(/^It reads/).fill('90 mL');
  await take.click();
  const found = page.getByRole('region', { name: 'Found' });
  await expect(found).toContainText('Separator: its drain stays shut');
  await expect(found).toContainText('Clear or change the drain.');
  await expect(page.getByRole('region', { name: 'Read so far' })).toContainText(
    'Separator: water that stands behind its drain',
  );
  await found.getByRole('button', { name: 'Log what was found' }).click();
  await expect(found.getByText('Say who.')).toBeVisible();
  await found.getByLabel('Who').fill('Mara');
  await found.getByRole('button', { name: 'Log what was found' }).click();
  await expect(found.getByRole('status')).toHaveText('It is in the logbook.');
  await page.goto(`${line}/logbook/all`);
  await expect(page.getByText(/No water in the tank any more: Separator: its drain stays shut/)).toBeVisible();
});

test('what cannot be done is passed over; what the line cannot calculate has its usual causes', async ({ page }) => {
  await page.goto('/lines/d0000000-0000-4000-8000-000000000001/find?complaint=D13&at=pallets');
  await settled(page);
  const cards = page.getByRole('region', { name: 'Next checks' }).getByRole('heading', { level: 3 });
  const first = (await cards.first().textContent()) ?? '';
  await page.getByRole('button', { name: 'Cannot be done' }).first().click();
  await expect(cards.first()).not.toHaveText(first);
  await page.goto('/lines/d0000000-0000-4000-8000-000000000001/find?complaint=D11');
  await expect(page.getByRole('region', { name: 'Usual causes' })).toContainText('Silicone');
  await page.goto('/lines/d0000000-0000-4000-8000-000000000001/find?complaint=nothing-such');
  await expect(page.getByLabel('What is wrong? Search')).toBeVisible();
});
