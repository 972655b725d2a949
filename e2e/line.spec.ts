import { buildOwnLine, DEMO, expectSaved, figure } from './own-line';
import { expect, type Page, test } from './test';

const cards = '[data-stage]';

/** The names on the cards, without the mark of advice that may stand beside one. */
const cardNames = async (page: Page): Promise<string[]> =>
  (await page.locator(cards).allInnerTexts()).map((text) => text.split('\n')[0] as string);

test('add, edit, move, take out, undo and redo; the section moves as one types; a reload loses nothing', async ({
  page,
}) => {
  await buildOwnLine(page);
  const names = () => cardNames(page);
  const before = await names();
  await page.keyboard.press('a');
  await page.getByRole('button', { name: /^Coalescing filter/ }).click();
  await expect(page.locator(cards)).toHaveCount(before.length + 1);
  expect((await names())[2]).toBe('Coalescing filter');
  await page.keyboard.press(']');
  await expect.poll(names).toEqual(expect.arrayContaining(['Coalescing filter']));
  expect((await names())[3]).toBe('Coalescing filter');

  await page.locator(cards, { hasText: 'Aftercooler' }).click();
  const airAfter = figure(page, 'Air after Aftercooler');
  await expect(airAfter).toHaveText('37.0');
  await page.getByLabel('Approach to the air it draws', { exact: true }).fill('36 F');
  await expect(airAfter).toHaveText('47.0');
  await expectSaved(page);
  await page.keyboard.press('Escape');
  await page.getByRole('heading', { name: 'Main line' }).click();
  await page.keyboard.press('Control+z');
  await expect(airAfter).toHaveText('37.0');
  await expect(page.getByLabel('Approach to the air it draws', { exact: true })).toHaveValue('10');
  await page.keyboard.press('Control+Shift+z');
  await expect(airAfter).toHaveText('47.0');

  await page.locator(cards, { hasText: 'Coalescing filter' }).click();
  await page.getByRole('button', { name: 'Remove', exact: true }).click();
  await expect(page.locator(cards)).toHaveCount(before.length);
  await expectSaved(page);
  await page.reload();
  await expect(page.locator(cards)).toHaveCount(before.length);
  await expect(airAfter).toHaveText('47.0');
});

test('stages are dragged with the mouse, and lifted with the space bar', async ({ page }) => {
  await buildOwnLine(page);
  const order = () => cardNames(page);
  const from = page.locator(cards, { hasText: 'Bowl filter' });
  const to = page.locator(cards, { hasText: 'Separator' });
  await from.hover();
  await page.mouse.down();
  const box = await to.boundingBox();
  await page.mouse.move((box?.x ?? 0) + 20, (box?.y ?? 0) + 30, { steps: 12 });
  await page.mouse.up();
  await expect.poll(async () => (await order()).indexOf('Bowl filter')).toBe(3);
  await page.locator(cards, { hasText: 'Bowl filter' }).focus();
  await page.keyboard.press('Space');
  await expect(page.getByText('Bowl filter is over place 4 of 9.')).toBeAttached();
  // What is lifted listens for keys a moment after it says so.
  await expect(async () => {
    await page.keyboard.press('ArrowRight');
    await expect(page.getByText('Bowl filter is over place 5 of 9.')).toBeAttached({ timeout: 300 });
  }).toPass();
  await page.keyboard.press('Space');
  await expect.poll(async () => (await order()).indexOf('Bowl filter')).toBe(4);
});

test('an outlet colder than the cooling air is refused at the field with its usual causes, and changes nothing', async ({
  page,
}) => {
  await buildOwnLine(page);
  await page.locator(cards, { hasText: 'Aftercooler' }).click();
  await page.getByLabel('Outlet temperature').selectOption('measured');
  const field = page.getByLabel('Measured after the cooler', { exact: true });
  await field.fill('20');
  await expect(page.locator('#main').getByRole('alert')).toContainText('emissivity');
  await expect(field).toHaveAttribute('aria-invalid', 'true');
  await expect(figure(page, 'Air after Aftercooler')).toHaveText('37.0');
  await field.fill('95 F');
  await expect(page.locator('#main').getByRole('alert')).toHaveCount(0);
  await expect(figure(page, 'Air after Aftercooler')).toHaveText('35.0');
});

test('every kind of wrong number gets a message at its field', async ({ page }) => {
  await buildOwnLine(page);
  await page.locator(cards, { hasText: 'Receiver' }).click();
  const volume = page.getByLabel('Volume', { exact: true });
  const alert = page.locator('#main').getByRole('alert');
  for (const [typed, message] of [
    ['-80 gal', 'is not possible here. Allowed'],
    ['a lot', 'is not a number'],
    ['60 cfm', 'is not a unit of volume'],
    ['1,234', 'can be read as 1234 or as 1.234'],
    ['', 'Type a volume'],
  ] as const) {
    await volume.fill(typed);
    await expect(alert).toContainText(message);
  }
  await page.locator(cards, { hasText: 'Compressor' }).click();
  await page.getByLabel('Cuts in at', { exact: true }).fill('-2 bar');
  await expect(alert).toContainText('below a perfect vacuum');
  await expect(page.getByTestId('save-status')).toHaveText('A field is not read');
  await page.reload();
  await page.locator(cards, { hasText: 'Receiver' }).click();
  await expect(page.getByLabel('Volume', { exact: true })).toHaveValue('230');
});

test('a timed pump-up tells what the compressor delivers, and says when its readings cannot be', async ({ page }) => {
  await buildOwnLine(page);
  await page.locator('[data-stage]', { hasText: 'Compressor' }).click();
  await page.getByText('What does it really deliver?').click();
  await page.getByLabel('Receiver and pipe').fill('80 gal');
  await page.getByLabel('Pressure at the start').fill('90 psi');
  await page.getByLabel('Pressure at the end').fill('150 psi');
  await page.getByLabel('Time it took').fill('75');
  await page.getByLabel('Air drawn in').fill('20 C');
  await page.getByLabel('Tank at the end').fill('20 C');
  // 34.9 cfm, at 14.7 psi, trade handbook, computed: 0.988 m³/min; 0.989 at 1013.25 hPa.
  await expect(page.getByText(/^It delivers/)).toContainText('0.989 m³/min');
  await page.getByLabel('Pressure at the end').fill('80 psi');
  await expect(page.getByText('The pressure must rise during the test.')).toBeVisible();
  await page.getByLabel('Pressure at the end').fill('150 psi');
  await page.getByRole('button', { name: 'Use it' }).click();
  await expect(page.getByLabel('Free air delivery', { exact: true })).toHaveValue('0.9891');
});

test('a stage is found by what people call it', async ({ page }) => {
  await buildOwnLine(page);
  await page.keyboard.press('a');
  const search = page.getByLabel('Find a stage by any name');
  await search.fill('perpetuum mobile');
  await expect(page.getByText('No kind has that name.')).toBeVisible();
  await search.fill('pig tail');
  await search.press('Enter');
  await expect(page.locator('[data-stage]', { hasText: 'Cooling run' })).toBeVisible();
  await expect(page.getByLabel('Low points or drip legs along it', { exact: true })).toHaveValue('3');
  await page.getByLabel('Low points or drip legs along it', { exact: true }).fill('300');
  await expect(page.getByText('Type a number from 0 to 30.')).toBeVisible();
});

test('the purity stands downstream of each stage, digit by digit: a “3 °C” dryer whose drops evaporate again is class 5', async ({
  page,
}) => {
  await page.goto(`${DEMO}/line`);
  for (const [stage, is] of [
    ['Finned cooler', '7:X:X'],
    ['Chilled dryer', '2:5:4'],
    ['Loft regulator', '2:4:4'],
  ])
    await expect(figure(page, `Purity after ${stage}:`)).toHaveText(is as string);
  await figure(page, 'Purity after Loft regulator').click();
  const why = page.getByLabel('Why this figure');
  await expect(why).toContainText('coalescer 1 µm');
  await expect(why).toContainText('ISO 8573-1');
});

test('any figure answers “why?”, from the keyboard too', async ({ page }) => {
  await page.goto(`${DEMO}/line`);
  await figure(page, 'Caught at Cyclone').focus();
  await page.keyboard.press('?');
  const why = page.getByRole('dialog', { name: 'Why this figure' });
  await expect(why).toContainText('drops at this stage · share caught');
  await expect(why).toContainText('Source: water balance');
  await expect(why).toContainText('95 %');
  await page.keyboard.press('Escape');
  await expect(why).toHaveCount(0);
  // A number is not as high as a finger is wide: a touch next to it is meant for it.
  const box = await figure(page, 'Caught at Cyclone').boundingBox();
  await page.mouse.click((box?.x ?? 0) + (box?.width ?? 0) / 2, (box?.y ?? 0) - 3);
  await expect(why).toContainText('drops at this stage');
  await page.keyboard.press('Escape');
  await page.getByRole('heading', { level: 1 }).click();
  await page.keyboard.press('?');
  await expect(page.getByRole('dialog', { name: 'Keys' })).toBeVisible();
});

test('a number says where it comes from, and keeps what one says of it', async ({ page }) => {
  await buildOwnLine(page);
  await page.locator('[data-stage]', { hasText: 'Aftercooler' }).click();
  const from = page.getByLabel('Where it comes from: Approach to the air it draws');
  await expect(from).toHaveValue('typical');
  await page.getByLabel('Approach to the air it draws', { exact: true }).fill('14');
  await expect(from).toHaveValue('assumed');
  await from.selectOption('measured');
  await expectSaved(page);
  await page.reload();
  await expect(from).toHaveValue('measured');
});

test('drag the humidity, and the whole section moves', async ({ page }) => {
  await buildOwnLine(page);
  const caught = figure(page, 'Caught at Separator');
  const before = Number(await caught.textContent());
  await page.getByRole('button', { name: /At the intake/ }).click();
  await page.getByRole('slider', { name: 'Relative humidity' }).focus();
  for (let i = 0; i < 2; i++) await page.keyboard.press('PageUp'); // ten steps each; together one step of undo
  await expect.poll(async () => Number(await caught.textContent())).toBeGreaterThan(before * 1.2);
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(caught).toHaveText(String(before));
});

test('US customary units, everywhere and remembered', async ({ page }) => {
  await buildOwnLine(page);
  await page.getByRole('button', { name: 'Units' }).click();
  await page.getByRole('button', { name: 'US customary' }).click();
  await page.keyboard.press('Escape');
  await expect(figure(page, 'Air after Aftercooler')).toHaveText('98.6');
  await page.reload();
  await expect(figure(page, 'Air after Aftercooler')).toHaveText('98.6');
  await expect(page.getByText('lb/h while loaded')).toBeVisible();
});
