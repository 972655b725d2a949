import { beginMaintenance, buildOwnLine, DEMO, expectSaved } from './own-line';
import { expect, type Locator, type Page, settled, test } from './test';

/** Fills every field of a form with what it cannot take: words for numbers, nothing for what is needed. */
async function fillNonsense(form: Locator): Promise<void> {
  const fields = form.locator('input:visible:enabled, textarea:visible:enabled');
  await fields.first().waitFor();
  for (let i = 0; i < (await fields.count()); i++) {
    const field = fields.nth(i);
    const [type, mode] = await field.evaluate((e: HTMLInputElement) => [e.type, e.inputMode]);
    if (['checkbox', 'radio', 'range', 'file', 'color'].includes(type as string)) continue;
    await field.fill(mode === 'decimal' || mode === 'numeric' ? 'nonsense ½' : '');
  }
}

/** Submits it, and expects to be told at a field, with the cursor in the first one that is wrong. */
async function expectRefused(form: Locator): Promise<void> {
  await form.locator('button[type=submit]').first().click();
  await expect(form.locator('[aria-invalid=true], [role=alert]').first()).toBeVisible();
  const wrong = form.locator('[aria-invalid=true]');
  if ((await wrong.count()) > 0) await expect(wrong.first()).toBeFocused();
}

/** Everything that a page sends to be written. */
function writesOf(page: Page): string[] {
  const writes: string[] = [];
  page.on('request', (r) => {
    if (r.method() !== 'GET' && r.url().includes('/api/')) writes.push(`${r.method()} ${r.url()}`);
  });
  return writes;
}

test('every form of the program refuses nonsense at its fields, and nothing is written', async ({ page }) => {
  test.setTimeout(180_000);
  const own = await buildOwnLine(page);
  await beginMaintenance(page);
  await expectSaved(page);
  const writes = writesOf(page);

  await page.goto('/');
  await settled(page);
  const start = page.getByRole('form', { name: 'New line' });
  await fillNonsense(start);
  await expectRefused(start);
  await expect(start.locator('[aria-invalid=true]')).toHaveCount(9); // all of its fields at once
  await expect(page).toHaveURL('/');

  await page.goto(`${own}/logbook`);
  const drain = page.getByRole('form', { name: 'Log a drain' });
  await fillNonsense(drain);
  await expectRefused(drain);

  await page.goto(`${own}/logbook/all`);
  const entry = page.getByRole('form', { name: 'Log something' });
  await fillNonsense(entry);
  await expectRefused(entry);

  await page.goto(`${own}/today`);
  const row = page.getByRole('listitem').filter({ hasText: 'Drain the receiver' }).first();
  await row.getByRole('button', { name: 'Postpone…' }).click();
  await fillNonsense(row.locator('form'));
  await expectRefused(row.locator('form'));

  await page.goto(`${own}/rounds/go?round=round`);
  await settled(page);
  const task = page.locator('[data-round] form');
  if ((await task.count()) > 0) {
    await fillNonsense(task);
    await expectRefused(task);
  }

  await page.goto(`${own}/compare`);
  const revision = page.getByRole('region', { name: 'Revisions' }).locator('form');
  await fillNonsense(revision);
  await expectRefused(revision);

  await page.getByText('Your own figures').click();
  const tariff = page.getByLabel(/^A kWh/);
  for (const [typed, message] of [
    ['1,500', 'can be read as 1500 or as 1.500'],
    ['3 €', 'The number alone'],
    ['1e6', 'from 0 to 100,000'],
  ] as const) {
    await tariff.fill(typed);
    await expect(tariff).toHaveAttribute('aria-invalid', 'true');
    await expect(page.locator('#tariff-error')).toContainText(message);
  }

  await page.goto(`${DEMO}/charges`);
  const place = page.getByRole('region', { name: 'Beads at the press' });
  for (const does of ['Log an inspection', 'Replace the charge']) {
    await place.getByRole('button', { name: does }).click();
    const form = place.locator('form').first();
    await fillNonsense(form);
    await expectRefused(form);
    await page.reload();
  }
  await page.getByRole('button', { name: 'New charge', exact: true }).click();
  const charge = page.getByRole('form', { name: 'New charge' });
  await fillNonsense(charge);
  await expectRefused(charge);

  await page.goto(`${DEMO}/advice`);
  await page
    .getByRole('button', { name: /^Dismiss/ })
    .first()
    .click();
  const reason = page.locator('#main form').first();
  await fillNonsense(reason);
  await expectRefused(reason);

  // What is edited as it is typed: nonsense stays in the field, marked, and the line stays as it was.
  for (const address of [`${own}/survey`, `${own}/line?stage=compressor`, '/dew-point', '/beads', '/dryers', '/bed']) {
    await page.goto(address);
    await settled(page);
    const numbers = page.locator('#main input[inputmode=decimal]:visible:enabled');
    for (let i = 0; i < (await numbers.count()); i++) await numbers.nth(i).fill('nonsense ½');
    if ((await numbers.count()) > 0) await expect(page.locator('#main [aria-invalid=true]').first()).toBeVisible();
  }
  expect(writes).toEqual([]);
});

test('the start page: cut-in and cut-out are judged together, and what is refused builds nothing', async ({ page }) => {
  await page.goto('/');
  await settled(page);
  const writes = writesOf(page);
  await page.getByLabel('Cuts in at').fill('9');
  await expect(page.getByText('Are the two exchanged?')).toHaveCount(2);
  await page.getByRole('button', { name: 'Build my line' }).click();
  await expect(page.getByLabel('Cuts in at')).toBeFocused();
  expect(writes).toEqual([]);
  await page.getByLabel('Cuts out at').fill('10');
  await expect(page.getByText('Are the two exchanged?')).toHaveCount(0);
  await page.getByRole('button', { name: 'Build my line' }).click();
  await page.waitForURL(/\/lines\/[0-9a-f-]+\/line/);
  const id = new URL(page.url()).pathname.split('/')[2];
  const { plan } = await (await page.request.get(`/api/plans/${id}`)).json();
  const compressor = plan.stages.find((s: { kind: string }) => s.kind === 'compressor');
  expect(compressor.parameters.cutOutPa).toBeCloseTo(1101325, 0); // what was typed, not what stood there before
});

test('the start page takes no input before it can keep it', async ({ page }) => {
  let load = (): void => {};
  const loads = new Promise<void>((resolve) => {
    load = resolve;
  });
  await page.route('**/*.js*', async (route) => {
    await loads;
    await route.continue();
  });
  await page.goto('/', { waitUntil: 'commit' });
  await expect(page.getByLabel('Cuts in at')).toBeDisabled();
  // A click is not taken before the page acts on it, so none is lost.
  const click = page.getByRole('button', { name: 'Light or dark' }).click();
  load();
  await click;
  await expect(page.locator('html')).toHaveAttribute('data-theme', 'dark');
  await page.getByLabel('Cuts in at').fill('9');
  await expect(page.getByText('Are the two exchanged?')).toHaveCount(2);
});

test.describe('in the United States', () => {
  test.use({ locale: 'en-US' });
  test('the first units are °F, psi, cfm and gal; another set is beside the first field, and typed numbers go along', async ({
    page,
  }) => {
    await page.goto('/');
    await expect(page.getByLabel('Air at the intake')).toHaveValue('80');
    await expect(page.getByLabel('Cuts out at')).toHaveValue('125');
    await expect(page.getByLabel('Receiver', { exact: true })).toHaveValue('60');
    await page.getByLabel('Air at the intake').fill('95');
    await page.getByRole('radio', { name: '°C, bar, L' }).check();
    await expect(page.getByLabel('Air at the intake')).toHaveValue('35');
    await expect(page.getByLabel('Cuts out at')).toHaveValue('8.5');
    await page.reload();
    await expect(page.getByLabel('Air at the intake')).toHaveValue('27');
  });
});
