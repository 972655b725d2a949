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
  await line.getByRole('button', { name: /^What to do/ }).click();
  await page.getByRole('menuitem', { name: 'My site' }).click();
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
  await kept.getByRole('button', { name: /^What to do/ }).click();
  await page.getByRole('menuitem', { name: 'Remove' }).click();
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

test('a line is duplicated, becomes a template that another begins with, and is archived and taken out again', async ({
  page,
}) => {
  await buildOwnLine(page, 'Pattern shop');
  await page.goto('/sites');
  await page.getByRole('link', { name: /^My site/ }).click();
  const lines = page.getByRole('region', { name: 'Lines', exact: true }).getByRole('listitem');
  const own = lines.filter({ hasText: 'Pattern shop' });
  const choose = async (what: string): Promise<void> => {
    await own
      .first()
      .getByRole('button', { name: /^What to do/ })
      .click();
    await page.getByRole('menuitem', { name: what }).click();
  };
  await choose('Duplicate');
  await expect(own.filter({ hasText: 'plan B' })).toBeVisible();
  await choose('Save as a template');
  await expect(page.getByRole('region', { name: 'Templates' }).getByRole('listitem')).toHaveCount(1);
  await choose('Archive');
  const archived = page.getByRole('region', { name: 'Archived lines' });
  await expect(archived).toContainText('Pattern shop');
  await expect(own).toHaveCount(1);
  await archived.getByRole('button', { name: 'Take out' }).click();
  await expect(own).toHaveCount(2);

  await page.goto('/');
  await page.getByRole('button', { name: /^Begin a line with/ }).click();
  await page.waitForURL(/\/survey/);
  await expect(page.getByLabel('Shop', { exact: true })).toHaveValue('Pattern shop');
});

test('a photo of the site is kept and removed', async ({ page }) => {
  page.on('dialog', (dialog) => void dialog.accept());
  await page.goto('/sites');
  await page.getByRole('link', { name: /^My site/ }).click();
  const photos = page.getByRole('region', { name: 'Photos' });
  await photos.locator('input[type=file]').setInputFiles('app/icon.svg');
  await expect(photos.getByRole('img')).toHaveJSProperty('complete', true);
  await photos.getByRole('button', { name: 'Remove photo 1' }).click();
  await expect(photos.getByRole('img')).toHaveCount(0);
});

test('the clock of a site counts on its lines', async ({ page }) => {
  await page.goto('/sites');
  await page.getByLabel('New site').last().fill('Far island');
  await page.getByRole('button', { name: 'Add' }).click();
  await page.waitForURL(/\/sites\/./);
  const zone = page.getByLabel('Time zone');
  await zone.fill('Nowhere');
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByRole('alert').first()).toContainText('This time zone is not known here.');
  await zone.fill('Pacific/Kiritimati'); // 14 hours ahead of universal time
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByText('Saved.')).toBeVisible();
  await page.getByRole('link', { name: 'New line here' }).click();
  await page.getByRole('button', { name: 'Build my line' }).click();
  await page.waitForURL(/\/line$/);
  await page.goto(page.url().replace(/line$/, 'logbook'));
  const there = await page.evaluate(() => new Date(Date.now() + 14 * 3_600_000).toISOString().slice(0, 13));
  await expect(page.getByLabel('Drained at')).toHaveValue(new RegExp(`^${there}`));
});
