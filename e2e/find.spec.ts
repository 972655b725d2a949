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
  // What is caught is typed as it is met: an amount, and how long it took.
  await page.goto('/lines/d0000000-0000-4000-8000-000000000001/find?complaint=D06&at=separator');
  await settled(page);
  const caught = page.getByRole('region', { name: /^Water that its drain gives in an hour/ }).first();
  while ((await caught.count()) === 0) await page.getByRole('button', { name: 'Cannot be done' }).first().click();
  await caught.getByLabel(/^Caught/).fill('250 mL');
  await caught.getByLabel(/^In loaded running, in h/).fill('soon');
  await caught.getByRole('button', { name: 'Take this reading' }).click();
  await expect(caught.getByRole('alert')).toContainText('“soon” is not a number');
  await caught.getByLabel(/^In loaded running, in h/).fill('30 min');
  await caught.getByRole('button', { name: 'Take this reading' }).click();
  await expect(page.getByRole('region', { name: 'Read so far' })).toContainText('500 g/h');
  await page.goto('/lines/d0000000-0000-4000-8000-000000000001/find?complaint=D11');
  await settled(page);
  const believed = page.getByRole('region', { name: 'What is believed' }).getByRole('listitem');
  await expect(believed.first()).toContainText('Silicone');
  await page.getByRole('button', { name: /It is so.*Oil in the air/ }).click();
  await expect(believed.first()).toContainText('Oil in the air');
  await page.goto('/lines/d0000000-0000-4000-8000-000000000001/find?complaint=nothing-such');
  await expect(page.getByLabel('What is wrong? Search')).toBeVisible();
});

test('a search is left open, gone on with by another, and is one entry of the log; what cannot be is questioned there too', async ({
  page,
}) => {
  const line = await buildOwnLine(page);
  await page.goto(`${line}/find?complaint=D13`);
  await settled(page);
  const cards = page.getByRole('region', { name: 'Next checks' });
  const first = cards.getByRole('region').first();
  const name = (await first.getAttribute('aria-label')) ?? '';
  await first.getByLabel(/^It reads/).fill('90 psi');
  await first.getByRole('button', { name: 'Take this reading' }).click();
  await page.getByRole('checkbox', { name: 'measuring cup' }).uncheck();
  await expect(cards.getByRole('heading', { name: /drain/i })).toHaveCount(0);
  const leave = page.getByRole('region', { name: 'Leave it for now' });
  await leave.getByLabel('Who').fill('Mara');
  await leave.getByRole('button', { name: 'Keep it open' }).click();
  await expect(leave.getByRole('status')).toContainText('to be gone on with');

  await page.goto(`${line}/find`);
  await page
    .getByRole('region', { name: 'Left open' })
    .getByRole('link', { name: /Low pressure at the tool/ })
    .click();
  await settled(page);
  const [kind] = name.split(':');
  await expect(page.getByRole('region', { name: 'Read so far' })).toContainText(new RegExp(kind as string, 'i'));
  await page.getByText('All causes and all checks').click();
  await expect(page.getByRole('columnheader', { name: new RegExp(kind as string) }).first()).toBeVisible();
  await leave.getByLabel('Who').fill('Ola');
  await leave.getByRole('button', { name: 'Keep it open' }).click();
  await expect(leave.getByRole('status')).toContainText('to be gone on with');
  await page.goto(`${line}/find`);
  await expect(page.getByRole('region', { name: 'Left open' }).getByRole('listitem')).toHaveText(/Ola/);

  // A dew point above the air that it is read in.
  await page.goto(`${line}/logbook/all`);
  await settled(page);
  const form = page.getByRole('form', { name: 'Log something' });
  await form.getByLabel('Where').selectOption({ label: 'Receiver' });
  await form.getByLabel('Who').fill('Ola');
  await form.getByLabel('Reading').selectOption({ label: 'Pressure in flow' });
  await form.getByLabel(/^Value/).fill('40 bar');
  await form.getByRole('button', { name: 'Log it' }).click();
  await expect(form.getByRole('alert')).toContainText('above the cut-out of the compressor');
  await form.getByRole('button', { name: 'Log it' }).click();
  await expect(form.getByRole('alert')).toHaveCount(0);
  await expect(page.getByText('Pressure in flow').last()).toBeVisible();
});
