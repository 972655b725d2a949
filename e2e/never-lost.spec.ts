import { buildOwnLine, expectSaved } from './own-line';
import { expect, test } from './test';

const database = (signal: 'SIGUSR1' | 'SIGUSR2'): void => void process.kill(Number(process.env.SWITCH_PID), signal);
test.afterEach(() => database('SIGUSR2'));

test('what is typed is saved within a second, and “saved” is said only after the commit', async ({ page, request }) => {
  const line = await buildOwnLine(page);
  await page.goto(`${line}/survey`);
  let answered = false;
  page.on('response', (r) => {
    if (r.request().method() === 'PUT') answered = r.ok();
  });
  await page.getByLabel('Shop').fill('Renamed');
  await page.waitForFunction(() => document.querySelector('[data-testid=save-status]')?.textContent !== 'Saved');
  await expect(page.getByTestId('save-status')).toHaveText('Saved', { timeout: 1000 });
  expect(answered).toBe(true);
  const stored = await (await request.get(`/api/plans/${line.split('/')[2]}`)).json();
  expect(stored.plan.survey.shop).toBe('Renamed');
});

test('somebody else’s newer save is shown and chosen, not overwritten', async ({ page, context }) => {
  const line = await buildOwnLine(page);
  await page.goto(`${line}/survey`);
  const other = await context.newPage();
  await other.goto(`${line}/survey`);
  await other.getByLabel('Shop').fill('Theirs');
  await expectSaved(other);
  await page.getByLabel('Line', { exact: true }).fill('Mine');
  const notice = page.getByRole('alert').filter({ hasText: 'newer version' });
  await expect(notice).toBeVisible();
  await notice.getByRole('button', { name: 'Use the newer one' }).click();
  await expect(page.getByLabel('Shop')).toHaveValue('Theirs');
  await expectSaved(page);
  await page.getByRole('button', { name: 'Undo' }).click(); // mine is one undo away
  await expect(page.getByLabel('Line', { exact: true })).toHaveValue('Mine');
  await expectSaved(page);
  await other.getByLabel('Shop').fill('Theirs again');
  await other.getByRole('button', { name: 'Keep mine' }).click();
  await expectSaved(other);
  await page.reload();
  await expect(page.getByLabel('Shop')).toHaveValue('Theirs again');
});

test('with the database down an edit is kept, said to be unsaved, and saved by itself when it returns', async ({
  page,
}) => {
  const line = await buildOwnLine(page);
  await page.goto(`${line}/survey`);
  database('SIGUSR1');
  await page.getByLabel('Shop').fill('Typed in the dark');
  await expect(page.getByTestId('save-status')).toHaveText('Not saved yet');
  await expect(page.getByText('the database does not answer. Kept in this browser')).toBeVisible();
  await page.reload(); // the page itself cannot be read now
  await expect(page.getByText('The database does not answer', { exact: true })).toBeVisible();
  database('SIGUSR2');
  await expect(page.getByLabel('Shop')).toHaveValue('Typed in the dark');
  await expectSaved(page);
  await page.evaluate(() => localStorage.clear());
  await page.reload();
  await expect(page.getByLabel('Shop')).toHaveValue('Typed in the dark');
});

test('a drain logged with the database down is one entry once it is back, across a reload too', async ({
  page,
  request,
}) => {
  const line = await buildOwnLine(page);
  await page.goto(`${line}/logbook`);
  await page.getByLabel('How much came out').fill('120');
  await page.getByText('clear', { exact: true }).click();
  await page.getByLabel('Who').fill('Ida');
  database('SIGUSR1');
  await page.getByRole('button', { name: 'Log it' }).click();
  await expect(page.getByText('Your entry is kept in this browser')).toBeVisible();
  await page.reload();
  database('SIGUSR2');
  await expect(page.getByRole('region', { name: 'Judgement' })).toContainText('120 mL came out', { timeout: 20_000 });
  expect(await (await request.get(`/api${line.replace('lines', 'plans')}/drains`)).json()).toHaveLength(1);
});

test('with the database down the API answers 503 in JSON', async ({ request }) => {
  database('SIGUSR1');
  const answer = await request.get('/api/plans/d0000000-0000-4000-8000-000000000001');
  expect(answer.status()).toBe(503);
  expect(await answer.json()).toMatchObject({ error: { code: 'database-down' } });
});

test('two who changed different things keep both with one button, and see what each did', async ({ page, context }) => {
  const line = await buildOwnLine(page);
  await page.goto(`${line}/survey`);
  const other = await context.newPage();
  await other.goto(`${line}/survey`);
  await other.getByLabel('Shop').fill('Theirs');
  await expectSaved(other);
  await page.getByLabel('Line', { exact: true }).fill('Mine');
  const notice = page.getByRole('alert').filter({ hasText: 'newer version' });
  await expect(notice).toContainText('Lute shop → Theirs');
  await expect(notice).toContainText('→ Mine');
  await notice.getByRole('button', { name: 'Keep both' }).click();
  await expectSaved(page);
  await page.reload();
  await expect(page.getByLabel('Shop')).toHaveValue('Theirs');
  await expect(page.getByLabel('Line', { exact: true })).toHaveValue('Mine');
});

test('a page loaded again shows what somebody else saved meanwhile, not what stood in its fields', async ({
  page,
  context,
}) => {
  const line = await buildOwnLine(page);
  await page.goto(`${line}/survey`);
  const altitude = page.getByLabel('Altitude', { exact: true });
  await altitude.fill('500');
  await page.getByLabel('Shop').fill('Mine');
  await expectSaved(page);
  const other = await context.newPage();
  await other.goto(`${line}/survey`);
  await other.getByLabel('Altitude', { exact: true }).fill('300');
  await other.getByLabel('Shop').fill('Theirs');
  await expectSaved(other);
  await page.reload();
  await expect(page.getByLabel('Shop')).toHaveValue('Theirs');
  await expect(altitude).toHaveValue('300');
  await expectSaved(page);
});
