import { expect, test } from './test';

test('a bed fills: when it is lost, played and scrubbed; what cannot be run is said', async ({ page }) => {
  await page.goto('/bed');
  const bed = page.getByRole('region', { name: 'The bed' });
  await expect(bed).toContainText('of dry air');
  await page.getByRole('slider', { name: 'Time' }).focus();
  await page.keyboard.press('End');
  await expect(bed).toContainText('Air flow time8 h');
  await page.keyboard.press('Home');
  await expect(bed).not.toContainText('Air flow time8 h');
  await bed.getByRole('button', { name: 'Play' }).click();
  await expect(bed.getByRole('button', { name: 'Pause' })).toBeVisible();
  await page.getByLabel('The beads are').selectOption('oven');
  await page.getByLabel('Oven at').fill('135 F');
  await expect(bed).toContainText('Never reaches the wanted dew point');
  await page.getByLabel('Air', { exact: true }).fill('0');
  await expect(page.getByText('No air passes')).toBeVisible();
});

test('two towers repeat their cycle; too little purge loses them, in words', async ({ page }) => {
  await page.goto('/bed?of=towers&first=alumina&kg=30&bore=0.3&flow=0.047&c=35');
  const bed = page.getByRole('region', { name: 'The bed' });
  await expect(bed).toContainText('cycle after cycle', { timeout: 30_000 });
  await expect(bed.getByRole('img', { name: /^Tower 2/ })).toBeVisible();
  await page.getByLabel('Purge, of what enters').fill('8');
  await expect(bed).toContainText('in theory', { timeout: 30_000 });
  await page.getByLabel('Bore').fill('80 mm');
  await expect(bed).toContainText('grind to dust', { timeout: 30_000 });
});
