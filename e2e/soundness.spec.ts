import AxeBuilder from '@axe-core/playwright';
import { DEMO } from './own-line';
import { PAGES } from './pages';
import { expect, settled, test } from './test';

const NAMES = { 'label-content-name-mismatch': { enabled: true } }; // not among the rules that axe runs by itself
for (const [colorScheme, width] of [
  ['light', 1280],
  ['dark', 390],
] as const)
  test(`every page meets WCAG 2.2 AA and best practice in the ${colorScheme} theme at ${width} px`, async ({
    page,
  }) => {
    test.setTimeout(900_000); // many pages, on a machine that may be slow
    await page.emulateMedia({ colorScheme });
    for (const address of PAGES) {
      await page.setViewportSize({ width, height: 844 });
      await page.goto(address);
      await settled(page);
      // The whole page at once, so that the bar of a phone lies over nothing.
      const height = await page.evaluate(() => document.documentElement.scrollHeight);
      await page.setViewportSize({ width, height });
      const { violations } = await new AxeBuilder({ page })
        .options({ rules: NAMES })
        .withTags(['wcag2a', 'wcag2aa', 'wcag21aa', 'wcag22aa', 'best-practice'])
        .analyze();
      expect(violations.map((v) => `${address} ${v.id}: ${v.nodes.map((n) => n.target).slice(0, 3)}`)).toEqual([]);
    }
  });

test('no page scrolls sideways on a phone, a desk or a wide screen, whatever is unfolded, and no script fails', async ({
  page,
}) => {
  test.setTimeout(900_000); // many pages, on a machine that may be slow
  const faults: string[] = [];
  page.on('pageerror', (e) => faults.push(e.message));
  page.on('console', (m) => m.type() === 'error' && faults.push(m.text()));
  page.on('request', (r) => new URL(r.url()).hostname !== '127.0.0.1' && faults.push(`request to ${r.url()}`));
  for (const address of PAGES) {
    await page.setViewportSize({ width: 390, height: 844 });
    await page.goto(address);
    await settled(page);
    for (const width of [390, 1280, 1920]) {
      await page.setViewportSize({ width, height: 844 });
      for (const folded of await page.locator('#main details:not([open]) > summary').all())
        if (await folded.isVisible()) await folded.click();
      await expect
        .poll(() => page.evaluate(() => document.documentElement.scrollWidth), { message: `${address} at ${width} px` })
        .toBeLessThanOrEqual(width);
    }
  }
  expect(faults).toEqual([]);
});

test('on a phone nothing lies over the bar of views', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  for (const view of ['survey', 'line', 'water', 'water/year', 'advice', 'today', 'rounds', 'logbook']) {
    await page.goto(`${DEMO}/${view}`);
    await settled(page);
    const covered = await page.getByRole('navigation', { name: 'Views' }).evaluate((bar) =>
      [...bar.querySelectorAll('a')]
        .filter((link) => {
          if (link.offsetParent === null) return false; // not in the bar of a phone
          const { left, top, width, height } = link.getBoundingClientRect();
          return !link.contains(document.elementFromPoint(left + width / 2, top + height / 2));
        })
        .map((link) => link.textContent),
    );
    expect(covered, view).toEqual([]);
  }
});
