import { dairyPlan } from '../db/dairy';
import { buildOwnLine, expectSaved } from './own-line';
import { expect, type Page, test } from './test';

/** The dairy as a line of one's own, so that the demo stays as it was. */
async function openDairy(page: Page, stage: string): Promise<void> {
  const id = crypto.randomUUID();
  const answer = await page.request.post('/api/plans', {
    data: { id, plan: { ...dairyPlan(), name: 'Dairy to try' } },
  });
  expect(answer.status()).toBeLessThan(300);
  await page.goto(`/lines/${id}/line?stage=${stage}`);
}
const bar = async (text: Promise<string | null>): Promise<number> =>
  Number.parseFloat(((await text) ?? '').replace('−', '-').match(/-?[\d.]+/)?.[0] ?? '');

test('why the grinder is weak: hose and coupler, largest first; a size up gives back what it said', async ({
  page,
}) => {
  await openDairy(page, 'grinder');
  const fall = page.getByRole('region', { name: 'Pressure losses' });
  await expect(fall.getByRole('listitem').first()).toContainText('Hose');
  await expect(fall.getByRole('listitem').nth(1)).toContainText('Coupler');
  const arrives = () => bar(fall.getByText('Here arrive').getByRole('button').textContent());
  const before = await arrives();
  const coupler = fall.getByRole('listitem').nth(1);
  const givesBack = await bar(
    coupler
      .getByText(/would give back/)
      .locator('strong')
      .textContent(),
  );
  expect(givesBack).toBeGreaterThan(0.2);

  await coupler.getByRole('button', { name: 'Coupler' }).click();
  await page.getByLabel('Type', { exact: true }).selectOption({ label: 'quick coupler, full-flow' });
  await expectSaved(page);
  await page.locator('[data-stage]', { hasText: 'Workshop grinder' }).click();
  await expect.poll(async () => Math.abs((await arrives()) - before - givesBack)).toBeLessThan(0.02);
});

test('a hose that cannot pass so much says so, in words, at the outlet; undo brings the air back', async ({ page }) => {
  await openDairy(page, 'shop-hose');
  await page.getByLabel('Bore', { exact: true }).fill('5 mm');
  const outlets = page
    .getByRole('list')
    .filter({ has: page.getByText('Workshop grinder') })
    .last();
  await expect(outlets.getByText(/Hose: This hose cannot pass so much air: it chokes/)).toBeVisible();
  await page.getByLabel('Bore', { exact: true }).fill('0');
  await expect(page.locator('#main').getByRole('alert').last()).toContainText('is not possible here');
  await page.locator('h1').click();
  await page.keyboard.press('Control+z');
  await expect(outlets.getByText(/cannot pass/)).toHaveCount(0);
});

test('a plant fits the screen: an overview goes where it is clicked, and what is sound is told in brief', async ({
  page,
}) => {
  await openDairy(page, 'cooler-1');
  const section = page.getByRole('region', { name: 'Section of the line' });
  const at = () => section.evaluate((e) => e.scrollLeft);
  const whole = page.getByText('whole line').locator('xpath=..').locator('svg');
  const box = await whole.boundingBox();
  if (!box) throw new Error('no overview');
  await page.mouse.click(box.x + box.width - 20, box.y + 8);
  await expect.poll(at).toBeGreaterThan(200);
  await expect(page.getByRole('button', { name: /^Curd cutters/ }).last()).toContainText('bar');
  await expect(page.getByRole('button', { name: /^Ring, west from/ })).toContainText('% of the air');
});

test('gauges at rest and in flow show where the measured loss is above the calculated', async ({ page }) => {
  await buildOwnLine(page, 'Gauge shop');
  const add = async (kind: string, after: string) => {
    await page.locator('[data-stage]', { hasText: after }).first().click();
    await page.getByRole('button', { name: /Add a stage/ }).click();
    await page.getByPlaceholder(/water trap/).fill(kind);
    await page.keyboard.press('Enter');
  };
  await add('pressure gauge', 'Receiver');
  await page.getByLabel('It was read').selectOption({ label: 'at rest and while air flows' });
  await page.getByLabel('At rest, nothing blowing', { exact: true }).fill('7');
  await page.getByLabel('At peak demand', { exact: true }).fill('7');
  await add('pipe', 'Pressure gauge');
  await page.getByLabel('Length', { exact: true }).fill('4 km');
  await expect(page.locator('#main').getByRole('alert').last()).toContainText(/4 km|not a|possible/);
  await page.getByLabel('Length', { exact: true }).fill('30');
  await add('pressure gauge', 'Pipe');
  await page.getByLabel('It was read').selectOption({ label: 'at rest and while air flows' });
  await page.getByLabel('At rest, nothing blowing', { exact: true }).fill('7');
  await page.getByLabel('At peak demand', { exact: true }).fill('5.5');
  await expectSaved(page);
  await page.locator('[data-stage]', { hasText: 'Tools' }).first().click();
  await expect(page.getByRole('region', { name: 'Gauges at rest and in flow' })).toContainText(
    'measured loss above calculated',
  );
});
