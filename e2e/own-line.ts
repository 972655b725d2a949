import { expect, type Page } from './test';

export const DEMO = '/lines/d0000000-0000-4000-8000-000000000001';

/** Builds a line of one's own from the first page, as a newcomer would, and returns its address. */
export async function buildOwnLine(page: Page, shop = 'Lute shop'): Promise<string> {
  await page.goto('/');
  await page.getByLabel('Shop').fill(shop);
  await page.getByRole('button', { name: 'Build my line' }).click();
  await page.waitForURL(/\/lines\/[0-9a-f-]+\/line/);
  return new URL(page.url()).pathname.replace(/\/line$/, '');
}

/** Begins the routine of a line at Today, with all that handbooks have: so there is something to do at once. */
export async function beginMaintenance(page: Page): Promise<void> {
  await page.getByRole('link', { name: 'Today', exact: true }).click();
  await page.getByLabel('Routine', { exact: true }).selectOption('thorough');
  await page.getByRole('button', { name: 'Start today' }).click();
}

/** Waits until the newest edit is in the database. */
export async function expectSaved(page: Page): Promise<void> {
  await expect(page.getByTestId('save-status')).toHaveText('Saved');
}

/** The text of a figure that answers “why?”, by the start of its name. */
export function figure(page: Page, name: string) {
  return page.locator(`text[aria-label^="${name}"]`);
}

/** The log of a line, as a copy of it has it. */
export async function logOf(page: Page, line: string): Promise<{ entry: { result?: string; what?: string } }[]> {
  const copy = await (await page.request.get(`/api${line.replace('lines', 'plans')}/copy`)).text();
  return copy
    .trim()
    .split('\n')
    .map((record) => JSON.parse(record))
    .filter(({ of }) => of === 'entry' || of === 'drain');
}
