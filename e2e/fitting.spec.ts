import AxeBuilder from '@axe-core/playwright';
import { buildOwnLine, expectSaved } from './own-line';
import { expect, settled, test } from './test';

test('a cooler before the tank, from nothing to a shopping list, a drawn tube and the steps to put it together', async ({
  page,
}) => {
  test.setTimeout(180_000); // a whole task, on a machine that may be slow
  await page.goto('/');
  await page.getByLabel('has an aftercooler and separator').uncheck();
  await page.getByLabel('Shop').fill('Lute shop');
  await page.getByRole('button', { name: 'Build my line' }).click();
  await page.waitForURL(/\/lines\/[0-9a-f-]+\/line/);
  const line = new URL(page.url()).pathname.replace(/\/[^/]+$/, '');
  await settled(page);

  // What stands is fitted: from now on the list shows what the change needs.
  await page.keyboard.press('f');
  await page.getByRole('navigation', { name: 'Fitting' }).getByRole('link', { name: 'Parts' }).click();
  await page.getByRole('button', { name: 'All of this is fitted' }).click();
  await page.getByLabel('Only what is still to buy').check();
  await expect(page.getByText('Nothing is left to buy.')).toBeVisible();
  await expectSaved(page);

  await page.goto(`${line}/line`);
  await settled(page);
  await page.keyboard.press('a');
  await page.getByRole('button', { name: /^Fluid cooler/ }).click();
  await expectSaved(page);

  await page.goto(`${line}/fitting/parts`);
  await page.getByLabel('Only what is still to buy').check();
  const equipment = page.getByRole('region', { name: 'Equipment' });
  await expect(equipment.getByRole('listitem')).toHaveCount(1);
  await expect(equipment).toContainText('Fluid cooler');
  const nuts = page.getByRole('listitem').filter({ hasText: /^\d+ ×Compression nut and ferrule/ });
  await expect(nuts).toContainText('2 more to buy'); // of four, two were on the tube that was there
  await expect(page.getByRole('region', { name: 'Fittings and valves' })).toContainText('37° flare');
  await page.getByLabel('State of Fluid cooler').selectOption('bought');
  await expect(equipment).toBeHidden();
  await expectSaved(page);

  // The tube as one paces it out; what is not understood changes nothing.
  await page.goto(`${line}/fitting`);
  await page
    .getByLabel('Pipe, tube, hose or cooling run')
    .selectOption({ label: '2 · Tube to Fluid cooler (not drawn)' });
  const run = page.getByLabel('The run, as you pace it out');
  await run.fill('up 0.4 m, over 2');
  await expect(page.getByRole('alert').filter({ hasText: 'names no direction' })).toBeVisible();
  await expect(page.getByRole('region', { name: 'Legs of the run' })).toBeHidden();
  await run.fill('up 0.4 m, along 1.2 m, down 0.3 m');
  await expect(page.getByText('1.90 m')).toBeVisible();
  const handle = page.getByRole('slider', { name: 'Length of leg 2' });
  await handle.focus();
  await page.keyboard.press('ArrowUp');
  await expect(handle).toHaveAttribute('aria-valuetext', /^1\.30 m/);
  await expect(page.getByLabel('Length of leg 2').and(page.getByRole('textbox'))).toHaveValue('1.3');
  await expectSaved(page);
  const [dxf] = await Promise.all([page.waitForEvent('download'), page.getByRole('button', { name: 'DXF' }).click()]);
  expect(dxf.suggestedFilename()).toMatch(/\.dxf$/);

  await page.setViewportSize({ width: 390, height: 844 });
  await page.goto(`${line}/fitting/assembly`);
  const step = page.getByRole('checkbox', { name: /^Join .*tube to Fluid cooler/ });
  await step.check();
  await expectSaved(page);
  await page.reload();
  await expect(step).toBeChecked();
});

test('an end that looks alike and leaks is named, and a part goes between', async ({ page }) => {
  const line = await buildOwnLine(page);
  await page.goto(`${line}/fitting/joints`);
  const joint = page.getByRole('listitem').filter({ has: page.getByRole('heading', { name: /to Separator$/ }) });
  const own = joint.last();
  await own.getByText('Change ends or parts').click();
  await own.getByLabel('Between the two').selectOption('close');
  await page.getByRole('heading', { name: 'Aftercooler to Separator' }).waitFor();
  const close = page
    .getByRole('listitem')
    .filter({ has: page.getByRole('heading', { name: 'Aftercooler to Separator' }) });
  await close.getByLabel('Separator, inlet: family').selectOption({ label: 'BSPT' });
  await close.getByLabel('Separator, inlet: half').selectOption('male');
  await expect(close).toContainText('Looks as if it fits, and leaks.');
  await expect(close).toContainText('60° is not 55°');
  await expectSaved(page);
  await page.keyboard.press('Control+z');
  await expect(close).not.toContainText('leaks.');
});

test('a leak test is corrected for its temperature, judged, and opens the log', async ({ page }) => {
  const line = await buildOwnLine(page);
  await page.goto(`${line}/fitting/leak-test`);
  const verdict = page.getByRole('region', { name: 'Verdict' });
  await page.getByLabel('Time it was shut in').fill('1 min');
  await expect(verdict).toContainText('Too short');
  await page.getByLabel('Time it was shut in').fill('9 h');
  await expect(verdict).toContainText('Tight');
  await page.getByLabel('Pressure at the end').fill('40 psi');
  await expect(verdict).toContainText('It leaks');
  await page.getByRole('button', { name: 'Log this test' }).click();
  await expect(page.getByText('Say who.')).toBeVisible();
  await page.getByLabel('Who').fill('Mara');
  await page.getByRole('button', { name: 'Log this test' }).click();
  await expect(page.getByText('It is in the logbook.')).toBeVisible();
  await page.goto(`${line}/logbook/all`);
  await expect(page.getByText(/^Mara · Leak test of a line that is new: It leaks/)).toBeVisible();
});

test('what is on the shelf is found by its thread, and Parts says that it need not be bought', async ({ page }) => {
  await page.goto('/shelf');
  await settled(page);
  const form = page.getByRole('form', { name: 'Put on the shelf' });
  await form.getByRole('button', { name: 'Put on the shelf' }).click();
  await expect(page.getByText('Say what it is.')).toBeVisible();
  await form.getByLabel('What it is').fill('Hex nipple 3/8 in BSPT');
  await form.getByLabel('How many').fill('2');
  await form.getByLabel('One of its ends').fill('3/8 in BSPT, male (R)');
  await form.getByLabel('Where it lies').fill('Drawer 9');
  await form.getByRole('button', { name: 'Put on the shelf' }).click();
  const row = page.getByRole('row').filter({ hasText: 'Drawer 9' });
  await expect(row).toBeVisible();
  await page.getByLabel('Find by name, thread or place').fill('3/8 male');
  await expect(page.getByRole('row')).toHaveCount(2); // with the headings
  await page.goto('/lines/d0000000-0000-4000-8000-000000000001/fitting/parts');
  await expect(page.getByRole('listitem').filter({ hasText: 'Hex nipple 3/8 in BSPT' })).toContainText(
    '2 already on the shelf',
  );
  await page.goto('/shelf');
  for (let left = 1; left >= 0; left--) {
    await row.getByRole('button', { name: /^Take one/ }).click();
    if (left > 0) await expect(row).toContainText(String(left));
  }
  await expect(row).toHaveCount(0);
});

test('the pages of the fitting meet AA with everything open', async ({ page }) => {
  await page.goto('/lines/d0000000-0000-4000-8000-000000000001/fitting/joints');
  await settled(page);
  for (const summary of await page.getByText('Change ends or parts').all()) await summary.click();
  // As high as the page: what is half out of sight is not too small.
  await page.setViewportSize({ width: 1280, height: await page.evaluate(() => document.documentElement.scrollHeight) });
  const { violations } = await new AxeBuilder({ page })
    .withTags(['wcag2a', 'wcag2aa', 'wcag21aa', 'wcag22aa'])
    .analyze();
  expect(violations.map((v) => `${v.id}: ${v.nodes.map((n) => n.target).slice(0, 3)}`)).toEqual([]);
});

test('the drawing is printed with its bill, without the fields', async ({ page }) => {
  await page.goto('/lines/d0000000-0000-4000-8000-000000000001/fitting');
  await settled(page);
  await page.emulateMedia({ media: 'print' });
  await page.evaluate(() => window.dispatchEvent(new Event('beforeprint')));
  await expect(page.getByRole('region', { name: 'Bill' })).toContainText('Compression nut and ferrule');
  await expect(page.getByRole('group', { name: /^Isometric drawing: / })).toBeVisible();
  await expect(page.getByLabel('Pipe, tube, hose or cooling run')).toBeHidden();
  await page.evaluate(() => window.dispatchEvent(new Event('afterprint')));
  await expect(page.getByRole('region', { name: 'Bill' })).toHaveCount(0);
});
