import { fortyStages } from '../bench/forty-stage-plan';
import { buildOwnLine, expectSaved, figure } from './own-line';
import { expect, test } from './test';

test('a branch, a bypass and a second compressor are laid, moved into and taken out; the line tells what each does', async ({
  page,
}) => {
  await buildOwnLine(page);
  const card = (name: string) => page.locator('[data-stage]', { hasText: name });
  const editor = page.getByRole('region', { name: /, (Receiver|Bowl filter|branch|Outlet|Regulator)$/ });
  await card('Receiver').click();
  await page.getByRole('button', { name: 'Add a branch downstream' }).click();
  await page.getByLabel('Branch: name').fill('Paint drop');
  await expect(page.getByRole('list', { name: 'Paint drop' }).locator('[data-stage]')).toHaveCount(1);
  await expect(page.getByRole('button', { name: /^Paint drop from Receiver/ })).toContainText(
    '16 % of the air', // 0.113 m³/min, three tenths of the time, of that and 0.45, four tenths (by hand)
  );

  await card('Bowl filter').click();
  await page.getByLabel('Located in').selectOption({ label: 'Paint drop' });
  await expect(page.getByRole('list', { name: 'Paint drop' }).locator('[data-stage]')).toHaveText([
    /outlet/,
    /Bowl filter/,
  ]);
  await page.keyboard.press('[');
  await expect(page.getByRole('list', { name: 'Paint drop' }).locator('[data-stage]').first()).toHaveText(
    /Bowl filter/,
  );
  await page.getByRole('button', { name: 'Paint drop open lanes' }).click();
  await expect(page.getByRole('region', { name: 'Water ledger, Paint drop' })).toBeVisible();
  await expect(page.getByText('balances', { exact: false })).toBeVisible();

  await page.getByRole('button', { name: 'Add a bypass around it' }).click();
  await page.getByLabel('Share of the air that goes this way').fill('20');
  await expect(page.getByRole('button', { name: /^Bypass of Bowl filter from Receiver/ })).toContainText(
    '20 % of what passes',
  );
  await page.getByLabel('Share of the air that goes this way').fill('120');
  await expect(editor.getByRole('alert')).toContainText('120 % is not possible');
  await expect(page.getByTestId('save-status')).toHaveText('A field is not read');

  await card('Receiver').click();
  await page.getByRole('button', { name: 'Second compressor joins upstream' }).click();
  await expect(card('Compressor 2')).toBeVisible();

  // A loop that is not a ring is named; the rest of the line still computes, and undo takes it back.
  await page.getByRole('button', { name: /^Paint drop from/ }).click();
  await page.getByLabel('Rejoins upstream of').selectOption({ label: 'Receiver' });
  await expect(page.locator('#main').getByRole('alert').first()).toContainText('a loop that is not a ring');
  await page.keyboard.press('Control+z');
  await expect(page.getByText('a loop that is not a ring')).toHaveCount(0);
  await expectSaved(page);
  await page.reload();
  await expect(page.getByRole('list', { name: 'Paint drop' }).locator('[data-stage]')).toHaveCount(2);
  await page.getByRole('button', { name: /^Paint drop from/ }).click();
  await page.getByRole('button', { name: /^Remove the branch/ }).click();
  await expect(page.getByRole('list', { name: 'Paint drop' })).toHaveCount(0);
});

test('a stage that is only planned is left out, and put in when it is bought', async ({ page }) => {
  await buildOwnLine(page);
  await page.locator('[data-stage]', { hasText: 'Receiver' }).click();
  await page.keyboard.press('a');
  await page.getByRole('button', { name: /^Refrigerated dryer Chills/ }).click();
  const dew = figure(page, 'Pressure dew point after Regulator:');
  const dried = await dew.textContent();
  await page.getByLabel('Planned: not installed yet').check();
  await page.getByLabel('Reading that triggers its purchase').fill('humidity over 60 % indoors');
  await expect(page.getByText('Not installed yet: left out')).toBeVisible();
  await expect(dew).not.toHaveText(dried as string);
  await page.getByLabel('Planned: not installed yet').uncheck();
  await expect(dew).toHaveText(dried as string);
});

test('a wall unit goes in as one card, opens into its stages, is carried to a branch, and is passed by while it is away', async ({
  page,
}) => {
  await buildOwnLine(page);
  const main = page.getByRole('list', { name: 'Main run' }).locator('[data-stage]');
  await page.locator('[data-stage]', { hasText: 'Receiver' }).click();
  await page.getByRole('button', { name: 'Add a branch downstream' }).click();
  const columns = await main.count();
  await page.locator('[data-stage]', { hasText: 'Receiver' }).click();
  await page.keyboard.press('a');
  await page.getByLabel('Find a stage by any name').fill('paint air panel');
  await page.getByRole('button', { name: /^Wall unit, four stages/ }).click();
  await expect(main).toHaveCount(columns + 1);
  const dew = figure(page, 'Pressure dew point after Tools:');
  const dried = await dew.textContent();

  await page.getByRole('button', { name: 'Open its stages' }).click();
  await expect(main).toHaveCount(columns + 4);
  await page.getByRole('button', { name: 'Close it to one card' }).click();
  await figure(page, 'Caught at Wall unit, four stages:').click();
  await expect(page.getByLabel('Why this figure')).toContainText('Swirl filter');
  await page.keyboard.press('Escape');

  await page.getByLabel('It is').selectOption({ label: 'portable, on couplers' });
  await page.getByLabel('In use so far').fill('12');
  await page.getByLabel('Just now').selectOption({ label: 'away, a jumper hose in its place' });
  await expect(page.getByText('its hours stand still')).toBeVisible();
  await expect(dew).not.toHaveText(dried as string);
  await page.getByLabel('Just now').selectOption({ label: 'in its place' });
  await page.getByLabel('Downstream of').selectOption({ label: 'the tee of Branch 1' });
  await expect(page.getByRole('list', { name: 'Branch 1' }).locator('[data-stage]').first()).toHaveText(/Wall unit/);
  await expect(page.getByLabel('In use so far')).toHaveValue('12');
  await expectSaved(page);
  await page.reload();
  await expect(page.getByRole('list', { name: 'Branch 1' }).locator('[data-stage]')).toHaveText([
    /Wall unit/,
    /outlet/,
  ]);
  await page.getByRole('button', { name: 'Split the unit' }).click();
  await expect(page.getByRole('list', { name: 'Branch 1' }).locator('[data-stage]')).toHaveCount(5);
});

test('forty stages and twelve branches are worked with: what is chosen comes into view, with its editor beside its run', async ({
  page,
  request,
}) => {
  const plan = fortyStages();
  const id = crypto.randomUUID();
  expect((await request.post('/api/plans', { data: { id, plan } })).ok()).toBe(true);
  await page.goto(`/lines/${id}/line`);
  await expect(page.locator('[data-stage]')).toHaveCount(40);
  const far = page.locator('[data-stage="k6"]'); // stands far to the right, under the end of the main run
  await expect(far).not.toBeInViewport({ ratio: 0.5 });
  await page
    .getByRole('button', { name: /^Branch 7 outlet/ })
    .last()
    .click();
  const chosen = page.locator('[data-stage="o6"]');
  await expect(chosen).toBeVisible();
  const [card, editor] = [
    await chosen.boundingBox(),
    await page.getByRole('region', { name: 'Branch 7 outlet, Outlet' }).boundingBox(),
  ];
  expect((card?.x ?? 9999) + (card?.width ?? 0)).toBeLessThan(1280);
  expect((editor?.y ?? 9999) - (card?.y ?? 0)).toBeLessThan(200);
  await page.keyboard.press('ArrowUp');
  await expect(page.getByRole('region', { name: 'Branch 6 outlet, Outlet' })).toBeVisible();
  await page.getByRole('button', { name: 'Branch 7 open lanes' }).click();
  await expect(page.getByRole('region', { name: 'Water ledger, Branch 7' })).toBeVisible();
});

test('a closed unit is dragged with the mouse to another run, as one', async ({ page }) => {
  await buildOwnLine(page);
  await page.locator('[data-stage]', { hasText: 'Receiver' }).click();
  await page.getByRole('button', { name: 'Add a branch downstream' }).click();
  await page.locator('[data-stage]', { hasText: 'Bowl filter' }).click();
  await page.getByRole('button', { name: 'Make a unit with the next stage' }).click();
  const unit = page.locator('[data-stage]', { hasText: 'Unit 1' });
  const onto = page.locator('[data-stage]', { hasText: 'Branch 1 outlet' });
  await unit.scrollIntoViewIfNeeded();
  const [from, to] = [await unit.boundingBox(), await onto.boundingBox()];
  if (!from || !to) throw new Error('nothing to drag');
  await page.mouse.move(from.x + from.width / 2, from.y + 30);
  await page.mouse.down();
  await page.mouse.move(from.x + from.width / 2 + 12, from.y + 40, { steps: 4 });
  await page.mouse.move(to.x + to.width / 2, to.y + 30, { steps: 12 });
  await page.mouse.up();
  await expect(page.getByRole('list', { name: 'Branch 1' }).locator('[data-stage]')).toHaveText([/Unit 1/, /outlet/]);
  await page.keyboard.press('Control+z');
  await expect(
    page.getByRole('list', { name: 'Main run' }).locator('[data-stage]', { hasText: 'Unit 1' }),
  ).toBeVisible();
});
