import { DEMO } from './own-line';
import { expect, type Page, test } from './test';

/** A site with a line whose routine has begun. */
async function siteWithWork(page: Page, name: string): Promise<{ siteId: string; planId: string }> {
  const [siteId, planId] = [crypto.randomUUID(), crypto.randomUUID()];
  const { plan } = await (await page.request.get(`/api${DEMO.replace('lines', 'plans')}`)).json();
  expect((await page.request.post('/api/sites', { data: { id: siteId, name } })).ok()).toBe(true);
  const line = { ...plan, name: `Air of ${name}`, routine: { ...plan.routine, startedOn: '2026-01-05' } };
  expect((await page.request.post('/api/plans', { data: { id: planId, siteId, plan: line } })).ok()).toBe(true);
  return { siteId, planId };
}

test('what is due where; two sites become a visit, in the order in which one drives', async ({ page }) => {
  test.setTimeout(120_000);
  await siteWithWork(page, 'Quay works');
  const { planId } = await siteWithWork(page, 'Ridge works');
  await page.goto('/work?days=31');
  const site = (name: string) => page.getByRole('listitem').filter({ has: page.getByRole('heading', { name }) });
  await expect(site('Ridge works')).toBeVisible({ timeout: 60_000 }); // worked out in the background
  await expect(site('Ridge works')).toContainText(/\d+ overdue/);
  await expect(site('Ridge works')).toContainText('Take along: ');

  await page.getByRole('link', { name: 'my route' }).click();
  await page.getByText('Change my route').click();
  const rows = page.getByRole('button', { name: /^Move / });
  for (const name of ['Quay works', 'Ridge works'])
    await expect(page.getByRole('button', { name: `Move ${name}` })).toBeVisible({ timeout: 60_000 });
  const before = await rows.evaluateAll((all) => all.map((row) => row.getAttribute('aria-label')));
  const saved = page.waitForResponse((r) => r.url().endsWith('/api/work-order') && r.ok());
  await page.getByRole('button', { name: 'Move Ridge works' }).focus();
  await page.keyboard.press('Space');
  const said = page.locator('[role=status][aria-live=assertive]');
  await expect(said).toHaveText(/^Ridge works (lifted from|is at) place/);
  const placed = (await said.textContent())?.replace(/\D+/, '');
  await page.keyboard.press(before.indexOf('Move Ridge works') === 0 ? 'ArrowDown' : 'ArrowUp');
  await expect(said).not.toHaveText(new RegExp(`place ${placed}`));
  await page.keyboard.press('Space');
  await saved;
  await page.reload();
  await page.getByText('Change my route').click();
  const after = await rows.evaluateAll((all) => all.map((row) => row.getAttribute('aria-label')));
  expect(after).not.toEqual(before);
  expect(after.toSorted()).toEqual(before.toSorted());

  await page.getByRole('checkbox', { name: 'Visit Ridge works' }).check();
  await page.getByRole('checkbox', { name: 'Visit Quay works' }).check();
  await page.getByRole('link', { name: 'Plan the visit' }).click();
  await expect(page.getByRole('heading', { name: 'Visit', exact: true })).toBeVisible();
  await expect(page.locator('#main')).toContainText(/2 sites, \d+ tasks, \d+ h/);
  await expect(page.getByRole('heading', { name: /^\d\. (Ridge|Quay) works/ })).toHaveCount(2);
  await expect(page.getByRole('region', { name: 'Take along' }).getByRole('listitem').first()).toBeVisible();
  await page
    .getByRole('listitem')
    .filter({ hasText: 'Ridge works' })
    .getByRole('link', { name: 'Start it' })
    .first()
    .click();
  await page.waitForURL(new RegExp(`/lines/${planId}/rounds/go`));

  await page.goto('/sites?q=Ridge');
  await expect(page.getByRole('listitem').filter({ hasText: 'Ridge works' })).toContainText(/\d+ overdue/);
});
