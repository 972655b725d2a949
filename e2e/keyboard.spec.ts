import { buildOwnLine, DEMO } from './own-line';
import { PAGES } from './pages';
import { expect, type Page, settled, test } from './test';

test('letters go nowhere from a control, and can be switched off', async ({ page }) => {
  const line = await buildOwnLine(page);
  const at = new RegExp(`${line}/survey$`);
  await page.goto(`${line}/survey`);
  await settled(page);
  for (const control of [
    page.getByRole('button', { name: /^Units/ }),
    page.getByRole('link', { name: 'Settings' }),
    page.getByRole('button', { name: 'Light or dark' }),
  ]) {
    await control.focus();
    await page.keyboard.press('t');
    await page.keyboard.press('d');
    expect(page.url()).toMatch(at);
  }
  await page.locator('main').click({ position: { x: 5, y: 5 } });
  await page.keyboard.press('t');
  await page.waitForURL(/\/today$/);
  // From a link of the menu the next letter goes on: the focus is at the content by then.
  await page.getByRole('link', { name: 'Survey', exact: true }).click();
  await page.waitForURL(at);
  await settled(page);
  await page.keyboard.press('?');
  const keys = page.getByRole('dialog', { name: 'Keys' });
  await keys.getByLabel(/^Single letters/).uncheck();
  await page.keyboard.press('Escape');
  await expect(keys).toHaveCount(0);
  await page.locator('main').click({ position: { x: 5, y: 5 } });
  for (const key of ['t', 'd', 'a', '?']) await page.keyboard.press(key);
  await page.keyboard.press('Control+k');
  await expect(page.getByRole('dialog', { name: 'Find or do' })).toBeVisible();
  expect(page.url()).toMatch(at);
  await page.goto('/settings');
  await settled(page);
  await page.getByLabel(/^Single letters/).check();
  await page.goto(`${line}/survey`);
  await settled(page);
  await page.keyboard.press('t');
  await page.waitForURL(/\/today$/);
});

test('a value that is half entered on a round takes letters for no places, and is there after leaving', async ({
  page,
}) => {
  await page.goto(`${DEMO}/rounds/go?at=receiver`);
  await settled(page);
  const number = page.getByRole('textbox', { name: 'Came out' });
  await expect(page.getByRole('heading', { level: 1 })).toBeFocused();
  for (const key of ['4', '2', 'b']) await page.keyboard.press(key);
  await expect(page).toHaveURL(/\/go\?at=receiver$/);
  await expect(number).toHaveValue('42b');
  await page.keyboard.press('Backspace');
  await page.getByRole('link', { name: 'Leave' }).click();
  await page.waitForURL(/\/today/);
  await page.goBack();
  await settled(page);
  await expect(number).toHaveValue('42');
});

test('the section is one stop of the tab key, and arrows lead along its stages and down to its figures', async ({
  page,
}) => {
  await page.goto(`${DEMO}/line?stage=aftercooler`);
  await settled(page);
  const section = page.getByRole('region', { name: 'Section of the line' }).locator('[data-keys]');
  const stops = section.locator('button, [data-figure], [tabindex]').and(page.locator(':not([tabindex="-1"])'));
  await expect(stops).toHaveCount(1);
  await stops.focus();
  await expect(page.locator('[data-stage=aftercooler]')).toBeFocused();
  await page.keyboard.press('ArrowRight');
  await expect(page).toHaveURL(/stage=separator/);
  await expect(page.locator('[data-stage=separator]')).toBeFocused();
  await expect(stops).toHaveAttribute('data-stage', 'separator');
  for (const key of ['Control+k', '?']) {
    await page.keyboard.press(key);
    await expect(page.getByRole('dialog', { name: key === '?' ? 'Keys' : 'Find or do' })).toBeVisible();
    await page.keyboard.press('Escape');
    await expect(page.locator('[data-stage=separator]')).toBeFocused();
  }
  await page.keyboard.press('ArrowDown');
  const figure = section.locator('[data-figure]:focus');
  await expect(figure).toHaveAttribute('aria-label', /^(Air|Pressure dew point) after .+: [\d.]+ °[CF]$/);
  await page.keyboard.press('ArrowDown');
  await expect(figure).toHaveAttribute('aria-label', /^Pressure after .+: [\d.]+ (psi|bar)/);
  await page.keyboard.press('Enter');
  await expect(page.getByRole('dialog', { name: 'Why this figure' })).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(figure).toHaveCount(1);
  await page.keyboard.press('Tab');
  await expect(section.locator(':focus')).toHaveCount(0);
});

test('what is applied, set aside or removed is said, and the focus goes to what is next to it', async ({ page }) => {
  const line = await buildOwnLine(page);
  const said = page.locator('[data-said]');
  const focused = page.locator('#main :focus');
  await page.locator('[data-stage]', { hasText: 'Separator' }).click();
  const remove = page.getByRole('button', { name: 'Remove', exact: true });
  await remove.focus();
  await page.keyboard.press('Enter');
  await expect(said).toContainText('Removed Separator');
  await expect(focused).toHaveCount(1);
  await page.goto(`${line}/advice`);
  await settled(page);
  const items = page.locator('#main li');
  const before = await items.count();
  await page.getByRole('button', { name: 'Dismiss…' }).first().focus();
  await page.keyboard.press('Enter');
  await expect(page.getByLabel('Why it does not apply here')).toBeFocused();
  await page.keyboard.type('Measured: it is not so here.');
  await page.keyboard.press('Enter');
  await expect(focused).toHaveCount(1);
  await expect(said).toContainText('set aside');
  expect(await items.count()).toBeLessThanOrEqual(before);
});

/** Notes each place that gets the focus, and those that lie under something else when it has come. */
function watchFocus(): void {
  const seen = (at: Element): boolean => {
    const box = at.getBoundingClientRect();
    if (box.width < 2 || box.height < 2) return true; // for screen readers only
    const points = [0.1, 0.5, 0.9].flatMap((x) =>
      [0.1, 0.5, 0.9].map((y) => [box.left + box.width * x, box.top + box.height * y] as const),
    );
    return points.some(([x, y]) => {
      const top = document.elementFromPoint(x, y);
      return top !== null && (at.contains(top) || top.contains(at) || top.closest('label')?.contains(at) === true);
    });
  };
  const noted = Object.assign(window, { stops: new Set<Element>(), hidden: [] as string[] });
  document.addEventListener('focusin', ({ target }) =>
    setTimeout(() => {
      if (!(target instanceof Element) || target !== document.activeElement) return;
      noted.stops.add(target);
      if (!seen(target)) noted.hidden.push(target.outerHTML.slice(0, 140));
    }),
  );
}

/** Tabs once through a page, forwards and backwards: what had the focus and was not seen. */
async function hiddenStops(page: Page): Promise<string[]> {
  await page.evaluate(watchFocus);
  const reached = () => page.evaluate(() => (window as unknown as { stops: Set<Element> }).stops.size);
  for (const key of ['Tab', 'Shift+Tab']) {
    await page.evaluate(() => {
      (window as unknown as { stops: Set<Element> }).stops.clear();
      (document.activeElement as HTMLElement | null)?.blur();
      window.scrollTo(0, 0);
    });
    for (let before = -1; before < (await reached()); ) {
      before = await reached();
      for (let n = 0; n < 8; n++) await page.keyboard.press(key);
    }
  }
  return page.evaluate(() => (window as unknown as { hidden: string[] }).hidden);
}

// On a phone every page has bars above and below; on a desk these have something that stays while the rest scrolls.
const STAYS = /survey|line\?stage|logbook$|beads|no-water|find\?/;
for (const [width, height, pages] of [
  [1280, 800, PAGES.filter((p) => STAYS.test(p))],
  [390, 844, PAGES],
] as const)
  test(`what has the focus is never hidden by a bar, forwards and backwards, at ${width} px`, async ({ page }) => {
    test.setTimeout(900_000);
    await page.setViewportSize({ width, height });
    const hidden: string[] = [];
    for (const address of pages) {
      await page.goto(address);
      await settled(page);
      for (const stop of await hiddenStops(page)) hidden.push(`${address} ${stop}`);
    }
    expect(hidden).toEqual([]);
  });
