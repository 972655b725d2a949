import { isWeekend } from 'date-fns';
import { beginMaintenance, buildOwnLine, DEMO, expectSaved, logOf } from './own-line';
import { answerPoint } from './round-point';
import { expect, nowMs, settled, test } from './test';

const PHONE = { width: 390, height: 844 };

test('a whole round on the phone: each point once, each entry in the log once, judged', async ({ page }) => {
  test.setTimeout(90_000);
  const own = await buildOwnLine(page);
  await beginMaintenance(page);
  await expect(page.getByRole('region', { name: 'Due today' })).toContainText('Drain the receiver');
  await expectSaved(page);
  await page.setViewportSize(PHONE);
  await page.goto(`${own}/rounds/go?round=round`);
  await expect(page.getByText(/^Round · 1 of \d+/)).toBeVisible();
  await settled(page); // the way is fixed once the weather is known
  const count = Number(/of (\d+)/.exec((await page.getByText(/^Round · 1 of/).textContent()) ?? '')?.[1]);
  expect(count).toBeGreaterThan(1);

  // Nothing typed is said at once; a reason is needed where something could not be done.
  await page.getByRole('button', { name: 'Log and next' }).click();
  await expect(page.locator('#main').getByRole('alert')).toBeVisible();
  for (let i = 0; i < count; i++) {
    await expect(page.getByText(`· ${i + 1} of ${count}`)).toBeVisible();
    if (i === 2) {
      await page.getByRole('button', { name: 'Could not' }).click();
      await page.getByRole('button', { name: 'Save and next' }).click();
      await expect(page.locator('#main').getByRole('alert')).toContainText('Enter the reason.');
      await page.getByLabel('Reason').fill('ladder is away');
      await page.getByRole('button', { name: 'Save and next' }).click();
      continue;
    }
    // A point may ask for several readings, one after another.
    for (let k = 0; k < 4 && (await page.getByText(`· ${i + 1} of ${count}`).isVisible()); k++) {
      await answerPoint(page, 'Bram');
      await page.getByRole('button', { name: 'Log and next' }).click();
    }
  }
  await expect(page.getByRole('heading', { name: 'The round is done' })).toBeVisible();
  await expect(page.getByText('All of it is in the log.')).toBeVisible();

  const log = await logOf(page, own);
  expect(log).toHaveLength(count);
  expect(log.filter(({ entry }) => entry.result === 'could-not')).toMatchObject([
    { entry: { what: 'ladder is away' } },
  ]);
  await page.setViewportSize({ width: 1280, height: 800 });
  await page.goto(`${own}/today`);
  await expect(page.getByRole('region', { name: 'Overdue' })).toHaveCount(0);
  await page.getByRole('link', { name: 'Logbook', exact: true }).click();
  await expect(page.getByRole('region', { name: 'All entries' })).toContainText(
    /24.0 mL[\s\S]*(as expected|less|more)/,
  );
});

test('@date a routine begun today asks for its daily tasks at once, on a weekend on the next working day', async ({
  page,
}) => {
  const own = await buildOwnLine(page);
  await beginMaintenance(page);
  const off = isWeekend(nowMs());
  await expect(page.getByRole('region', { name: off ? 'Within a week' : 'Due today' })).toContainText(
    'Drain the receiver',
  );
  await expect(page.getByRole('region', { name: 'Overdue' })).toHaveCount(0);
  await expectSaved(page);
  await page.goto(`${own}/rounds/go?round=round`);
  await expect(page.getByText(off ? 'Nothing is due' : /^Round · 1 of \d+/)).toBeVisible();
});

test('the database away during a round: what was logged is kept in the phone and is there once afterwards', async ({
  page,
}) => {
  const own = await buildOwnLine(page);
  const id = own.split('/')[2];
  await beginMaintenance(page);
  await expectSaved(page);
  await page.goto(`${own}/rounds/go?at=receiver`);
  const receiver = await page.request.get(`/api/plans/${id}`);
  const plan = ((await receiver.json()) as { plan: { stages: { id: string; kind: string }[] } }).plan;
  const stage = plan.stages.find((s) => s.kind === 'receiver')?.id;
  await page.goto(`${own}/rounds/go?at=${stage}`);
  await expect(page.getByRole('heading', { name: /^Receiver: / })).toBeVisible();
  await page.route('**/api/plans/*/drains', (route) => route.abort());
  await page.route('**/api/plans/*/entries', (route) => route.abort());
  await answerPoint(page, 'Yusra');
  await page.getByRole('button', { name: 'Log and next' }).click();
  await expect(page.getByText('1 kept here').first()).toBeVisible();
  await page.reload();
  await expect(page.getByText('1 kept here').first()).toBeVisible();
  await page.unroute('**/api/plans/*/drains');
  await page.unroute('**/api/plans/*/entries');
  await expect(page.getByText('all sent')).toBeVisible();
  expect(await logOf(page, `/lines/${id}`)).toHaveLength(1);
});

test('@date postponed with a reason, pinned, and the code of a stage that is gone', async ({ page }) => {
  const own = await buildOwnLine(page);
  await beginMaintenance(page);
  const row = page.getByRole('listitem').filter({ hasText: 'Drain the receiver' }).first();
  await row.getByRole('button', { name: 'Postpone…' }).click();
  await row.getByRole('button', { name: 'Postpone', exact: true }).click();
  await expect(row).toContainText('Give the reason for whoever reads this later.');
  await row.getByLabel('Why').fill('valve on order');
  await row.getByRole('button', { name: 'Postpone', exact: true }).click();
  await expect(page.getByRole('region', { name: 'Postponed' })).toContainText('“valve on order”');
  await page.goto(`${own}/rounds/go?at=gone`);
  await expect(page.getByText('Nothing of this point is in the routine')).toBeVisible();
  await expect(page.getByText('Its log is kept.')).toBeVisible();
});

test('the demo: drift is found and named, a reading out of its band points to its causes, a correction stands', async ({
  page,
}) => {
  await page.goto(`${DEMO}/today`);
  const noticed = page.getByRole('region', { name: 'Drifting' });
  await expect(noticed).toContainText('Coalescer 1 µm: pressure drop');
  await expect(noticed).toContainText(/% more than before/);

  await page.getByRole('link', { name: 'Logbook', exact: true }).click();
  await page.getByRole('link', { name: 'Everything', exact: true }).click();
  const form = page.getByRole('form', { name: 'Log something' });
  await form.getByLabel('Where').selectOption({ label: 'Chilled dryer' });
  await form.getByLabel('Value, in any unit').fill('warm');
  await form.getByLabel('Who').fill('Ottilie');
  await form.getByRole('button', { name: 'Log it' }).click();
  await expect(form).toContainText(/warm/);
  await form.getByLabel('Value, in any unit').fill('77F');
  await form.getByRole('button', { name: 'Log it' }).click();
  const entries = page.getByRole('region', { name: 'Entries' });
  const own = entries.getByRole('listitem').filter({ hasText: '25.0 °C' }).first();
  await expect(own).toContainText('more than expected');
  await own.getByText('▲ Chilled dryer: pressure dew point higher than expected').click();
  await expect(own.getByRole('link', { name: /^Find the fault/ })).toHaveAttribute('href', /complaint=D19&at=/);
  await own.getByRole('button', { name: /^Correct/ }).click();
  const correct = page.getByRole('form', { name: 'Correct an entry' });
  await correct.getByLabel('Value, in any unit').fill('5');
  await correct.getByRole('button', { name: 'Log the correction' }).click();
  await expect(entries.getByText('corrects an earlier entry').first()).toBeVisible();

  // A complaint by its symptom, found again by search.
  await form.getByLabel('What', { exact: true }).selectOption('complaint');
  await form.getByLabel('What shows').selectOption({ label: 'Water in the hose, in winter only' });
  await form.getByRole('button', { name: 'Log it' }).click();
  await page.getByLabel('Search').fill('complaint');
  await entries
    .getByText(/water in the hose, in winter only/)
    .first()
    .click();
  await entries.getByRole('button', { name: /^Check it.*A drain is frozen, and the water is carried over/ }).click();
  await expect(form.getByLabel('Which test, how it went')).toHaveValue(/^A drain is frozen/);
});

test('readings from a table are read first, with their rows, and doubled by nothing', async ({ page }) => {
  const own = await buildOwnLine(page);
  await page.goto(`${own}/logbook/all`);
  await page.getByText('Readings from a table').click();
  const csv =
    'time,point,reading,value,who,note\n2026-11-20 08:00,Receiver,temperature,95F,Bram,kühl\n2026-11-20 08:00,Boiler,temperature,30,Bram,\n';
  const importing = page.getByRole('region', { name: 'Import readings' });
  for (let i = 0; i < 2; i++) {
    await importing
      .locator('input[type=file]')
      .setInputFiles({ name: 'r.csv', mimeType: 'text/csv', buffer: Buffer.from(csv, 'latin1') });
    await expect(importing).toContainText('1 reading can be logged, 1 row cannot');
    await expect(importing).toContainText('row 3: this line has no point “Boiler”');
    await importing.getByRole('button', { name: 'Log them' }).click();
    await expect(page.getByRole('region', { name: 'Entries' }).getByText('Air temperature 35')).toHaveCount(1);
  }
  await expect(page.getByRole('region', { name: 'Entries' })).toContainText('kühl');
  await page
    .locator('input[accept="image/*"]')
    .setInputFiles({ name: 'gauge.jpg', mimeType: 'image/jpeg', buffer: Buffer.from('no picture') });
  await expect(page.getByText('“gauge.jpg” is no picture that this browser can read.')).toBeVisible();
});

test('@date the calendar has a private address that can be taken back; the sheet has a code for each point', async ({
  page,
}) => {
  await page.goto(`${DEMO}/today`);
  const part = page.getByRole('region', { name: 'Calendar' });
  await part.getByRole('button', { name: 'New private address' }).click();
  const address = (await part.locator('code').textContent()) ?? '';
  const feed = await page.request.get(address);
  expect(await feed.text()).toMatch(/^BEGIN:VCALENDAR[\s\S]*RRULE/);
  await part.getByRole('button', { name: 'Revoke all addresses' }).click();
  await expect(part).toContainText('are revoked');
  expect((await page.request.get(address)).status()).toBe(404);
  await page.goto(`${DEMO}/rounds/sheet`);
  await expect(page.getByRole('img', { name: /^Code that opens/ }).first()).toBeVisible();
});
