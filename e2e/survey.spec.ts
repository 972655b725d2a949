import { buildOwnLine, expectSaved } from './own-line';
import { expect, test } from './test';

test('a survey is typed, kept by itself, and answers live', async ({ page }) => {
  const line = await buildOwnLine(page);
  await page.keyboard.press('s');
  await page.waitForURL(`**${line}/survey`);
  const answer = page.getByRole('complementary', { name: 'Water drawn in' });
  const water = async () => Number.parseFloat((await answer.getByRole('button').first().textContent()) ?? '');
  const before = await water();
  await page.getByLabel('Relative humidity', { exact: true }).fill('90 %');
  await expect.poll(water).toBeCloseTo(before * 1.5, -1.2);

  await page.getByRole('button', { name: 'Add a place beside it' }).click();
  await page.getByLabel('Temperature', { exact: true }).nth(1).fill('5');
  await page.getByLabel('Relative humidity', { exact: true }).nth(1).fill('80');
  await expect(answer).toContainText('less to drain');
  await page.getByRole('radio', { name: 'The compressor draws in here' }).nth(1).check();
  await expect(answer).toContainText('more to drain');

  await page.getByRole('button', { name: 'Let the sensor settle, 5 min' }).first().click();
  await expect(page.getByRole('timer').first()).toContainText(/[45]:\d\d left/);

  await page.getByLabel('Altitude').fill('5250 ft');
  await expect(answer).toContainText('835 hPa');
  await expect(page.getByLabel('Cuts in at', { exact: true })).toHaveValue('6.5'); // the gauge still reads what it read
  await page.getByRole('button', { name: 'Sat' }).click();
  await page.getByLabel('To', { exact: true }).fill('06:00');
  await expect(page.locator('#main').getByRole('alert')).toContainText('must end after it starts');
  await page.getByRole('button', { name: 'Add a job' }).click();
  await page.getByLabel('Job', { exact: true }).last().fill('Varnish booth');
  await page.getByLabel('Start from a usual job').last().selectOption('Spray gun, solvent-borne');
  await expect(page.getByLabel('Flow while in use', { exact: true }).last()).toHaveValue('0.3964'); // 14 cfm
  await expect(page.getByText(/^Together the jobs use/)).toContainText('0.381 m³/min'); // 0.45 · 0.3964 · 98.5/82.8 · 278/293 (ISO 8778, to air at 835 hPa and 5 °C) + 0.4 · 0.45
  await expectSaved(page);
  await page.reload();
  await expect(page.getByLabel('Job', { exact: true }).last()).toHaveValue('Varnish booth');
  await expect(page.getByLabel('Relative humidity', { exact: true }).nth(1)).toHaveValue('80');
  await expect(page.getByRole('button', { name: 'Sat' })).toHaveAttribute('data-state', 'on');
});

test('impossible readings are refused at the field and nothing is saved of them', async ({ page }) => {
  await buildOwnLine(page);
  await page.getByRole('link', { name: 'Survey' }).click();
  const alert = page.locator('#main').getByRole('alert');
  await page.getByLabel('Relative humidity', { exact: true }).fill('140 %');
  await expect(alert).toContainText('140 % is not possible here. Allowed: 1 to 100 %');
  await page.getByLabel('Relative humidity', { exact: true }).fill('60');
  await page.getByLabel('Altitude').fill('the moon');
  await expect(alert).toContainText('is not a number');
  await page.reload();
  await expect(page.getByLabel('Relative humidity', { exact: true })).toHaveValue('60');
  await expect(page.getByLabel('Altitude')).toHaveValue('0');
});
