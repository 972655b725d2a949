import { expect, test } from './test';

test('families side by side: what is wanted decides who fits, and a row opens its sheet', async ({ page }) => {
  await page.goto('/dryers');
  const side = page.getByRole('region', { name: 'Dryer types side by side' });
  await expect(side).toContainText('Refrigerated is the cheapest that fits');
  await page.getByLabel('Pressure dew point wanted').fill('-40 F');
  await expect(side).toContainText('Twin tower, heatless is the cheapest that fits');
  await expect(side.getByRole('row', { name: /Refrigerated, cycling/ })).toContainText('Does not reach');
  await page.getByLabel('Peak air flow').fill('1000 scfm');
  await side.getByRole('button', { name: /blower purge/ }).click();
  await expect(page.getByRole('region', { name: 'Heated towers' })).toContainText('10–20 min');
  await expect(page.getByRole('region', { name: 'Heated towers' })).toContainText('180.0 °C');
  await page.reload();
  await expect(page.getByRole('region', { name: 'Heated towers' })).toBeVisible();
});

test('two heatless towers: a fixed orifice at part load, a bed that is lifted, a cycle shorter than its valves', async ({
  page,
}) => {
  await page.goto('/dryers?look=twin-tower&load=1&c=38&pa=790801.6'); // 100 psi: 14.7 % (G11-15)
  const towers = page.getByRole('region', { name: 'Two towers' });
  await expect(towers).toContainText('Costs 15 % of the air');
  await page.getByLabel('Average load').fill('30');
  await expect(towers).toContainText('Costs 49 % of the air');
  await expect(towers).toContainText('stretch the cycle');
  await page.getByLabel('Whole cycle').fill('40 s');
  await expect(towers.getByRole('alert')).toContainText('shorter than its valves');
  await page.getByLabel('Whole cycle').fill('5 s');
  await expect(towers.getByRole('alert').first()).toContainText('not possible');
  await page.getByLabel('Whole cycle').fill('10 min');
  await page.getByLabel('The towers').selectOption('yes');
  await page.getByLabel('Bore of each tower').fill('150 mm');
  await expect(towers.getByRole('alert')).toContainText('lifts the bed');
});
