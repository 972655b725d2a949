import { buildOwnLine, DEMO, logOf } from './own-line';
import { expect, settled, test } from './test';

test('a folded field that holds no value keeps the drain from being logged, and is shown', async ({ page }) => {
  const line = await buildOwnLine(page);
  await page.goto(`${line}/logbook`);
  await settled(page);
  const form = page.getByRole('form', { name: 'Log a drain' });
  await form.getByLabel('How much came out').fill('160');
  await form.getByText('clear', { exact: true }).click();
  await form.getByLabel('Who').fill('Mara');
  const fold = form.getByText('Hours, intake air, note');
  const temperature = form.getByLabel('Intake air');
  await fold.click();
  await temperature.fill('warm');
  await form.getByLabel('its humidity').fill('500');
  await fold.click();
  await expect(temperature).toBeHidden();
  await form.getByRole('button', { name: 'Log it' }).click();
  await expect(temperature).toBeFocused();
  await expect(form.getByText('“warm” is not a number')).toBeVisible();
  await temperature.fill('21');
  await form.getByRole('button', { name: 'Log it' }).click();
  await expect(form.getByLabel('its humidity')).toBeFocused();
  expect(await logOf(page, line)).toHaveLength(0);
  await form.getByLabel('its humidity').fill('50');
  await form.getByRole('button', { name: 'Log it' }).click();
  await expect.poll(async () => (await logOf(page, line)).length).toBe(1);
});

test('what the compressor delivers and what the cooler does are not worked out of fields without a value', async ({
  page,
}) => {
  const line = await buildOwnLine(page);
  await settled(page);
  for (const [stage, fold, field] of [
    ['Compressor', /^What does it really deliver/, 'Time it took'],
    ['Aftercooler', 'Effectiveness from three readings', 'Air out'],
  ] as const) {
    await page.goto(`${line}/line`);
    await settled(page);
    await page
      .getByRole('button', { name: new RegExp(`^${stage}`) })
      .first()
      .click();
    await page.getByText(fold).click();
    const use = page.getByRole('group').filter({ hasText: fold }).getByRole('button', { name: 'Use it' });
    await expect(use).toBeVisible();
    await page.getByLabel(field).fill('soon');
    await expect(use).toBeHidden();
    await expect(page.getByText(`Not worked out: ${field.toLowerCase()} not read.`)).toBeVisible();
    await expect(page.getByTestId('save-status')).toHaveText('A field is not read');
  }
});

test('an answer says that it is of before, as long as a field holds no value', async ({ page }) => {
  for (const [address, field] of [
    ['/dew-point', 'Wanted pressure'],
    ['/dryers', 'Pressure'],
    [`${DEMO}/fitting/leak-test`, 'Pressure at the end'],
    ['/planner', 'Cuts in at'],
  ] as const) {
    await page.goto(address);
    await settled(page);
    if (address === '/planner') {
      await page.getByRole('button', { name: 'Find the lines' }).click();
      await expect(page.getByRole('region', { name: 'Lines', exact: true })).toBeVisible({ timeout: 60_000 });
    }
    const note = page.getByRole('alert').filter({ hasText: 'Out of date' });
    const input = page.getByLabel(field, { exact: true }).first();
    await input.fill('much');
    await expect(note).toContainText(`“${field}” is not read`);
    await input.fill('7 bar');
    await expect(note).toHaveCount(0);
  }
});

test('a printed card has all the steps of the isolation, and nothing of them is in a fold', async ({ page }) => {
  await page.goto(`${DEMO}/rounds/cards`);
  await settled(page);
  await page.emulateMedia({ media: 'print' });
  const cards = page.getByRole('article').filter({ hasText: 'First: isolate, vent, verify zero energy' });
  await expect(cards.first()).toBeVisible();
  for (const step of [/^Inform the users/, /^Read zero on the gauge/, /^After the work: shut the vents/])
    for (const card of await cards.all()) await expect(card.getByText(step)).toBeVisible();
  await expect(page.getByRole('article').locator('details')).toHaveCount(0);
});
