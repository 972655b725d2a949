import { expect, test } from './test';

test('2.4 % at 50 psi: what is it at 105? The link keeps the question', async ({ page }) => {
  await page.goto('/dew-point');
  await page.getByLabel('Relative humidity', { exact: true }).fill('2.4');
  await page.getByLabel('Pressure where it was read').fill('50 psi');
  await page.getByLabel('Air temperature where it was read').fill('70 F');
  await page.getByLabel('Wanted pressure').fill('105 psi');
  await page.getByLabel('Wanted air temperature').fill('70 F');
  const cells = page.getByRole('row', { name: /^Relative humidity/ }).getByRole('cell');
  await expect(cells.first()).toHaveText('2.4 %');
  await expect(cells.nth(1)).toHaveText('4.4 %'); // 2.4 · (105 + 14.7) / (50 + 14.7), computed
  const dew = page.getByRole('row', { name: /^Dew point/ }).getByRole('cell');
  // A meter reading 2.4 % at about 70 °F shows −14 °F (common practice, no source): −25.6 °C.
  await expect(dew.first()).toContainText('−25.6');
  await expect(page.getByRole('row', { name: /over supercooled water/ })).toContainText('−28.3');
  await page.waitForURL(/toPa=/);
  await page.reload();
  await expect(cells.nth(1)).toHaveText('4.4 %');
  await dew.nth(1).getByRole('button').click();
  const why = page.getByRole('dialog', { name: 'Why this figure' });
  await expect(why).toContainText('f(T, p) · e(T) = x · p');
  await expect(why).toContainText('95 %');
});

test('every way in leads to every way out, and an impossible reading is refused', async ({ page }) => {
  await page.goto('/dew-point?has=pressureDewPoint&dp=3&atPa=801325&toPa=801325&toC=20');
  await expect(page.getByRole('row', { name: /^Dew point/ })).toContainText('−20.5'); // 3 °C at 7 bar g let out, real air (computed)
  await page.getByLabel('The reading is').selectOption('ppm');
  await page.getByLabel('Water, on dry air').fill('974 ppm');
  await expect(
    page
      .getByRole('row', { name: /^Dew point/ })
      .getByRole('cell')
      .first(),
  ).toContainText('3.0'); // G05-13, computed
  await page.getByLabel('The reading is').selectOption('relativeHumidity');
  await page.getByLabel('Relative humidity', { exact: true }).fill('140');
  await expect(page.getByRole('form').getByRole('alert')).toContainText('140 % is not possible here');
  await page.goto('/dew-point?has=relativeHumidity&rh=0.9&atC=95&atPa=60000');
  await expect(page.getByRole('main').getByRole('alert')).toContainText('more water than air');
});
