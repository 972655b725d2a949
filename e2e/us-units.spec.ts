import { US_CUSTOMARY } from '../core/quantity/units';
import { PAGES } from './pages';
import { expect, settled, test } from './test';

/** A number with a unit that a reader of US customary units does not use. Everybody has watts, grades of filters in µm and oil in mg/m³. */
const METRIC =
  /\d\s?(?:°C|K|m?bar|[kM]?Pa|hPa|m³(?:\/(?:s|min|h))?|L\/(?:s|min)|mL|L|m?g\/m³|k?g(?:\/h)?|[mc]?m|m²|m\/s)(?![\w³²/·])/g;
const ALSO_US = /\d\s?mg\/m³$/;

test('no page shows a metric number in US customary units', async ({ page, context, baseURL }) => {
  test.setTimeout(240_000); // many pages
  const value = encodeURIComponent(JSON.stringify(US_CUSTOMARY));
  await context.addCookies([{ name: 'units', value, url: baseURL as string }]);
  const found: string[] = [];
  for (const address of PAGES) {
    await page.goto(address);
    await settled(page);
    await page.evaluate(() => {
      for (const details of document.querySelectorAll('details')) details.open = true;
      // What one chooses between is no sentence of the program.
      for (const choice of document.querySelectorAll('select, [role=radiogroup]')) choice.remove();
    });
    // biome-ignore lint/performance/useDomNodeTextContent: what shows, line by line
    const lines = (await page.locator('main').innerText()).split('\n');
    for (const line of lines)
      for (const [metric] of line.matchAll(METRIC))
        if (!ALSO_US.test(metric)) found.push(`${address}: ${metric} in “${line.slice(0, 120)}”`);
  }
  expect(found).toEqual([]);
});
