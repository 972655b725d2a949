import { buildOwnLine } from './own-line';
import { expect, test } from './test';

test('the catalogue is found by what people call things, tells the usual values in one’s units, and leads back to the line', async ({
  page,
}) => {
  const line = await buildOwnLine(page);
  await page.keyboard.press('c');
  await expect(page.getByRole('heading', { name: 'Catalogue' })).toBeVisible();
  const search = page.getByLabel('Find a kind by any name');
  await search.fill('pig tail');
  const shown = page.getByRole('article');
  await expect(shown).toHaveAccessibleName('Cooling run');
  await expect(shown).toContainText('copper zig-zag');
  await expect(shown.getByRole('row', { name: /^Length/ })).toContainText('15.2 m');
  await expect(shown.getByRole('row', { name: /^Length/ })).toContainText('typical, common practice');
  await search.fill('paint air panel');
  await expect(page.getByRole('region', { name: 'Wall units' })).toContainText('Swirl filter → Regulator');
  await search.fill('perpetuum mobile');
  await expect(page.getByText('No kind has that name.')).toBeVisible();
  await search.fill('');
  await page.getByRole('button', { name: 'Relief valve' }).click();
  await expect(shown.getByLabel('Cautions')).toContainText('Never plug, re-set or valve off a relief valve');
  await page.getByRole('link', { name: 'Line' }).click();
  await page.waitForURL(`${line}/line`);
});
