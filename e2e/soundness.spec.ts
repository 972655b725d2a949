import AxeBuilder from '@axe-core/playwright';
import type { Plan } from '../core/plan/plan';
import { DEMO } from './own-line';
import { PAGES } from './pages';
import { expect, type Page, settled, test } from './test';

const NAMES = { 'label-content-name-mismatch': { enabled: true } }; // not among the rules that axe runs by itself
const TAGS = ['wcag2a', 'wcag2aa', 'wcag21aa', 'wcag22aa', 'best-practice'];
/** What axe finds wrong with the page as it stands. */
async function violations(page: Page, where: string): Promise<string[]> {
  const found = await new AxeBuilder({ page }).options({ rules: NAMES }).withTags(TAGS).analyze();
  return found.violations.map((v) => `${where} ${v.id}: ${v.nodes.map((n) => n.target).slice(0, 3)}`);
}
/** What is clicked or touched within less than 24 px, and does not stand in a line of text (WCAG 2.2, 2.5.8). */
const smallTargets = (page: Page): Promise<string[]> =>
  page.evaluate(() => {
    const all = document.querySelectorAll('a[href], button, summary, select, textarea, input, [role=slider]');
    const small = [...all].filter((at) => {
      const box = (at.closest('label') ?? at).getBoundingClientRect();
      const reach = getComputedStyle(at, '::after'); // of what reaches beyond what is seen
      const [width, height] = (['width', 'height'] as const).map((of) =>
        Math.max(box[of], Number.parseFloat(reach[of]) || 0),
      ) as [number, number];
      const isInText = getComputedStyle(at).display === 'inline';
      return box.width > 2 && !isInText && (width < 23.5 || height < 23.5);
    });
    return small.map((at) => at.outerHTML.slice(0, 160));
  });
/** Opens all folds, and those in them. */
async function unfold(page: Page): Promise<void> {
  for (const _ of [1, 2]) {
    await page.evaluate(() => {
      for (const fold of document.querySelectorAll<HTMLDetailsElement>('#main details')) fold.open = true;
    });
    await settled(page);
  }
}

for (const [colorScheme, width] of [
  ['light', 1280],
  ['dark', 390],
] as const)
  test(`every page, its folds open, meets WCAG 2.2 AA and best practice in the ${colorScheme} theme at ${width} px`, async ({
    page,
  }) => {
    test.setTimeout(1_500_000); // many pages, on a machine that may be slow
    await page.emulateMedia({ colorScheme });
    for (const address of PAGES) {
      await page.setViewportSize({ width, height: 844 });
      await page.goto(address);
      await settled(page);
      await unfold(page);
      // The whole page at once, so that the bar of a phone lies over nothing.
      const height = await page.evaluate(() => document.documentElement.scrollHeight);
      await page.setViewportSize({ width, height });
      expect(await violations(page, address)).toEqual([]);
      expect(await smallTargets(page), address).toEqual([]);
      await expect(page.locator('svg[role=application]:not([aria-label])'), address).toHaveCount(0);
    }
  });

for (const colorScheme of ['light', 'dark'] as const)
  test(`every dialog meets WCAG 2.2 AA and best practice in the ${colorScheme} theme`, async ({ page }) => {
    await page.emulateMedia({ colorScheme });
    const line = `${DEMO}/line?stage=aftercooler`;
    const button = (name: string | RegExp) => page.getByRole('button', { name }).first();
    const dialogs: readonly (readonly [name: string | RegExp, address: string, open: () => Promise<void>])[] = [
      ['Find or do', line, () => page.keyboard.press('Control+k')],
      ['Keys', line, () => page.keyboard.press('?')],
      ['Units', line, () => button(/^Units/).click()],
      ['Add a stage', line, () => button(/^Add a stage/).click()],
      [/^Air of /, line, () => button(/RH/).click()],
      ['Why this figure', line, () => page.locator('[data-figure=pressure]').first().click()],
      ['Why this figure', `${DEMO}/survey`, () => page.locator('[title="Why?"]').first().click()],
    ];
    for (const [name, address, open] of dialogs) {
      await page.goto(address);
      await settled(page);
      await open();
      await expect(page.getByRole('dialog', { name })).toBeVisible();
      expect(await violations(page, String(name))).toEqual([]);
    }
  });

const LINES = ['d0000000-0000-4000-8000-000000000001', 'd0000000-0000-4000-8000-000000000002'];
/** Gives a line another plan; returns the one that it had. */
async function replacePlan(page: Page, id: string, change: (plan: Plan) => Plan): Promise<Plan> {
  const { plan, rowVersion } = await (await page.request.get(`/api/plans/${id}`)).json();
  const data = { writeId: crypto.randomUUID(), rowVersion, plan: change(plan) };
  expect((await page.request.put(`/api/plans/${id}`, { data })).status()).toBe(200);
  return plan;
}
/** As long as a name may be, in one word. */
const long = <T extends { readonly name: string }>(of: T): T => ({
  ...of,
  name: `${of.name}compressorhouseventilationductcondensateseparatorchamber`.replaceAll(' ', '').slice(0, 60),
});
const withLongNames = (plan: Plan): Plan => ({
  ...long(plan),
  survey: {
    ...plan.survey,
    shop: long({ name: plan.survey.shop }).name,
    places: plan.survey.places.map(long),
  },
  stages: plan.stages.map(long),
  branches: plan.branches.map((branch) => ({ ...branch, stages: branch.stages.map(long) })),
});

test('no page scrolls sideways at any width, whatever is unfolded and however long its names, and no script fails', async ({
  page,
}) => {
  test.setTimeout(1_500_000); // many pages, on a machine that may be slow
  const were = await Promise.all(LINES.map((id) => replacePlan(page, id, withLongNames)));
  const faults: string[] = [];
  page.on('pageerror', (e) => faults.push(e.message));
  page.on('console', (m) => m.type() === 'error' && faults.push(m.text()));
  page.on('request', (r) => new URL(r.url()).hostname !== '127.0.0.1' && faults.push(`request to ${r.url()}`));
  for (const address of PAGES) {
    await page.setViewportSize({ width: 390, height: 844 });
    await page.goto(address);
    await settled(page);
    for (const width of [390, 640, 1024, 1280, 1920]) {
      await page.setViewportSize({ width, height: 844 });
      await unfold(page);
      await expect
        .poll(() => page.evaluate(() => document.documentElement.scrollWidth), { message: `${address} at ${width} px` })
        .toBeLessThanOrEqual(width);
    }
  }
  await Promise.all(LINES.map((id, i) => replacePlan(page, id, () => were[i] as Plan)));
  expect(faults).toEqual([]);
});

test('where the system has its own colours, what is chosen has a border that the others have not', async ({ page }) => {
  await page.emulateMedia({ forcedColors: 'active' });
  await page.goto(`${DEMO}/logbook`);
  await settled(page);
  for (const [chosen, other] of [
    ['#main [data-state=on]', '#main [data-state=off]'], // the unit of the amount
    ['#main [aria-current=page]', '#main nav a:not([aria-current])'], // a tab
  ] as const) {
    await expect(page.locator(chosen).first()).toHaveCSS('border-top-width', '3px');
    await expect(page.locator(other).first()).toHaveCSS('border-top-width', '1px');
  }
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
