import { format } from 'date-fns';
import { expect, nowMs, test } from './test';

const WORKSHOP = '/lines/d0000000-0000-4000-8000-000000000001/charges';
const DAIRY = '/lines/d0000000-0000-4000-8000-000000000002/charges';

test('one demo is learning, with a band; the other is overdue and says since when', async ({ page }) => {
  await page.goto(WORKSHOP);
  const press = page.getByRole('region', { name: 'Beads at the press' });
  await expect(press).toContainText('Learning', { timeout: 30_000 });
  await expect(press).toContainText('(80 %)');
  await expect(press).toContainText('Learned from 2 charges');
  await page.goto(DAIRY);
  const balance = page.getByRole('region', { name: 'Beads at the balance' });
  await expect(balance).toContainText('Overdue', { timeout: 30_000 });
  await expect(balance).toContainText('estimated exhausted about');
});

test('a charge of its own line: named, put in, looked at, changed, dried, discarded; bad input is said at its field', async ({
  page,
  request,
}) => {
  const bare = await (await request.get('/api/plans/d0000000-0000-4000-8000-000000000002')).json();
  const dry = {
    ...bare.plan,
    name: 'No beads',
    branches: bare.plan.branches.filter((b: { id: string }) => b.id !== 'laboratory'),
  };
  const none = crypto.randomUUID();
  await request.post('/api/plans', { data: { id: none, plan: dry } });
  await page.goto(`/lines/${none}/charges`);
  await expect(page.getByText('This line has no desiccant')).toBeVisible();
  const { plan } = await (await request.get('/api/plans/d0000000-0000-4000-8000-000000000001')).json();
  const id = crypto.randomUUID();
  await request.post('/api/plans', { data: { id, plan: { ...plan, name: 'Beads line' } } });
  await page.goto(`/lines/${id}/charges`);
  const place = page.getByRole('region', { name: 'Beads at the press' });
  await expect(place).toContainText('No charge recorded', { timeout: 30_000 });

  await page.getByRole('button', { name: 'New charge' }).click();
  const form = page.getByRole('form', { name: 'New charge' });
  await form.getByLabel('Dry beads').fill('-3 kg');
  await form.getByRole('button', { name: 'Add charge' }).click();
  await expect(form.getByText('Enter a name')).toBeVisible();
  await expect(form.getByText(/not possible|At least 10 g/)).toBeVisible();
  await form.getByLabel('Name, as on its container').fill('Tin 7');
  await form.getByLabel('Dry beads').fill('9 kg');
  await form.getByRole('button', { name: 'Add charge' }).click();
  const all = page.getByRole('region', { name: 'All charges' });
  await expect(all.getByRole('listitem')).toContainText('dry, on the shelf');

  await place.getByRole('button', { name: 'Record the charge' }).click();
  await place.getByLabel('Charge installed').selectOption({ label: 'Tin 7: 9.00 kg, dried 0 times' });
  const hourAgo = format(nowMs() - 3_600_000, "yyyy-MM-dd'T'HH:mm");
  await place.getByLabel('When').fill(hourAgo);
  await place.getByLabel('Who').fill('Ada');
  await place.getByRole('button', { name: 'Log the change' }).click();
  await expect(place).toContainText('Learning', { timeout: 30_000 });
  await expect(all.getByRole('listitem')).toContainText('in Beads at the press');

  await place.getByRole('button', { name: 'Log an inspection' }).click();
  await place.getByRole('button', { name: 'Log the inspection' }).click();
  await expect(place.getByText('Drag it to where')).toBeVisible();
  await place.getByRole('slider', { name: 'Exhausted, of its height' }).press('ArrowRight');
  await place.getByRole('slider', { name: 'Exhausted, of its height' }).press('ArrowRight');
  await place.getByRole('button', { name: 'Log the inspection' }).click();
  await expect(place).toContainText('Last inspection10 %');
  await place.getByRole('button', { name: /^The line has 40 %/ }).click();
  await expect(place.getByRole('button', { name: /^The line has/ })).toHaveCount(0);

  await place.getByRole('button', { name: 'Replace the charge' }).click();
  await place.getByLabel('Charge installed').selectOption({ label: 'one that has no name here' });
  await place.getByRole('button', { name: 'Log the change' }).click();
  await expect(place.getByText('how far it was spent is what the place learns from')).toBeVisible();
  await place.getByLabel('Was Tin 7 looked at?').selectOption('yes');
  await place.getByRole('button', { name: 'Log the change' }).click();
  await expect(all.getByRole('listitem')).toContainText('exhausted, to be dried');

  await all.getByRole('button', { name: 'It was dried' }).click();
  await all.getByLabel('As it came out').fill('9.2 kg');
  await all.getByLabel('Dried, cooled closed').fill('9.9 kg');
  await all.getByRole('button', { name: 'Log the drying' }).click();
  await expect(all.getByText('Heavier after drying than before').first()).toBeVisible();
  await all.getByLabel('Dried, cooled closed').fill('8.8 kg');
  await all.getByRole('button', { name: 'Log the drying' }).click();
  await expect(all.getByRole('listitem')).toContainText('dried 1 time,');
  await all.getByRole('button', { name: 'Discard' }).click();
  await all.getByLabel('Why').fill('Dusty');
  await all.getByRole('button', { name: 'Log it as discarded' }).click();
  await expect(all.getByRole('listitem')).toContainText('discarded');
});
