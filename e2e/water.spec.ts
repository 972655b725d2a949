import { buildOwnLine, DEMO, expectSaved } from './own-line';
import { expect, nowMs, type Page, test } from './test';

/** A year of hourly rows, with a missing hour, fog over 100 % and a reading that is none. */
function csvYear(): string {
  const rows = ['timestamp;Temperatur °C;rel. Feuchte %'];
  for (let h = 0; h < 8760; h++) {
    const at = new Date(Date.UTC(2025, 0, 1) + h * 3_600_000).toISOString().slice(0, 16).replace('T', ' ');
    const c = 12 - 10 * Math.cos((2 * Math.PI * h) / 8760);
    if (h === 2000) continue;
    const rh = h === 3000 ? '104' : h === 4000 ? '870' : '75,5';
    rows.push(`${at};${c.toFixed(1).replace('.', ',')};${rh}`);
  }
  return rows.join('\n');
}
const fileOf = (name: string, text: string) => ({ name, mimeType: 'text/csv', buffer: Buffer.from(text) });
const choose = (page: Page, name: string, text: string) =>
  page.getByLabel('Import EPW or CSV…').setInputFiles(fileOf(name, text));

test('a newcomer sets a drain for today, fits a better one, and takes it back', async ({ page }) => {
  await buildOwnLine(page);
  await page.keyboard.press('r');
  await expect(page.getByRole('heading', { name: 'Water', exact: true })).toBeVisible();
  await page.getByRole('button', { name: 'Receiver', exact: true }).click();
  const detail = page.getByRole('region', { name: 'Receiver today' });
  await expect(detail).toContainText('Full to the mark in');
  const before = await detail.getByText('after 9 h of work').textContent();
  await detail.getByRole('slider', { name: 'Hours of work since it was drained' }).focus();
  await page.keyboard.press('PageUp');
  await expect(detail.getByText(/after \d+ h of work/)).not.toHaveText(before ?? '');

  const ways = page.getByRole('region', { name: 'Ways to drain Receiver' });
  await ways.getByRole('button', { name: /^Use this drain.*timed solenoid/ }).click();
  const row = page.getByRole('row').filter({ hasText: 'Receiver' });
  await expect(row).toContainText('timed solenoid');
  await expect(row).toContainText('of air on average');
  // No power at the spot: a solenoid cannot be.
  await ways.getByLabel('Mains power at the spot').selectOption('no');
  await expect(ways.getByText('unsuitable here')).toBeVisible();
  await page.getByRole('heading', { level: 1 }).click();
  await page.keyboard.press('Control+z');
  await page.keyboard.press('Control+z');
  await expect(row).toContainText('by hand');
});

test('weather is imported with what was corrected, kept, and used; a file that is none leaves all as it was', async ({
  page,
}) => {
  await buildOwnLine(page);
  await page.keyboard.press('r');
  await page.getByRole('link', { name: 'Weather', exact: true }).click();
  await expect(page.getByRole('radio', { name: /Merrow Delta/ })).not.toBeChecked();

  await choose(page, 'wind.csv', 'time,wind\n2025-01-01 00:00,3\n');
  await expect(page.locator('#main').getByRole('alert').first()).toContainText(
    'No column is named for the temperature',
  );
  await choose(page, 'half.csv', csvYear().split('\n').slice(0, 5000).join('\n'));
  await expect(page.locator('#main').getByRole('alert').first()).toContainText(
    'of the 8760 hours of a year are missing',
  );
  await choose(page, 'bytes.csv', '\u0000\u0001\u0002');
  await expect(page.locator('#main').getByRole('alert').first()).toContainText('Nothing was changed');

  await choose(page, 'Harbour 2025.csv', csvYear());
  const importing = page.getByRole('region', { name: 'Import a year' });
  await expect(importing).toContainText('8759 rows; 2 hours filled, 1 row dropped, 1 value corrected');
  await expect(importing).toContainText('row 4001: 870 % is no humidity');
  await importing.getByRole('button', { name: 'Keep it and use it here' }).click();
  await expect(page.getByRole('radio', { name: 'Harbour 2025' })).toBeChecked();
  await expectSaved(page);
  await page.getByRole('navigation', { name: 'Water' }).getByRole('link', { name: 'Today', exact: true }).click();
  await expect(page.getByRole('columnheader', { name: 'Wettest' })).toBeVisible();

  // In use it cannot go; left, it can.
  await page.getByRole('link', { name: 'Weather', exact: true }).click();
  await page.getByRole('radio', { name: /Kestrin/ }).check();
  await expect(async () => {
    await page.getByRole('button', { name: 'Remove Harbour 2025' }).click(); // refused until the choice is saved
    await expect(page.getByRole('radio', { name: 'Harbour 2025' })).toHaveCount(0, { timeout: 500 });
  }).toPass();
});

test('columns that do not tell their unit are asked about, once', async ({ page }) => {
  await page.goto(`${DEMO}/water/weather`);
  const rows = Array.from({ length: 8760 }, (_, h) => {
    const d = new Date(Date.UTC(2025, 0, 1) + h * 3_600_000);
    return `${d.toISOString().slice(0, 16)},${(50 + (h % 24) / 10).toFixed(1)},60`;
  });
  await choose(page, 'plain.csv', ['time,temp,rh', ...rows].join('\n'));
  const asks = page.getByLabel(/“temp”, 50.0 in its first row, is in/);
  await asks.selectOption('F');
  await page.getByRole('button', { name: 'Go on' }).click();
  await expect(page.getByText('8760 rows, nothing to correct').last()).toBeVisible();
  await page.getByRole('button', { name: 'Leave it' }).click();
  await expect(page.getByRole('radio', { name: /Merrow Delta/ })).toBeChecked();
});

test('the year: an hour is chosen by keyboard and the Line shows it; the approach re-runs it', async ({ page }) => {
  await page.goto(`${DEMO}/water/year`);
  const headline = page.getByText(/L a year/).first();
  await expect(headline).toBeVisible();
  const before = await headline.textContent();
  await page.getByRole('slider', { name: /^Approach of/ }).focus();
  for (let i = 0; i < 8; i++) await page.keyboard.press('ArrowRight');
  await expect(headline).not.toHaveText(before ?? '');
  for (let i = 0; i < 8; i++) await page.keyboard.press('ArrowLeft');
  await expect(headline).toHaveText(before ?? '');

  await page.getByLabel('Shown').selectOption({ label: 'Pressure dew point downstream of Pallet-valve bench' });
  await expect(page.getByRole('region', { name: 'Duration' })).toContainText('35 h a year');
  await page.getByLabel('Shown').selectOption({ label: 'Receiver' });
  const map = page.getByRole('slider', { name: /hour by hour/ });
  await map.focus();
  await page.keyboard.press('ArrowLeft');
  await expect(map).toHaveAttribute('aria-valuetext', /g\/h/);
  await page.keyboard.press('Enter');
  await expect(page).toHaveURL(/hour=\d+/);
  await expect(page.getByText('of its year: pump room')).toBeVisible();
  await page.getByRole('button', { name: 'an hour on' }).click();
  await page.getByRole('button', { name: 'Back to today' }).click();
  await expect(page).not.toHaveURL(/hour=/);
  await expect(page.getByText('of its year')).toHaveCount(0);
});

test('tables come as CSV, with every hour', async ({ page }) => {
  await page.goto(`${DEMO}/water/year`);
  const hours = page.getByRole('region', { name: 'Hour by hour' });
  await hours.getByText('Table').click();
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    hours.getByRole('button', { name: /^CSV/ }).click(),
  ]);
  expect(download.suggestedFilename()).toBe('all-drains.csv');
  const stream = await download.createReadStream();
  let text = '';
  for await (const chunk of stream) text += chunk;
  expect(text.split('\r\n')).toHaveLength(8761);
  expect(text).toContain('Jul,16,13,');
});

test('this week: the service’s forecast names what to set before the humid day; one of one’s own replaces it', async ({
  page,
}) => {
  await page.goto(`${DEMO}/water/week`);
  await expect(page.getByLabel('Forecast for')).toBeVisible();
  await expect(page.getByRole('region', { name: 'Day by day' })).toContainText('Cyclone');
  const changes = page.getByRole('region', { name: 'What to change' });
  await expect(changes).toContainText(/Chilled dryer: open|Nothing: as the drains are set/);

  await page.getByText('Give a forecast of your own').click();
  const paste = page.getByLabel(/Or paste it/);
  await paste.fill('tomorrow it rains');
  await page.getByRole('button', { name: 'Read what was pasted' }).click();
  await expect(page.locator('#main').getByRole('alert')).toContainText('No column is named for the time');
  const today = Math.floor(nowMs() / 86_400_000) * 86_400_000;
  const rows = Array.from({ length: 60 }, (_, i) => {
    const at = new Date(today + i * 3 * 3_600_000).toISOString().slice(0, 16).replace('T', ' ');
    return `${at};${i > 20 ? '31,5' : '18,0'};${i > 20 ? 85 : 60}`;
  });
  await paste.fill(['time;temperature °C;humidity', ...rows].join('\n'));
  await page.getByRole('button', { name: 'Read what was pasted' }).click();
  await page.getByRole('button', { name: 'Use it' }).click();
  await expect(page.getByText('Forecast: your own')).toBeVisible();
  await page.reload();
  await expect(page.getByText('Forecast: your own')).toBeVisible();
  await page.getByRole('button', { name: 'Take the service’s' }).click();
  await expect(page.getByLabel('Forecast for')).toBeVisible();
});

test('a forecast service that is down is said, and the rest works', async ({ page }) => {
  await page.route('**/api/forecast?*', (route) =>
    route.fulfill({
      status: 503,
      json: { error: { code: 'service-down', message: 'The forecast service does not answer.' } },
    }),
  );
  await page.goto(`${DEMO}/water/week`);
  await expect(page.locator('#main').getByRole('alert').first()).toContainText('does not answer');
  await expect(page.getByText('Give a forecast of your own')).toBeVisible();
  await page.getByRole('link', { name: 'Year', exact: true }).click();
  await expect(page.getByText(/L a year/).first()).toBeVisible();
});

test('the drain plan is a sheet for each room, and winter names what freezes', async ({ page }) => {
  await page.goto('/lines/d0000000-0000-4000-8000-000000000002/water/plan');
  const sheets = page.getByRole('article');
  await expect(sheets.first()).toContainText('Cyclone 1');
  expect(await sheets.count()).toBeGreaterThan(1);
  await page.getByRole('link', { name: 'Winter', exact: true }).click();
  await expect(page.getByRole('region', { name: 'Move into the warm' })).toContainText('Cycling dryer');
});

test('a second shift over midnight and a holiday change the hours of the year', async ({ page }) => {
  const own = await buildOwnLine(page);
  await page.getByRole('link', { name: 'Survey', exact: true }).click();
  await page.getByRole('button', { name: 'Another shift' }).click();
  const shift = page.getByRole('group', { name: 'Shift 2' });
  await shift.getByLabel('From').fill('22:00');
  await shift.getByLabel('To').fill('04:00');
  await expect(shift).toContainText('It goes on after midnight.');
  const holidays = page.getByRole('region', { name: 'Holidays' });
  await holidays.getByRole('button', { name: 'Add' }).click();
  await expect(holidays.getByRole('alert')).toContainText('Say on which day it begins.');
  await holidays.getByLabel('First day').fill('2026-12-24');
  await holidays.getByLabel('Last day').fill('2026-12-26');
  await holidays.getByRole('button', { name: 'Add' }).click();
  await expect(holidays.getByRole('button', { name: /24 Dec to 26 Dec.*take away/ })).toBeVisible();
  await expectSaved(page);
  await page.goto(`${own}/survey`);
  await expect(page.getByRole('group', { name: 'Shift 2' }).getByLabel('To')).toHaveValue('04:00');
});
