import { test as base, type Page } from '@playwright/test';

/** The tests run on a date that bin/test sets, on the server and in the browser alike. */
const SHIFT_MS = Number(process.env.CLOCK_SHIFT_MS ?? 0);
export const nowMs = (): number => Date.now() + SHIFT_MS;

export const test = base.extend({
  context: async ({ context }, use) => {
    await context.clock.install({ time: nowMs() });
    await use(context);
  },
});
export { expect, type Locator, type Page } from '@playwright/test';

/** Waits until a page acts on what is typed, has fetched what it shows and works nothing out any more. */
export async function settled(page: Page): Promise<void> {
  await page.waitForLoadState('networkidle');
  await page.waitForFunction(() => !document.querySelector('html[data-loading], [aria-busy=true]'));
}
