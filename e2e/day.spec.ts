import { buildOwnLine, expectSaved } from './own-line';
import { expect, test } from './test';

test('a day of the compressor is played, scrubbed, judged, and put right', async ({ page }) => {
  await buildOwnLine(page);
  await page.keyboard.press('d');
  await expect(page.getByRole('heading', { name: 'Compressor cycle' })).toBeVisible();
  const remarks = page.getByRole('list', { name: 'Findings' });
  const moment = page.getByRole('region', { name: 'At this time' });
  await expect(moment).toContainText('bar');

  // Scrubbed by keyboard, and played.
  const slider = page.getByRole('slider', { name: 'Time of day' });
  await slider.focus();
  const before = await moment.textContent();
  await page.keyboard.press('PageUp');
  await expect(moment).not.toHaveText(before ?? '');
  await page.getByRole('button', { name: 'Play' }).click();
  const played = await moment.textContent();
  await expect(moment).not.toHaveText(played ?? '');
  await page.getByRole('button', { name: 'Pause' }).click();
  await page.getByRole('radio', { name: 'Hour' }).click();

  // A band the wrong way round is refused at the field, and the day stays.
  await page.getByLabel('Cuts in at', { exact: true }).fill('12 bar');
  await expect(page.locator('#main').getByRole('alert')).toContainText('Are the two swapped?');
  await page.getByLabel('Cuts in at', { exact: true }).fill('6.5 bar');

  // A motor that bears one start an hour is named; allowed more, it is not.
  await page.getByLabel('Starts in an hour, at most', { exact: true }).fill('1.5');
  await expect(page.locator('#main').getByRole('alert')).toContainText('whole number');
  await page.getByLabel('Starts in an hour, at most', { exact: true }).fill('1');
  await expect(remarks).toContainText('its motor allows 1.');
  await page.getByLabel('Starts in an hour, at most', { exact: true }).fill('120');
  await expect(page.locator('#main')).not.toContainText('its motor allows');

  // A break, a long blast, a line depressurised.
  await page.getByLabel('Busy from 12 to 13').fill('0');
  await page.getByLabel('After work the line').selectOption('is depressurised');
  await expect(page.getByText('After work')).toBeVisible();
  await expectSaved(page);
  await page.reload();
  await expect(page.getByLabel('Busy from 12 to 13')).toHaveValue('0');
  await expect(page.getByLabel('After work the line')).toHaveValue('depressurised');
});
