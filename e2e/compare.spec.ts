import { buildOwnLine, expectSaved } from './own-line';
import { expect, test } from './test';

const view = (page: import('@playwright/test').Page, name: string) =>
  page.getByRole('navigation', { name: 'Views' }).getByRole('link', { name, exact: true });

test('a line is saved under a name, changed, compared side by side, and brought back', async ({ page }) => {
  await buildOwnLine(page);
  await view(page, 'Compare').click();
  const name = page.getByLabel('Save the line as a named revision');
  await name.fill('  ');
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(page.getByText('A name is needed.')).toBeVisible();
  await name.fill('As found');
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(page.getByRole('region', { name: 'Revisions' }).getByText('As found')).toBeVisible();

  await view(page, 'Line').click();
  await page.locator('[data-stage]', { hasText: 'Separator' }).click();
  await page.getByRole('button', { name: 'Remove', exact: true }).click();
  await view(page, 'Compare').click();
  await page.getByLabel('Compare with').selectOption({ label: 'As found' });
  await expect(page.getByRole('region', { name: 'What changed' })).toContainText(
    'Removed Separator (downstream of Aftercooler).',
  );
  const row = page.getByRole('row', { name: /^Separator/ }).first();
  await expect(row.getByRole('cell').first()).toHaveText('–');
  await expect(row.getByRole('cell').nth(1)).toContainText('dew');

  await page.getByRole('button', { name: 'Restore' }).click();
  await expect(page.getByText('Nothing: they are the same.')).toBeVisible();
  await expectSaved(page);
});

test('a copy is a line of its own; prices of one’s own replace the placeholders, bad ones are refused at the field', async ({
  page,
}) => {
  const own = await buildOwnLine(page);
  await view(page, 'Compare').click();
  await page.getByText('Your own figures').click();
  await page.getByLabel('Currency').fill('€');
  const receiver = page.getByRole('listitem').filter({ hasText: 'Receiver' });
  await receiver.getByLabel('To buy').fill('');
  await expect(receiver.getByText('Type a number.')).toBeVisible();
  await receiver.getByLabel('To buy').fill('$ 800');
  await expect(receiver.getByText('all amounts are in €')).toBeVisible();
  await receiver.getByLabel('To buy').fill('-5');
  await expect(receiver.getByText('To buy: not below 0.')).toBeVisible();
  await receiver.getByLabel('To buy').fill('800');
  await expect(receiver.getByText('your own')).toBeVisible();
  await expect(page.getByRole('row', { name: /^To buy/ })).toContainText('€');
  await expectSaved(page);
  await page.getByRole('button', { name: 'Copy the line' }).click();
  await page.waitForURL((url) => url.pathname.endsWith('/line') && !url.pathname.startsWith(own));
  await expect(page.getByRole('heading', { level: 1 })).toContainText('plan B');
});
