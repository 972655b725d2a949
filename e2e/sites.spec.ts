import { buildOwnLine } from './own-line';
import { expect, test } from './test';

test('a site is added, a line built on it and moved to another; what is missing is said at its field', async ({
  page,
}) => {
  await page.goto('/sites');
  await page.getByRole('button', { name: 'Add' }).click();
  await expect(page.getByRole('alert').first()).toHaveText('A name is needed.');
  await page.getByLabel('New site').last().fill('North quay');
  await page.getByRole('button', { name: 'Add' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('North quay');
  await expect(page.locator('#main')).toContainText('No line stands here yet');
  const address = page.url();

  await page.getByLabel('Customer').fill('Harbour board');
  await page.getByLabel(/^Notes/).fill('Key at the gate.\nAsk for the foreman.');
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByText('Saved.')).toBeVisible();
  await page.getByLabel('Name').fill(' ');
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByRole('alert').first()).toContainText('A name is needed.');
  await page.reload();
  await expect(page.getByLabel('Name')).toHaveValue('North quay');
  await expect(page.getByLabel(/^Notes/)).toHaveValue('Key at the gate.\nAsk for the foreman.');

  await page.getByRole('link', { name: 'New line here' }).click();
  await page.getByLabel('Shop').fill('Crane shed');
  await page.getByRole('button', { name: 'Build my line' }).click();
  await page.waitForURL(/\/lines\//);
  await page.goto(address);
  const line = page.getByRole('listitem').filter({ hasText: 'Crane shed' });
  await line.getByRole('combobox').selectOption({ label: 'My site' });
  await expect(line).toHaveCount(0);
  await page.getByRole('link', { name: 'All sites' }).click();
  await expect(page.getByRole('listitem').filter({ hasText: 'North quay' })).toContainText('Harbour board');
  await expect(page.getByRole('listitem').filter({ hasText: 'North quay' })).toContainText('0 lines');
  await page.getByRole('link', { name: /^My site/ }).click();
  await expect(line).toBeVisible();
});

test('a line is removed and comes back', async ({ page }) => {
  page.on('dialog', (dialog) => void dialog.accept());
  const line = await buildOwnLine(page, 'Short shop');
  await page.goto('/sites');
  await page.getByRole('link', { name: /^My site/ }).click();
  const kept = page
    .getByRole('region', { name: 'Lines', exact: true })
    .getByRole('listitem')
    .filter({ hasText: 'Short shop' });
  await kept.getByRole('button', { name: /^Remove/ }).click();
  await expect(kept).toHaveCount(0);
  await page.goto(`${line}/line`);
  await expect(page.locator('#main')).toContainText('There is nothing at this address');
  await page.goBack();
  await page
    .getByRole('region', { name: 'Removed lines' })
    .getByRole('listitem')
    .filter({ hasText: 'Short shop' })
    .getByRole('button')
    .click();
  await expect(kept).toBeVisible();
  await page.goto(`${line}/line`);
  await expect(page.getByRole('button', { name: /Short shop/ })).toBeVisible();
});

test('a site shows the last entry of its lines', async ({ page }) => {
  await buildOwnLine(page, 'Quiet shop');
  await page.goto('/sites');
  await expect(page.getByRole('listitem').filter({ hasText: 'My site' })).toContainText(/last entry \d{4}-\d\d-\d\d/); // of the demos
});
