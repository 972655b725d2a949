import { US_CUSTOMARY } from '../core/quantity/units';
import { PAGES } from './pages';
import { expect, settled, test } from './test';

/** A number with a unit that a reader of US customary units does not use. Everybody has watts, grades of filters in µm and oil in mg/m³. */
const METRIC =
  /\d\s?(?:°C|K|m?bar|[kM]?Pa|hPa|m³(?:\/(?:s|min|h))?|L\/(?:s|min)|mL|L|m?g\/m³|k?g(?:\/h)?|[mc]?m|m²|m\/s)(?![\w³²/·])/g;
const ALSO_US = /\d\s?mg\/m³$/;
/** Tube is called by its outside diameter, everywhere. */
const TRADE_NAME = /\d+ mm (?:tube|outside|compression fitting|push-in fitting|grip fitting|brazed)/g;

test('no page shows a metric number in US customary units', async ({ page, context, baseURL }) => {
  test.setTimeout(480_000); // many pages
  const value = encodeURIComponent(JSON.stringify(US_CUSTOMARY));
  await context.addCookies([{ name: 'units', value, url: baseURL as string }]);
  const found: string[] = [];
  for (const address of PAGES) {
    await page.goto(address);
    await settled(page);
    await page.evaluate(() => {
      for (const details of document.querySelectorAll('details')) details.open = true;
      // What one chooses between is no sentence of the program.
      const hidden = new CSSStyleSheet();
      hidden.replaceSync('select, [role=radiogroup] { display: none !important }');
      document.adoptedStyleSheets = [hidden];
    });
    // biome-ignore lint/performance/useDomNodeTextContent: what shows, line by line
    const lines = (await page.locator('main').innerText()).split('\n');
    for (const line of lines)
      for (const [metric] of line.replaceAll(TRADE_NAME, 'tube').matchAll(METRIC))
        if (!ALSO_US.test(metric)) found.push(`${address}: ${metric} in “${line.slice(0, 120)}”`);
  }
  expect(found).toEqual([]);
});

test('with a decimal comma figures are shown and typed with it', async ({ page }) => {
  await page.goto('/settings');
  await page.getByRole('region', { name: 'Units and numbers' }).getByLabel('Decimals').selectOption('comma');
  await page.goto('/');
  await expect(page.getByLabel('Free air delivery')).toHaveValue('0,45');
  const intake = page.getByLabel('Air at the intake');
  await intake.fill('1.234');
  await expect(page.getByText('can be read as 1234 or as 1,234')).toBeVisible();
  await intake.fill('27,25');
  await page.getByRole('button', { name: 'Build my line' }).click();
  await page.waitForURL(/\/line$/);
  await page.goto(page.url().replace(/line$/, 'survey'));
  await expect(page.locator('input[value="27,25"]').first()).toBeVisible();
  await expect(page.locator('#main')).toContainText(/\d,\d+ L/);
  await expect(page.locator('#main')).not.toContainText(/\d\.\d/);
});

test('a browser that is set to a language with a comma begins with one', async ({ browser, baseURL }) => {
  const context = await browser.newContext({ baseURL: baseURL as string, locale: 'de-DE' });
  const page = await context.newPage();
  await page.goto('/');
  await expect(page.getByLabel('Free air delivery')).toHaveValue('0,45');
  await context.close();
});
