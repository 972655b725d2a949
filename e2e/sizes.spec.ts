import { expect, test } from '@playwright/test';

test('sizes follow what the jobs take; the address keeps the question, a wrong number stays at its field', async ({
  page,
}) => {
  await page.goto('/sizes');
  const row = (name: string) => page.getByRole('row', { name: new RegExp(`^${name}`) });
  await expect(row('Compressor')).toContainText('5 hp');
  await expect(row('Receiver')).toContainText('starts an hour');
  // 40 cfm for two minutes: 10.5 hp without a tank; 120 gal give 95 psi of it, 52 cfm for so long (p·V, by hand).
  await page.getByLabel('Peak use').fill('40 cfm');
  await expect(row('Compressor')).toContainText(/15 hp.*peak without a tank/);
  await page.getByLabel('Tank for it').fill('120 gal');
  await expect(row('Compressor')).toContainText(/^Compressor5 hp.*needed by the average/);
  await page.getByLabel('Average use').fill('60 cfm');
  await page.getByLabel('Peak use').fill('80 cfm');
  // By hand: 60 · 1.1 · 1.15 / 0.75 = 101 cfm; 25 hp give 95, 30 hp 114 (trade handbook, 3.8 cfm/hp).
  await expect(row('Compressor')).toContainText('30 hp');
  await page.getByLabel('Leaks').fill('often');
  await expect(page.getByText('is not a number')).toBeVisible();
  await page.getByLabel('Leaks').fill('30 %');
  await expect(row('Compressor')).toContainText('40 hp');
  await expect(row('Main pipe')).toBeVisible();
  await page.getByLabel('The main is').selectOption('a ring');
  await expect(row('Ring main')).toContainText('half the air each way');
  await page.getByLabel('Altitude').fill('8000 ft');
  await expect(row('Compressor')).toContainText('50 hp'); // 60 · 1.3 · 1.15 / 0.75 / 0.743 (ICAO) = 161 cfm; 40 hp give 152
  await page.reload();
  await expect(row('Ring main')).toBeVisible();
  await expect(row('Compressor')).toContainText('50 hp');
});
