import { buildOwnLine, expectSaved } from './own-line';
import { expect, test } from './test';

test('advice at its stage: fixed with one button, undone with one key', async ({ page }) => {
  const own = await buildOwnLine(page);
  const beside = page.getByRole('region', { name: 'Advice' });
  await beside.getByRole('button', { name: /has it a relief valve, and is its nameplate legible/ }).click();
  await expect(page).toHaveURL(/stage=/);
  const atStage = page.getByRole('list', { name: 'Advice on this stage' });
  await atStage.getByRole('button', { name: 'Both present, inspected' }).click();
  await expect(beside.getByText('has it a relief valve')).toHaveCount(0);
  await page.getByRole('heading', { level: 1 }).click();
  await page.keyboard.press('Control+z');
  await expect(beside.getByText('has it a relief valve')).toBeVisible();
  await page.goto(`${own}/advice`);
  await expect(page.getByText('Is this line used for breathing air?')).toBeVisible();
});

test('a danger cannot be dismissed, and no line on which it stands is ready', async ({ page }) => {
  await buildOwnLine(page);
  await page.getByRole('link', { name: 'Survey', exact: true }).click();
  await page.getByLabel('Is this line used for breathing air?').selectOption('yes');
  await page.getByRole('link', { name: 'Advice', exact: true }).click();
  const stop = page.getByRole('region', { name: 'Danger' });
  await expect(stop).toContainText('This line is used for breathing air.');
  await expect(stop).toContainText('Use a certified breathing-air system');
  await expect(stop.getByRole('button', { name: 'Dismiss…' })).toHaveCount(0);
  await expect(page.getByText('Not ready')).toBeVisible();
});

test('other advice is dismissed with a reason, and returns when what it rests on changes', async ({ page }) => {
  const own = await buildOwnLine(page);
  await page.goto(`${own}/advice`);
  const item = page.getByRole('listitem').filter({ hasText: 'has it a relief valve' });
  await item.getByRole('button', { name: 'Dismiss…' }).click();
  await item.getByRole('button', { name: 'Dismiss', exact: true }).click();
  await expect(item.getByText('Give the reason for whoever reads this later.')).toBeVisible();
  await item.getByLabel('Why it does not apply here').fill('inspected on Monday, papers follow');
  await item.getByRole('button', { name: 'Dismiss', exact: true }).click();
  await expect(page.getByText('Dismissed · 1')).toBeVisible();
  await expectSaved(page);
  await page.reload();
  await page.getByText('Dismissed · 1').click();
  await expect(page.getByText('inspected on Monday, papers follow')).toBeVisible();
});
