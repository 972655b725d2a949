import { expect, test } from '@playwright/test';
import { buildOwnLine } from './own-line';
import { settled } from './test';

test('a newcomer with a compressor and a spray gun comes from the start page to a priced, ordered line, and builds it', async ({
  page,
}) => {
  const began = Date.now();
  await page.goto('/');
  await page.getByRole('link', { name: /What do I need/ }).click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('What do I need for my jobs?');
  await expect(page.getByLabel('What it implies')).toContainText('41 %');
  await page.getByRole('button', { name: 'Find the lines' }).click();
  const lines = page.getByRole('region', { name: 'Lines', exact: true });
  await expect(lines.getByRole('row')).not.toHaveCount(0, { timeout: 60_000 });
  await lines.getByRole('button', { name: /chill/ }).first().click();
  await expect(page.getByText('1. Aftercooler, Separator')).toBeVisible();
  await expect(page.getByRole('region', { name: 'Why not' })).toContainText('A bead cartridge alone');
  await page.getByRole('button', { name: 'Build this line' }).click();
  await page.waitForURL(/\/lines\/[^/]+\/line/);
  // The line says of itself what its proposal said.
  await expect(page.getByText('meets the need')).toBeVisible();
  await page.goto(page.url().replace(/\/line(\?.*)?$/, '/today'));
  await expect(page.locator('#main')).toContainText(/Separator|Receiver|Refrigerated dryer/); // its routine
  expect(Date.now() - began).toBeLessThan(120_000);
});

test('an impossible wish is answered with the smallest change that helps; a wrong number stays at its field', async ({
  page,
}) => {
  await page.goto('/planner');
  await settled(page);
  const budget = page.getByLabel(/^Budget/);
  await budget.fill('many');
  await expect(page.getByText('A whole number from 0')).toBeVisible();
  await budget.fill('500');
  await page.getByRole('button', { name: 'Find the lines' }).click();
  const nothing = page.getByRole('region', { name: 'Nothing found' });
  await expect(nothing).toContainText('to buy it with', { timeout: 60_000 });
  await nothing.getByRole('button', { name: 'Ask so' }).first().click();
  await expect(page.getByRole('button', { name: 'Build this line' })).toBeVisible({ timeout: 60_000 });
});

test('only the first steps are bought: the rest of the line stands as planned', async ({ page }) => {
  await page.goto('/planner');
  await page.getByRole('button', { name: 'Find the lines' }).click();
  await page.getByRole('radio', { name: /^Buy up to Aftercooler/ }).check({ timeout: 60_000 });
  await page.getByRole('button', { name: 'Build it up to step 1' }).click();
  await page.waitForURL(/\/lines\/[^/]+\/line/);
  await expect(page.getByText(/planned/i).first()).toBeVisible();
});

test('a compressor that is still to be bought is sized for the jobs and the weather of a stored year, and comes first', async ({
  page,
}) => {
  await page.goto('/planner');
  await settled(page);
  await page.getByLabel('Compressor and tank are').selectOption('open');
  await expect(page.getByLabel('Free air delivery')).toHaveCount(0);
  const implies = page.getByLabel('What it implies');
  await expect(implies).toContainText('From 5 hp');
  const water = (await implies.textContent()) ?? '';
  await page.getByLabel('Weather from').selectOption({ label: 'Merrow Delta, humid (synthetic)' });
  await expect(page.getByText(/^The numbers below are from it/)).toContainText('Coldest hour');
  await expect(implies).not.toHaveText(water);
  await page.getByRole('button', { name: 'Find the lines' }).click();
  const lines = page.getByRole('region', { name: 'Lines', exact: true });
  await expect(lines.getByRole('button', { name: /Compressor 5 hp: cool/ }).first()).toBeVisible({ timeout: 60_000 });
  await expect(page.getByText('1. Compressor 5 hp, Receiver')).toBeVisible();
  await expect(page.getByText(/joints · /)).toContainText('kW of mains power');
  await page.getByRole('button', { name: 'Build this line' }).click();
  await page.waitForURL(/\/lines\/[^/]+\/line/);
  await expect(page.locator('#main')).toContainText('Compressor 5 hp');
});

test('breathing air is not planned', async ({ page }) => {
  await page.goto('/planner');
  await page.getByLabel('Used for breathing?').selectOption('yes');
  await page.getByRole('button', { name: 'Find the lines' }).click();
  await expect(page.getByRole('heading', { name: 'Not for breathing air' })).toBeVisible();
});

test('a line that is there is where the question begins', async ({ page }) => {
  await page.goto('/planner?from=d0000000-0000-4000-8000-000000000001');
  await expect(page.getByText(/^Begun with what/)).toBeVisible();
  await expect(page.getByText(/^Owned already: .*aftercooler/)).toBeVisible();
});

test('a proposal for a line that is there is kept as its revision, and compared with it', async ({ page }) => {
  const line = await buildOwnLine(page);
  await page.goto(`/planner?from=${line.split('/').at(-1)}`);
  await page.getByRole('button', { name: 'Find the lines' }).click();
  const keep = page.getByRole('button', { name: /^Keep as a revision of/ });
  await keep.click({ timeout: 120_000 });
  await page.waitForURL(/\/compare\?with=revision/);
  await expect(page.locator('#main')).toContainText('Receiver');
  await expect(page.getByText('does not answer')).toHaveCount(0);
});
